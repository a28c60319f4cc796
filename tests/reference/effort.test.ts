import { describe, expect, it } from 'vitest';
import { EFFORT_CLASSES, effortClass } from '../../src/lib/core/body/effort';
import { MET_WM2 } from '../../src/lib/core/body/two-node';
import { rolledOut } from '../../src/lib/core/document/sequence';
import { PATTERNS } from '../../src/lib/core/patterns';
import { unfoldNamed } from '../../src/lib/words/patterns';

describe('effort classes of ISO 8996 (from memory)', () => {
	it('have the mean values of the standard, W/m²', () => {
		expect(EFFORT_CLASSES).toEqual({ resting: 65, low: 100, moderate: 165, high: 230, 'very high': 290 });
	});
	it.each([
		['Sit', 'resting'],
		['Skins on', 'low'],
		['Descent', 'moderate'],
		['Walk', 'high'],
		['Climb through the forest', 'very high']
	] as const)('“%s” of a pattern is of class %s', (name, wanted) => {
		const phase = PATTERNS.flatMap((pattern) => rolledOut(unfoldNamed(pattern, 'guided', () => 'x').sequence))
			.map(({ phase: one }) => one)
			.find((one) => one.name === name)!;
		expect(effortClass(phase.effortWm2)).toBe(wanted);
	});
});

describe('fast and fit, against the Compendium of Physical Activities (from memory)', () => {
	it.each([
		['ski-tour', 'Climb through the forest', 9],
		['coast-or-hill-walk', 'Walk', 6],
		['road-ride-with-cafe', 'Ride', 10]
	])('%s, %s: about %d met', (id, name, met) => {
		const pattern = PATTERNS.find((one) => one.id === id)!;
		const { phase } = rolledOut(unfoldNamed(pattern, 'fast', () => 'x').sequence).find(
			(one) => one.phase.name === name
		)!;
		expect(Math.abs(phase.effortWm2 / MET_WM2 - met)).toBeLessThan(0.2);
	});
});
