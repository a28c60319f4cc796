import { describe, expect, it } from 'vitest';
import { EXTRAS, PATTERNS } from '.';
import { PLANNED, stageOf } from '../../../../tests/fixtures/make';
import { patternName, phaseName, unfoldNamed } from '../../words/patterns';
import { cellsOf } from '../conditions/cells';
import { phasesIn, rolledOut } from '../document/sequence';
import type { Phase, Stage } from '../document/types';
import { PACE_FACTORS, atPace, isTyped, unfold, withNewIds, withPace } from './pattern';

/** What each pattern must bring: minutes of the day, lived phases, what-ifs, and a phase that it is known by. */
const EXPECTED: Record<
	string,
	[minutes: number, lived: number, whatIfs: number, known: string, foul: boolean]
> = {
	'lift-served-snow-day': [1323, 49, 4, 'Lift', false],
	'ski-tour': [1343, 14, 4, 'Change-over at the top', false],
	'snowshoe-walk': [1290, 13, 3, 'Up through the forest', false],
	'high-trek': [1407, 9, 1, 'At the pass', true],
	'hut-to-hut': [1370, 10, 2, 'Walk on to the hut', true],
	'lodge-with-stove': [1370, 12, 1, 'Evening by the stove', false],
	'coast-or-hill-walk': [1290, 10, 2, 'Wait for the ferry or the bus', true],
	'small-summit-in-winter': [1325, 7, 1, 'Top, with a hot drink', false],
	'fast-hill-run': [120, 5, 1, 'Stand and talk', false],
	'ice-or-mixed-climb': [1405, 19, 3, 'Belay below', false],
	'road-ride-with-cafe': [217, 6, 2, 'Last descent', false],
	'ride-over-several-days': [1320, 9, 2, 'Ride on', false],
	'motorbike-tour': [1290, 9, 2, 'Pass', false],
	'river-fishing-on-foot': [1373, 15, 2, 'Stand and cast', false],
	'hide-or-wildlife-watch': [1500, 7, 2, 'Sit', false],
	'camp-craft-in-wet-forest': [1260, 6, 0, 'Fire', true],
	'town-walk': [70, 3, 1, 'Shop', false],
	'commute-by-bike': [530, 3, 1, 'Work', false],
	'outdoor-performance': [95, 4, 1, 'Perform', false]
};

let made = 0;
const newId = (): string => `id-${++made}`;
const stageFrom = (pattern: (typeof PATTERNS)[number]): Stage => {
	const { ground, bed, ...rest } = unfoldNamed(pattern, 'guided', newId);
	const stage = stageOf([], { ground: ground ?? 'bare', airTempC: -3 }, { ...rest });
	return {
		...stage,
		bed: { ...stage.bed, kind: bed },
		route: { startM: 900, highM: 1800, lowM: 1000, bedM: 1100 }
	};
};

