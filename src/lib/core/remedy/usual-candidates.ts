import { catalogueType } from '../cloth/catalogue';
import { isMadeFor, isRefused, isThere, thingOfType } from '../cloth/things';
import { cellsOf } from '../conditions/cells';
import type { Client, Document, Doing, Thing, Trip } from '../document/types';
import type { Candidate, CandidateSource } from './candidate';
import { type HousePrices, pricedTypes, type PriceLevel, priceOf } from './prices';

/** Days until a thing that is bought is there (our assumption). */
const BUYING_DAYS = 3;
/** What it costs to have a face proofed again, in the currency of the house, and how long that takes (our assumption). */
const PROOFING = { cost: 15, days: 2 } as const;

const thingOf = (id: string, typeId: string, name: string): Thing =>
	thingOfType(id, typeId, name, { value: 1, source: 'guess', state: 'assumed' });

/** A thing whose face has worn out, as it is once somebody has proofed it again; it stands beside the old one until then. */
const proofedAgain = (thing: Thing): Thing => ({
	...thing,
	id: `mended-${thing.id}`,
	facts: { ...thing.facts, face: { value: 'fresh', source: 'guess', state: 'assumed' } }
});
/** Whether a thing was tried on over the layers and is too tight for them: another size of its type would do better. */
const isTooTight = ({ typeId, facts: { roomSteps } }: Thing): boolean =>
	roomSteps?.source === 'measured' &&
	roomSteps.value !== null &&
	roomSteps.value < catalogueType(typeId).properties.roomSteps;

/** What is done on a trip, in its first weather. */
export const doingsOn = (trip: Trip): Set<Doing> =>
	new Set(
		trip.weathers
			.slice(0, 1)
			.flatMap((weather) =>
				trip.stages.flatMap((stage) => cellsOf(stage, weather, trip.site).map(({ doing }) => doing))
			)
	);

/**
 * What one would think of for a client first: what they may own and were not asked about, what they have and can have proofed
 * again, what the operator provides, and what can be bought for what is done on the trip. Types that the client has are left
 * out, where what they have goes over their layers.
 * @param nameOf a type in words
 * @param asked types that are not to be got, and what the house knows of prices
 */
export function usualCandidates(
	{ trip }: Document,
	client: Client,
	level: PriceLevel,
	nameOf: (typeId: string) => string,
	{ declined = new Set(), prices = {} }: { declined?: ReadonlySet<string>; prices?: HousePrices } = {}
): Candidate[] {
	const there = client.things.filter(isThere);
	const has = new Set(there.filter((thing) => !isTooTight(thing)).map(({ typeId }) => typeId));
	const doings = doingsOn(trip);
	const list: Candidate[] = [];
	const add = (thing: Thing, from: CandidateSource, cost: number, days: number): void => {
		list.push({ thing, from, cost, days });
		has.add(thing.typeId);
	};
	for (const thing of client.things)
		if (thing.deletedAt === null && thing.quantity.state === 'not asked' && !has.has(thing.typeId))
			add(thing, 'own', 0, 0);
	for (const thing of there)
		if (thing.facts.face?.value === 'worn out')
			list.push({ thing: proofedAgain(thing), from: 'mend', ...PROOFING });
	for (const { id, typeId, name } of trip.stages.flatMap(({ provided }) => provided))
		if (typeId !== null && !has.has(typeId)) add(thingOf(`provided-${id}`, typeId, name), 'provided', 0, 0);
	for (const typeId of pricedTypes(prices)) {
		const { uses, properties } = catalogueType(typeId);
		if (has.has(typeId) || declined.has(typeId) || isRefused(properties, client)) continue;
		if (!isMadeFor(uses, doings)) continue;
		add(
			thingOf(`buy-${typeId}`, typeId, nameOf(typeId)),
			'buy',
			priceOf(typeId, level, prices)!,
			BUYING_DAYS
		);
	}
	return list;
}
