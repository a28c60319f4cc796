import { type Bounds, boundsApart, closerBounds, fewer, leastChanges, type Path, type Work } from './bounds';
import {
	AS_IS,
	COARSE,
	FEW_PAIRS,
	FIRST_SLACK,
	LONG_CELLS,
	LONG_MARGINS,
	LONG_PAIRS,
	MARGINS,
	MORE,
	MOST_BOUNDS,
	MOST_PAIRS,
	MOST_WORK,
	PROBE_PAIRS,
	QUICK_AT,
	QUICK_SLACKS,
	REFINED,
	TRIES,
	type Try,
	UNLIMITED
} from './budget';
import { type Best, type CourseLevels, leastOf, upTo, wayTo } from './course';
import { type Oracle } from './hitting-set';
import { fewestChanges } from './least-changes';
import { fromKey, type Open, optionsOf, Problem, type SequenceProblem } from './problem';
import { quickCourse } from './quick-start';
import { Relaxation } from './relaxation';

export class SequenceSolver {
	private readonly problem: Problem;
	/** least key of each choice in each cell */
	private readonly keys: Float64Array[];

	/**
	 * @param patience share of the usual work that coarse bounds get before finer ones are tried, 0…1
	 * @throws RangeError when a factor has no option
	 */
	constructor(
		readonly sequence: SequenceProblem,
		private readonly patience = 1
	) {
		this.problem = new Problem(sequence);
		this.keys = Array.from({ length: sequence.cells }, (_, k) => this.problem.leastKeys(k));
	}

	/** Every option open. */
	everything(): Open {
		return { options: this.sequence.sizes.map((size) => new Uint8Array(size).fill(1)) };
	}

	/** Only options that use nothing but these things. */
	openOf(allows: (thing: number) => boolean): Open {
		const { sizes, uses } = this.sequence;
		return {
			options: sizes.map((size, f) =>
				Uint8Array.from({ length: size }, (_, option) => Number(uses(f, option).every(allows)))
			)
		};
	}

	private thingsKnown: readonly number[] | null = null;
	/** Things that any option uses. */
	get things(): readonly number[] {
		if (this.thingsKnown) return this.thingsKnown;
		const used = new Set<number>();
		this.sequence.sizes.forEach((size, f) => {
			for (let option = 0; option < size; option++)
				for (const thing of this.sequence.uses(f, option)) used.add(thing);
		});
		return (this.thingsKnown = [...used].sort((a, b) => a - b));
	}

	/**
	 * The best course of the open options; null when none leads through.
	 * @param spare what may be spent later on fewer things, hundredths of changes
	 * @param hasty whether a good course will do for a long day
	 */
	solve(open: Open = this.everything(), spare = 0, hasty = false): Best | null {
		const candidates = this.keys.map((keys, k) => this.openIn(keys, k, open));
		if (candidates.some((list) => list.length === 0)) return null;
		const least = candidates.map((list, k) => leastOf(list, this.keys[k]!));
		const total = least.reduce((sum, key) => sum + key, 0);
		const relaxationBy = (slack: number): Relaxation => {
			const lists = candidates.map((list, k) => upTo(list, this.keys[k]!, least[k]! + slack));
			return new Relaxation(this.problem, lists, this.keys, this.edgesOf(COARSE));
		};
		if (hasty && this.isLong) return this.quickBest(relaxationBy);
		let slack = FIRST_SLACK;
		let relaxation = relaxationBy(slack);
		while (relaxation.least - total > slack && slack < Infinity) {
			slack = relaxation.least - total;
			relaxation = relaxationBy(slack);
		}
		if (relaxation.least === Infinity) return null;
		const budget = { left: Math.floor(MOST_WORK / this.sequence.cells) };
		const first = this.bestWithin(relaxation, null, spare, budget);
		if (first.best) return { ...first.best, proven: first.proven };
		// Where no course of possible changes reaches the optimum, the least that one does.
		let { proven } = first;
		for (const margin of this.isLong ? LONG_MARGINS : MARGINS) {
			const most = relaxation.least + margin;
			const wide = relaxationBy(most - total);
			const reached = this.isLong
				? { path: quickCourse(this.problem, wide, wide.lists, most), proven: false }
				: this.leastReached(wide, most);
			proven &&= reached.proven;
			if (!reached.path) continue;
			const left = this.isLong ? LONG_PAIRS : PROBE_PAIRS;
			const { best, proven: closed } = this.bestWithin(wide, reached.path, spare, { left });
			proven &&= closed;
			if (best) return { ...best, proven };
		}
		return null;
	}

