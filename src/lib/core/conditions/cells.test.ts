import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLANNED, cellOf, phaseOf, stageOf, thingOf } from '../../../../tests/fixtures/make';
import { clothOf } from '../cloth/things';
import { rolledOut } from '../document/sequence';
import type { Loop } from '../document/types';
import { PLACES } from '../document/weather';
import { cellsOf } from './cells';
import { dexterityNeeded, isRainThrough, lensNeeded, needsFaceCover, rainKeptMin } from './needs';

describe('conditions', () => {
	it('follow from the base, the altitude and the lapse', () => {
		const cell = cellOf(['move', 60, 200, 'slope', { altitudeM: 2000 }], {
			airTempC: -2,
			altitudeM: 1000,
			lapseKPerKm: 8
		});
		expect(cell.airTempC).toBe(-10);
		expect(cell.reasons.airTempC.rule).toBe('lapse');
	});
	it('are taken from what is typed for the phase, and say so', () => {
		const cell = cellOf(
			['move', 60, 200, 'slope', { typed: { airTempC: -17, wind10mKmh: 5, precipitation: 'rain' } }],
			{ wind10mKmh: 60 }
		);
		expect([cell.airTempC, cell.wind10mKmh, cell.precipitation]).toEqual([-17, 5, 'rain']);
		expect(cell.reasons.airTempC.rule).toBe('typed');
	});
	it.each([
		['in', 20, 'heated'],
		['cold-in', 0, 'unheated'],
		['lee', -5, 'lapse']
	] as const)('know the place “%s”: %d °C', (place, airTempC, rule) => {
		const cell = cellOf(['indoors', 60, 70, place], { precipitation: 'dry-snow' });
		expect(cell.airTempC).toBe(airTempC);
		expect(cell.reasons.airTempC.rule).toBe(rule);
		expect(cell.precipitation).toBe(place === 'lee' ? 'dry-snow' : 'dry');
	});
	it('shift with the weather, outdoors only', () => {
		const stage = stageOf([
			['move', 60, 200, 'slope'],
			['indoors', 60, 70, 'in']
		]);
		const [out, indoors] = cellsOf(stage, {
			...PLANNED,
			name: 'Cold snap',
			tempOffsetK: -8,
			windFactor: 2
		});
		expect([out!.airTempC, out!.wind10mKmh, indoors!.airTempC]).toEqual([-13, 40, 20]);
	});
	it('take the effort of a pattern down in thin air, a typed one never, and say which it is', () => {
		const guided = { minutes: 60, effortWm2: 280, ownSpeedKmh: 0 };
		const at = (altitudeM: number, effortWm2: number): [number, string] => {
			const cell = cellOf(['move', 60, effortWm2, 'slope', { altitudeM, guided }]);
			return [cell.metabolicWm2, cell.reasons.effort.rule];
		};
		expect(at(3900, 280)).toEqual([280, 'effort']);
		expect(at(4500, 280)).toEqual([210, 'thinAir']);
		expect(at(4500, 300)).toEqual([300, 'typedEffort']);
	});
	it('follow the route and the bed of the stage', () => {
		const stage = stageOf(
			[
				['move', 60, 200, 'slope', { altitudeM: null, along: 0.5 }],
				['indoors', 60, 70, 'bed', { altitudeM: null, along: 3 }],
				['sleep', 540, 45, 'bed', { altitudeM: null, along: 3 }]
			],
			{ lowTempC: -12, highTempC: -4, altitudeM: 1000, lapseKPerKm: 6.5 },
			{
				route: { startM: 1000, highM: 2000, lowM: 1200, bedM: 1400 },
				bed: { kind: 'unheated', washing: false, drying: 'nothing' }
			}
		);
		const [climb, evening, night] = cellsOf(stage, PLANNED);
		expect([climb!.altitudeM, evening!.altitudeM]).toEqual([1500, 1400]);
		expect([evening!.place, night!.place]).toEqual(['cold-in', 'cold-in']);
		expect(night!.airTempC).toBeCloseTo(-12 - 2.6 + 5, 9);
		expect(climb!.reasons.altitude.rule).toBe('along');
		const hole = { ...stage, bed: { ...stage.bed, kind: 'snow-hole' as const } };
		expect(cellsOf(hole, { ...PLANNED, tempOffsetK: -15 })[2]!.airTempC).toBe(-3);
		expect(cellsOf({ ...stage, bed: { ...stage.bed, kind: 'heated' } }, PLANNED)[2]!.heated).toBe(true);
	});
	it('never feel warmer than the air, in any weather, at any height and hour', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: -30, max: 25 }),
				fc.integer({ min: 0, max: 120 }),
				fc.integer({ min: 0, max: 4000 }),
				fc.constantFrom(...PLACES),
				(lowTempC, wind10mKmh, altitudeM, place) => {
					const cell = cellOf(['move', 60, 200, place, { altitudeM, ownSpeedKmh: 10 }], {
						lowTempC,
						highTempC: lowTempC + 7,
						wind10mKmh
					});
					expect(cell.feltTempC).toBeLessThanOrEqual(cell.airTempC);
				}
			)
		);
	});
	it('let the hours pass, what-ifs apart, unless a start is given', () => {
		const stage = stageOf([
			['move', 60, 200, 'slope'],
			['what-if', 120, 75, 'slope'],
			['stop', 15, 75, 'lee'],
			['move', 30, 200, 'slope', { startMin: 720 }],
			['stop', 10, 75, 'lee']
		]);
		expect(cellsOf(stage, PLANNED).map(({ startMin }) => startMin)).toEqual([480, 540, 540, 720, 750]);
	});
	it('gather rain until a heated place', () => {
		const stage = stageOf(
			[
				['move', 30, 200, 'slope'],
				['move', 30, 200, 'slope'],
				['indoors', 30, 70, 'in'],
				['move', 20, 200, 'slope']
			],
			{ precipitation: 'drizzle', airTempC: 3 }
		);
		expect(cellsOf(stage, PLANNED).map(({ rainMinutes }) => rainMinutes)).toEqual([15, 30, 0, 10]);
	});
	it('begin a day afresh after a night', () => {
		const stage = stageOf([
			['move', 30, 200, 'slope'],
			['sleep', 480, 45, 'cold-in'],
			['move', 30, 200, 'slope']
		]);
		expect(cellsOf(stage, PLANNED).map(({ fresh }) => fresh)).toEqual([true, false, true]);
	});
});

