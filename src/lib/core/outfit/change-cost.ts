import type { Factor } from '../cloth/factors';
import { overlap, type Stack } from '../cloth/stacks';
import type { Cell } from '../conditions/cells';
import { COVER_FELT_C } from '../conditions/needs';
import { WETTING_SHARE } from '../weather/precipitation';

/** What a change costs, in hundredths (our assumption). In a heated place it is as good as free. */
export const CHANGE_COST = { vent: 20, outermost: 100, underShell: 300, bootsOff: 800, heated: 1 } as const;
/** In rain, in the dark and with numb hands a change costs double (our assumption for the last two). */
const HARD_DOUBLES = 2;
/** Boots off on the way cost so many times as much for whom they come off with trouble (our assumption). */
const BOOTS_ARE_HARD = 5;
/** Felt temperature from which hands are numb at it, °C (our assumption). */
const NUMB_FELT_C = -20;

/** What going from one stack to another takes, before the place is known. */
export interface Change {
	toggles: number;
	cost: number;
	bootsOff: boolean;
	/** skin of torso or legs is bared on the way */
	baresSkin: boolean;
	turnsOn: boolean;
	legs: boolean;
}

const OVER_EVERYTHING = 5;
type Layer = Stack['layers'][number];
const same = (a: Layer, b: Layer): boolean =>
	a.index === b.index && (a.position === OVER_EVERYTHING) === (b.position === OVER_EVERYTHING);

/**
 * The change from one stack to another. A layer is under the shell when something over it stays on, so that this has
 * to come off and back on; legwear that does not go over boots, and all footwear, needs the boots off.
 */
export function changeBetween(factor: Factor, from: Stack, to: Stack): Change {
	const off = from.layers.filter((layer) => !to.layers.some((other) => same(layer, other)));
	const on = to.layers.filter((layer) => !from.layers.some((other) => same(layer, other)));
	const stays = to.layers.filter((layer) => from.layers.some((other) => same(layer, other)));
	let cost = 0;
	let bootsOff = false;
	let baresSkin = false;
	for (const layer of [...off, ...on]) {
		if ((factor === 'trunk' || factor === 'legs') && layer.position <= 1) baresSkin = true;
		if (factor === 'feet' || (factor === 'legs' && !layer.cloth.overBoots)) {
			cost += CHANGE_COST.bootsOff;
			bootsOff = true;
			continue;
		}
		const under = stays.some((other) => other.position > layer.position && overlap(other.cloth, layer.cloth));
		cost += under ? CHANGE_COST.underShell : CHANGE_COST.outermost;
	}
	return {
		toggles: off.length + on.length,
		cost,
		bootsOff,
		baresSkin,
		turnsOn: on.length > 0,
		legs: factor === 'legs'
	};
}

/** Cost of opening or closing a front, in hundredths. */
export function ventCost(place: ChangePlace): number {
	if (place.heated) return CHANGE_COST.heated;
	return CHANGE_COST.vent * (place.hard ? HARD_DOUBLES : 1);
}

const warmestFeltC = (before: Cell, after: Cell): number => Math.max(before.feltTempC, after.feltTempC);
const isHard = (before: Cell, after: Cell): boolean =>
	WETTING_SHARE[after.precipitation] >= 0.5 ||
	after.light === 'dark' ||
	warmestFeltC(before, after) <= NUMB_FELT_C;

/** What the place of a change means for any change there. */
export interface ChangePlace {
	heated: boolean;
	hard: boolean;
	/** too cold to bare skin */
	cold: boolean;
	bootsStayOn: boolean;
	/** for this person they come off with trouble */
	bootsAreHard: boolean;
	legsStay: boolean;
	packAway: boolean;
}
/**
 * The place of a change.
 * @param bootsStayOn whether the person cannot well take the boots off on the way
 */
export function changePlace(before: Cell, after: Cell, bootsStayOn = false): ChangePlace {
	const both = (mark: Cell['marks'][number]): boolean =>
		before.marks.includes(mark) && after.marks.includes(mark);
	return {
		heated: before.heated || after.heated || after.fresh,
		hard: isHard(before, after),
		cold: warmestFeltC(before, after) <= COVER_FELT_C,
		bootsStayOn: both('boots-on'),
		bootsAreHard: bootsStayOn,
		legsStay: both('harness') || both('roped'),
		packAway: after.marks.includes('pack-away')
	};
}

/** What each layer put on or taken off costs at least in some place, hundredths. */
export const leastChangeCost = ({ heated, hard }: ChangePlace): number =>
	heated ? CHANGE_COST.heated : CHANGE_COST.outermost * (hard ? HARD_DOUBLES : 1);

/** Cost of a change in some place, in hundredths; Infinity where it cannot be done. */
export function changeCost(change: Change, place: ChangePlace): number {
	if (change.toggles === 0) return 0;
	if (place.heated) return CHANGE_COST.heated * change.toggles;
	if ((change.bootsOff || change.baresSkin) && place.cold) return Infinity;
	if (change.bootsOff && place.bootsStayOn) return Infinity;
	if (change.legs && place.legsStay) return Infinity;
	// Other footwear may have to be put on; trousers that need the boots off can be on from the start.
	if (change.legs && change.bootsOff && place.bootsAreHard) return Infinity;
	if (change.turnsOn && place.packAway) return Infinity;
	const boots = change.bootsOff && place.bootsAreHard ? BOOTS_ARE_HARD : 1;
	return change.cost * boots * (place.hard ? HARD_DOUBLES : 1);
}