	/** In many cells there are too many near ties to be told apart one by one. */
	get isLong(): boolean {
		return this.sequence.cells > LONG_CELLS;
	}
	/** A good course of a long day, which nothing is asked of afterwards. */
	private quickBest(relaxationBy: (slack: number) => Relaxation): Best | null {
		for (const slack of QUICK_SLACKS) {
			const wide = relaxationBy(slack);
			const path = quickCourse(this.problem, wide, wide.lists, Infinity);
			if (!path) continue;
			const way = wayTo(path).map((choice) => Int32Array.of(choice));
			const bounds = boundsApart(this.problem, wide, path.key, way);
			return { ...fromKey(path.key), changes: path.changes, path, bounds, proven: false };
		}
		return null;
	}

	/** The open choices of a cell. */
	private openIn(keys: Float64Array, k: number, open: Open): Int32Array {
		const own = [...open.options, ...(open.at?.get(k) ?? [])];
		const all = own.every((options) => options.every((one) => one === 1));
		const list = new Int32Array(keys.length);
		let many = 0;
		for (let choice = 0; choice < keys.length; choice++)
			if (keys[choice]! < Infinity && (all || this.problem.isOpen(open, k, choice))) list[many++] = choice;
		return list.subarray(0, many);
	}

	/**
	 * A course with the least penalty and overheat of those whose changes can be done, found by halving; null when none has so
	 * little.
	 */
	private leastReached(relaxation: Relaxation, most: number): { path: Path | null; proven: boolean } {
		let path: Path | null = null;
		let proven = true;
		let lowest = relaxation.least;
		for (let limit = most; ; limit = Math.floor((lowest + path.key - 1) / 2)) {
			const work = { left: PROBE_PAIRS };
			const found: Path | null = fewestChanges(
				this.problem,
				boundsApart(this.problem, relaxation, limit, relaxation.within(limit)),
				{ limit: UNLIMITED, enough: UNLIMITED, open: null, work, byKey: true }
			);
			if (found) path = found;
			else lowest = limit + 1;
			if (!found && work.left < 0) proven = false;
			if (!path || lowest >= path.key) return { path, proven };
		}
	}

	/**
	 * The course with the fewest changes among those of no more than some penalty and overheat: first among those of no more
	 * changes than the bound, which are few, then among more.
	 * @param known a course of that penalty and overheat, which will do when no better one is found; else the least there is
	 * @param budget what may be spent on it, in pairs looked at and twice as many bounds
	 */
	private bestWithin(
		relaxation: Relaxation,
		known: Path | null,
		spare: number,
		budget: Work
	): { best: Omit<Best, 'proven'> | null; proven: boolean } {
		const most = known?.key ?? relaxation.least;
		const base = boundsApart(this.problem, relaxation, most, relaxation.within(most));
		const bound = leastChanges(base, this.sequence.startState);
		const bestOf = (path: Path, bounds: Bounds): Omit<Best, 'proven'> => {
			// What may be spent on a lighter set later has to stay.
			const near = spare === 0 ? fewer(bounds, path.changes) : this.refined(base, path.changes + spare);
			return { ...fromKey(path.key), changes: path.changes, path, bounds: near };
		};
		let proven = true;
		if (bound === Infinity) return { best: null, proven };
		let any = known;
		for (const more of MORE) {
			if (more === QUICK_AT && this.isLong) {
				any ??= quickCourse(this.problem, relaxation, base.lists, most);
				// Such a course may exist, but the search for it might not end.
				if (!any) budget.left = Math.min(budget.left, PROBE_PAIRS);
			}
			// With no fewer changes than the course that is known there is nothing better.
			const limit = Math.min(bound + more, any ? any.changes - 0.5 : UNLIMITED);
			const { path, bounds, closed } = this.bestUpTo(base, limit, budget);
			proven &&= closed;
			if (path) return { best: bestOf(path, bounds), proven };
			if (any && bound + more >= any.changes) break;
			if (budget.left <= 0) {
				proven = false;
				break;
			}
		}
		if (!this.isLong) any ??= this.anyCourse(base);
		return { best: any && bestOf(any, base), proven };
	}

