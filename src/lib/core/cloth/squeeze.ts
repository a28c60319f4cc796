import type { Cloth } from './things';

/** Sizes from small to large; another word has no place among them. */
export const SIZES = ['XS', 'S', 'M', 'L', 'XL', 'XXL'] as const;
/** Steps of girth that one size more gives in room (our assumption). */
export const ROOM_PER_SIZE = 2;
/** Loft that a layer loses for every step by which what is over it is too tight (our assumption). */
export const LOSS_PER_STEP = { body: 0.12, feet: 0.35 } as const;
/** Cloth that is squeezed flat still keeps so much (our assumption). */
export const LEAST_LOFT = 0.4;

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
		const loss = (layers[outer]!.covers.feet ?? 0) >= 0.5 ? LOSS_PER_STEP.feet : LOSS_PER_STEP.body;
		const factor = Math.max(LEAST_LOFT, 1 - loss * steps);
		for (let i = 0; i < outer; i++) left[i] = Math.min(left[i]!, factor);
	}
	return left;
}
