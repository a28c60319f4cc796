import type { Outfit } from '../../cloth/worn';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { loadOf } from '../../rules/objective';
import { lightestHitting, lightestSteps, type Oracle } from '../../search/hitting-set';
import type { SequenceSolver } from '../../search/solver';
import { beyondCore } from './beyond-core';
import { type Constraints, limitsOf } from './constraints';
import {
	type Group,
	type GroupChoice,
	NOTHING,
	type Solved,
	type SolveOptions,
	type SolverDay,
	toleranceOf
} from './trip-choice';

/** Searches one group (hands, feet, eyes or body) on all days, and remembers what it has worked out. */
export class GroupSolver {
	private readonly solvers = new Map<string, SequenceSolver>();
	private readonly solved = new Map<string, Solved | null>();

	/** The sequence of a group on a day; days that are alike share it. */
	private solverOf(
		day: SolverDay,
		group: Group,
		context: string,
		make: () => SequenceSolver
	): SequenceSolver {
		const key = `${group}|${day.key}|${context}`;
		const solver = this.solvers.get(key) ?? make();
		this.solvers.set(key, solver);
		return solver;
	}

	/** One day of one group under its limits; null when they leave no way. */
	solveDay(
		day: SolverDay,
		group: Group,
		context: string,
		constraints: Constraints,
		{ spare = 0, hasty = false }: SolveOptions,
		make: () => SequenceSolver
	): Solved | null {
		const solver = this.solverOf(day, group, context, make);
		const own = new Set(solver.things);
		const limits = limitsOf(constraints, day, solver, own);
		const key = `${group}|${day.key}|${context}|${limits.key}|${spare}|${hasty}`;
		const known = this.solved.get(key);
		if (known !== undefined) return known;
		const best = solver.solve(solver.openOf(limits.allows, limits.at), hasty);
		const made = best
			? {
					solver,
					best,
					limits,
					oracle: solver.oracle(best, spare, limits.at, limits.allows),
					day,
					atLeast: best.atLeast
				}
			: null;
		this.solved.set(key, made);
		return made;
	}

	/** The body on a day once more, beyond its core. */
	private *solveBeyond(
		core: Solved,
		context: string,
		others: readonly Outfit[],
		constraints: Constraints,
		spare: number
	): Generator<void, Solved, void> {
		const key = `beyond|${core.day.key}|${context}|${core.limits.key}|${spare}`;
		const known = this.solved.get(key) ?? (yield* beyondCore(core, others, constraints, spare));
		this.solved.set(key, known);
		return known;
	}

	/**
	 * One group on all days: levels of each, then the lightest set.
	 * @param cloths the kit
	 * @param days as this group is searched on them
	 * @param wholeFor what hands, feet and eyes wear, by day and cell, where the body is searched beyond its core
	 * @returns null when a limit leaves no way on some day
	 */
	*solveGroup(
		group: Group,
		cloths: Wardrobe['cloths'],
		days: readonly SolverDay[],
		contextOf: (day: SolverDay) => { context: string; make: () => SequenceSolver },
		constraints: Constraints,
		options: SolveOptions,
		wholeFor: readonly Outfit[][] | null = null
	): Generator<{ done: number }, GroupChoice | null, void> {
		const { spare = 0, hit = lightestHitting, isOver = () => false, hasty = false } = options;
		const solved: (Solved | null)[] = days.map(() => null);
		for (const day of days) {
			if (isOver()) break;
			// A day on which nobody is dressed asks for nothing.
			if (day.cells.length === 0) continue;
			const { context, make } = contextOf(day);
			const own = this.solveDay(day, group, context, constraints, options, make);
			if (!own) return null;
			solved[day.index] = own;
			if (wholeFor) {
				// Others get their turn while a day is searched.
				const steps = this.solveBeyond(own, context, wholeFor[day.index]!, constraints, spare);
				let step = steps.next();
				for (; !step.done; step = steps.next()) yield { done: day.index };
				solved[day.index] = step.value;
			}
			yield { done: day.index + 1 };
		}
		const all = solved.filter((one) => one !== null);
		const { last } = options;
		/** What a day may cost beyond its best, for the set. */
		const spareFor = ({ best }: Solved): number => spare + (last ? toleranceOf(best) : 0);
		const oracleFor = (one: Solved): Oracle =>
			last ? one.solver.oracle(one.best, spareFor(one), one.limits.at, one.limits.allows) : one.oracle;
		const bestCourses = all.map(({ solver, best }) => solver.courseOf(best.path));
		const start = new Set(bestCourses.flatMap(({ used }) => used));
		const choiceOf = (
			courses: typeof bestCourses,
			shown: Pick<GroupChoice, 'atLeastG' | 'levelsProven' | 'massProven'>
		): GroupChoice => {
			let at = 0;
			const of = solved.map((one) => (one ? courses[at++]! : null));
			return {
				choices: of.map((course, i) => course?.choices ?? (days[i]!.cells.length === 0 ? [] : null)),
				days: days.map((day, i) => solved[i]?.day ?? day),
				gaps: solved.map((one) => (one ? Math.max(0, one.best.cost - one.atLeast - 1e-6) : 0)),
				levels: of.map((course) => course ?? NOTHING),
				used: new Set(courses.flatMap(({ used }) => used)),
				...shown
			};
		};
		if (hasty || options.levelsOnly)
			return choiceOf(bestCourses, { atLeastG: 0, levelsProven: false, massProven: false });
		const unlike = new Map(all.map((one) => [one.oracle, one]));
		const unique = [...unlike.values()].map(oracleFor);
		const things = new Set([...start, ...unique.flatMap((oracle) => oracle.things)]);
		const masses = cloths.map((cloth, thing) =>
			constraints.taken.has(thing) || constraints.preferred.has(thing) ? 0 : loadOf(cloth)
		);
		// The set that one has stays where every day does with it; else as little as possible is added to it.
		if (last) {
			const does = unique.every((oracle) => oracle.holds(last));
			for (const thing of [...things]) {
				if (last.has(thing)) {
					masses[thing] = 0;
					start.add(thing);
				} else if (does) {
					things.delete(thing);
					start.delete(thing);
				}
			}
		}
		for (const thing of things)
			if (constraints.taken.has(thing) || constraints.preferred.has(thing)) start.add(thing);
		const steps = lightestSteps(
			start,
			[...things].sort((a, b) => a - b),
			masses,
			unique,
			{ hit, isOver }
		);
		let step = steps.next();
		for (let n = 0; !step.done; n++, step = steps.next()) if (n % 8 === 0) yield { done: days.length };
		const { things: lightest, proven, atLeastG } = step.value;
		const courses = all.map((one, i) => {
			const { solver, best, limits } = one;
			const open = solver.openOf((thing) => lightest.has(thing) && limits.allows(thing), limits.at);
			const path = solver.within(best, open, spareFor(one));
			return path ? solver.courseOf(path) : bestCourses[i]!;
		});
		return choiceOf(courses, {
			atLeastG,
			levelsProven: all.every(({ best, atLeast }) => best.cost <= atLeast + 1e-6),
			massProven: proven && all.every(({ solver }) => !solver.gaveUp)
		});
	}
}