describe('loops', () => {
	const loop: Loop = {
		type: 'loop',
		id: 'loop',
		name: 'Lead and belay',
		count: 3,
		sequence: [phaseOf(['move', 25, 250, 'slope'], 1), phaseOf(['stop', 35, 85, 'ridge'], 2)]
	};
	it('roll out round by round and keep their number', () => {
		expect(rolledOut([phaseOf(['move', 10, 200, 'slope'], 0), loop]).map(({ phase, round }) => `${phase.id} ${round}`)).toEqual([
			'phase-0 1', 'phase-1 1', 'phase-2 1', 'phase-1 2', 'phase-2 2', 'phase-1 3', 'phase-2 3'
		]); // prettier-ignore
	});
	it('may hold loops', () => {
		expect(rolledOut([{ ...loop, id: 'outer', count: 2, sequence: [loop] }])).toHaveLength(12);
	});
});

describe('needs of a phase', () => {
	it.each([
		['move', 'slope', { ground: 'snow' }, {}, 3],
		['move', 'slope', { ground: 'snow', precipitation: 'dry-snow' }, {}, 0],
		['move', 'slope', { ground: 'snow' }, { marks: ['dark'] }, null],
		['move', 'slope', { ground: 'bare' }, {}, null],
		['move', 'slope', { ground: 'bare' }, { altitudeM: 4600 }, 3],
		['move', 'slope', { ground: 'snow' }, { altitudeM: 4600 }, 4],
		['indoors', 'in', { ground: 'snow' }, {}, null]
	] as const)('%s on %s, %j, %j: lens %s', (kind, place, base, rest, lens) => {
		expect(
			lensNeeded(
				cellOf([kind, 60, 100, place, { ...rest, marks: 'marks' in rest ? [...rest.marks] : [] }], base)
			)
		).toBe(lens);
	});
	it.each([
		[-4, false],
		[-9, true]
	])('covers face and ears from a felt −10 °C: air %d °C in a breeze, %s', (airTempC, needed) => {
		expect(needsFaceCover(cellOf(['stop', 20, 75, 'slope'], { airTempC, wind10mKmh: 12 }))).toBe(needed);
	});
	it.each([
		[['fiddly'], 'high'],
		[['controls'], 'medium'],
		[[], null]
	] as const)('with marks %j asks for dexterity %s', (marks, dexterity) => {
		expect(dexterityNeeded(cellOf(['stop', 20, 75, 'slope', { marks: [...marks] }]))).toBe(dexterity);
	});
	it.each([
		['soft-shell', 15, 'rain', false],
		['soft-shell', 55, 'rain', true],
		['soft-shell', 45, 'drizzle', false],
		['hard-shell', 600, 'rain', false],
		['fleece', 45, 'rain', true],
		['rain-shell', 200, 'rain', true]
	] as const)('%s, %d min of %s: wet through %s', (typeId, minutes, precipitation, wet) => {
		const cell = cellOf(['move', minutes, 200, 'slope'], { precipitation, airTempC: 3 });
		const outfit = [{ cloth: clothOf(thingOf(typeId)), position: 4, opening: 'closed' as const }];
		expect(isRainThrough(rainKeptMin(outfit, 'torso'), cell.rainMinutes)).toBe(wet);
	});
});
