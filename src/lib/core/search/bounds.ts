import { type Problem, stepOf } from './problem';
import type { Relaxation } from './relaxation';

/** What bounds are worked out for, and what they are. */
export interface Bounds {
	relaxation: Relaxation;
	/** no course costs more penalty and overheat */
	most: number;
	/** steps of the state between which bounds are worked out apart */
	edges: readonly number[];
	/** choices of each cell, in rising order */
	lists: readonly Int32Array[];
	/** fewest changes on the way to a choice, by its place in the list */
	arriving: readonly Float64Array[];
	/** fewest changes from a choice on, by place and step of the state before its cell */
	ahead: readonly Float64Array[];
	/** fewest changes from a choice on, by place and step of the state after its cell */
	after: readonly Float64Array[];
}

/**
 * The fewest changes of a sequence among courses of no more than some penalty and overheat: a pass backward gives bounds by step of
 * the state, and a pass forward follows exact states and drops what the bounds exclude.
 */
/** A choice that was made, with all that it took to get there. */
export interface Path {
	/** penalty and overheat so far */
	key: number;
	/** hundredths so far */
	changes: number;
	state: number;
	choice: number;
	before: Path | null;
}

/** A count of work, so that results repeat. */
export interface Work {
	/** pairs of choices that may still be looked at */
	left: number;
}

/** A choice has up to four factors; the table of one that is not there. */
const FOUR = [0, 1, 2, 3] as const;
const NO_COST = new Float64Array(1);
type FourTables = [Float64Array, Float64Array, Float64Array, Float64Array];
type FourRows = [Int32Array, Int32Array, Int32Array, Int32Array];

/** Indexes of a list in rising order of its values, which are whole numbers; what is Infinity is left out. */
export function risingOrder(values: Float64Array): Int32Array {
	// Sorted as numbers, with the index in their lowest digits.
	const keys = new Float64Array(values.length);
	let many = 0;
	for (let i = 0; i < values.length; i++)
		if (values[i]! < Infinity) keys[many++] = values[i]! * MOST_CHOICES + i;
	const sorted = keys.subarray(0, many).sort();
	const order = new Int32Array(many);
	for (let n = 0; n < many; n++) order[n] = sorted[n]! % MOST_CHOICES;
	return order;
}

/** More than the choices of any cell. */
const MOST_CHOICES = 2 ** 24;

/** Where a choice stands in a list, which is in rising order; −1 where it does not. */
export function placeIn(list: Int32Array, choice: number): number {
	let low = 0;
	let high = list.length;
	while (low < high) {
		const middle = (low + high) >> 1;
		if (list[middle]! < choice) low = middle + 1;
		else high = middle;
	}
	return list[low] === choice ? low : -1;
}

/** Where the options of a factor in some choices stand in a table of changes: their rows, or their columns. */
function spots(
	{ sequence: { sizes }, optionIn }: Problem,
	choices: Int32Array,
	f: number,
	rows: boolean
): Int32Array {
	const out = new Int32Array(choices.length);
	if (f >= sizes.length) return out;
	const width = rows ? sizes[f]! : 1;
	for (let i = 0; i < out.length; i++) out[i] = optionIn[f]![choices[i]!]! * width;
	return out;
}

/** The options of a factor that some choices have. */
function optionsUsed(choices: Int32Array, optionIn: Uint16Array, size: number): number[] {
	const seen = new Uint8Array(size);
	for (let i = 0; i < choices.length; i++) seen[optionIn[choices[i]!]!] = 1;
	const used: number[] = [];
	for (let option = 0; option < size; option++) if (seen[option] === 1) used.push(option);
	return used;
}

/** Choices in groups of one option of the first factor, the best group first. */
class Groups {
	/** first of each group in the order, and one more at the end */
	readonly starts: Int32Array;
	many = 0;
	private readonly groupOf: Int32Array;
	private readonly order: Int32Array;

	constructor(options: number, choices: number) {
		this.starts = new Int32Array(options + 1);
		this.groupOf = new Int32Array(options);
		this.order = new Int32Array(choices);
	}

	/** @param rising places of choices, from the best on */
	sort(rising: Int32Array, optionOf: Uint16Array, choices: Int32Array): Int32Array {
		const { groupOf, starts, order } = this;
		groupOf.fill(-1);
		this.many = 0;
		const counts: number[] = [];
		for (let n = 0; n < rising.length; n++) {
			const option = optionOf[choices[rising[n]!]!]!;
			if (groupOf[option]! < 0) {
				groupOf[option] = this.many++;
				counts.push(0);
			}
			counts[groupOf[option]!]!++;
		}
		starts[0] = 0;
		for (let group = 0; group < this.many; group++) starts[group + 1] = starts[group]! + counts[group]!;
		const next = starts.slice(0, this.many);
		for (let n = 0; n < rising.length; n++) {
			const group = groupOf[optionOf[choices[rising[n]!]!]!]!;
			order[next[group]!++] = rising[n]!;
		}
		return order.subarray(0, rising.length);
	}
}

