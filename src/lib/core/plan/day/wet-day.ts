import type { Outfit } from '../../cloth/worn';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { skinWet } from '../../heat/course';
import { wetCloth, type Wetness } from '../../heat/wet-cloth';

/** Water in what is worn in a cell, as the plan that is known wears it: the search takes it as given, and is asked again. */
export interface CellWater {
	/** by thing id, in quarters: less water than an eighth of a thing chooses no clothes */
	wetness: Wetness;
	/** how wet the skin is kept by what is on it, 0…1 */
	skin: number;
}
export const DRY_CELL: CellWater = { wetness: new Map(), skin: 0 };

const QUARTERS = 4;
const inQuarters = (share: number): number => Math.round(share * QUARTERS) / QUARTERS;
const SKIN_STEPS = 50;

/** Wetness as the search sees it. */
export function quarteredWetness(wetness: Wetness): Map<string, number> {
	const quarters = new Map<string, number>();
	for (const [id, share] of wetness) if (inQuarters(share) > 0) quarters.set(id, inQuarters(share));
	return quarters;
}

/** What a judged phase tells the search of the water in it. */
export function cellWaterOf(outfit: Outfit, wetness: Wetness): CellWater {
	const quarters = quarteredWetness(wetness);
	if (quarters.size === 0) return DRY_CELL;
	return { wetness: quarters, skin: Math.round(skinWet(outfit, quarters) * SKIN_STEPS) / SKIN_STEPS };
}

/** Cells' water in a form that can be compared; empty where all is dry. */
export const waterKey = (cells: readonly CellWater[]): string =>
	cells.every(({ wetness }) => wetness.size === 0)
		? ''
		: JSON.stringify(cells.map(({ wetness, skin }) => [[...wetness].sort(), skin]));

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
	const cloths = wardrobe.cloths.map((cloth) => wetCloth(cloth, wetness.get(cloth.thingId) ?? 0));
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
