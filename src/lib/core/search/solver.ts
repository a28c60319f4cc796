import { type Alive, aliveWithin } from './bounds';
import { aliveUpTo, type Floor, floorOf } from './floor';
import type { Oracle } from './hitting-set';
import { cheapestPath, type Path, wayTo, type Work } from './paths';
import { type Open, optionsOf, Problem, type SequenceProblem } from './problem';

/**
 * The cheapest course of choices along a sequence of cells.
 *
 * How it is found. In every cell a choice costs at least what it does from the lowest state that any course can bring there.
 * A course that costs no more than the sum of the cheapest choices and some slack makes in no cell a choice that costs more
 * than the cheapest one there and that slack: so few are looked at, with little slack at first. Changes are followed among
 * them from both ends, which leaves fewer still; what is left has a higher lowest state, so that the same is done again.
 * Among the last ones every path is followed with its true state. The first course found within the slack is the cheapest
 * there is. When little slack leaves none, a quick course says how much is enough.
 */
const SLACKS = [300, 1000, 2500, 6000] as const;

/** Pairs of choices that the search of one day may look at, and one question about a lighter set. */
const MOST_PAIRS = 800_000;
const MOST_PAIRS_UP_TO = 4_000_000;
const QUESTION_PAIRS = 200_000;
/** Choices of a cell that are looked at at most: the cheapest ones; and where a better course than a known one is looked for. */
const MOST_CHOICES = 6000;
const MOST_CHOICES_UP_TO = 250_000;

export interface CourseLevels {
	penalty: number;
	overheat: number;
	/** hundredths */
	changes: number;
}

/** A course, choice by choice. */
export interface Course extends CourseLevels {
	/** option of each factor, first cell first */
	choices: number[][];
	/** things that it uses, in order */
	used: number[];
}

/** The cheapest course that was found. */
export interface Best extends CourseLevels {
	/** all in one, hundredths of a change */
	cost: number;
	/** no course costs less than this */
	atLeast: number;
	proven: boolean;
	path: Path;
	/** options that were open when it was looked for */
	open: Open;
}

/** The choices that any course up to a limit can make, hundredths. */
interface Within {
	limit: number;
	alive: Alive;
}

export class SequenceSolver {
	private readonly problem: Problem;

	/**
	 * @param patience share of the usual work that the search gets, 0…1
	 * @throws RangeError when a factor has no option
	 */
	constructor(
		readonly sequence: SequenceProblem,
		private readonly patience = 1
	) {
		this.problem = new Problem(sequence);
	}

	/** Every option open. */
	everything(): Open {
		return { options: this.sequence.sizes.map((size) => new Uint8Array(size).fill(1)) };
	}

