import type { Cloth } from '../../cloth/things';
import type { Outfit } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import type { Person } from '../../conditions/person';
import type { Standing } from '../../judge/verdicts';
import { POCKET_L } from '../../kit/pack';
import { outfitsOver } from '../../outfit/legal-outfits';
import { dressDay } from './dress-day';

/** What is put on in an emergency: it starts from what is worn, and nothing comes off. */

/** What is not at hand, by what the phase says of it. */
function isAway(cloth: Cloth, { marks }: Cell, worn: ReadonlySet<string>): boolean {
	const isWorn = worn.has(cloth.thingId);
	if (marks.includes('pack-away') && !isWorn && cloth.packedL > POCKET_L) return true;
	if (marks.includes('coat-away') && cloth.slot === 'coat') return true;
	// One of a pair is as good as none; a second pair takes its place.
	return marks.includes('glove-lost') && isWorn && cloth.slot === 'glove' && cloth.quantity < 2;
}

/**
 * The outfit of a what-if, from where one stands.
 * @param taken all that has been taken, what is worn included
 * @param standing what is worn just before, and how cold it has left one; null at the start of a day
 */
export function emergencyOutfit(
	cell: Cell,
	taken: readonly Cloth[],
	person: Person,
	standing: Standing | null
): { outfit: Outfit; opening: number } {
	const worn = new Set(standing?.outfit.map(({ cloth }) => cloth.thingId));
	const reach = taken.filter((cloth) => !isAway(cloth, cell, worn));
	const atHand = new Set(reach.map(({ thingId }) => thingId));
	const kept = (standing?.outfit ?? []).filter(({ cloth }) => atHand.has(cloth.thingId));
	const wardrobe = outfitsOver(reach, kept);
	const plan = dressDay([{ ...cell, fresh: false, kind: 'stop' }], wardrobe, person, standing);
	return { outfit: plan.outfits[0]!, opening: 1 };
}
