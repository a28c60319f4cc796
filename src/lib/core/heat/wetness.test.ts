import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, type PhaseRow, PLANNED, stageOf, thingOf } from '../../../../tests/fixtures/make';
import { findingSentence } from '../../words/findings';
import { METRIC } from '../../words/units';
import { airInUse } from '../cloth/supply';
import { clothOf, wearableThings } from '../cloth/things';
import { outfitClo } from '../cloth/worn';
import { PARTS } from '../document/parts';
import { type Bed, type Client, FIBRES, type Stage } from '../document/types';
import { packOf, WATER_AND_FOOD } from '../kit/pack';
import { planDocument, planStage } from '../plan/planner';
import { wetCloth } from './wet-cloth';
import { dampComfortC, eveningDrying, morningWetness } from './wetness';

const TENT: Bed = { kind: 'tent', washing: false, drying: 'nothing' };
const HOUSE: Bed = { kind: 'heated', washing: true, drying: 'small things' };
const ROOM: Bed = { kind: 'heated', washing: true, drying: 'everything' };
const KIT = ['briefs', 'top-wool-mid', 'fleece', 'wind-shirt', 'bottoms-wool', 'trousers-trek', 'sock-mid', 'shoe-trail', 'glove-light']; // prettier-ignore
const guest = (ids = KIT): Client => kitOf(ids, { answeredParts: [...PARTS] });
const LONG_RAIN: PhaseRow[] = [['move', 180, 200, 'slope']];
const rainy = (bed: Bed, change: Partial<Stage> = {}): Stage =>
	stageOf(LONG_RAIN, { airTempC: 6, precipitation: 'rain' }, { bed, ...change });

describe('wetness at night', () => {
	it('is gone after a drying room; a tent dries two small things, a heated room the small ones', () => {
		const wet = new Map(KIT.map((id) => [id, 1]));
		const kit = wearableThings(guest());
		expect(morningWetness(wet, kit, ROOM).size).toBe(0);
		const house = morningWetness(wet, kit, HOUSE);
		const tent = morningWetness(wet, kit, TENT);
		expect(house.get('fleece')).toBe(0.5);
		expect(tent.get('fleece')).toBe(1);
		expect(KIT.filter((id) => !tent.has(id))).toHaveLength(2);
		expect(KIT.filter((id) => !house.has(id)).length).toBeGreaterThan(2);
	});
	it('makes the bag damper from night to night, down twice as fast, and a warm room half of that again', () => {
		const wet = new Map([['sock-mid', 1]]);
		const bags = (id: string) => wearableThings(guest([...KIT, id]));
		const lost = (id: string, nights: number): number => {
			let share = 0;
			for (let night = 0; night < nights; night++)
				share = morningWetness(new Map([...wet, [id, share]]), bags(id), TENT).get(id)!;
			return dampComfortC(clothOf(thingOf(id)), share) - clothOf(thingOf(id)).comfortTempC;
		};
		const [synthetic, down] = ['bag-three-season', 'bag-winter'];
		const width = (id: string) => 33 - clothOf(thingOf(id)).comfortTempC;
		for (const id of [synthetic!, down!]) {
			const each = clothOf(thingOf(id)).fibre === 'down' ? 0.1 : 0.05;
			expect(lost(id, 1)).toBeCloseTo(each * width(id), 6);
			expect(lost(id, 2)).toBeCloseTo(2 * each * width(id), 6);
			expect(lost(id, 12)).toBeCloseTo(0.3 * width(id), 6);
		}
		expect(morningWetness(new Map([[down!, 0.2]]), bags(down!), HOUSE).get(down!)).toBeCloseTo(0.1, 6);
	});
	it('dries one soaked pair of socks in a bag, not two', () => {
		const wet = new Map([['sock-mid', 1], ['sock-heavy', 1]]); // prettier-ignore
		const tent = morningWetness(wet, wearableThings(guest([...KIT, 'sock-heavy'])), TENT);
		expect([...tent.keys()]).toHaveLength(1);
	});
	it('is dealt with in the evening: small things in the bag or hung up, insoles out of what takes longer', () => {
		const wet = new Map(KIT.map((id) => [id, 1]));
		const kit = wearableThings(guest());
		const [tent, house] = [eveningDrying(wet, kit, TENT), eveningDrying(wet, kit, HOUSE)];
		expect([tent.where, house.where]).toEqual(['bag', 'room']);
		expect(tent.footwearIds).toEqual(['shoe-trail']);
		// What is said to dry is what is dry in the morning.
		for (const [drying, bed] of [
			[tent, TENT],
			[house, HOUSE]
		] as const) {
			const morning = morningWetness(wet, kit, bed);
			expect(drying.driedIds.length).toBeGreaterThan(0);
			expect(drying.driedIds.filter((id) => morning.has(id))).toEqual([]);
		}
		expect(eveningDrying(new Map([['sock-mid', 0.1]]), kit, TENT)).toMatchObject({
			driedIds: [],
			footwearIds: []
		});
	});
	it('spares whoever has a second one', () => {
		const client = guest();
		client.things = client.things.map((thing) =>
			thing.id === 'sock-mid' ? { ...thing, quantity: { ...thing.quantity, value: 2 } } : thing
		);
		const wet = new Map(KIT.map((id) => [id, 1]));
		expect(morningWetness(wet, wearableThings(client), TENT).has('sock-mid')).toBe(false);
	});
	it('never makes an outfit warmer', () => {
		const air = airInUse(4, 0.5);
		fc.assert(
			fc.property(
				fc.subarray(KIT),
				fc.double({ min: 0, max: 1, noNaN: true }),
				fc.double({ min: 0, max: 1, noNaN: true }),
				(ids, a, b) => {
					const worn = (share: number) =>
						ids.map((id) => {
							const cloth = wetCloth(clothOf(thingOf(id)), share);
							return { cloth, position: cloth.positions[0], opening: 'closed' as const };
						});
					const [less, more] = [Math.min(a, b), Math.max(a, b)];
					expect(outfitClo(worn(more), air)).toBeLessThanOrEqual(outfitClo(worn(less), air) + 1e-9);
				}
			)
		);
		for (const fibre of FIBRES)
			expect(wetCloth({ ...clothOf(thingOf('fleece')), fibre }, 1).localClo).toBeGreaterThan(0);
	});
});

