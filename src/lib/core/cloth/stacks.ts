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
	(position === 2 || position === 3) && regions.trunk + regions.thighs + regions.calves + regions.head > 0;

/** The ways in which a thing can be worn. */
export function placementsOf(cloth: Cloth, index: number): Placement[] {
	const [low, high] = cloth.positions;
	const ways: Placement[] = [];
	if (low < OVER_EVERYTHING) ways.push({ cloth, index, low, high: Math.min(high, OVER_EVERYTHING - 1) });
	if (high === OVER_EVERYTHING) ways.push({ cloth, index, low: OVER_EVERYTHING, high: OVER_EVERYTHING });
	return ways;
}

/** Whether two cloths lie over one another anywhere. */
export const overlap = (a: Cloth, b: Cloth): boolean =>
	(Object.keys(a.covers) as (keyof Cloth['covers'])[]).some(
		(part) => (a.covers[part] ?? 0) > 0 && (b.covers[part] ?? 0) > 0
	);

/** What only makes one seen: a vest of bright cloth, worn over whatever else is worn. */
export const isOverlay = ({ functions, localClo, regions }: Cloth): boolean =>
	localClo === 0 && regions.trunk > 0 && !functions.includes('warmth');

/**
 * Positions for a set of placements, or null if no order works: one layer to a position where they overlap,
 * several in the middle. Positions are filled from the skin out with the layer that must go lowest.
 */
export function stackOf(placements: readonly Placement[]): Stack | null {
	const waiting = [...placements].sort(
		(a, b) =>
			a.high - b.high ||
			a.low - b.low ||
			Number(isOverlay(a.cloth)) - Number(isOverlay(b.cloth)) ||
			a.index - b.index
	);
	const layers: Stack['layers'] = [];
	let middle = 0;
	for (let position = 0; position <= OVER_EVERYTHING; position++) {
		const taken: Cloth[] = [];
		for (let i = 0; i < waiting.length;) {
			const placement = waiting[i]!;
			const fits = placement.low <= position && placement.high >= position;
			const middleLayer = repeats(placement.cloth, position);
			const free = middleLayer
				? middle < MOST_MIDDLE_LAYERS
				: isOverlay(placement.cloth) || !taken.some((cloth) => overlap(cloth, placement.cloth));
			if (fits && free) {
				layers.push({ cloth: placement.cloth, index: placement.index, position });
				taken.push(placement.cloth);
				if (middleLayer) middle++;
				waiting.splice(i, 1);
			} else i++;
		}
	}
	return waiting.length === 0 ? { layers } : null;
}

/** Every legal stack that can be made of some things, the empty one included; null beyond `most` stacks. */
export function allStacks(cloths: readonly { cloth: Cloth; index: number }[], most: number): Stack[] | null {
	let partial: Placement[][] = [[]];
	for (const { cloth, index } of cloths) {
		const grown: Placement[][] = [];
		for (const set of partial) {
			grown.push(set);
			for (const placement of placementsOf(cloth, index)) {
				const next = [...set, placement];
				if (stackOf(next)) grown.push(next);
			}
		}
		if (grown.length > most) return null;
		partial = grown;
	}
	return partial.map((set) => stackOf(set)!).filter(isWornOverSomething);
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
