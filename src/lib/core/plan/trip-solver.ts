import type { Outfit } from '../cloth/worn';
import type { Wardrobe } from '../outfit/legal-outfits';
import { loadOf } from '../rules/objective';
import { lightestHitting, lightestSteps, type Oracle } from '../search/hitting-set';
import { SequenceSolver } from '../search/solver';
import { finished } from '../search/steps';
import { type Constraints, limitsOf } from './constraints';
import {
	bodySequence,
	type Dressed,
	dressedBy,
	limbOutfits,
	limbSequence,
	type OutfitTables
} from './day/day-problem';
import { debtsKey, debtsOf, MOST_TURNS, neverInDebt } from './day/body-debts';
import type { BodyDebts, Limb } from './day/limb-judges';
import type { TripDays } from './trip-days';
import { beyondCore } from './beyond-core';
import {
	choiceFrom,
	type Group,
	type GroupChoice,
	GROUPS,
	NOTHING,
	type Progress,
	type Solved,
	type SolveOptions,
	type SolverDay,
	type SolverProblem,
	toleranceOf,
	type TripChoice,
	weighed
} from './trip-choice';

/**
 * The best outfits of all days of a trip, with one set taken for all of them.
 *
 * Days meet only in what is taken: each keeps the least penalty, overheat and changes that it can have by itself, and the set is
 * the lightest with which all of them do. Hands, feet and eyes come first, then the body with what those give; no thing
 * belongs to two of them, so each group has a lightest set of its own.
 */
export class TripSolver<P extends SolverProblem = TripDays> {
	private readonly solvers = new Map<string, SequenceSolver>();
	private readonly solved = new Map<string, Solved | null>();
	private readonly tables = new Map<object, OutfitTables>();

