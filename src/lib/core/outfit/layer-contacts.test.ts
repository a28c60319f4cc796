import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellOf, kitOf } from '../../../../tests/fixtures/make';
import { REGIONS } from '../cloth/parts';
import { OPENING_FACTOR, airInUse, bodyConductance, resultantClo } from '../cloth/supply';
import { covers, wearableThings } from '../cloth/things';
import { type WornLayer, totalsOf } from '../cloth/worn';
import { personOf } from '../conditions/person';
import { OPENINGS } from '../document/worn';
import { lossOf } from '../heat/debt';
import { cellAir } from '../heat/ledger';
import { wettedIn } from '../heat/water';
import { limbShareLeft } from '../heat/wet-cloth';
import { outfitTable } from '../plan/day/outfit-table';
import { bodyViews, mayOpen, opensBy } from '../plan/day/outfit-terms';
import { BODY_FACTORS, LayerContacts, conductances } from './layer-contacts';
import { legalOutfitsOf } from './legal-outfits';

const client = kitOf(['top-wool-mid', 'fleece', 'wind-shirt', 'hard-shell', 'coat-synthetic', 'poncho', 'bottoms-wool', 'trousers-soft-shell', 'waders', 'overtrousers-warm', 'hat-warm', 'neck-tube', 'mitten', 'boot-hiking', 'sock-mid']); // prettier-ignore
const wardrobe = legalOutfitsOf(wearableThings(client));
const { trunk, legs, head } = wardrobe.stacks;
const options = fc.tuple(fc.nat(trunk.length - 1), fc.nat(legs.length - 1), fc.nat(head.length - 1));
const worn = (typeId: string, position: number): WornLayer => ({
	cloth: wardrobe.cloths.find(({ thingId }) => thingId === typeId)!,
	position,
	opening: 'closed'
});
const ALWAYS = [worn('sock-mid', 2), worn('boot-hiking', 4), worn('mitten', 3)];
function outfitOf([t, l, h]: [number, number, number]): WornLayer[] {
	const layers = [trunk[t]!, legs[l]!, head[h]!].flatMap((stack) =>
		stack.layers.map(({ cloth, position }) => ({ cloth, position, opening: 'closed' as const }))
	);
	return [...ALWAYS, ...layers].sort((a, b) => a.position - b.position);
}

describe('where trunk, legs and head meet', () => {
	const contacts = new LayerContacts(wardrobe);
	it('lets through as much heat, region by region, as the outfit put together', () => {
		fc.assert(
			fc.property(
				options,
				fc.double({ min: 0.4, max: 18, noNaN: true }),
				fc.double({ min: 0, max: 1.2, noNaN: true }),
				fc.constantFrom(...OPENINGS),
				(chosen, windMs, walkMs, opening) => {
					const air = airInUse(windMs, walkMs);
					const sum = REGIONS.reduce((total, region) => {
						const contact = contacts.of(region, ALWAYS);
						const [, legsWays, headWays] = contact.ways;
						const [t, l, h] = contact.wayOf.map((wayOf, f) => wayOf[chosen[f]!]!) as [number, number, number];
						const factor = region === 'trunk' ? OPENING_FACTOR[opening] : 1;
						return total + conductances(contact, air, factor)[(t * legsWays + l) * headWays + h]!;
					}, 0);
					const whole = bodyConductance(totalsOf(outfitOf(chosen), air, OPENING_FACTOR[opening]));
					expect(sum).toBeCloseTo(whole, 9);
				}
			),
			{ numRuns: 200 }
		);
	});
	it('is worked out once for the same gloves and boots, and anew for others', () => {
		expect(contacts.of('feet', ALWAYS)).toBe(contacts.of('feet', [...ALWAYS]));
		expect(contacts.of('feet', ALWAYS)).not.toBe(contacts.of('feet', []));
		expect(contacts.of('trunk', ALWAYS)).toBe(contacts.of('trunk', []));
	});
});

describe('the table of a cell', () => {
	const person = personOf(client);
	it.each([
		['at work, dry', cellOf(['move', 60, 280, 'slope'], { airTempC: -6 })],
		['at a stop in the wind', cellOf(['stop', 20, 75, 'ridge'], { airTempC: -9, wind10mKmh: 40 })],
		['in the rain', cellOf(['move', 60, 200, 'slope'], { airTempC: 4, precipitation: 'rain' })]
	])('has the losses of each outfit as it is judged elsewhere: %s', (_, cell) => {
		const air = cellAir(cell);
		const fronts = mayOpen(cell) ? 3 : 1;
		const table = outfitTable(
			cell,
			air,
			wardrobe,
			bodyViews(wardrobe),
			ALWAYS,
			false,
			person,
			fronts,
			new Map()
		);
		fc.assert(
			fc.property(options, (chosen) => {
				const [t, l, h] = chosen;
				const choice = ((t * legs.length + l) * head.length + h) * fronts;
				const totals = totalsOf(outfitOf(chosen), air.air);
				const feet = ALWAYS.filter(({ cloth }) => covers(cloth, 'feet'));
				// What the rain of the cell itself does to the feet.
				const left = limbShareLeft(feet, wettedIn(cell, feet, new Map()));
				const wet = { ...totals, feet: totals.feet * left };
				const clo = resultantClo(bodyConductance(wet), air.air);
				const loss = lossOf(air.balance, clo, person.offsetClo);
				expect(table.lossOf(choice).neutralWm2).toBeCloseTo(loss.neutralWm2, 6);
				expect(table.lossOf(choice).minimalWm2).toBeCloseTo(loss.minimalWm2, 6);
				expect(table.penalty[choice]).toBeGreaterThanOrEqual(0);
				for (let front = 1; front < fronts; front++) {
					// What does not open, or is not too warm as it is, has no other front.
					const isOpen = table.penalty[choice + front]! < Infinity;
					if (front > opensBy(trunk[t]!)) expect(isOpen).toBe(false);
					if (isOpen) {
						expect(table.overheat[choice + front - 1]).toBeGreaterThanOrEqual(
							table.overheat[choice + front]!
						);
						expect(table.conductance[choice + front]).toBeGreaterThan(table.conductance[choice]!);
					}
				}
			}),
			{ numRuns: 80 }
		);
	});
	it('is about trunk, legs and head', () => {
		expect(BODY_FACTORS).toEqual(['trunk', 'legs', 'head']);
	});
});
