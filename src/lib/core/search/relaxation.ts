import { type Problem, stepOf } from './problem';

/**
 * Penalty and overheat of a sequence as if every change that can be done cost nothing.
 *
 * Without prices a choice matters only by the state that it leaves and by what can still be changed to. Choices between
 * which a way of possible changes leads form a class, and of those with the same classes before and after them only the
 * leaders count. What is left is small enough to be followed exactly. Changes come after penalty and overheat, so this is the
 * optimum of both wherever some course of possible changes reaches it.
 */

/** A state that can be reached, and the least key with which it is. */
interface Point {
	state: number;
	key: number;
}

/** Choices of one cell with the same class before and after it. */
interface Bundle {
	from: number;
	to: number;
	choices: ArrayLike<number>;
	leaders: readonly number[];
}

export class Relaxation {
	/** lowest state before each cell, and after the last */
	readonly lowest: Float64Array;
	private readonly cells: number;
	private readonly bundles: Bundle[][];
	/** least key from before cell k on, by class and step of the state */
	private readonly rests: (Float64Array | undefined)[][] = [];
	/** by cell: the class of each choice for the change after it */
	private readonly nextClass: (Uint16Array | null)[];
	/** what can be reached before cell k, by class, lowest states first */
	private reached: Map<number, Point[]>[] = [];
	/** the key of no more than which courses were followed for that */
	private reachedFor = NaN;

	/**
	 * @param lists choices of each cell that count
	 * @param keys least key of every choice, cell by cell
	 * @param edges steps of the state between which bounds are worked out apart
	 */
	constructor(
		private readonly problem: Problem,
		readonly lists: readonly Int32Array[],
		private readonly keys: readonly Float64Array[],
		readonly edges: readonly number[]
	) {
		this.cells = problem.sequence.cells;
		this.nextClass = lists.map((_, k) => problem.classesOf(k + 1));
		this.bundles = lists.map((list, k) => this.bundlesOf(list, k));
		this.lowest = this.lowestStates();
		this.rests[this.cells] = [new Float64Array(edges.length)];
		for (let k = this.cells - 1; k >= 0; k--) this.rests[k] = this.restsBefore(k);
	}

	private leastKnown: number | null = null;
	/** Least key of a course; Infinity where none leads through. */
	get least(): number {
		return (this.leastKnown ??= this.reach(this.firstGuess()));
	}

	private bundlesOf(list: Int32Array, k: number): Bundle[] {
		const { problem } = this;
		const many = problem.classesBefore(k + 1);
		if (problem.classesBefore(k) === 1 && many === 1) return [this.bundle(0, 0, list, k)];
		const before = problem.classesOf(k);
		const after = problem.classesOf(k + 1);
		const known = new Map<number, number[]>();
		for (const choice of list) {
			const key = (before?.[choice] ?? 0) * many + (after?.[choice] ?? 0);
			const own = known.get(key);
			if (own) own.push(choice);
			else known.set(key, [choice]);
		}
		return [...known].map(([key, own]) => this.bundle(Math.floor(key / many), key % many, own, k));
	}
	private bundle(from: number, to: number, choices: ArrayLike<number>, k: number): Bundle {
		const ranks = this.problem.sequence.ranks?.(k);
		const leaders = ranks ? leadersOf(choices, this.keys[k]!, ranks) : Array.from(choices);
		return { from, to, choices, leaders };
	}

	private lowestStates(): Float64Array {
		const lowest = new Float64Array(this.cells + 1);
		lowest[0] = this.problem.sequence.startState;
		this.bundles.forEach((bundles, k) => {
			lowest[k + 1] = Infinity;
			for (const { leaders } of bundles)
				for (const choice of leaders) {
					this.problem.judge(k, choice, lowest[k]!);
					lowest[k + 1] = Math.min(lowest[k + 1]!, this.problem.judged.state);
				}
		});
		return lowest;
	}

	/** Least key from before a cell on, by step of the state, for choices of a class; null where nothing leads on. */
	private restsFrom(k: number, inClass: number): Float64Array | null {
		return this.rests[k]![inClass] ?? null;
	}
	/** The choices of a cell that no other one of their kind outdoes. */
	leadersOf(k: number): number[] {
		return this.bundles[k]!.flatMap(({ leaders }) => [...leaders]);
	}
	/** Least key after a choice of a cell that leaves some state. */
	restAfter(k: number, choice: number, state: number): number {
		const rests = this.rests[k + 1]![this.nextClass[k]?.[choice] ?? 0];
		return rests ? rests[stepOf(this.edges, state)]! : Infinity;
	}

	private restsBefore(k: number): (Float64Array | undefined)[] {
		const { edges } = this;
		const lowest = this.lowest[k]!;
		const first = stepOf(edges, lowest);
		const out: (Float64Array | undefined)[] = [];
		for (const { from, to, leaders } of this.bundles[k]!) {
			const after = this.restsFrom(k + 1, to);
			if (!after) continue;
			const values = (out[from] ??= new Float64Array(edges.length).fill(Infinity));
			for (let e = first; e < edges.length; e++) {
				const state = Math.max(edges[e]!, lowest);
				for (const choice of leaders) {
					if (this.keys[k]![choice]! >= values[e]!) continue;
					const own = this.problem.judge(k, choice, state);
					const value = own + after[stepOf(edges, this.problem.judged.state)]!;
					if (value < values[e]!) values[e] = value;
				}
			}
		}
		// No state lies below the lowest.
		for (const values of out) values?.fill(values[first]!, 0, first);
		return out;
	}