	/** @param problem may be put another one in place of, of the same wardrobe: what is alike is known already */
	constructor(public problem: P) {}

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
	private solveDay(
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
	 * @returns null when a limit leaves no way on some day
	 */
	private *solveGroup(
		group: Group,
		contextOf: (day: SolverDay) => { context: string; make: () => SequenceSolver },
		constraints: Constraints,
		options: SolveOptions,
		wholeFor: readonly Outfit[][] | null = null
	): Generator<{ done: number }, GroupChoice | null, void> {
		const { spare = 0, hit = lightestHitting, isOver = () => false, hasty = false } = options;
		const { days } = this.problem;
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
		if (hasty) return choiceOf(bestCourses, { atLeastG: 0, levelsProven: false, massProven: false });
		const unlike = new Map(all.map((one) => [one.oracle, one]));
		const unique = [...unlike.values()].map(oracleFor);
		const things = new Set([...start, ...unique.flatMap((oracle) => oracle.things)]);
		const masses = this.problem.wardrobe.cloths.map((cloth, thing) =>
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

	/**
	 * The best choice under constraints.
	 * @returns null when they cannot be met at all
	 */
	*solve(constraints: Constraints, options: SolveOptions = {}): Generator<Progress, TripChoice | null, void> {
		const { days } = this.problem;
		let debts = options.fitted ?? days.map(({ cells }) => neverInDebt(cells));
		const seen = new Set<string>();
		let best: TripChoice | null = null;
		let shown: TripChoice | null = null;
		// A core comes first; where there is more behind it, once more with the whole kit.
		const isCore = options.whole === true;
		let wholeTurn = false;
		for (let turn = 0; turn < MOST_TURNS + (isCore ? 1 : 0); turn++) {
			const now = debts;
			const groups = {} as Record<Group, GroupChoice>;
			let others: Outfit[][] = [];
			for (const group of GROUPS) {
				if (group === 'body') others = days.map((day) => this.limbsOf(day, groups));
				const contextOf = (day: SolverDay): { context: string; make: () => SequenceSolver } => {
					if (group !== 'body') {
						const own = group === 'eyes' ? neverInDebt(day.cells) : now[day.index]!;
						return {
							context: debtsKey(own),
							make: () => new SequenceSolver(limbSequence(day, group, own))
						};
					}
					const worn = others[day.index]!;
					return {
						context: JSON.stringify(worn.map((outfit) => outfit.map(({ cloth }) => cloth.thingId))),
						make: () => new SequenceSolver(bodySequence(day, worn, this.tablesOf(day)))
					};
				};
				const steps = this.solveGroup(
					group,
					contextOf,
					constraints,
					options,
					wholeTurn && group === 'body' ? others : null
				);
				let step = steps.next();
				for (; !step.done; step = steps.next()) {
					if (group !== 'body') continue;
					const part = step.value.done;
					if (!best && !shown && options.hurry?.()) {
						const body = finished(
							this.solveGroup(group, contextOf, constraints, { ...options, hasty: true })
						);
						if (body) shown = this.putTogether({ ...groups, body }, others, now, constraints).choice;
					}
					const task = part < days.length ? 'days' : 'weight';
					yield { task, done: part, total: days.length, best: best ?? shown };
				}
				if (!step.value) return null;
				groups[group] = step.value;
			}
			const { choice, next } = this.putTogether(groups, others, now, constraints);
			if (wholeTurn) {
				if (!best || weighed(choice.levels) <= weighed(best.levels) + 1e-6)
					best = { ...choice, isWhole: days.every(({ whole }) => whole) };
				break;
			}
			// A turn that made it no better is the last one, and so is one that the search could not settle.
			const isBetterNow = !best || weighed(choice.levels) < weighed(best.levels) - 1e-6;
			const pattern = next.map(debtsKey).join('|');
			const isLast =
				!isBetterNow ||
				(turn > 0 && !choice.levelsProven) ||
				seen.has(pattern) ||
				pattern === days.map(() => '').join('|') ||
				options.isOver?.();
			if (isBetterNow) {
				best = choice;
			}
			if (isLast) {
				if (!isCore || options.isOver?.()) break;
				wholeTurn = true;
				debts = best!.fitted;
				continue;
			}
			seen.add(pattern);
			debts = next;
		}
		return best;
	}

	/** All groups as one choice, and where the body is in debt with it. */
	private putTogether(
		groups: Record<Group, GroupChoice>,
		others: readonly Outfit[][],
		before: readonly BodyDebts[],
		constraints: Constraints
	): { choice: TripChoice; next: BodyDebts[] } {
		const { days } = this.problem;
		const dressed = days.map((day) =>
			this.dressedOf(groups.body.days[day.index]!, groups, others[day.index]!)
		);
		const next = days.map((day) =>
			dressed[day.index] ? debtsOf(day, dressed[day.index]!) : before[day.index]!
		);
		const both = { fitted: before, debts: next };
		return {
			choice: choiceFrom(this.problem.days, this.problem.wardrobe.cloths, groups, dressed, both, constraints),
			next
		};
	}

	private readonly dressedKnown = new WeakMap<Wardrobe, Map<string, Dressed>>();
	/** What is worn on a day; the same object as long as the same is worn. Null where the day is not solved. */
	private dressedOf(
		day: SolverDay,
		groups: Record<Group, GroupChoice>,
		others: readonly Outfit[]
	): Dressed | null {
		const body = groups.body.choices[day.index];
		if (!body) return null;
		const chosen = GROUPS.map((group) => groups[group].choices[day.index]);
		const key = `${day.index}|${day.key}|${JSON.stringify(chosen)}`;
		const known = this.dressedKnown.get(day.wardrobe) ?? new Map<string, Dressed>();
		this.dressedKnown.set(day.wardrobe, known);
		const dressed = known.get(key) ?? dressedBy(day, body, others);
		known.set(key, dressed);
		return dressed;
	}

	private tablesOf(day: SolverDay): OutfitTables {
		const made = this.tables.get(day.wardrobe) ?? new Map();
		this.tables.set(day.wardrobe, made);
		return made;
	}

	private limbsOf(day: SolverDay, groups: Record<Group, GroupChoice>): Outfit[] {
		const none = day.cells.map(() => [0]);
		const of = (limb: Limb): number[][] => groups[limb].choices[day.index] ?? none;
		return limbOutfits(day, { eyes: of('eyes'), hands: of('hands'), feet: of('feet') });
	}
}
