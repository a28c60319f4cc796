import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	type BaseRow,
	kitOf,
	type PhaseRow,
	PLANNED,
	stageOf,
	thingOf
} from '../../../../tests/fixtures/make';
import { clothOf } from '../cloth/things';
import { cellsOf } from '../conditions/cells';
import { simulationOf } from '../plan/simulated-plan';
import { planStage } from '../plan/planner';
import { simulateDay, type SimulatedDay, SOAKED_SHARE, type WornPhase } from './simulation';

const worn = (typeIds: readonly string[]): WornPhase['outfit'] =>
	typeIds
		.map((typeId) => {
			const cloth = clothOf(thingOf(typeId));
			return { cloth, position: cloth.positions[0], opening: 'closed' as const };
		})
		.sort((a, b) => a.position - b.position);
const UNDER = ['bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-hiking', 'glove-light', 'hat-warm'];

/** A day with what is worn in each phase. */
function dayOf(
	rows: readonly PhaseRow[],
	tops: readonly (readonly string[])[],
	base: BaseRow = {}
): SimulatedDay {
	const cells = cellsOf(stageOf(rows, base), PLANNED);
	return simulateDay(
		cells.map((cell, k) => ({
			cell,
			outfit: worn([...tops[k]!, ...UNDER]),
			opening: 1,
			wetThrough: false
		})),
		{ holdWhm2: 70, atHand: () => worn(['coat-synthetic']).map(({ cloth }) => cloth) }
	);
}
const CLIMB: PhaseRow = ['move', 90, 280, 'slope'];
const STAND: PhaseRow = ['stop', 40, 80, 'ridge'];
const endOf = (course: SimulatedDay): SimulatedDay['minutes'][number] => course.minutes.at(-1)!;

