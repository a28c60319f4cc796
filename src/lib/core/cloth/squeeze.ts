import type { Cloth } from './things';

/** Sizes from small to large; another word has no place among them. */
export const SIZES = ['XS', 'S', 'M', 'L', 'XL', 'XXL'] as const;
/** Steps of girth that one size more gives in room (our assumption). */
export const ROOM_PER_SIZE = 2;
/** Loft that a layer loses for every step by which what is over it is too tight (our assumption). */
export const LOSS_PER_STEP = 0.12;
/** Cloth that is squeezed flat still keeps so much (our assumption). */
export const LEAST_LOFT = 0.4;
/** In a boot socks are pressed into the room there is, and every step over it costs so much more (our assumption). */
const BOOT_LOSS_PER_STEP = 0.25;
const BOOT_LEAST = { loss: 0.2, loft: 0.05 } as const;

/** What is left of the loft under a layer that is too tight, 0…1. */
function squeezedTo(layer: Squeezable, under: readonly Squeezable[], steps: number): number {
	if ((layer.covers.feet ?? 0) < 0.5) return Math.max(LEAST_LOFT, 1 - LOSS_PER_STEP * steps);
	const girth = under.reduce((sum, { girthSteps }) => sum + girthSteps, 0);
	const room = Math.max(0, girth - steps) / girth;
	return Math.max(BOOT_LEAST.loft, room * Math.max(BOOT_LEAST.loss, 1 - BOOT_LOSS_PER_STEP * steps));
}

/** What squeezing looks at. */
export type Squeezable = Pick<
	Cloth,
	'girthSteps' | 'roomSteps' | 'size' | 'roomIsTried' | 'covers' | 'localClo'
>;

const sizeOf = (cloth: Squeezable): number => SIZES.indexOf(cloth.size.trim().toUpperCase() as 'M');

/**
 * Room under a layer, in steps of girth. Where the sizes of it and of what is under it are known, each size more adds
 * room and each size less takes it; a try-on that was recorded beats that.
 */
export function roomOver(layer: Squeezable, under: readonly Squeezable[]): number {
	const own = sizeOf(layer);
	const largest = Math.max(-1, ...under.map(sizeOf));
	if (layer.roomIsTried || own < 0 || largest < 0) return layer.roomSteps;
	return layer.roomSteps + ROOM_PER_SIZE * (own - largest);
}

/** Steps by which a layer is too tight for what is under it; 0 when there is room. */
export const tooTightBy = (layer: Squeezable, under: readonly Squeezable[]): number =>
	Math.max(0, under.reduce((sum, { girthSteps }) => sum + girthSteps, 0) - roomOver(layer, under));

/**
 * What is left of the loft of each layer, 0…1.
 * @param layers of one region, from the skin out
 */
export function loftLeft(layers: readonly Squeezable[]): number[] {
	const left = layers.map(() => 1);
	for (let outer = 1; outer < layers.length; outer++) {
		const under = layers.slice(0, outer);
		const steps = tooTightBy(layers[outer]!, under);
		if (steps === 0) continue;
		const factor = squeezedTo(layers[outer]!, under, steps);
		for (let i = 0; i < outer; i++) left[i] = Math.min(left[i]!, factor);
	}
	return left;
}