	/** Key of a course that follows the bounds, so that little else has to be looked at. */
	private firstGuess(): number {
		const { sequence } = this.problem;
		let at = { state: sequence.startState, key: 0, class: 0 };
		for (let k = 0; k < this.cells; k++) {
			let best = Infinity;
			let next = at;
			for (const { from, to, leaders } of this.bundles[k]!) {
				const after = this.restsFrom(k + 1, to);
				if (from !== at.class || !after) continue;
				for (const choice of leaders) {
					const key = at.key + this.problem.judge(k, choice, at.state);
					const { state } = this.problem.judged;
					const bound = key + after[stepOf(this.edges, state)]!;
					if (bound < best || (bound === best && state < next.state)) {
						best = bound;
						next = { key, state, class: to };
					}
				}
			}
			if (best === Infinity) return Infinity;
			at = next;
		}
		return at.key;
	}

	/**
	 * Works out all that can be reached by courses of no more than some key.
	 * @returns the least key of a course
	 */
	private reach(most: number): number {
		this.reachedFor = most;
		const { sequence } = this.problem;
		const { edges } = this;
		this.reached = [new Map([[0, [{ state: sequence.startState, key: 0 }]]])];
		for (let k = 0; k < this.cells; k++) {
			const next = new Map<number, Point[]>();
			for (const { from, to, leaders } of this.bundles[k]!) {
				const points = this.reached[k]!.get(from);
				const after = this.restsFrom(k + 1, to);
				if (!points || !after) continue;
				let own = next.get(to);
				if (!own) next.set(to, (own = []));
				for (const choice of leaders) {
					const least = this.keys[k]![choice]!;
					for (const { state, key } of points) {
						if (key + least > most) continue;
						const sum = key + this.problem.judge(k, choice, state);
						const end = this.problem.judged.state;
						if (sum + after[stepOf(edges, end)]! <= most) addPoint(own, end, sum);
					}
				}
			}
			for (const points of next.values()) points.sort((a, b) => a.state - b.state);
			this.reached.push(next);
		}
		return (this.reached[this.cells]!.get(0) ?? []).reduce(
			(least, { key }) => Math.min(least, key),
			Infinity
		);
	}

	/** The choices that courses of no more than some key can make, in rising order. */
	within(most: number): Int32Array[] {
		if (most !== this.reachedFor) this.reach(most);
		const { edges, problem } = this;
		return this.bundles.map((bundles, k) => {
			const keys = this.keys[k]!;
			const ranks = problem.sequence.ranks?.(k);
			const kept: number[] = [];
			for (const { from, to, choices } of bundles) {
				const points = this.reached[k]!.get(from);
				const after = this.restsFrom(k + 1, to);
				if (!points || points.length === 0 || !after) continue;
				const lowest = points[0]!.state;
				const leastKey = points.reduce((least, { key }) => Math.min(least, key), Infinity);
				const leads = (choice: number): boolean => {
					const left = most - keys[choice]!;
					const from = (state: number, key: number): boolean =>
						key <= left &&
						key + problem.judge(k, choice, state) + after[stepOf(edges, problem.judged.state)]! <= most;
					// What would not do from the lowest state with the least key does from no point; of one point that is all.
					if (!from(lowest, leastKey)) return false;
					return points.length === 1 || points.some(({ state, key }) => from(state, key));
				};
				const near = Array.from(choices).filter((choice) => leastKey + keys[choice]! <= most);
				kept.push(...(ranks ? leading(near, keys, ranks, leads) : near.filter(leads)));
			}
			return Int32Array.from(kept).sort();
		});
	}
	/** Least key with which a state below some limit is reached before a cell, in a class; Infinity where none is. */
	leastBefore(k: number, inClass: number, belowState: number): number {
		let least = Infinity;
		for (const { state, key } of this.reached[k]!.get(inClass) ?? []) {
			if (state >= belowState) break;
			if (key < least) least = key;
		}
		return least;
	}
}

/** The choices that no other one outdoes: of a lower rank, for no higher key. */
function leadersOf(choices: ArrayLike<number>, keys: Float64Array, ranks: Float64Array): number[] {
	const best = new Map<number, number>();
	for (let i = 0; i < choices.length; i++) {
		const choice = choices[i]!;
		const known = best.get(keys[choice]!);
		if (known === undefined || ranks[choice]! < ranks[known]!) best.set(keys[choice]!, choice);
	}
	let least = Infinity;
	return [...best.entries()]
		.sort(([a], [b]) => a - b)
		.map(([, choice]) => choice)
		.filter((choice) => {
			if (ranks[choice]! >= least) return false;
			least = ranks[choice]!;
			return true;
		});
}

/** The choices that lead on: of those with one key, what one says holds for all of a lower or of a higher rank. */
function leading(
	choices: readonly number[],
	keys: Float64Array,
	ranks: Float64Array,
	leads: (choice: number) => boolean
): number[] {
	/** by key: the highest rank that is known to lead, and the lowest that is known not to */
	const known = new Map<number, { yes: number; no: number }>();
	return choices.filter((choice) => {
		let marks = known.get(keys[choice]!);
		if (!marks) known.set(keys[choice]!, (marks = { yes: -Infinity, no: Infinity }));
		const rank = ranks[choice]!;
		if (rank <= marks.yes) return true;
		if (rank >= marks.no) return false;
		const does = leads(choice);
		if (does) marks.yes = rank;
		else marks.no = rank;
		return does;
	});
}

/** Adds a point where no other one is as low in both, and takes out what it is as low as. */
function addPoint(points: Point[], state: number, key: number): void {
	for (const other of points) if (other.state <= state && other.key <= key) return;
	let kept = 0;
	for (const other of points) if (other.state < state || other.key < key) points[kept++] = other;
	points.length = kept;
	points.push({ state, key });
}
