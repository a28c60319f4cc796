import { wearableThings } from '../cloth/things';
import { type Cell, cellsOf, foulStage } from '../conditions/cells';
import { awakeCells } from '../conditions/needs';
import { type Person, personOf } from '../conditions/person';
import type { Client, Stage, Trip, Weather } from '../document/types';
import type { FixedOutfit, WornThing } from '../document/worn';
import { DRY, type Wetness } from '../heat/wet-cloth';
import { type Wearer, wearerOf } from '../judge/wearer';
import { coreOf } from '../outfit/core-outfits';
import { askedBy, legalOutfitsOf, type Wardrobe, withGiven } from '../outfit/legal-outfits';
import { cellKey } from './day/day-problem';
import { type Day, dayOf } from './day/limb-judges';
import { quartered, waterKey } from './day/wet-day';

/**
 * A trip as days to be dressed for: every stage in every weather, and once more as it goes when the weather is foul.
 * What is worn may differ from day to day; what is taken is one set for all of them.
 */

/** One stage in one weather. */
export interface TripDay extends Day {
	index: number;
	/** days that are alike have the same key */
	key: string;
	weather: Weather;
	/** as it is lived: the foul-weather variant where `foul` */
	stage: Stage;
	foul: boolean;
	/** every stack of the kit, where the search of the day starts from a core of it; null where that is all there is */
	whole: (() => Wardrobe) | null;
	/** all cells, with nights and what-ifs */
	all: readonly Cell[];
	morning: Wetness;
	/** what is given to be worn in a what-if, by cell */
	givenWhatIfs: ReadonlyMap<Cell, readonly WornThing[]>;
}

export interface TripDays extends Wearer {
	trip: Trip;
	person: Person;
	wardrobe: Wardrobe;
	days: readonly TripDay[];
}

/** Water in what is worn on a day: what is still wet in the morning, and what is known of its cells. */
export interface DayWater {
	morning: Wetness;
	/** by cell that is lived awake; null where nothing is known yet but the morning */
	cells: readonly Wetness[] | null;
}
/** By day index; days that are dry are left out. */
export type Waters = ReadonlyMap<number, DayWater>;

/** Outfits of trunk, legs and head that are searched whole on every day of a trip. */
const MOST_OUTFITS = 2500;

/** A stage as it is planned, and as it goes when the weather is foul, where that is known. */
const variantsOf = (stage: Stage): Stage[] => {
	const foul = foulStage(stage);
	return foul ? [stage, foul] : [stage];
};

/** Cells of a variant of a stage in one weather, worked out once. */
function cellsIn(trip: Trip, weather: Weather, stage: Stage, isFoul: boolean, known: KnownCells): Cell[] {
	const place = `${weather.id} ${stage.id} ${isFoul}`;
	const cells = known.get(place) ?? cellsOf(stage, weather, trip.site);
	known.set(place, cells);
	return cells;
}

/** Cells of all stages of a trip in all its weathers, foul weather too. */
const cellsOfTrip = (trip: Trip, known: KnownCells): Cell[] =>
	trip.weathers.flatMap((weather) =>
		trip.stages.flatMap((planned) =>
			variantsOf(planned).flatMap((stage) => cellsIn(trip, weather, stage, stage !== planned, known))
		)
	);

/** The wardrobe that a search begins with, and the whole kit behind it; null where there is nothing behind. */
export interface Wardrobes {
	first: Wardrobe;
	whole: Wardrobe | null;
}

/**
 * The wardrobe of a client for a whole trip, without what stays at home in any case: its core, where it is large, with the
 * whole kit behind it.
 * @param left things that stay at home, by id
 * @param keep things that stay in the search, by id
 * @param trip what nothing of it asks for is left out; null leaves nothing out, and makes no core
 */
