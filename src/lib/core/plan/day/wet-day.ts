import type { Cloth } from '../../cloth/things';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { WET_SKIN_FULL } from '../../heat/course';
import { DRY, wetCloth, type Wetness } from '../../heat/wet-cloth';

/**
 * Water in what is worn in a cell, as the plan that is known wears it: the search takes it as given, and is asked again. It is told
 * in quarters: less water than an eighth of a thing chooses no clothes.
 */
const QUARTERS = 4;
const inQuarters = (share: number): number => Math.round(share * QUARTERS) / QUARTERS;
/** Wetness as the search sees it. @param shares by thing id */
export function quartered(shares: Iterable<readonly [string, number]>): Wetness {
	const quarters = new Map<string, number>();
	for (const [id, share] of shares) if (inQuarters(share) > 0) quarters.set(id, inQuarters(share));
	return quarters.size === 0 ? DRY : quarters;
}

/**
 * What the cooling of a wet layer next to the skin is worth, clo off that layer (our assumption: it makes a body in two clo lose
 * about a twelfth more). The verdict works it out; the search needs it on the thing, so that a dry one in its place is better.
 */
const WET_SKIN_CLO = 0.3;
const SKIN_SLOTS: ReadonlySet<Cloth['slot']> = new Set(['base', 'leg-base']);
function searchedCloth(cloth: Cloth, share: number): Cloth {
	const wet = wetCloth(cloth, share);
	if (share === 0 || !SKIN_SLOTS.has(cloth.slot)) return wet;
	const cooling = WET_SKIN_CLO * Math.min(1, share / WET_SKIN_FULL);
	return { ...wet, localClo: Math.max(0, wet.localClo - cooling) };
}

/** Wetness of some cells in a form that can be compared; empty where all are dry. */
export const waterKey = (cells: readonly Wetness[]): string =>
	cells.every(({ size }) => size === 0) ? '' : JSON.stringify(cells.map((wetness) => [...wetness].sort()));

const wetKnown = new WeakMap<Wardrobe['stacks'], Map<string, Wardrobe>>();
/** The same stacks, made of cloth that is wet. */
export function wetWardrobe(wardrobe: Wardrobe, wetness: Wetness): Wardrobe {
	const here = wardrobe.cloths.filter(({ thingId }) => wetness.has(thingId));
	if (here.length === 0) return wardrobe;
	const key = here.map(({ thingId }) => `${thingId} ${wetness.get(thingId)}`).join();
	const known = wetKnown.get(wardrobe.stacks) ?? new Map<string, Wardrobe>();
	wetKnown.set(wardrobe.stacks, known);
	const before = known.get(key);
	if (before) return before;
	const cloths = wardrobe.cloths.map((cloth) => searchedCloth(cloth, wetness.get(cloth.thingId) ?? 0));
	const stacks = Object.fromEntries(
		Object.entries(wardrobe.stacks).map(([factor, list]) => [
			factor,
			list.map((stack) =>
				stack.layers.some(({ index }) => cloths[index] !== wardrobe.cloths[index])
					? { layers: stack.layers.map((layer) => ({ ...layer, cloth: cloths[layer.index]! })) }
					: stack
			)
		])
	) as Wardrobe['stacks'];
	const openings = new Map(
		[...wardrobe.openings].map(([stack, opening]) => {
			const at = wardrobe.stacks.trunk.indexOf(stack);
			return [at < 0 ? stack : stacks.trunk[at]!, opening] as const;
		})
	);
	const made: Wardrobe = {
		...wardrobe,
		cloths,
		stacks,
		openings,
		underwear: wardrobe.underwear.map((cloth) => cloths[wardrobe.cloths.indexOf(cloth)]!)
	};
	known.set(key, made);
	return made;
}
