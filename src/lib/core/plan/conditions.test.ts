import { describe, expect, it } from 'vitest';
import { PLANNED, cellOf, phaseOf, stageOf, thingOf } from '../../../../tests/fixtures/make';
import type { Loop } from '../document/types';
import { cellsOf, rolledOut } from './conditions';
import { dexterityNeeded, isWetThrough, lensNeeded, needsFaceCover } from './needs';
import { clothOf } from '../cloth/things';

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
		['soft-shell', 45, 'rain', true],
		['soft-shell', 45, 'drizzle', false],
		['hard-shell', 600, 'rain', false],
		['fleece', 45, 'rain', true],
		['rain-shell', 200, 'rain', true]
	] as const)('%s, %d min of %s: wet through %s', (typeId, minutes, precipitation, wet) => {
		const cell = cellOf(['move', minutes, 200, 'slope'], { precipitation, airTempC: 3 });
		const outfit = [{ cloth: clothOf(thingOf(typeId)), position: 4, opening: 'closed' as const }];
		expect(isWetThrough(cell, outfit, 'torso')).toBe(wet);
	});
});