describe('the next day', () => {
	const days = (bed: Bed): Stage[] => [
		rainy(bed, { id: 'one', date: '2027-03-01' }),
		stageOf(
			[
				['move', 60, 200, 'slope'],
				['stop', 30, 75, 'lee']
			],
			{ airTempC: 2 },
			{ id: 'two', date: '2027-03-02', bed }
		)
	];
	const planned = (bed: Bed) => {
		return planDocument(documentOf(days(bed)), guest());
	};
	it('begins with what is still wet, and says so', () => {
		const [, second] = planned(TENT);
		expect(second!.morning.length).toBeGreaterThan(0);
		const found = second!.findings.find(({ code }) => code === 'wet-morning')!;
		expect(found.thingIds.length).toBeGreaterThan(0);
		expect(found.values).toEqual({ feet: 'no' });
		expect(findingSentence(found, { who: 'Teo', nameOf: (id) => id, units: METRIC })).toMatch(
			/^Teo starts with wet things, since nothing dries there: .+\. They warm less today\.$/
		);
		expect(planned(ROOM)[1]!.morning).toEqual([]);
		const colder = (stage: typeof second) => stage!.phases[1]!.peakDebtWhm2;
		expect(colder(second)).toBeGreaterThan(colder(planned(ROOM)[1]!));
	});
	it('follows from what is worn on the day before', () => {
		const [, two] = days(TENT);
		const [, second] = planned(TENT);
		const wet = new Map(second!.morning.map(({ thingId, share }) => [thingId, share]));
		// A stage by itself that begins wet is judged as the second one of a trip.
		const alone = planStage(two!, PLANNED, guest(), [], null, wet);
		expect(alone.morning).toEqual(second!.morning);
		expect(alone.phases.map(({ verdict }) => verdict)).toEqual(second!.phases.map(({ verdict }) => verdict));
	});
	it('does not speak of a damp shell', () => {
		const client = guest([...KIT, 'hard-shell', 'trousers-hard-shell']);
		const [, second] = planDocument(documentOf(days(TENT)), client);
		expect(second!.findings.map(({ code }) => code)).not.toContain('wet-morning');
	});
});

describe('the pack', () => {
	const BIG = [
		...KIT,
		'hard-shell',
		'coat-down',
		'jacket-ski',
		'trousers-ski',
		'overtrousers-warm',
		'bag-winter',
		'torch'
	];
	const DAY: PhaseRow[] = [
		['move', 60, 250, 'slope'],
		['stop', 60, 70, 'ridge'],
		['sleep', 480, 45, 'tent']
	];
	it('holds what is not worn, with water and food, and is fullest where it is warmest', () => {
		const { phases } = planStage(stageOf(DAY, { airTempC: -12 }), PLANNED, guest([...BIG, 'pack-day']));
		expect(phases[0]!.pack.litres).toBeGreaterThan(phases[1]!.pack.litres);
		expect(phases[0]!.pack.bag).toMatchObject({ holdsL: 32 });
		expect(phases[0]!.pack.litres).toBeGreaterThan(WATER_AND_FOOD.litres);
	});
	it.each([
		['pack-small', true],
		['pack-large', false]
	])('a %s is too small: %s', (bag, tooSmall) => {
		const { findings } = planStage(stageOf(DAY, { airTempC: -12 }), PLANNED, guest([...BIG, bag]));
		expect(findings.some(({ code }) => code === 'pack-too-small')).toBe(tooSmall);
	});
	it('takes the group’s load first, and keeps wet apart', () => {
		const cloths = wearableThings(guest(['fleece', 'pack-day']));
		const carried = [{ thingId: 'fleece', where: 'pack' as const }];
		const loaded = packOf(carried, cloths, 10, new Map([['fleece', 0.8]]));
		const plain = packOf(carried, cloths);
		expect(loaded.litres).toBe(plain.litres + 10);
		expect(loaded.massG).toBeGreaterThan(plain.massG);
		expect([loaded.wetIds, plain.wetIds]).toEqual([['fleece'], []]);
	});
	it('knows no bag where none is', () => {
		expect(packOf([], [])).toEqual({ ...WATER_AND_FOOD, bag: null, wetIds: [] });
	});
});
