import { describe, expect, it } from 'vitest';
import { groupDays, groupParts, groupScore } from './group';
import type { PhaseSummary } from './summary';

const phase = (change: Partial<PhaseSummary>): PhaseSummary => ({
	weather: 'usual',
	stageId: 'one',
	foul: false,
	phaseId: 'p',
	round: 1,
	name: 'Top',
	minutes: 30,
	verdict: 'right',
	holdsMinutes: null,
	limitedBy: 'body',
	whatIf: false,
	...change
});

describe('a client of a group', () => {
	const phases = [
		phase({}),
		phase({ verdict: 'cool', limitedBy: 'feet' }),
		phase({ weather: 'cold', verdict: 'short', holdsMinutes: 10, limitedBy: 'hands' }),
		phase({ stageId: 'two', verdict: 'short', holdsMinutes: 5 }),
		phase({ stageId: 'two', weather: 'cold', verdict: 'short', holdsMinutes: 5 }),
		phase({ stageId: 'two', weather: 'cold', verdict: 'nothing suffices', whatIf: true })
	];
	it('is judged by day: the usual weather, and what is worse in another one', () => {
		const [one, two, three] = groupDays(phases, ['one', 'two', 'three'], 'usual');
		expect([one!.usual!.verdict, one!.rare!.limitedBy]).toEqual(['cool', 'hands']);
		// As short in the cold as usually, and what only may happen: nothing to add.
		expect([two!.usual!.verdict, two!.rare]).toEqual(['short', null]);
		expect(three).toEqual({ usual: null, rare: null });
	});
	it('is judged by part of the body', () => {
		const parts = groupParts(phases, 'usual');
		expect(parts.feet.usual!.verdict).toBe('cool');
		expect(parts.hands).toMatchObject({ usual: null, rare: { verdict: 'short' } });
		expect(parts.body.usual!.stageId).toBe('two');
		expect(parts.sleep).toEqual({ usual: null, rare: null });
	});
	it('is ranked by how bad, how long and how likely', () => {
		const score = (change: Partial<PhaseSummary>): number => groupScore([phase(change)], 'usual');
		expect(score({ verdict: 'cool' })).toBe(0);
		expect(score({ verdict: 'short', holdsMinutes: 20 })).toBe(10);
		expect(score({ verdict: 'short', holdsMinutes: 5 })).toBe(25);
		expect(score({ verdict: 'short', holdsMinutes: 5, weather: 'cold' })).toBe(2.5);
		expect(score({ verdict: 'wet through' })).toBe(60);
		expect(score({ verdict: 'nothing suffices', whatIf: true })).toBe(0);
		expect(score({ verdict: 'not judged yet' })).toBe(0);
	});
});
