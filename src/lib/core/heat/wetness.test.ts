import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kitOf, thingOf } from '../../../../tests/fixtures/make';
import { airInUse } from '../cloth/supply';
import { clothOf, wearableThings } from '../cloth/things';
import { outfitClo } from '../cloth/worn';
import { PARTS } from '../document/parts';
import { type Bed, type Client, FIBRES } from '../document/types';
import { wetCloth } from './wet-cloth';
import { dampComfortC, eveningDrying, morningWetness } from './wetness';

const TENT: Bed = { kind: 'tent', washing: false, drying: 'nothing' };
const HOUSE: Bed = { kind: 'heated', washing: true, drying: 'small things' };
const ROOM: Bed = { kind: 'heated', washing: true, drying: 'everything' };
const KIT = ['briefs', 'top-wool-mid', 'fleece', 'wind-shirt', 'bottoms-wool', 'trousers-trek', 'sock-mid', 'shoe-trail', 'glove-light']; // prettier-ignore
const guest = (ids = KIT): Client => kitOf(ids, { answeredParts: [...PARTS] });

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
