import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, type PhaseRow, stageOf, thingOf } from '../../../../tests/fixtures/make';
import type { Bed, Client, Stage } from '../document/types';
import { planDocument } from '../plan/planner';
import { coldBatteryShare, countsOf, driesOvernight, mostCounts, piecesFor } from './counting';
import { listOf } from './list';

const HEATED: Bed = { kind: 'heated', washing: true, drying: 'small things' };
const TENT: Bed = { kind: 'tent', washing: false, drying: 'nothing' };
const WALK: PhaseRow[] = [
	['move', 120, 200, 'slope'],
	['stop', 20, 80, 'lee']
];
const KIT = ['briefs', 'top-wool-mid', 'fleece', 'hard-shell', 'bottoms-wool', 'trousers-trek', 'sock-mid', 'boot-hiking', 'glove-winter']; // prettier-ignore

const tripOf = (days: number, bed: Bed, base = {}, rows = WALK): Stage[] =>
	Array.from({ length: days }, (_, day) =>
		stageOf(rows, base, { id: `day-${day}`, date: `2027-02-${String(day + 1).padStart(2, '0')}`, bed })
	);
function counted(stages: Stage[], client: Client): Record<string, [needed: number, has: number | null]> {
	const planned = planDocument(documentOf(stages), client);
	return Object.fromEntries(
		countsOf(stages, planned, client).map(({ kind, needed, has }) => [kind, [needed, has]])
	);
}

describe('pieces for some days', () => {
	it.each<[string, boolean[], number, number]>([
		['wool for four days', [false, false, false, false], 4, 1],
		['wool for five', [false, false, false, false, false], 4, 2],
		['underwear washed every night', [true, true, true], 1, 1],
		['underwear washed in the middle', [false, false, true, false, false], 1, 3],
		['nothing', [], 3, 0]
	])('%s', (_, washed, wearDays, pieces) => {
		expect(
			piecesFor(
				washed.map((one) => ({ worn: true, washed: one })),
				wearDays
			)
		).toBe(pieces);
	});
	it('never falls with more days, nor rises with a wash', () => {
		const day = fc.record({ worn: fc.boolean(), washed: fc.boolean() });
		fc.assert(
			fc.property(
				fc.array(day, { maxLength: 20 }),
				day,
				fc.integer({ min: 1, max: 6 }),
				(days, more, wear) => {
					expect(piecesFor([...days, more], wear)).toBeGreaterThanOrEqual(piecesFor(days, wear));
					const washed = days.map(({ worn }) => ({ worn, washed: true }));
					expect(piecesFor(washed, wear)).toBeLessThanOrEqual(piecesFor(days, wear));
				}
			)
		);
	});
});

describe('counts of a trip', () => {
	it('of ten days in tents: no washing, a dry pair of socks kept back', () => {
		const counts = counted(tripOf(10, TENT), kitOf(KIT));
		expect(counts).toMatchObject({ tops: [3, 1], underwear: [10, 1], socks: [3, 1], gloves: [2, 1] });
	});
	it('of ten days in heated houses: what is synthetic is washed and dry by morning', () => {
		const synthetic = KIT.map((id) => (id === 'top-wool-mid' ? 'top-synthetic' : id));
		expect(counted(tripOf(10, HEATED), kitOf(synthetic))).toMatchObject({ tops: [1, 1], underwear: [1, 1] });
		expect(counted(tripOf(10, HEATED), kitOf(KIT))).toMatchObject({ tops: [3, 1], socks: [2, 1] });
	});
	it('says nothing of what nobody has asked', () => {
		const without = kitOf(KIT.filter((id) => id !== 'glove-winter'));
		expect(counted(tripOf(2, TENT), without).gloves).toEqual([2, null]);
		expect(counted(tripOf(2, TENT), { ...without, answeredParts: ['hands'] }).gloves).toEqual([2, 0]);
	});
	it('of batteries, by the hours in the dark and the cold', () => {
		const night: PhaseRow[] = [['move', 300, 200, 'slope', { marks: ['dark'] }]];
		const client = kitOf([...KIT, 'torch', 'power-bank']);
		const warm = counted(tripOf(2, TENT, { airTempC: 5 }, night), client);
		const cold = counted(tripOf(2, TENT, { airTempC: -20 }, night), client);
		expect(warm['torch batteries']).toEqual([2, null]);
		expect(cold['torch batteries']).toEqual([4, null]);
		expect(cold['power banks']![0]).toBeGreaterThanOrEqual(warm['power banks']![0]);
	});
	it('stand on the list, with what is carried', () => {
		const client = { ...kitOf(KIT), things: [...kitOf(KIT).things, thingOf('torch')] };
		const stages = tripOf(3, TENT);
		const planned = planDocument(documentOf(stages), client);
		const list = listOf(client, planned, stages);
		expect(list.counts.find(({ kind }) => kind === 'socks')).toMatchObject({ needed: 2, has: 1 });
		expect(list.bring.at(-1)).toMatchObject({ group: 'other', name: 'Head torch', rides: 'pack' });
		// One number: two pairs, of which one is to be got.
		expect(list.bring.find(({ group }) => group === 'feet')).toMatchObject({ many: 2, has: 1 });
		expect(mostCounts(stages, planned, client)).toEqual(countsOf(stages, planned, client));
	});
});

describe('batteries and drying', () => {
	it.each([
		[20, 1],
		[0, 1],
		[-10, 0.7],
		[-20, 0.5],
		[-60, 0.3]
	])('at %i °C a battery gives %f', (airTempC, share) => {
		expect(coldBatteryShare(airTempC)).toBeCloseTo(share, 9);
	});
	it('a thin synthetic dries in a heated room, wool only in a drying room, nothing in a tent', () => {
		expect(driesOvernight('synthetic', HEATED)).toBe(true);
		expect(driesOvernight('wool', HEATED)).toBe(false);
		expect(driesOvernight('wool', { ...HEATED, drying: 'everything' })).toBe(true);
		expect(driesOvernight('synthetic', TENT)).toBe(false);
	});
});