describe('the simulated day', () => {
	const TOP = ['top-synthetic', 'fleece'];
	it('knows a coat at once from a coat after a quarter of an hour from none', () => {
		const late: PhaseRow[] = [CLIMB, ['stop', 15, 80, 'ridge'], ['stop', 25, 80, 'ridge']];
		const coat = [...TOP, 'coat-synthetic'];
		const debts = [
			dayOf([CLIMB, STAND], [TOP, coat], { airTempC: -8 }),
			dayOf(late, [TOP, TOP, coat], { airTempC: -8 }),
			dayOf([CLIMB, STAND], [TOP, TOP], { airTempC: -8 })
		].map((course) => endOf(course).debtWhm2);
		expect(debts[0]).toBeLessThan(debts[1]!);
		expect(debts[1]).toBeLessThan(debts[2]!);
	});
	it('loses more at the stop in cotton than in a fast-drying top, and less in a dry one', () => {
		const sweaty = (base: string, after = base): number => {
			const course = dayOf(
				[CLIMB, STAND],
				[
					[base, 'fleece', 'hard-shell'],
					[after, 'fleece', 'hard-shell']
				],
				{
					airTempC: 2
				}
			);
			const climbed = course.minutes.filter(({ phase }) => phase === 0).at(-1)!;
			return endOf(course).debtWhm2 - climbed.debtWhm2;
		};
		expect(sweaty('top-cotton')).toBeGreaterThan(sweaty('top-synthetic'));
		expect(sweaty('top-cotton', 'top-wool-light')).toBeLessThan(sweaty('top-cotton'));
	});
	it('tells the minute from which the skin is wet with sweat, and what would have come off', () => {
		const tops = ['top-cotton', 'fleece', 'coat-synthetic'];
		const [first] = dayOf([['move', 120, 250, 'slope']], [tops], { airTempC: 4 }).moments;
		expect(first).toMatchObject({ kind: 'sweating', phase: 0, does: 'take off', thingId: 'coat-synthetic' });
		expect(first!.thenMinute).toBeNull();
		expect(first!.reasons.map(({ rule }) => rule)).toEqual(['simulatedDay']);
	});
	const kindsOf = (effort: number, tops: readonly string[], airTempC = 4): string[] =>
		dayOf([['move', 240, effort, 'slope']], [tops], { airTempC }).moments.map(({ kind }) => kind);
	it('gets wetter under what lets no vapour through', () => {
		const shell = clothOf(thingOf('hard-shell'));
		const soakedIn = (vapourResistance: number): number => {
			const [cell] = cellsOf(stageOf([['move', 120, 250, 'slope']], { airTempC: 8 }), PLANNED);
			const outfit = [
				...worn(['top-synthetic', 'fleece', ...UNDER]),
				{ cloth: { ...shell, vapourResistance }, position: 4, opening: 'closed' as const }
			];
			const phase = { cell: cell!, outfit, opening: 1, wetThrough: false };
			return endOf(simulateDay([phase], { holdWhm2: 70, atHand: () => [] })).soaked;
		};
		expect(soakedIn(1000)).toBeGreaterThan(soakedIn(10));
		expect(soakedIn(30)).toBeGreaterThan(soakedIn(10));
	});
	it('tells when the layers are wet with it', () => {
		expect(kindsOf(270, ['top-synthetic', 'fleece', 'coat-synthetic'], 9)).toContain('soaked');
		expect(kindsOf(270, ['top-synthetic', 'fleece'], 9)).not.toContain('soaked');
	});
	it('tells when nobody keeps it up, and ends', () => {
		const kinds = kindsOf(290, ['top-synthetic', 'fleece', 'coat-synthetic', 'hard-shell'], 10);
		expect(kinds[0]).toBe('sweating');
		expect(kinds.slice(-2)).toEqual(['hot', 'ended']);
	});
	it('tells the minute at which it is cold, and what is at hand against it', () => {
		const [first] = dayOf([['stop', 120, 75, 'lee']], [['top-wool-mid', 'fleece']], { airTempC: 3 }).moments;
		expect(first).toMatchObject({ kind: 'cold', does: 'put on', thingId: 'coat-synthetic' });
	});
	it('takes a start that is slightly cool as meant', () => {
		const course = dayOf([['move', 60, 250, 'slope']], [['top-wool-mid', 'wind-shirt']], { airTempC: -4 });
		expect(course.moments).toEqual([]);
	});
	it('is quiet on a mild walk, and leaves out nights and what-ifs', () => {
		const rows: PhaseRow[] = [
			['move', 60, 175, 'slope'],
			['what-if', 120, 70, 'ridge'],
			['sleep', 480, 45, 'in'],
			['move', 30, 175, 'slope']
		];
		const course = dayOf(rows, [['top-wool-mid'], [], [], ['top-wool-mid']], { airTempC: 9, wind10mKmh: 5 });
		expect(course.moments).toEqual([]);
		expect(course.minutes).toHaveLength(90);
		expect(new Set(course.minutes.map(({ phase }) => phase))).toEqual(new Set([0, 3]));
	});
	it('is soaked where rain is through, whatever the sweat', () => {
		const [cell] = cellsOf(stageOf([['move', 60, 175, 'slope']], { airTempC: 6 }), PLANNED);
		const [first] = simulateDay(
			[{ cell: cell!, outfit: worn(['top-wool-mid', ...UNDER]), opening: 1, wetThrough: true }],
			{ holdWhm2: 70, atHand: () => [] }
		).moments;
		expect(first).toMatchObject({ kind: 'soaked', thingId: null });
	});
	it('stays in bounds, whatever is worn in whatever weather', () => {
		const pool = ['top-cotton', 'top-wool-mid', 'fleece', 'hard-shell', 'coat-down', 'wind-shirt'];
		fc.assert(
			fc.property(
				fc.integer({ min: -35, max: 38 }),
				fc.integer({ min: 0, max: 90 }),
				fc.integer({ min: 60, max: 520 }),
				fc.subarray(pool),
				(airTempC, wind10mKmh, effort, tops) => {
					const { minutes } = dayOf([['move', 90, effort, 'ridge'], STAND], [tops, tops], {
						airTempC,
						wind10mKmh
					});
					for (const { skinTempC, coreTempC, soaked, wettedness, debtWhm2 } of minutes) {
						expect(Number.isFinite(skinTempC + coreTempC + debtWhm2)).toBe(true);
						expect(soaked).toBeGreaterThanOrEqual(0);
						expect(soaked).toBeLessThanOrEqual(1);
						expect(wettedness).toBeLessThanOrEqual(1);
					}
				}
			)
		);
	});
	it('follows a planned day', () => {
		const client = kitOf(['top-synthetic', 'fleece', 'coat-synthetic', 'hard-shell', ...UNDER]);
		const { phases } = planStage(stageOf([CLIMB, STAND], { airTempC: -8 }), PLANNED, client);
		const course = simulationOf(phases, client);
		expect(course.minutes).toHaveLength(130);
		expect(Math.max(...course.minutes.map(({ soaked }) => soaked))).toBeLessThan(SOAKED_SHARE);
	});
});
