import type { Outfit } from '../../cloth/worn';
import { BODY_FACTORS } from '../../outfit/layer-contacts';
import type { Wardrobe } from '../../outfit/legal-outfits';
import type { Open } from '../../search/problem';
import { type Best, SequenceSolver } from '../../search/solver';
import { bodySequence } from './day-problem';
import type { Day } from './limb-judges';
import { kitOfDay, type OpenStacks, wardrobeWithin } from './whole-kit';

/** Slack over the sum of the cheapest outfits with which the whole kit is searched, one after the other, hundredths. */
const SLACKS = [300, 1000, 2500, 6000, 12_000] as const;
/** Outfits with their fronts, over all cells, for which tables are made. */
const MOST_IN_TABLES = 2_400_000;

/** What was found out about a day by searching the whole kit. */
export interface WholeDay<D extends Day> {
	/** the day with the outfits that were searched */
	day: D;
	solver: SequenceSolver;
	best: Best;
	open: Open;
	/** no outfit of the kit costs less, hundredths */
	atLeast: number;
}

/** A day with only those stacks of its wardrobe that are used, a 1 for each by factor. */
function withOnly<D extends Day>(day: D, used: readonly Uint8Array[]): D {
	const stacks = { ...day.wardrobe.stacks };
	BODY_FACTORS.forEach((factor, f) => {
		stacks[factor] = stacks[factor].filter((_, option) => used[f]![option] === 1);
	});
	return { ...day, wardrobe: { ...day.wardrobe, stacks } };
}

/**
 * Searches the whole kit for a course that costs less than one that is known.
 * @param others what hands, feet and eyes wear, by cell
 * @param isOpenIn which stacks may be worn where
 * @param known cost of the course that is known, hundredths
 * @param spare what a day may cost more for a lighter set, hundredths
 */
export function* wholeDay<D extends Day>(
	day: D,
	whole: Wardrobe,
	others: readonly Outfit[],
	isOpenIn: (wardrobe: Wardrobe) => OpenStacks,
	known: number,
	spare: number,
	openOf: (day: D, solver: SequenceSolver) => Open
): Generator<void, WholeDay<D> | { atLeast: number; best: null }, void> {
	const kit = yield* kitOfDay(day, whole, others, isOpenIn, known);
	let atLeast = Math.min(known, kit.least);
	for (const slack of SLACKS) {
		yield;
		if (atLeast >= known - 1e-6) break;
		const limit = Math.min(kit.least + slack, known);
		const wardrobe = wardrobeWithin(kit, limit, MOST_IN_TABLES / kit.fronts / day.cells.length);
		if (wardrobe === 'too many') break;
		if (wardrobe === 'none') {
			atLeast = Math.max(atLeast, limit);
			continue;
		}
		const rough = { ...day, wardrobe };
		const roughly = new SequenceSolver(bodySequence(rough, others, new Map(), 'least'));
		// Changes counted as the least that they can cost leave out most of it; what is left is searched as it is.
		const left = roughly.optionsUpTo(limit + spare, openOf(rough, roughly));
		atLeast = Math.max(atLeast, Math.min(left.atLeast, limit));
		if (left.used === null || left.used.some((own) => !own.includes(1))) {
			if (left.atLeast < limit - 1e-6) break;
			continue;
		}
		yield;
		const own = withOnly(rough, left.used);
		const solver = new SequenceSolver(bodySequence(own, others));
		const open = openOf(own, solver);
		const found = solver.upTo(limit, open);
		atLeast = Math.max(atLeast, Math.min(found.atLeast, limit));
		if (found.best) return { day: own, solver, best: found.best, open, atLeast };
		if (found.atLeast < limit - 1e-6) break;
	}
	return { atLeast, best: null };
}