/**
 * For each choice of a list the least of what it can change to and what that costs from there, step by step. What is
 * changed to is tried in groups of one option of the first factor, each from the best on, until the rest costs more.
 * @param values of the choices that can be changed to, by place and step
 * @param caps what costs more than this for a choice of the list is left out
 * @param backward whether it is changed from these to the list instead
 */
function nearest(
	problem: Problem,
	k: number,
	list: Int32Array,
	others: Int32Array,
	values: Float64Array,
	steps: number,
	caps: Float64Array,
	backward = false
): Float64Array {
	const { sizes } = problem.sequence;
	const tables = problem.changes(k);
	const places = new Int32Array(list.length);
	for (let i = 0; i < places.length; i++) places[i] = placeIn(others, list[i]!);
	const out = new Float64Array(list.length * steps).fill(Infinity);
	const own = new Float64Array(others.length);
	// A cost stands in a table at the sum of a row and a column.
	const [t0, t1, t2, t3] = FOUR.map((f) => tables[f] ?? NO_COST) as FourTables;
	const [a0, a1, a2, a3] = FOUR.map((f) => spots(problem, list, f, !backward)) as FourRows;
	const [c0, c1, c2, c3] = FOUR.map((f) => spots(problem, others, f, backward)) as FourRows;
	const [b1, b2, b3] = [c1, c2, c3].map(() => new Int32Array(others.length)) as [
		Int32Array,
		Int32Array,
		Int32Array
	];
	const rising = new Float64Array(others.length);
	const groups = new Groups(sizes[0]!, others.length);
	for (let e = 0; e < steps; e++) {
		let same = e > 0;
		for (let j = 0; j < others.length; j++) {
			const value = values[j * steps + e]!;
			if (same && value !== own[j]) same = false;
			own[j] = value;
		}
		if (same) {
			for (let i = 0; i < list.length; i++) out[i * steps + e] = out[i * steps + e - 1]!;
			continue;
		}
		const order = groups.sort(risingOrder(own), problem.optionIn[0]!, others);
		for (let n = 0; n < order.length; n++) {
			const j = order[n]!;
			rising[n] = own[j]!;
			b1[n] = c1[j]!;
			b2[n] = c2[j]!;
			b3[n] = c3[j]!;
		}
		for (let i = 0; i < list.length; i++) {
			const place = places[i]!;
			const cap = caps[i]! + 0.5;
			let best = place >= 0 && own[place]! < cap ? own[place]! : cap;
			const i0 = a0[i]!;
			const i1 = a1[i]!;
			const i2 = a2[i]!;
			const i3 = a3[i]!;
			for (let group = 0; group < groups.many; group++) {
				const start = groups.starts[group]!;
				if (rising[start]! >= best) break;
				const cost = t0[i0 + c0[order[start]!]!]!;
				for (let n = start; n < groups.starts[group + 1]!; n++) {
					const value = cost + rising[n]!;
					if (!(value < best)) break;
					const sum = value + t1[i1 + b1[n]!]! + t2[i2 + b2[n]!]! + t3[i3 + b3[n]!]!;
					if (sum < best) best = sum;
				}
			}
			out[i * steps + e] = best < cap ? best : Infinity;
		}
	}
	return out;
}

/** Bounds that look at each factor apart, whatever the state: quick, and often enough. */
export function boundsApart(
	problem: Problem,
	relaxation: Relaxation,
	most: number,
	lists: readonly Int32Array[]
): Bounds {
	const { cells, sizes } = problem.sequence;
	const arriving = lists.map((list) => new Float64Array(list.length));
	const after = lists.map((list) => new Float64Array(list.length));
	sizes.forEach((size, f) => {
		const option = problem.optionIn[f]!;
		const used = lists.map((list) => optionsUsed(list, option, size));
		/** the least of going from an option of one cell to those of another */
		const from = (values: Float64Array, k: number, to: number, backward: boolean): Float64Array => {
			const table = problem.changes(Math.max(k, to))[f]!;
			const out = new Float64Array(size).fill(Infinity);
			for (const own of used[k]!)
				for (const other of used[to]!) {
					const value = values[other]! + table[backward ? other * size + own : own * size + other]!;
					if (value < out[own]!) out[own] = value;
				}
			return out;
		};
		let values: Float64Array = new Float64Array(size);
		for (let k = 1; k < cells; k++) {
			values = from(values, k, k - 1, true);
			for (let i = 0; i < lists[k]!.length; i++) arriving[k]![i]! += values[option[lists[k]![i]!]!]!;
		}
		values = new Float64Array(size);
		for (let k = cells - 2; k >= 0; k--) {
			values = from(values, k, k + 1, false);
			for (let i = 0; i < lists[k]!.length; i++) after[k]![i]! += values[option[lists[k]![i]!]!]!;
		}
	});
	return {
		relaxation,
		most,
		edges: problem.sequence.stateEdges.slice(0, 1),
		lists,
		arriving,
		ahead: after,
		after
	};
}

/**
 * Closer bounds for the courses of no more than so many changes through some of the choices of a bounds.
 * @param lists choices of each cell that are left of those of the bounds
 * @param edges steps of the state between which bounds are worked out apart
 */
