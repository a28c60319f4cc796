/**
 * A sequence of cells in each of which something is chosen, and what all parts of its search share.
 */

/**
 * A choice is one option in each of a few factors (say trunk, legs, head, front opening). Changing an option between two
 * cells costs something, factor by factor. One number of state (heat debt, a cold finger) is carried along; lower is
 * better. Everything is weighed in one cost, hundredths of a change; then comes the mass of all that is used.
 */
export interface SequenceProblem {
	cells: number;
	/** options in each factor */
	sizes: readonly number[];
	/**
	 * what it costs before cell k ≥ 1 to go from any option of a factor to any other, row by row: hundredths, 0 to itself,
	 * Infinity where it cannot be done
	 */
	changes(k: number, factor: number): Float64Array;
	/**
	 * what a choice costs in a cell and the state after it, written into `into`; a penalty of Infinity is a choice that is
	 * not open; penalty and state never fall when the state before rises
	 */
	judge(k: number, choice: number, state: number, into: Judged): void;
	/**
	 * what each of some choices of a cell costs at least from a state on, Infinity where it is not open; judged one by one
	 * where this is not given
	 */
	leastCosts?(k: number, state: number, list: Int32Array): Float64Array;
	/**
	 * a number for each choice of a cell: the open one with the lowest number leaves the lowest state; all are tried where
	 * this is not given
	 */
	ranks?(k: number): Float64Array;
	startState: number;
	/** things used by an option, as indexes into `massG` */
	uses(factor: number, option: number): readonly number[];
	massG: readonly number[];
}

export interface Judged {
	penalty: number;
	/** clo·min */
	overheat: number;
	state: number;
}

/** Which options may be chosen: of each factor everywhere, and in single cells. */
export interface Open {
	options: readonly Uint8Array[];
	at?: ReadonlyMap<number, readonly Uint8Array[]>;
}

/** Hundredths of a change that a unit of penalty is worth: the least of them is worth one change (our assumption). */
const COST_OF_PENALTY = 100;
/** Hundredths of a change that a clo·min of overheat is worth: eight are worth one change (our assumption). */
const COST_OF_OVERHEAT = 12.5;
/** What a judgement costs, hundredths of a change. */
export const costOf = (penalty: number, overheat: number): number =>
	penalty * COST_OF_PENALTY + overheat * COST_OF_OVERHEAT;

/** Option of each factor in a choice; a choice counts through the factors, the last one fastest. */
export function optionsOf(choice: number, sizes: readonly number[]): number[] {
	const options: number[] = [];
	for (let f = sizes.length - 1, left = choice; f >= 0; f--) {
		options[f] = left % sizes[f]!;
		left = Math.floor(left / sizes[f]!);
	}
	return options;
}

/** A table of what it costs to go from any option of a factor to any other. */
export function changeTable(size: number, cost: (from: number, to: number) => number): Float64Array {
	const table = new Float64Array(size * size);
	for (let from = 0; from < size; from++)
		for (let to = 0; to < size; to++) table[from * size + to] = cost(from, to);
	return table;
}

/** Option of each factor in every choice. */
function optionsIn(sizes: readonly number[], choices: number): readonly Uint16Array[] {
	let stride = choices;
	return sizes.map((size) => {
		stride /= size;
		const own = new Uint16Array(choices);
		for (let at = 0; at < own.length;)
			for (let option = 0; option < size; option++, at += stride) own.fill(option, at, at + stride);
		return own;
	});
}

/** A sequence laid out for searching. */
export class Problem {
	readonly choices: number;
	/** option of a factor in a choice */
	readonly optionIn: readonly Uint16Array[];
	/** what the last judgement said */
	readonly judged: Judged = { penalty: 0, overheat: 0, state: 0 };

	/** @throws RangeError when a factor has no option */
	constructor(readonly sequence: SequenceProblem) {
		const { sizes } = sequence;
		this.choices = sizes.reduce((a, b) => a * b, 1);
		if (this.choices === 0) throw new RangeError('a factor has 0 options, allowed is 1 or more');
		this.optionIn = optionsIn(sizes, this.choices);
	}

	/** Cost of a choice, hundredths; the state after it is in `judged`. */
	judge(k: number, choice: number, state: number): number {
		this.sequence.judge(k, choice, state, this.judged);
		return costOf(this.judged.penalty, this.judged.overheat);
	}
	/** The least that each of some choices can cost in a cell from a state on. */
	leastCosts(k: number, state: number, list: Int32Array): Float64Array {
		if (this.sequence.leastCosts) return this.sequence.leastCosts(k, state, list);
		return Float64Array.from(list, (choice) => this.judge(k, choice, state));
	}
	/** The lowest state in which some choices can leave a cell. */
	lowestAfter(k: number, list: Int32Array, state: number): number {
		const ranks = this.sequence.ranks?.(k);
		let lowest = Infinity;
		if (ranks) {
			let best = list[0]!;
			for (const choice of list) if (ranks[choice]! < ranks[best]!) best = choice;
			this.judge(k, best, state);
			return this.judged.state;
		}
		for (const choice of list) {
			this.judge(k, choice, state);
			lowest = Math.min(lowest, this.judged.state);
		}
		return lowest;
	}

	/** Tables of what changes cost before a cell, one for each factor. */
	private readonly changesKnown: Float64Array[][] = [];
	changesBefore(k: number): readonly Float64Array[] {
		return (this.changesKnown[k] ??= this.sequence.sizes.map((_, f) => this.sequence.changes(k, f)));
	}

	isOpen(open: Open, k: number, choice: number): boolean {
		const own = open.at?.get(k);
		for (let f = 0; f < this.optionIn.length; f++) {
			const option = this.optionIn[f]![choice]!;
			if (!open.options[f]![option] || (own && !own[f]![option])) return false;
		}
		return true;
	}
}
