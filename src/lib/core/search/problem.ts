/**
 * A sequence of cells in each of which something is chosen, and what all parts of its search share.
 */

/**
 * A choice is one option in each of a few factors (say trunk, legs, head, front opening). Changing an option between two
 * cells costs something, factor by factor. One number of state (heat debt, a cold finger) is carried along; lower is
 * better. Costs are compared in strict order: penalty, overheat, changes, then the mass of all that is used.
 */
export interface SequenceProblem {
	cells: number;
	/** options in each factor */
	sizes: readonly number[];
	/**
	 * what it costs before cell k ≥ 1 to go from any option of a factor to any other, row by row: whole hundredths, 0 to
	 * itself, Infinity where it cannot be done
	 */
	changes(k: number, factor: number): Float64Array;
	/**
	 * what a choice costs in a cell and the state after it, written into `into`; a penalty of Infinity is a choice that is
	 * not open; penalty and state never fall when the state before rises
	 */
	judge(k: number, choice: number, state: number, into: Judged): void;
	/**
	 * a key for each choice of a cell that no state makes less of, Infinity where it is not open; what each costs from the
	 * lowest state where this is not given
	 */
	leastKeys?(k: number): Float64Array;
	/**
	 * a number for each choice of a cell: of two with the same least key, the one with the lower number costs no more and
	 * leaves no higher state, whatever the state before; nothing is known of them where this is not given
	 */
	ranks?(k: number): Float64Array;
	startState: number;
	/** the lowest possible state, then rising steps between which bounds are worked out apart */
	stateEdges: readonly number[];
	/** things used by an option, as indexes into `massG` */
	uses(factor: number, option: number): readonly number[];
	massG: readonly number[];
}

export interface Judged {
	penalty: number;
	/** clo·min, whole numbers */
	overheat: number;
	state: number;
}

/** Which options may be chosen: of each factor everywhere, and in single cells. */
export interface Open {
	options: readonly Uint8Array[];
	at?: ReadonlyMap<number, readonly Uint8Array[]>;
}

/** Penalty and overheat in one number, so that strict order is one comparison. */
const PENALTY_UNIT = 1e7;
export const keyOf = (penalty: number, overheat: number): number => penalty * PENALTY_UNIT + overheat;
export const penaltyIn = (key: number): number => Math.floor(key / PENALTY_UNIT);
export const overheatIn = (key: number): number => key - PENALTY_UNIT * penaltyIn(key);
export const fromKey = (key: number): { penalty: number; overheat: number } => ({
	penalty: penaltyIn(key),
	overheat: overheatIn(key)
});

/** Index of the step in which a state lies. */
export function stepOf(edges: readonly number[], state: number): number {
	let step = edges.length - 1;
	while (step > 0 && state < edges[step]!) step--;
	return step;
}

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

/** What is worth knowing of a table of changes. */
interface Facts {
	/** options between which a way of possible changes leads, one after another, as the number of their class */
	classOf: Int32Array;
	classes: number;
	/** least cost of going to another option */
	cheapest: number;
}

const factsKnown = new WeakMap<Float64Array, Facts>();
function factsOf(table: Float64Array, size: number): Facts {
	const known = factsKnown.get(table);
	if (known) return known;
	const classOf = new Int32Array(size).fill(-1);
	let classes = 0;
	let cheapest = Infinity;
	for (let first = 0; first < size; first++) {
		if (classOf[first]! >= 0) continue;
		classOf[first] = classes;
		for (const waiting = [first]; waiting.length > 0;) {
			const one = waiting.pop()!;
			for (let other = 0; other < size; other++) {
				if (other === one) continue;
				const cost = Math.min(table[one * size + other]!, table[other * size + one]!);
				if (cost < cheapest) cheapest = cost;
				if (classOf[other]! >= 0 || cost === Infinity) continue;
				classOf[other] = classes;
				waiting.push(other);
			}
		}
		classes++;
	}
	const made = { classOf, classes, cheapest };
	factsKnown.set(table, made);
	return made;
}

/** The change before a cell: what it costs, and which choices it leads between. */
interface Change {
	tables: readonly Float64Array[];
	cheapest: number;
	classes: number;
	/** class of every choice: one can only be followed by those of its class; null where all are of one class */
	classOf: Uint16Array | null;
}