	/** Any course of a bounds; null when none is found. */
	private anyCourse({ lists, most }: Bounds): Path | null {
		const close = new Relaxation(this.problem, lists, this.keys, this.sequence.stateEdges);
		if (close.least > most) return null;
		return fewestChanges(this.problem, boundsApart(this.problem, close, most, close.within(most)), {
			limit: UNLIMITED,
			enough: UNLIMITED,
			open: null,
			work: { left: PROBE_PAIRS },
			byKey: true
		});
	}

	/** Some of the steps of the state: each so many. */
	private edgesOf(every: number): number[] {
		return this.sequence.stateEdges.filter((_, e) => e % every === 0);
	}
	/** Closer bounds for the courses of a bounds of no more than so many changes; null where none is left. */
	private closer(bounds: Bounds, { every, relaxedEvery }: Try, limit: number): Bounds | null {
		const { problem } = this;
		let { relaxation, lists } = bounds;
		if (lists.some((list) => list.length === 0)) return null;
		if (every === AS_IS) return bounds;
		if (relaxedEvery !== null) {
			relaxation = new Relaxation(problem, lists, this.keys, this.edgesOf(relaxedEvery));
			if (relaxation.least > bounds.most) return null;
			lists = relaxation.within(bounds.most);
		}
		return fewer(closerBounds(problem, bounds, relaxation, lists, this.edgesOf(every), limit), limit);
	}
	/** Closer bounds with few steps, for the choices that courses of no more than so many changes can make. */
	private refined(base: Bounds, limit: number): Bounds {
		return TRIES.filter(({ every }) => every >= REFINED).reduce(
			(bounds, fineness) => this.closer(bounds, fineness, limit) ?? bounds,
			fewer(base, limit)
		);
	}

	/** The course of no more than so many changes with the fewest of them; `closed` when it is proven that none has fewer. */
	private bestUpTo(
		base: Bounds,
		limit: number,
		budget: Work
	): { path: Path | null; bounds: Bounds; closed: boolean } {
		let path: Path | null = null;
		let bounds = fewer(base, limit);
		for (const fineness of TRIES) {
			const choices = bounds.lists.reduce((sum, list) => sum + list.length, 0);
			if ((choices * this.sequence.stateEdges.length) / fineness.every > MOST_BOUNDS) break;
			if (budget.left < 0) break;
			if (fineness.every !== AS_IS)
				budget.left -= Math.floor((choices * this.sequence.stateEdges.length) / fineness.every / 2);
			const own = this.closer(bounds, fineness, limit);
			const enough = own ? leastChanges(own, this.sequence.startState) : Infinity;
			if (!own || enough > limit) return { path, bounds, closed: true };
			const pairs = fineness.every === 1 ? budget.left : fineness.pairs * this.patience;
			const work = { left: pairs };
			const found = fewestChanges(this.problem, own, { limit, enough, open: null, work });
			budget.left -= pairs - work.left;
			if (found) {
				path = found;
				limit = found.changes;
			}
			if (work.left >= 0) return { path, bounds: own, closed: true };
			// Another one is only better with fewer changes.
			bounds = fewer(own, limit);
		}
		return { path, bounds, closed: false };
	}

