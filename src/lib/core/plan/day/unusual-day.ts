import { factorOf } from '../../cloth/factors';
import type { Slot } from '../../cloth/slots';
import { placementsOf, type Stack, stackInOrder, unusualPair } from '../../cloth/stacks';
import type { Cloth } from '../../cloth/things';
import type { Outfit } from '../../cloth/worn';
import { BODY_FACTORS } from '../../outfit/layer-contacts';
import type { Open } from '../../search/problem';
import { type Best, SequenceSolver } from '../../search/solver';
import { bodySequence } from './day-problem';
import type { Day } from './limb-judges';

/**
 * What one does not usually wear: two fleeces, a jacket under a jacket. Where every ordinary outfit leaves a phase cool or
 * short, what is worn is tried with one thing more, whatever its slot; a rule tells it, and weighs less than a verdict word.
 */

/** Unusual stacks of a factor that are tried on a day. */
const MOST_UNUSUAL = 60;

/** What a guide would wear twice over: layers of the trunk and under the trousers (common practice). */
const DOUBLED: ReadonlySet<Slot> = new Set(['base', 'shirt', 'mid', 'light-insulation', 'leg-base']);

/** A stack with one thing more, where that is legal and fills a slot twice. */
function withOneMore({ layers }: Stack, cloth: Cloth, index: number): Stack[] {
	const worn = layers.map((layer) => ({
		cloth: layer.cloth,
		index: layer.index,
		low: layer.position,
		high: layer.position
	}));
	return placementsOf(cloth, index).flatMap((placement) => {
		// What lies under it may move a place inwards.
		const loose = worn.map((one) => (one.low === 2 || one.low === 3 ? { ...one, low: 2, high: 3 } : one));
		// The new one may lie under what is worn in the same place, or over it.
		return [
			[placement, ...loose],
			[...loose, placement]
		].flatMap((layers) => {
			const stack = stackInOrder(layers.sort((a, b) => a.high - b.high || a.low - b.low));
			return stack && unusualPair(stack.layers) ? [stack] : [];
		});
	});
}

/** The same day with unusual outfits beside those of a course; null when there are none. */
function withUnusual<D extends Day>(
	day: D,
	choices: readonly number[][],
	allows: (thing: number) => boolean
): D | null {
	const { wardrobe } = day;
	const stacks = { ...wardrobe.stacks };
	let added = 0;
	BODY_FACTORS.forEach((factor, f) => {
		const worn = new Set(choices.map((options) => wardrobe.stacks[factor][options[f]!]!));
		const more: Stack[] = [];
		for (const stack of worn)
			wardrobe.cloths.forEach((cloth, index) => {
				if (
					factorOf(cloth) !== factor ||
					cloth.slot === null ||
					!DOUBLED.has(cloth.slot) ||
					!allows(index) ||
					wardrobe.underwear.includes(cloth)
				)
					return;
				if (stack.layers.some((layer) => layer.index === index)) return;
				more.push(...withOneMore(stack, cloth, index));
			});
		added += more.length;
		stacks[factor] = [...wardrobe.stacks[factor], ...more.slice(0, MOST_UNUSUAL)];
	});
	return added === 0 ? null : { ...day, wardrobe: { ...wardrobe, stacks } };
}

/** A better course with something unusual in it, if there is one. */
export function unusualDay<D extends Day>(
	day: D,
	known: { best: Best; solver: SequenceSolver },
	others: readonly Outfit[],
	allows: (thing: number) => boolean,
	openOf: (day: D, solver: SequenceSolver) => Open
): { day: D; solver: SequenceSolver; best: Best; open: Open } | null {
	const own = withUnusual(day, known.solver.courseOf(known.best.path).choices, allows);
	if (!own) return null;
	const solver = new SequenceSolver(bodySequence(own, others));
	const open = openOf(own, solver);
	// One hundredth less is better; the same would be unusual for nothing.
	const { best } = solver.upTo(known.best.cost - 1, open);
	return best && { day: own, solver, best, open };
}
