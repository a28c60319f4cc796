import { factorOf } from '../../cloth/factors';
import type { Outfit } from '../../cloth/worn';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { PENALTY } from '../../rules/objective';
import type { Open } from '../../search/problem';
import type { SequenceSolver } from '../../search/solver';
import { type Constraints, limitsOf } from './constraints';
import { unusualDay } from '../day/unusual-day';
import { wholeDay } from '../day/whole-day';
import type { OpenStacks } from '../day/whole-kit';
import type { Solved, SolverDay } from './trip-choice';

/**
 * The body on a day once more, from the whole kit: better than what a core gave, or how much better it could be; and from what
 * is unusual, where a phase stays cool or short.
 * @param others what hands, feet and eyes wear, by cell
 * @param spare what a day may cost more for a lighter set, hundredths
 */
export function* beyondCore(
	core: Solved,
	others: readonly Outfit[],
	constraints: Constraints,
	spare: number
): Generator<void, Solved, void> {
	const { day, best, limits } = core;
	const openOf = (own: SolverDay, solver: SequenceSolver): Open => {
		const { allows, at } = limitsOf(constraints, own, solver, new Set(solver.things));
		return solver.openOf(allows, at);
	};
	const solvedBy = (
		found: Pick<Solved, 'day' | 'solver' | 'best'> & { open: Open },
		atLeast: number
	): Solved => ({
		...found,
		limits: limitsOf(constraints, found.day, found.solver, new Set(found.solver.things)),
		oracle: found.solver.oracle(found.best, spare, found.open.at, limits.allows),
		atLeast: Math.min(atLeast, found.best.cost)
	});
	let made = core;
	const whole = day.whole?.();
	if (whole) {
		const pins = constraints.wornAt.filter((pin) => pin.day === day.index);
		const isOpenIn =
			({ stacks, cloths }: Wardrobe): OpenStacks =>
			(cell, factor, option) => {
				const { layers } = stacks[factor][option]!;
				return (
					layers.every(({ index }) => limits.allows(index)) &&
					pins.every(
						(pin) =>
							pin.cell !== cell ||
							factorOf(cloths[pin.thing]!) !== factor ||
							layers.some(({ index }) => index === pin.thing)
					)
				);
			};
		const found = yield* wholeDay<SolverDay>(day, whole, others, isOpenIn, best.cost, spare, openOf);
		made = found.best
			? solvedBy(found, found.atLeast)
			: { ...core, atLeast: Math.min(best.cost, found.atLeast) };
	}
	// Where a phase stays cool or short, something that one does not usually wear may help.
	if (made.best.penalty >= PENALTY.word && day.wardrobe.fixed.size === 0) {
		const more = unusualDay(made.day, made, others, limits.allows, openOf);
		if (more) made = solvedBy(more, made.atLeast);
	}
	return made;
}