	/** Only options that use nothing but these things, and in single cells only what is open there. */
	openOf(allows: (thing: number) => boolean, at?: Open['at']): Open {
		const { sizes, uses } = this.sequence;
		return {
			...(at ? { at } : {}),
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

	/** The open choices of each cell; cells that are limited alike share a list. */
	private openLists(open: Open): Int32Array[] {
		const everywhere = this.openIn({ options: open.options }, 0);
		return Array.from({ length: this.sequence.cells }, (_, k) =>
			open.at?.has(k) ? this.openIn(open, k) : everywhere
		);
	}
	private openIn(open: Open, k: number): Int32Array {
		const list = new Int32Array(this.problem.choices);
		let many = 0;
		for (let choice = 0; choice < list.length; choice++)
			if (this.problem.isOpen(open, k, choice)) list[many++] = choice;
		return list.subarray(0, many);
	}

	/** A course and what was shown about it. */
	private bestOf(path: Path, atLeast: number, open: Open, within: Within | null = null): Best {
		const { cost } = path;
		const proven = cost <= atLeast + 1e-6;
		const best = { ...this.levelsOf(path), cost, atLeast: Math.min(atLeast, cost), proven, path, open };
		if (within) this.foundWithin.set(best, within);
		return best;
	}

	/**
	 * The cheapest course within one slack after the other, up to a limit. The first that is found is the cheapest there is,
	 * unless the work ran out on the way.
	 * @param slacks over the sum of the cheapest choices, hundredths
	 * @returns no course costs less than `atLeast`, as far as that is below `most`
	 */
	private deepened(
		floor: Floor,
		slacks: readonly number[],
		most: number,
		mostChoices: number,
		work: Work
	): { path: Path | null; atLeast: number; within: Within | null } {
		let atLeast = Math.min(floor.total, most);
		for (const slack of slacks) {
			const limit = Math.min(floor.total + slack, most);
			if (limit < floor.total) break;
			const { alive, whole } = aliveUpTo(this.problem, floor, limit, mostChoices);
			if (!whole) break;
			atLeast = Math.max(atLeast, Math.min(alive.least, limit));
			if (alive.least <= limit) {
				const path = cheapestPath(this.problem, alive, limit, work);
				if (path) {
					const proven = work.left < 0 ? atLeast : path.cost;
					return { path, atLeast: proven, within: { limit, alive } };
				}
				if (work.left < 0) break;
			}
			atLeast = limit;
			if (limit === most) break;
		}
		return { path: null, atLeast, within: null };
	}

	/**
	 * The cheapest course of the open options; null when none leads through.
	 * @param hasty whether a good course will do
	 */
	solve(open: Open = this.everything(), hasty = false): Best | null {
		const floor = floorOf(this.problem, this.openLists(open));
		if (!floor) return null;
		const work: Work = { left: MOST_PAIRS * this.patience };
		const found = hasty
			? { path: null, atLeast: floor.total, within: null }
			: this.deepened(floor, SLACKS, Infinity, MOST_CHOICES, work);
		if (found.path) return this.bestOf(found.path, found.atLeast, open, found.within);
		let { atLeast } = found;
		const everywhere = aliveWithin(this.problem, floor.lists, floor.own, Infinity);
		if (everywhere.least === Infinity) return null;
		const quick = cheapestPath(this.problem, everywhere, Infinity, { left: -1 });
		if (!quick) return null;
		if (hasty) return this.bestOf(quick, atLeast, open);
		const { alive, whole } = aliveUpTo(this.problem, floor, quick.cost, MOST_CHOICES);
		if (whole) atLeast = Math.max(atLeast, Math.min(alive.least, quick.cost));
		work.left = Math.max(work.left, MOST_PAIRS * this.patience * 0.5);
		const path = cheapestPath(this.problem, alive, quick.cost, work) ?? quick;
		return this.bestOf(path, whole && work.left >= 0 ? path.cost : atLeast, open);
	}

	/**
	 * The cheapest course of the open options that costs at most so much, if there is one.
	 * @param most hundredths
	 * @returns no course costs less than `atLeast`, as far as that is below `most`
	 */
	upTo(most: number, open: Open = this.everything()): { best: Best | null; atLeast: number } {
		const floor = floorOf(this.problem, this.openLists(open));
		if (!floor) return { best: null, atLeast: Infinity };
		const work: Work = { left: MOST_PAIRS_UP_TO * this.patience };
		const slacks = [...SLACKS, Infinity];
		const { path, atLeast, within } = this.deepened(floor, slacks, most, MOST_CHOICES_UP_TO, work);
		return { best: path && this.bestOf(path, atLeast, open, within), atLeast };
	}

	/** What a course comes to, level by level. */
	private levelsOf(path: Path): CourseLevels {
		const into = { penalty: 0, overheat: 0, state: this.sequence.startState };
		const sum = { penalty: 0, overheat: 0, changes: 0 };
		let before = -1;
		wayTo(path).forEach((choice, k) => {
			this.sequence.judge(k, choice, into.state, into);
			sum.penalty += into.penalty;
			sum.overheat += into.overheat;
			if (k > 0)
				this.problem.changesBefore(k).forEach((table, f) => {
					const option = this.problem.optionIn[f]!;
					sum.changes += table[option[before]! * this.sequence.sizes[f]! + option[choice]!]!;
				});
			before = choice;
		});
		return sum;
	}

	private readonly coursesKnown = new WeakMap<Path, Course>();
	/** The choices of a course, first cell first, and all that it uses. */
	courseOf(last: Path): Course {
		const known = this.coursesKnown.get(last);
		if (known) return known;
		const { sizes, uses } = this.sequence;
		const choices = wayTo(last).map((choice) => optionsOf(choice, sizes));
		const things = new Set(
			choices.flatMap((options) => options.flatMap((option, f) => [...uses(f, option)]))
		);
		const used = [...things].sort((a, b) => a - b);
		const made = { ...this.levelsOf(last), choices, used };
		this.coursesKnown.set(last, made);
		return made;
	}

	private isOpenTo(last: Path, open: Open): boolean {
		let k = this.sequence.cells - 1;
		for (let path: Path | null = last; path; path = path.before, k--)
			if (!this.problem.isOpen(open, k, path.choice)) return false;
		return true;
	}

	/** The choices among which a best course was found. */
	private readonly foundWithin = new WeakMap<Best, Within>();
	private readonly nearBy = new WeakMap<Best, Map<number, Alive>>();
	/** The choices that any course within so much of the best can make. */
	private near(best: Best, spare: number): Alive {
		const known = this.nearBy.get(best) ?? new Map<number, Alive>();
		this.nearBy.set(best, known);
		const before = known.get(spare);
		if (before) return before;
		const limit = best.cost + spare;
		const found = this.foundWithin.get(best);
		let alive: Alive;
		if (found && found.limit >= limit)
			alive = aliveWithin(this.problem, found.alive.lists, found.alive.own, limit + 1e-6);
		else {
			const nearest = aliveUpTo(
				this.problem,
				floorOf(this.problem, this.openLists(best.open))!,
				limit,
				MOST_CHOICES
			);
			({ alive } = nearest);
			if (!nearest.whole) this.gaveUp = true;
		}
		known.set(spare, alive);
		return alive;
	}

	/** Whether a question was ever left open for want of work: no answer of "no" is proven then. */
	gaveUp = false;

	/** The cheapest course of open options that costs at most so much more than the best; null when there is none. */
	within(best: Best, open: Open, spare = 0): Path | null {
		if (this.isOpenTo(best.path, open)) return best.path;
		const near = this.near(best, spare);
		const isOpen = (k: number, place: number): boolean =>
			this.problem.isOpen(open, k, near.lists[k]![place]!);
		if (near.lists.some((list, k) => !list.some((_, place) => isOpen(k, place)))) return null;
		const work: Work = { left: QUESTION_PAIRS };
		const path = cheapestPath(this.problem, near, best.cost + spare, work, isOpen);
		if (!path && work.left < 0) this.gaveUp = true;
		return path;
	}

	/**
	 * Asks whether a set of things keeps a day within so much of the best, remembering the answers.
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
					const open = this.openOf((thing) => things.has(thing) && allows(thing), at);
					answer = this.within(best, open, spare) !== null;
					known.set(key, answer);
				}
				return answer;
			}
		};
	}

	/**
	 * By factor: the options that a course of the open ones up to some cost can use, a 1 for each; null where there are too many
	 * choices to tell.
	 * @param most hundredths
	 * @returns no course costs less than `atLeast`, as far as that is below `most`
	 */
	optionsUpTo(most: number, open: Open = this.everything()): { used: Uint8Array[] | null; atLeast: number } {
		const floor = floorOf(this.problem, this.openLists(open));
		if (!floor || floor.total > most + 1e-6) return { used: null, atLeast: most };
		const { alive, whole } = aliveUpTo(this.problem, floor, most, MOST_CHOICES_UP_TO);
		if (!whole) return { used: null, atLeast: floor.total };
		const used = this.usedIn(alive.lists);
		return { used, atLeast: Math.min(Math.max(alive.least, floor.total), most) };
	}

	private usedIn(lists: readonly Int32Array[]): Uint8Array[] {
		return this.problem.optionIn.map((option, f) => {
			const used = new Uint8Array(this.sequence.sizes[f]!);
			for (const list of lists) for (const choice of list) used[option[choice]!] = 1;
			return used;
		});
	}

	/** Things that a course within so much of the best can use at all. */
	private usable(best: Best, spare: number): number[] {
		const { uses } = this.sequence;
		const used = new Set<number>();
		this.near(best, spare).lists.forEach((list) => {
			const seen = this.problem.optionIn.map((_, f) => new Uint8Array(this.sequence.sizes[f]!));
			for (const choice of list)
				this.problem.optionIn.forEach((option, f) => (seen[f]![option[choice]!] = 1));
			seen.forEach((options, f) =>
				options.forEach((is, option) => is && uses(f, option).forEach((thing) => used.add(thing)))
			);
		});
		return [...used].sort((a, b) => a - b);
	}
}