describe('patterns', () => {
	it('each have a row here', () => {
		expect(PATTERNS.map(({ id }) => id).sort()).toEqual(Object.keys(EXPECTED).sort());
	});
	describe.each(PATTERNS.map((pattern) => [patternName(pattern.id), pattern] as const))(
		'%s',
		(_name, pattern) => {
			const [minutes, lived, whatIfs, known, hasFoul] = EXPECTED[pattern.id]!;
			const stage = stageFrom(pattern);
			const cells = cellsOf(stage, PLANNED);
			it('unfolds as expected', () => {
				const day = cells.filter(({ kind }) => kind !== 'what-if');
				expect(day.reduce((sum, cell) => sum + cell.minutes, 0)).toBe(minutes);
				expect(day).toHaveLength(lived);
				expect(cells.filter(({ kind }) => kind === 'what-if')).toHaveLength(whatIfs);
				expect(day.some(({ name }) => name === known)).toBe(true);
				expect(stage.foul !== null).toBe(hasFoul);
			});
			it('covers the day without holes or overlap, loops included', () => {
				const day = cells.filter(({ kind }) => kind !== 'what-if');
				expect(day[0]!.startMin).toBe(pattern.startMin);
				day.slice(1).forEach((cell, i) => expect(cell.startMin).toBe(day[i]!.startMin + day[i]!.minutes));
			});
			it('has an id of its own for every phase, and every figure of effort in what a document takes', () => {
				const phases = new Set(rolledOut(stage.sequence).map(({ phase }) => phase));
				expect(new Set([...phases].map(({ id }) => id)).size).toBe(phases.size);
				for (const { effortWm2, guided } of phases) {
					expect(effortWm2).toBeGreaterThanOrEqual(40);
					expect(effortWm2).toBeLessThanOrEqual(600);
					expect(guided).toBeDefined();
				}
			});
			it('goes to bed between 19:30 and 22:00, if it sleeps', () => {
				for (const { kind, startMin } of cells) {
					if (kind !== 'sleep') continue;
					expect(startMin).toBeGreaterThanOrEqual(19.5 * 60);
					expect(startMin).toBeLessThanOrEqual(22 * 60);
				}
			});
			it('takes every height from the route', () => {
				for (const { altitudeM } of cells) {
					expect(altitudeM).toBeGreaterThanOrEqual(900);
					expect(altitudeM).toBeLessThanOrEqual(1800);
				}
			});
		}
	);
	it('of every trip bring what may come on any day', () => {
		expect(EXTRAS.map(([code]) => phaseName(code))).toEqual(
			expect.arrayContaining(['Dressing indoors', 'Heated transport', 'Fiddly repair', 'Relief stop'])
		);
	});
});

describe('pace', () => {
	const tour = PATTERNS.find(({ id }) => id === 'ski-tour')!;
	const climb = (stage: Pick<Stage, 'sequence'>): Phase =>
		stage.sequence.find((item): item is Phase => item.name === 'Climb through the forest')!;
	it('changes moving only, and comes back exactly', () => {
		const guided = unfoldNamed(tour, 'guided', newId);
		const fast = withPace(guided.sequence, 'guided', 'fast');
		const changed = fast.filter(
			(item, i) => (item as Phase).minutes !== (guided.sequence[i] as Phase).minutes
		);
		expect(new Set(changed.map((item) => (item as Phase).kind))).toEqual(new Set(['move']));
		expect(withPace(withPace(fast, 'fast', 'gentle'), 'gentle', 'guided')).toEqual(guided.sequence);
	});
	it('of the fast and fit is what a reference says, where there is one', () => {
		expect(climb(unfoldNamed(tour, 'fast', newId))).toMatchObject({ minutes: 45, effortWm2: 525 });
		expect(climb(unfoldNamed(tour, 'gentle', newId))).toMatchObject({ minutes: 75, effortWm2: 240 });
		expect(atPace({ minutes: 100, effortWm2: 500, ownSpeedKmh: 10 }, 'fast')).toEqual({
			minutes: 75,
			effortWm2: 600,
			ownSpeedKmh: 13
		});
		expect(PACE_FACTORS.guided).toEqual({ minutes: 1, effort: 1, speed: 1 });
	});
	it('leaves alone what somebody has typed', () => {
		const guided = unfoldNamed(tour, 'guided', newId);
		climb(guided).minutes = 111;
		const fast = withPace(guided.sequence, 'guided', 'fast');
		expect(climb({ sequence: fast })).toMatchObject({ minutes: 111, effortWm2: 525 });
	});
	it('and nothing typed: no phase of a fresh pattern counts as typed, at no pace', () => {
		for (const pattern of PATTERNS)
			for (const pace of ['guided', 'fast', 'gentle'] as const)
				expect(
					phasesIn(unfoldNamed(pattern, pace, newId).sequence).filter((phase) => isTyped(phase, pace))
				).toEqual([]);
	});
	it('copies have ids of their own, inside loops too', () => {
		const climbDay = unfold(
			PATTERNS.find(({ id }) => id === 'ice-or-mixed-climb')!,
			'guided',
			newId
		).sequence;
		const before = new Set(rolledOut(climbDay).map(({ phase }) => phase.id));
		expect(rolledOut(withNewIds(climbDay, newId)).some(({ phase }) => before.has(phase.id))).toBe(false);
	});
});