	/**
	 * A course of open options that is no worse than the best in penalty and overheat, and takes at most `spare` hundredths
	 * more of changes: the one with the fewest; null when there is none.
	 */
	within(best: Best, open: Open, spare = 0): Path | null {
		// The fewest there are, where it is open itself.
		if (this.isOpenTo(best.path, open)) return best.path;
		return fewestChanges(this.problem, this.near(best, spare), {
			limit: best.changes + spare,
			enough: best.changes,
			open,
			work: { left: this.patienceWith(best) }
		});
	}
	private isOpenTo(last: Path, open: Open): boolean {
		let k = this.sequence.cells - 1;
		for (let path: Path | null = last; path; path = path.before, k--)
			if (!this.problem.isOpen(open, k, path.choice)) return false;
		return true;
	}
	/** Work for one question about a lighter set: little where the day itself took too much. */
	private patienceWith = ({ proven }: Best): number => (proven ? MOST_PAIRS : FEW_PAIRS);
	/** Whether a question was ever left open for want of work: no answer of "no" is proven then. */
	gaveUp = false;
	/** Whether there is such a course. */
	private leadsWithin(best: Best, open: Open, spare: number): boolean {
		if (this.isOpenTo(best.path, open)) return true;
		const work = { left: this.patienceWith(best) };
		const found = fewestChanges(this.problem, this.near(best, spare), {
			limit: best.changes + spare,
			enough: UNLIMITED,
			open,
			work
		});
		if (!found && work.left < 0) this.gaveUp = true;
		return found !== null;
	}

	private readonly nearBy = new WeakMap<Best, Map<number, Bounds>>();
	/** The choices that any course within so much of the best can make. */
	private near(best: Best, spare: number): Bounds {
		const known = this.nearBy.get(best) ?? new Map<number, Bounds>();
		this.nearBy.set(best, known);
		const made = known.get(spare) ?? fewer(best.bounds, best.changes + spare);
		known.set(spare, made);
		return made;
	}

	/** The choices of a course, first cell first, and all that it uses. */
	courseOf(last: Path): { choices: number[][]; used: number[] } & CourseLevels {
		const { sizes, uses } = this.sequence;
		const choices = wayTo(last).map((choice) => optionsOf(choice, sizes));
		const used = new Set(choices.flatMap((options) => options.flatMap((option, f) => [...uses(f, option)])));
		return { ...fromKey(last.key), changes: last.changes, choices, used: [...used].sort((a, b) => a - b) };
	}

	/**
	 * Asks whether a set of things keeps the optimum, remembering the answers.
	 * @param allows things that may be used here at all
	 */
	oracle(best: Best, spare = 0, at?: Open['at'], allows: (thing: number) => boolean = () => true): Oracle {
		const own = this.usable(best, spare).filter(allows);
		const known = new Map<string, boolean>();
		return {
			things: own,
			holds: (things) => {
				const key = own.filter((thing) => things.has(thing)).join();
				let answer = known.get(key);
				if (answer === undefined) {
					const open: Open = {
						...this.openOf((thing) => things.has(thing) && allows(thing)),
						...(at ? { at } : {})
					};
					answer = this.leadsWithin(best, open, spare);
					known.set(key, answer);
				}
				return answer;
			}
		};
	}

	/** Things that a course within so much of the best can use at all. */
	private usable(best: Best, spare: number): number[] {
		const { uses } = this.sequence;
		const used = new Set<number>();
		for (const list of this.near(best, spare).lists)
			for (const choice of list)
				this.problem.optionIn.forEach((option, f) =>
					uses(f, option[choice]!).forEach((thing) => used.add(thing))
				);
		return [...used].sort((a, b) => a - b);
	}
}