/** Changes by the table of their first factor, which sequences share. */
const changesKnown = new WeakMap<Float64Array, Change[]>();
function changeOf(
	tables: readonly Float64Array[],
	sizes: readonly number[],
	optionIn: readonly Uint16Array[]
): Change {
	const like = changesKnown.get(tables[0]!) ?? [];
	changesKnown.set(tables[0]!, like);
	const known = like.find((one) => one.tables.every((table, f) => table === tables[f]));
	if (known) return known;
	const facts = tables.map((table, f) => factsOf(table, sizes[f]!));
	const classes = facts.reduce((product, one) => product * one.classes, 1);
	const classOf = classes === 1 ? null : new Uint16Array(optionIn[0]!.length);
	if (classOf)
		for (let choice = 0; choice < classOf.length; choice++) {
			let own = 0;
			for (let f = 0; f < facts.length; f++)
				own = own * facts[f]!.classes + facts[f]!.classOf[optionIn[f]![choice]!]!;
			classOf[choice] = own;
		}
	const cheapest = Math.min(...facts.map((one) => one.cheapest));
	const made = { tables, cheapest, classes, classOf };
	like.push(made);
	return made;
}

let lastOptions: { sizes: readonly number[]; optionIn: readonly Uint16Array[] } = { sizes: [], optionIn: [] };

/** Option of each factor in every choice; sequences of a trip mostly come with the same sizes one after the other. */
function optionsIn(sizes: readonly number[], choices: number): readonly Uint16Array[] {
	const { sizes: last } = lastOptions;
	if (last.length === sizes.length && last.every((size, f) => size === sizes[f])) return lastOptions.optionIn;
	let stride = choices;
	const optionIn = sizes.map((size) => {
		stride /= size;
		const own = new Uint16Array(choices);
		for (let at = 0; at < own.length;)
			for (let option = 0; option < size; option++, at += stride) own.fill(option, at, at + stride);
		return own;
	});
	lastOptions = { sizes, optionIn };
	return optionIn;
}

/** A sequence laid out for searching. */
export class Problem {
	readonly choices: number;
	/** option of a factor in a choice */
	readonly optionIn: readonly Uint16Array[];
	/** what the last judgement said */
	readonly judged: Judged = { penalty: 0, overheat: 0, state: 0 };
	private readonly changesKnown: Change[] = [];

	/** @throws RangeError when a factor has no option */
	constructor(readonly sequence: SequenceProblem) {
		const { sizes } = sequence;
		this.choices = sizes.reduce((a, b) => a * b, 1);
		if (this.choices === 0) throw new RangeError('a factor has 0 options, allowed is 1 or more');
		this.optionIn = optionsIn(sizes, this.choices);
	}

	/** Penalty and overheat of a choice; the state after it is in `judged`. */
	judge(k: number, choice: number, state: number): number {
		this.sequence.judge(k, choice, state, this.judged);
		return keyOf(this.judged.penalty, this.judged.overheat);
	}
	/** The least that each choice can cost in a cell. */
	leastKeys(k: number): Float64Array {
		if (this.sequence.leastKeys) return this.sequence.leastKeys(k);
		const lowest = this.sequence.stateEdges[0]!;
		return Float64Array.from({ length: this.choices }, (_, choice) => this.judge(k, choice, lowest));
	}

	private changeBefore(k: number): Change {
		return (this.changesKnown[k] ??= changeOf(
			this.sequence.sizes.map((_, factor) => this.sequence.changes(k, factor)),
			this.sequence.sizes,
			this.optionIn
		));
	}
	/** Change costs before cell k, one table per factor. */
	changes(k: number): readonly Float64Array[] {
		return this.changeBefore(k).tables;
	}
	/** Least cost of going from one option to another before cell k. */
	cheapestChange(k: number): number {
		return this.changeBefore(k).cheapest;
	}
	/** How many classes of choices the change before cell k knows: a choice can only be followed by those of its class. */
	classesBefore(k: number): number {
		return k === 0 || k === this.sequence.cells ? 1 : this.changeBefore(k).classes;
	}
	/** Class of each choice for the change before cell k; null where all are of one class. */
	classesOf(k: number): Uint16Array | null {
		return k === 0 || k === this.sequence.cells ? null : this.changeBefore(k).classOf;
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