export function wardrobesOf(
	client: Client,
	left: ReadonlySet<string> = new Set(),
	keep: ReadonlySet<string> = new Set(),
	trip: Trip | null = null,
	known: KnownCells = new Map()
): Wardrobes {
	const cloths = wearableThings(client).filter(({ thingId }) => !left.has(thingId));
	if (!trip) return { first: legalOutfitsOf(cloths, keep, MOST_OUTFITS), whole: null };
	const cells = cellsOfTrip(trip, known);
	const whole = legalOutfitsOf(cloths, keep, Infinity, askedBy(cells));
	const { trunk, legs, head } = whole.stacks;
	if (trunk.length * legs.length * head.length <= MOST_OUTFITS) return { first: whole, whole: null };
	// A hoard that had to be thinned to be listed at all is searched by its core only, and the plan says so.
	return { first: coreOf(whole, cells, personOf(client).schools, keep), whole: whole.cut ? null : whole };
}

/** Ids of the things that any stack of a wardrobe uses. */
export const searchedIds = ({ stacks }: Wardrobe): Set<string> =>
	new Set(
		Object.values(stacks).flatMap((list) =>
			list.flatMap(({ layers }) => layers.map(({ cloth }) => cloth.thingId))
		)
	);

/** Stages of a trip in time order. */
export const inTimeOrder = (stages: readonly Stage[]): Stage[] =>
	[...stages].sort((a, b) => a.date.localeCompare(b.date));

/** Cells of days that were worked out before, for one trip. */
export type KnownCells = Map<string, Cell[]>;

const isGivenFor = (given: FixedOutfit, cell: Cell, weather: Weather): boolean =>
	given.stageId === cell.stageId &&
	given.phaseId === cell.phaseId &&
	(given.weather === undefined || given.weather === weather.id) &&
	(given.round === undefined || given.round === cell.round);

/** What the days of a trip are made with, beside the trip and the kit. */
export interface DayInputs {
	waters?: Waters;
	/** cells that another call has worked out for the same trip */
	known?: KnownCells;
	/** outfits that are given, for some phases or all of them */
	given?: readonly FixedOutfit[];
	/** the whole kit behind the wardrobe, where that is a core of it */
	whole?: Wardrobe | null;
}

/**
 * The days of a trip for one client, weather by weather, in time order.
 * @throws RangeError when a given outfit names a thing that is not in the kit
 */
export function tripDays(
	trip: Trip,
	client: Client,
	wardrobe: Wardrobe,
	{ waters = new Map(), known = new Map(), given = [], whole = null }: DayInputs = {}
): TripDays {
	const person = personOf(client);
	const days: TripDay[] = [];
	for (const weather of trip.weathers) {
		for (const planned of inTimeOrder(trip.stages)) {
			for (const stage of variantsOf(planned)) {
				const index = days.length;
				const isFoul = stage !== planned;
				const all = cellsIn(trip, weather, stage, isFoul, known);
				const awake = awakeCells(all);
				const water = waters.get(index);
				const morning = water?.morning ?? DRY;
				const wet = water?.cells ?? awake.map(() => quartered(morning));
				const wornIn = (cell: Cell): readonly WornThing[] | null =>
					given.find((one) => isGivenFor(one, cell, weather))?.worn ?? null;
				const givenHere = given.length === 0 ? awake.map(() => null) : awake.map(wornIn);
				days.push({
					...dayOf(awake, withGiven(wardrobe, givenHere), person, null, wet),
					index,
					whole: whole && given.length === 0 ? () => whole : null,
					key: JSON.stringify([awake.map(cellKey), waterKey(wet), ...(given.length > 0 ? [givenHere] : [])]),
					givenWhatIfs: new Map(
						all
							.filter(({ kind }) => kind === 'what-if')
							.flatMap((cell) => {
								const worn = wornIn(cell);
								return worn ? [[cell, worn] as const] : [];
							})
					),
					weather,
					stage,
					foul: isFoul,
					all,
					morning
				});
			}
		}
	}
	return { trip, ...wearerOf(client), person, wardrobe, days };
}