export function closerBounds(
	problem: Problem,
	bounds: Bounds,
	relaxation: Relaxation,
	lists: readonly Int32Array[],
	edges: readonly number[],
	limit: number
): Bounds {
	const { cells } = problem.sequence;
	const { most } = bounds;
	const steps = edges.length;
	// What is left to a choice before it and after it, by the bounds that there are.
	const capsAfter = lists.map(({ length }) => new Float64Array(length));
	const capsBefore = lists.map(({ length }) => new Float64Array(length));
	lists.forEach((list, k) => {
		for (let i = 0, at = 0; i < list.length; i++, at++) {
			while (bounds.lists[k]![at] !== list[i]) at++;
			capsAfter[k]![i] = limit - bounds.arriving[k]![at]!;
			capsBefore[k]![i] = limit - leastAhead(bounds, k, at);
		}
	});
	const arriving: Float64Array[] = [new Float64Array(lists[0]!.length)];
	for (let k = 1; k < cells; k++)
		arriving[k] = nearest(problem, k, lists[k]!, lists[k - 1]!, arriving[k - 1]!, 1, capsBefore[k]!, true);
	const ahead = new Array<Float64Array>(cells);
	const after = new Array<Float64Array>(cells);
	for (let k = cells - 1; k >= 0; k--) {
		const list = lists[k]!;
		const own = new Float64Array(list.length * steps).fill(Infinity);
		const next =
			k === cells - 1
				? new Float64Array(list.length * steps)
				: nearest(problem, k + 1, list, lists[k + 1]!, ahead[k + 1]!, steps, capsAfter[k]!);
		const first = stepOf(edges, relaxation.lowest[k]!);
		const classes = problem.classesOf(k);
		const onward = new Float64Array(steps);
		for (let i = 0; i < list.length; i++) {
			const choice = list[i]!;
			const inClass = classes?.[choice] ?? 0;
			// From within one step the state can end in any step from that of its lower edge on.
			for (let e = steps - 1, least = Infinity; e >= 0; e--)
				onward[e] = least = Math.min(least, next[i * steps + e]!);
			for (let e = first; e < steps; e++) {
				const before = relaxation.leastBefore(k, inClass, edges[e + 1] ?? Infinity);
				if (before === Infinity) continue;
				const key = before + problem.judge(k, choice, Math.max(edges[e]!, relaxation.lowest[k]!));
				const { state } = problem.judged;
				// A higher state does no better.
				if (key + relaxation.restAfter(k, choice, state) > most) continue;
				own[i * steps + e] = onward[stepOf(edges, state)]!;
			}
		}
		ahead[k] = own;
		after[k] = next;
	}
	return { relaxation, most, edges, lists, arriving, ahead, after };
}

/** Fewest changes from a choice on, from whatever state. */
function leastAhead({ ahead, edges }: Bounds, k: number, i: number): number {
	const steps = edges.length;
	let least = Infinity;
	for (let e = i * steps; e < (i + 1) * steps; e++) least = Math.min(least, ahead[k]![e]!);
	return least;
}

/** Some rows of a table. */
function rowsOf(values: Float64Array, rows: Int32Array, width: number): Float64Array {
	const out = new Float64Array(rows.length * width);
	for (let at = 0; at < rows.length; at++)
		for (let e = 0; e < width; e++) out[at * width + e] = values[rows[at]! * width + e]!;
	return out;
}

/** The choices of a bounds that courses with no more than so many changes can make. */
export function fewer(bounds: Bounds, mostChanges: number): Bounds {
	const { edges, lists } = bounds;
	const steps = edges.length;
	const kept = lists.map((list, k) => {
		const arriving = bounds.arriving[k]!;
		const own = new Int32Array(list.length);
		let many = 0;
		for (let i = 0; i < list.length; i++)
			if (arriving[i]! + leastAhead(bounds, k, i) <= mostChanges) own[many++] = i;
		return own.subarray(0, many);
	});
	if (kept.every((own, k) => own.length === lists[k]!.length)) return bounds;
	const ahead = bounds.ahead.map((values, k) => rowsOf(values, kept[k]!, steps));
	return {
		...bounds,
		lists: lists.map((list, k) => {
			const own = new Int32Array(kept[k]!.length);
			for (let at = 0; at < own.length; at++) own[at] = list[kept[k]![at]!]!;
			return own;
		}),
		arriving: bounds.arriving.map((values, k) => rowsOf(values, kept[k]!, 1)),
		ahead,
		after:
			bounds.after === bounds.ahead ? ahead : bounds.after.map((values, k) => rowsOf(values, kept[k]!, steps))
	};
}

/** The least that a course can cost in changes, by the bounds; Infinity where none leads through. */
export function leastChanges({ edges, ahead, lists }: Bounds, startState: number): number {
	const start = stepOf(edges, startState);
	let least = Infinity;
	for (let i = 0; i < lists[0]!.length; i++) least = Math.min(least, ahead[0]![i * edges.length + start]!);
	return least;
}
