import { PARTS } from '../document/parts';
import { type Slot, SLOTS } from './slots';
import type { Cloth } from './things';

/** One way to wear a thing: under the shell, or over everything. */
export interface Placement {
	cloth: Cloth;
	index: number;
	low: number;
	high: number;
}

/** A legal set of things worn in one group of regions, from the skin out. */
export interface Stack {
	layers: { cloth: Cloth; index: number; position: number }[];
}

const OVER_EVERYTHING = 5;
/** Middle positions hold several layers, at most this many (torso layers run from two to six). */
const MOST_MIDDLE_LAYERS = 3;
/** Torso and legs may wear several layers in the middle; a hand or foot has room for one. */
const repeats = ({ regions }: Cloth, position: number): boolean =>
	(position === 2 || position === 3) &&
	regions.trunk + regions.thighs + regions.calves + regions.skull + regions.face + regions.neck > 0;

/** The ways in which a thing can be worn. */
export function placementsOf(cloth: Cloth, index: number): Placement[] {
	const [low, high] = cloth.positions;
	const ways: Placement[] = [];
	if (low < OVER_EVERYTHING) ways.push({ cloth, index, low, high: Math.min(high, OVER_EVERYTHING - 1) });
	if (high === OVER_EVERYTHING) ways.push({ cloth, index, low: OVER_EVERYTHING, high: OVER_EVERYTHING });
	return ways;
}

const partsKnown = new WeakMap<Cloth, number>();
/** Parts that a cloth covers, a bit each. */
function partBits(cloth: Cloth): number {
	const known = partsKnown.get(cloth);
	if (known !== undefined) return known;
	const bits = PARTS.reduce((all, part, i) => ((cloth.covers[part] ?? 0) > 0 ? all | (1 << i) : all), 0);
	partsKnown.set(cloth, bits);
	return bits;
}
/** Whether two cloths lie over one another anywhere. */
export const overlap = (a: Cloth, b: Cloth): boolean => (partBits(a) & partBits(b)) !== 0;

/** What only makes one seen: a vest of bright cloth, worn over whatever else is worn. */
export const isOverlay = ({ functions, localClo, regions }: Cloth): boolean =>
	localClo === 0 && regions.trunk > 0 && !functions.includes('warmth');

/** The layer that must go lowest comes first. */
const lowestFirst = (a: Placement, b: Placement): number =>
	a.high - b.high ||
	a.low - b.low ||
	Number(isOverlay(a.cloth)) - Number(isOverlay(b.cloth)) ||
	a.index - b.index;

/**
 * Positions for a set of placements, or null if no order works: one layer to a position where they overlap,
 * several in the middle. Positions are filled from the skin out with the layer that must go lowest.
 */
export const stackOf = (placements: readonly Placement[]): Stack | null =>
	stackInOrder([...placements].sort(lowestFirst));

/** The same in the order given, which counts where two layers could go into the same position. */
export function stackInOrder(placements: readonly Placement[]): Stack | null {
	const layers: Stack['layers'] = [];
	const placed = new Uint8Array(placements.length);
	let middle = 0;
	for (let position = 0; position <= OVER_EVERYTHING; position++) {
		const first = layers.length;
		placements.forEach(({ cloth, index, low, high }, i) => {
			if (placed[i] === 1 || low > position || high < position) return;
			const middleLayer = repeats(cloth, position);
			if (middleLayer ? middle >= MOST_MIDDLE_LAYERS : !isOverlay(cloth) && hides(layers, first, cloth))
				return;
			layers.push({ cloth, index, position });
			placed[i] = 1;
			if (middleLayer) middle++;
		});
	}
	return layers.length === placements.length ? { layers } : null;
}

/** Whether a cloth lies over one of the layers from some place on. */
function hides(layers: Stack['layers'], first: number, cloth: Cloth): boolean {
	for (let i = first; i < layers.length; i++) if (overlap(layers[i]!.cloth, cloth)) return true;
	return false;
}

/** Slots of which an ordinary outfit may fill the second with a thing of the first: two tops next to the skin. */
const SECOND: Readonly<Partial<Record<Slot, Slot>>> = { shirt: 'base' };

/**
 * What nobody wears together (common practice): a wind layer under a rain shell with a lined jacket beneath, a hat under a
 * helmet, a neck tube over a balaclava that covers the neck, a second top next to the skin under a shirt's worth of layers.
 */
function isCrammed(set: readonly Placement[]): boolean {
	let slots = 0;
	let neckCovered = false;
	let second = 0;
	for (const { cloth, low } of set) {
		if (cloth.slot === null) continue;
		if (cloth.slot === 'light-insulation' && low === OVER_EVERYTHING) continue;
		if (cloth.slot === 'base') second++;
		if (cloth.slot === 'head-base' && (cloth.covers.neck ?? 0) >= 0.5) neckCovered = true;
		slots |= 1 << SLOTS.indexOf(cloth.slot);
	}
	const has = (...wanted: Slot[]): boolean =>
		wanted.every((slot) => (slots & (1 << SLOTS.indexOf(slot))) !== 0);
	return (
		has('wind', 'rain', 'light-insulation') ||
		has('helmet', 'hat') ||
		(neckCovered && has('neck')) ||
		(second > 1 && has('shirt'))
	);
}

/**
 * Every ordinary stack that can be made of some things of one factor, the empty one included: at most one thing to a slot,
 * in a legal order. Null beyond `most` stacks.
 * @param start what is worn already and stays on: another thing of its slot may come over it
 */
export function ordinaryStacks(
	cloths: readonly { cloth: Cloth; index: number }[],
	most: number,
	start: readonly Placement[] = []
): Stack[] | null {
	let partial: Placement[][] = [[...start]];
	for (const slot of SLOTS) {
		const own = cloths.filter(({ cloth }) => cloth.slot === slot || cloth.slot === SECOND[slot]);
		if (own.length === 0) continue;
		const grown: Placement[][] = [];
		for (const set of partial) {
			grown.push(set);
			for (const { cloth, index } of own) {
				// The second top comes over the first, each pair once.
				if (cloth.slot !== slot && !set.some((one) => one.cloth.slot === cloth.slot && one.index < index))
					continue;
				for (const placement of placementsOf(cloth, index)) {
					const next = [...set, placement].sort(lowestFirst);
					if (stackInOrder(next) && !isCrammed(next)) grown.push(next);
				}
			}
			if (grown.length > most) return null;
		}
		partial = grown;
	}
	return partial.flatMap((set) => {
		const stack = stackInOrder(set);
		return stack && isWornOverSomething(stack) ? [stack] : [];
	});
}

/** Two things of an outfit that one does not usually wear together; null when there are none. */
export function unusualPair(layers: readonly { cloth: Cloth }[]): [Cloth, Cloth] | null {
	const bySlot = new Map<Slot, Cloth>();
	for (const { cloth } of layers) {
		if (cloth.slot === null) continue;
		const before = bySlot.get(cloth.slot);
		const other = cloth.slot === 'base' && before && !bySlot.has('shirt') ? 'shirt' : cloth.slot;
		if (before && other === cloth.slot) return [before, cloth];
		bySlot.set(other, cloth);
	}
	return null;
}

/** A thing that can be worn under the shell too goes over everything only where there is a shell to go over. */
function isWornOverSomething({ layers }: Stack): boolean {
	const shell = layers.some(({ position }) => position === OVER_EVERYTHING - 1);
	return (
		shell ||
		layers.every(
			({ cloth, position }) => position < OVER_EVERYTHING || cloth.positions[0] === OVER_EVERYTHING
		)
	);
}
