import { type Part } from '../document/parts';
import type {
	BagNumber,
	BatteryCharge,
	Client,
	Doing,
	Fact,
	FactState,
	Fibre,
	HouseUses,
	Properties,
	PropertyName,
	Thing
} from '../document/types';
import type { ClientFactValue } from '../document/client-facts';
import { catalogueType } from './catalogue';
import { type Region, regionCoverage } from './parts';
import type { Slot } from './slots';

/** A thing with every property settled: facts first, the catalogue where no fact says. */
export interface Cloth extends Properties {
	thingId: string;
	typeId: string;
	name: string;
	quantity: number;
	state: FactState;
	slot: Slot | null;
	/** what it is made for; null where it serves whatever one does */
	uses: readonly Doing[] | null;
	regions: Record<Region, number>;
	/** whether the room under it was found by trying it on */
	roomIsTried: boolean;
}

/** A thing of a catalogue type of which nothing is stated but how many there are. @throws RangeError when there is no such type */
export const thingOfType = (id: string, typeId: string, name: string, quantity: Fact<number>): Thing => ({
	id,
	typeId,
	name,
	quantity,
	inPairs: catalogueType(typeId).inPairs,
	facts: {},
	version: 1,
	deletedAt: null
});

/** A fact that nobody has stated yet: the catalogue's value, assumed. */
export const assumedFact = <T>(value: T): Fact<T> => ({ value, source: 'catalogue', state: 'assumed' });

/** The fact about one property of a thing, or the catalogue's value as an assumption. */
export function factOf<K extends PropertyName>(thing: Thing, name: K): Fact<Properties[K]> {
	const fact = thing.facts[name] as Fact<Properties[K]> | undefined;
	return fact && fact.value !== null ? fact : assumedFact(catalogueType(thing.typeId).properties[name]);
}

/** A limit of EN ISO 23537 lies so much below the comfort temperature of the same bag, K (our assumption: 5 to 6 in practice). */
export const COMFORT_ABOVE_LIMIT_K = 5.5;

/**
 * What the number on a sleeping bag says of its comfort temperature.
 * @returns a scale of `unclear` where nobody knows what the number means
 */
export function bagComfort({ value, unit, kind }: BagNumber): Partial<Properties> {
	if (unit === 'unclear' || kind === 'unclear') return { bagScale: 'unclear' };
	const numberC = unit === '°F' ? ((value - 32) * 5) / 9 : value;
	return { bagScale: 'comfort', comfortTempC: numberC + (kind === 'limit' ? COMFORT_ABOVE_LIMIT_K : 0) };
}

/** Voltage of the cells to which the mAh of a battery belong, V (common practice: lithium cells). */
const CELL_V = 3.7;
/** What a battery holds when warm, Wh. */
export const chargeWh = ({ value, unit }: BatteryCharge): number =>
	unit === 'Wh' ? value : (value / 1000) * CELL_V;

/**
 * A thing as the computation sees it.
 * @param houseUses what the house uses types for, where it differs from the catalogue
 * @throws RangeError when its type is not in the catalogue
 */
export function clothOf(thing: Thing, houseUses: HouseUses = {}): Cloth {
	const { properties: usual, slot, uses } = catalogueType(thing.typeId);
	const properties = { ...usual };
	for (const [name, fact] of Object.entries(thing.facts)) {
		if (fact && fact.value !== null) Object.assign(properties, { [name]: fact.value });
	}
	if (properties.bagNumber) Object.assign(properties, bagComfort(properties.bagNumber));
	if (properties.batteryCharge) properties.energyWh = chargeWh(properties.batteryCharge);
	return {
		...properties,
		thingId: thing.id,
		typeId: thing.typeId,
		name: thing.name,
		quantity: thing.quantity.value ?? 0,
		state: thing.quantity.state,
		slot,
		uses: houseUses[thing.typeId] ?? uses,
		regions: regionCoverage(properties.covers),
		roomIsTried: thing.facts.roomSteps?.source === 'measured'
	};
}

/** Whether the client has a thing by then. @param date ISO date */
export const isAvailableOn = ({ availableFrom }: Pick<Properties, 'availableFrom'>, date: string): boolean =>
	availableFrom === '' || availableFrom <= date;

/** Whether a client has a thing, or is taken to have it: at least one of them, not deleted. */
export const isThere = ({ deletedAt, quantity: { state, value } }: Thing): boolean =>
	deletedAt === null && (state === 'has' || state === 'assumed') && (value ?? 0) >= 1;

/** Things that can be worn: all that are there. */
export const wearableThings = (client: Client): Cloth[] =>
	client.things
		.filter(isThere)
		.map((thing) => clothOf(thing, client.uses))
		.filter((cloth) => !isRefused(cloth, client));

/** Fibres behind the word that a client uses for what they do not wear. */
const REFUSED: Readonly<Record<ClientFactValue<'willNotWear'>[number], readonly Fibre[]>> = {
	wool: ['wool'],
	down: ['down'],
	synthetic: ['synthetic', 'synthetic-fill'],
	cotton: ['cotton', 'waxed-cotton']
};
/** Whether a client does not wear a thing for what it is made of, anywhere or at the neck. */
export const isRefused = (cloth: Properties, { willNotWear, itchyCollar }: Client): boolean =>
	(willNotWear.value?.some((word) => REFUSED[word].includes(cloth.fibre)) ?? false) ||
	(itchyCollar.value === true && cloth.fibre === 'wool' && covers(cloth, 'neck'));

/** Whether a thing is made for something that is done; what no use is said of serves whatever one does. */
export const isMadeFor = (uses: readonly Doing[] | null, doings: ReadonlySet<Doing>): boolean =>
	uses === null || uses.some((doing) => doings.has(doing));

/** Comfort temperature of what is no sleeping bag, °C. */
const NO_BAG_C = 20;
export const isBag = ({ comfortTempC }: Pick<Properties, 'comfortTempC'>): boolean => comfortTempC < NO_BAG_C;

/** Whether a cloth covers a part well enough to count, at least half. */
export const covers = (cloth: Properties, part: Part): boolean => (cloth.covers[part] ?? 0) >= 0.5;
