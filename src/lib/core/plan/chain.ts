import { lightestSet, type Oracle } from './lightest';

/**
 * The best course of choices along a chain of cells, proven.
 *
 * A choice is one option in each of a few factors (say trunk, legs, head, front opening). Changing an option between two
 * cells costs something, factor by factor. One number of state (heat debt, a cold finger) is carried along; lower is
 * better. Costs are compared in strict order: blame, sweat, changes, then the mass of all that is used.
 *
 * How it is found. Every choice is judged once in every cell at the lowest state that can be met there: what it costs
 * then is the least it can cost, and the sum of the best of each cell is a bound. Only choices within some slack of the
 * best of their cell are looked at; when the best course of those stays within the slack, none that was left out can be
 * better. Within the choices that are looked at, a pass backward gives bounds per step of the state, and a pass forward
 * follows exact states and drops what the bounds exclude.
 */
export interface Chain {
	cells: number;
	/** options in each factor */
	sizes: readonly number[];
	/** cost of going from one option to another before cell k ≥ 1, in hundredths; Infinity where impossible */
	change(k: number, factor: number, from: number, to: number): number;
	/**
	 * what a choice costs in a cell and the state after it, written into `into`; a blame of Infinity is a choice that is
	 * not open; blame and state never fall when the state before rises
	 */
	judge(k: number, choice: number, state: number, into: Judged): void;
	startState: number;
	/** the lowest possible state, then rising steps between which bounds are worked out apart */
	stateEdges: readonly number[];
	/** things used by an option, as indexes into `massG` */
	uses(factor: number, option: number): readonly number[];
	massG: readonly number[];
}
export interface Judged {
	blame: number;
	/** clo·min, whole numbers */
	sweat: number;
	state: number;
}

export interface CourseLevels {
	blame: number;
	sweat: number;
	/** hundredths */
	changes: number;
}

export interface Course extends CourseLevels {
	/** option per factor, for each cell */
	choices: number[][];
	massG: number;
	/** things used anywhere, as indexes into `massG` */
	used: number[];
	/** whether the mass is proven the least */
	proven: boolean;
}

/** Which options may be chosen: of each factor everywhere, and in single cells. */
export interface Open {
	options: readonly Uint8Array[];
	at?: ReadonlyMap<number, readonly Uint8Array[]>;
}

/** Blame, sweat and changes in one number, so that strict order is one comparison. */
const SWEAT_UNIT = 1e7;
const BLAME_UNIT = 1e12;

const levelsOf = (key: number): CourseLevels => {
	const blame = Math.floor(key / BLAME_UNIT);
	const rest = key - blame * BLAME_UNIT;
	const sweat = Math.floor(rest / SWEAT_UNIT);
	return { blame, sweat, changes: rest - sweat * SWEAT_UNIT };
};

interface Label {
	key: number;
	state: number;
	step: number;
	/** least that it can end with */
	bound: number;
	choice: number;
	before: Label | null;
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

/** Index of the step in which a state lies. */
function stepOf(edges: readonly number[], state: number): number {
	let step = edges.length - 1;
	while (step > 0 && state < edges[step]!) step--;
	return step;
}

/** Choices within the slack, cell by cell, with bounds on what still follows. */
interface Field {
	/** steps of the state between which bounds are worked out apart */
	edges: readonly number[];
	/** choices of each cell, in rising order */
	lists: Int32Array[];
	/** least cost from before cell k is judged, per choice of its list and step of the state */
	ahead: Float64Array[];
	/** least cost from after cell k */
	after: Float64Array[];
}

const ordersKnown = new WeakMap<Float64Array, Map<number, Int32Array>>();
/** Choices of a cell from the best on, by what they cost from there at least, for one step of the state. */
function orderOf({ ahead, edges }: Field, k: number, step: number): Int32Array {
	const rests = ahead[k]!;
	const known = ordersKnown.get(rests) ?? new Map<number, Int32Array>();
	ordersKnown.set(rests, known);
	let order = known.get(step);
	if (!order) {
		const steps = edges.length;
		const values = new Float64Array(rests.length / steps);
		for (let j = 0; j < values.length; j++) values[j] = rests[j * steps + step]!;
		order = risingOrder(values);
		known.set(step, order);
	}
	return order;
}
/** Where a choice stands in a list, which is in rising order; −1 where it does not. */
function placeIn(list: Int32Array, choice: number): number {
	let low = 0;
	let high = list.length;
	while (low < high) {
		const middle = (low + high) >> 1;
		if (list[middle]! < choice) low = middle + 1;
		else high = middle;
	}
	return list[low] === choice ? low : -1;
}

/** The best of some lists, and the try that found it. */
interface Found {
	field: Field;
	label: Label | null;
	proven: boolean;
	at: number;
}

/** The best course that was found, and what is needed to ask whether fewer things do as well. */
export interface Best extends CourseLevels {
	key: number;
	proven: boolean;
	label: Label;
	field: Field;
	/** least key of the cells before each cell */
	prefix: Float64Array;
}

/** Slack that is tried first: a little sweat. */
const FIRST_SLACK = 3 * SWEAT_UNIT;
/**
 * Pairs of label and choice that one search may look at, a count so that results repeat. Bounds that know few steps of the
 * state cost little and are tried first; what they leave is searched with finer ones.
 */
const MOST_PAIRS = 1_000_000;
const TRIES = [
	{ every: 1000, pairs: 40_000 },
	{ every: 3, pairs: 150_000 },
	{ every: 1, pairs: MOST_PAIRS }
] as const;

/** Share of all pairs that is looked at before there is nothing better to find, about. */
const LOOKED_AT = 0.5;
/** A choice has up to four factors; the table of one that is not there. */
const FOUR = [0, 1, 2, 3] as const;
const NO_COST = new Float64Array(1);
type FourTables = [Float64Array, Float64Array, Float64Array, Float64Array];
type FourRows = [Int32Array, Int32Array, Int32Array, Int32Array];

/** Indexes of a list in rising order of its values; what is Infinity is left out. */
const risingOrder = (values: Float64Array): Int32Array =>
	Int32Array.from([...values.keys()].filter((i) => values[i]! < Infinity)).sort(
		(a, b) => values[a]! - values[b]! || a - b
	);

export class ChainSolver {
	readonly choices: number;
	/** option of a factor in a choice */
	private readonly optionIn: Uint16Array[];
	/** least key of each choice in each cell */
	private readonly keys: Float64Array[] = [];
	private readonly lowest: Float64Array;
	private readonly tables: (Float64Array[] | null)[];
	private readonly judged: Judged = { blame: 0, sweat: 0, state: 0 };

	/** @throws RangeError when a factor has no option */
	constructor(readonly chain: Chain) {
		const { sizes, cells } = chain;
		this.choices = sizes.reduce((a, b) => a * b, 1);
		if (this.choices === 0) throw new RangeError('a factor has 0 options, allowed is 1 or more');
		this.optionIn = sizes.map(() => new Uint16Array(this.choices));
		for (let c = 0; c < this.choices; c++) {
			for (let f = sizes.length - 1, left = c; f >= 0; f--) {
				this.optionIn[f]![c] = left % sizes[f]!;
				left = Math.floor(left / sizes[f]!);
			}
		}
		this.tables = new Array<Float64Array[] | null>(cells).fill(null);
		this.lowest = new Float64Array(cells);
		let state = chain.startState;
		for (let k = 0; k < cells; k++) {
			this.lowest[k] = state;
			const keys = new Float64Array(this.choices);
			let next = Infinity;
			for (let c = 0; c < this.choices; c++) {
				this.judge(k, c, state);
				keys[c] = this.key();
				if (keys[c]! < Infinity && this.judged.state < next) next = this.judged.state;
			}
			this.keys.push(keys);
			state = next === Infinity ? state : next;
		}
	}

	/** Every option open. */
	everything(): Open {
		return { options: this.chain.sizes.map((size) => new Uint8Array(size).fill(1)) };
	}

	/** Only options that use nothing but these things. */
	openOf(allows: (thing: number) => boolean): Open {
		const { sizes, uses } = this.chain;
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
		this.chain.sizes.forEach((size, f) => {
			for (let option = 0; option < size; option++)
				for (const thing of this.chain.uses(f, option)) used.add(thing);
		});
		return (this.thingsKnown = [...used].sort((a, b) => a - b));
	}

	private judge(k: number, choice: number, state: number): void {
		this.chain.judge(k, choice, state, this.judged);
	}
	private key(): number {
		return this.judged.blame * BLAME_UNIT + this.judged.sweat * SWEAT_UNIT;
	}

	/** Change costs before cell k, one table per factor. */
	private changes(k: number): Float64Array[] {
		const known = this.tables[k];
		if (known) return known;
		const made = this.chain.sizes.map((size, factor) => {
			const table = new Float64Array(size * size);
			for (let from = 0; from < size; from++)
				for (let to = 0; to < size; to++) table[from * size + to] = this.chain.change(k, factor, from, to);
			return table;
		});
		this.tables[k] = made;
		return made;
	}

	private isOpen(open: Open, k: number, choice: number): boolean {
		const own = open.at?.get(k);
		for (let f = 0; f < this.optionIn.length; f++) {
			const option = this.optionIn[f]![choice]!;
			if (!open.options[f]![option] || (own && !own[f]![option])) return false;
		}
		return true;
	}

	/**
	 * The best course of the open options; null when none leads through.
	 * @param spare what may be spent later on fewer things, hundredths of changes
	 */
	solve(open: Open = this.everything(), spare = 0): Best | null {
		const { cells } = this.chain;
		const least = new Float64Array(cells).fill(Infinity);
		const candidates = this.keys.map((keys, k) => {
			const list: number[] = [];
			for (let c = 0; c < this.choices; c++) {
				if (keys[c] === Infinity || !this.isOpen(open, k, c)) continue;
				list.push(c);
				if (keys[c]! < least[k]!) least[k] = keys[c]!;
			}
			return list;
		});
		if (candidates.some((list) => list.length === 0)) return null;
		const prefix = new Float64Array(cells + 1);
		for (let k = 0; k < cells; k++) prefix[k + 1] = prefix[k]! + least[k]!;
		const total = prefix[cells]!;
		let before: Found | null = null;
		for (let slack = FIRST_SLACK; ;) {
			const lists = candidates.map((list, k) =>
				Int32Array.from(list.filter((c) => this.keys[k]![c]! <= least[k]! + slack))
			);
			const found = this.bestOf(lists, prefix, spare, before);
			const { field, label, proven } = found;
			if (!label) {
				// Nothing led through what was looked at; with everything looked at, nothing does.
				if (slack === Infinity) return null;
				slack = Infinity;
				continue;
			}
			const over = Math.floor(label.key / SWEAT_UNIT) * SWEAT_UNIT - total;
			if (over <= slack || !proven) {
				return { ...levelsOf(label.key), key: label.key, proven, label, field, prefix };
			}
			before = found;
			slack = over;
		}
	}

	/**
	 * The best course through lists of choices: first with bounds that know no state, then with finer ones, for the choices
	 * that the first ones leave.
	 * @param prefix least key of the cells before each cell
	 * @param before what was found in some of these lists: no worse will do, and its steps are the first to be tried
	 */
	private bestOf(lists: Int32Array[], prefix: Float64Array, spare: number, before: Found | null): Found {
		const { stateEdges } = this.chain;
		let left = lists;
		let known = before?.label ?? null;
		for (let at = 0; at < TRIES.length; at++) {
			const { every, pairs } = TRIES[at]!;
			const edges = stateEdges.filter((_, e) => e % every === 0);
			if (every !== 1 && edges.length === stateEdges.length) continue;
			let field = this.fieldOf(left, edges);
			// What may be spent on a lighter set later has to stay.
			if (known) field = this.nearIn(field, prefix, known.key + spare);
			if (before && at < before.at) {
				left = field.lists;
				continue;
			}
			const { label, proven } = this.bestIn(field, pairs, known?.key ?? Infinity);
			known = label ?? known;
			if (proven || every === 1) return { field, label: known, proven, at };
			if (known) left = this.nearIn(field, prefix, known.key + spare).lists;
		}
		throw new RangeError('the last try takes every step, allowed is no other');
	}

	private fieldOf(lists: Int32Array[], edges: readonly number[]): Field {
		const { cells } = this.chain;
		const steps = edges.length;
		const ahead: Float64Array[] = new Array<Float64Array>(cells);
		const after: Float64Array[] = new Array<Float64Array>(cells);
		for (let k = cells - 1; k >= 0; k--) {
			const list = lists[k]!;
			const own = new Float64Array(list.length * steps);
			after[k] =
				k === cells - 1
					? new Float64Array(list.length * steps)
					: this.beforeChange(k + 1, list, lists[k + 1]!, ahead[k + 1]!, steps);
			for (let i = 0; i < list.length; i++) {
				for (let e = 0; e < steps; e++) {
					// A step in which no state can lie is bounded by the lowest state there is.
					this.judge(k, list[i]!, Math.max(edges[e]!, this.lowest[k]!));
					own[i * steps + e] = this.key() + after[k]![i * steps + stepOf(edges, this.judged.state)]!;
				}
			}
			ahead[k] = own;
		}
		return { edges, lists, ahead, after };
	}

	/**
	 * For each choice of a list the least of all that it can change to, step by step of the state. What is changed to is
	 * tried from the best on: once even the cheapest change to it would cost more than what was found, nothing after it helps.
	 */
	private beforeChange(
		k: number,
		from: Int32Array,
		to: Int32Array,
		ahead: Float64Array,
		steps: number
	): Float64Array {
		const used = this.usedIn(from, to);
		const domain = used.reduce((product, options) => product * options.length, 1);
		const sweep = used.reduce((sum, options) => sum + options.length, 0);
		if (from.length * to.length * LOOKED_AT > domain * sweep)
			return this.swept(k, from, to, ahead, steps, used);
		const tables = this.changes(k);
		const { sizes } = this.chain;
		const factors = sizes.length;
		const cheapest = this.cheapestChange(k);
		const places = Int32Array.from(from, (choice) => placeIn(to, choice));
		const out = new Float64Array(from.length * steps).fill(Infinity);
		const values = new Float64Array(to.length);
		// Rows and columns of the tables by choice; a factor that is not there costs nothing.
		const [t0, t1, t2, t3] = FOUR.map((f) => tables[f] ?? NO_COST) as FourTables;
		const [r0, r1, r2, r3] = FOUR.map((f) =>
			Int32Array.from(from, (c) => (f < factors ? this.optionIn[f]![c]! * sizes[f]! : 0))
		) as FourRows;
		const columns = FOUR.map((f) => Int32Array.from(to, (c) => (f < factors ? this.optionIn[f]![c]! : 0)));
		const [c0, c1, c2, c3] = FOUR.map(() => new Int32Array(to.length)) as FourRows;
		const sorted = [c0, c1, c2, c3];
		for (let e = 0; e < steps; e++) {
			let same = e > 0;
			for (let j = 0; j < to.length; j++) {
				const value = ahead[j * steps + e]!;
				if (same && value !== values[j]) same = false;
				values[j] = value;
			}
			if (same) {
				for (let i = 0; i < from.length; i++) out[i * steps + e] = out[i * steps + e - 1]!;
				continue;
			}
			const order = risingOrder(values);
			for (let f = 0; f < factors; f++)
				for (let n = 0; n < order.length; n++) sorted[f]![n] = columns[f]![order[n]!]!;
			const rising = new Float64Array(order.length);
			for (let n = 0; n < order.length; n++) rising[n] = values[order[n]!]!;
			for (let i = 0; i < from.length; i++) {
				const own = places[i]!;
				let best = own >= 0 ? values[own]! : Infinity;
				const [a0, a1, a2, a3] = [r0[i]!, r1[i]!, r2[i]!, r3[i]!];
				for (let n = 0; n < rising.length; n++) {
					const value = rising[n]!;
					if (value + cheapest >= best) break;
					const cost = t0[a0 + c0[n]!]! + t1[a1 + c1[n]!]! + t2[a2 + c2[n]!]! + t3[a3 + c3[n]!]!;
					if (cost + value < best) best = cost + value;
				}
				out[i * steps + e] = best;
			}
		}
		return out;
	}

	/** The same factor by factor: from every choice to every other by way of those between. */
	private swept(
		k: number,
		from: Int32Array,
		to: Int32Array,
		ahead: Float64Array,
		steps: number,
		used: readonly (readonly number[])[]
	): Float64Array {
		const tables = this.changes(k);
		const factors = this.optionIn.length;
		const domain = used.reduce((product, options) => product * options.length, 1);
		const out = new Float64Array(from.length * steps).fill(Infinity);
		const place = used.map((options, f) => {
			const index = new Int32Array(this.chain.sizes[f]!).fill(-1);
			options.forEach((option, i) => (index[option] = i));
			return index;
		});
		const strides = new Array<number>(factors);
		for (let f = factors - 1, stride = 1; f >= 0; f--) {
			strides[f] = stride;
			stride *= used[f]!.length;
		}
		const at = (choice: number): number => {
			let index = 0;
			for (let f = 0; f < factors; f++) index += place[f]![this.optionIn[f]![choice]!]! * strides[f]!;
			return index;
		};
		let values = new Float64Array(domain * steps).fill(Infinity);
		for (let j = 0; j < to.length; j++)
			for (let e = 0; e < steps; e++) values[at(to[j]!) * steps + e] = ahead[j * steps + e]!;
		for (let f = 0; f < factors; f++) {
			const options = used[f]!;
			const size = this.chain.sizes[f]!;
			const stride = strides[f]!;
			const swept = new Float64Array(domain * steps).fill(Infinity);
			const many = options.length;
			const block = stride * steps;
			for (let high = 0; high < domain * steps; high += block * many) {
				for (let own = 0; own < many; own++) {
					const row = options[own]! * size;
					const target = high + own * block;
					for (let other = 0; other < many; other++) {
						const cost = tables[f]![row + options[other]!]!;
						if (cost === Infinity) continue;
						const source = high + other * block;
						for (let i = 0; i < block; i++) {
							const value = values[source + i]! + cost;
							if (value < swept[target + i]!) swept[target + i] = value;
						}
					}
				}
			}
			values = swept;
		}
		for (let i = 0; i < from.length; i++)
			for (let e = 0; e < steps; e++) out[i * steps + e] = values[at(from[i]!) * steps + e]!;
		return out;
	}

	/** Options of each factor that two lists use. */
	private usedIn(from: Int32Array, to: Int32Array): number[][] {
		return this.optionIn.map((option) => {
			const seen = new Set<number>();
			for (const c of from) seen.add(option[c]!);
			for (const c of to) seen.add(option[c]!);
			return [...seen].sort((a, b) => a - b);
		});
	}

	private readonly cheapestKnown: number[] = [];
	/** Least cost of going from one option to another before cell k. */
	private cheapestChange(k: number): number {
		return (this.cheapestKnown[k] ??= this.changes(k).reduce((least, table, f) => {
			const size = this.chain.sizes[f]!;
			return table.reduce(
				(a, cost, at) => (cost < a && Math.floor(at / size) !== at % size ? cost : a),
				least
			);
		}, Infinity));
	}
	/** Where the rows of a choice begin in the tables of changes. */
	private rowsOf(choice: number): number[] {
		return this.chain.sizes.map((size, f) => this.optionIn[f]![choice]! * size);
	}

	private bestIn(field: Field, pairs: number, limit: number): { label: Label | null; proven: boolean } {
		const start = stepOf(field.edges, this.chain.startState);
		const steps = field.edges.length;
		let bound = Infinity;
		for (let i = 0; i < field.lists[0]!.length; i++)
			bound = Math.min(bound, field.ahead[0]![i * steps + start]!);
		if (bound === Infinity) return { label: null, proven: true };
		const work = { left: pairs };
		const label = this.search(field, limit, bound, null, work);
		return { label, proven: work.left >= 0 };
	}

	/**
	 * The best course within a limit, or null when there is none: the most promising way is followed to its end first, and
	 * what cannot be better than the best so far is dropped. When the work runs out, the best so far.
	 * @param enough a course that costs no more than this ends the search
	 */
	private search(
		field: Field,
		limit: number,
		enough: number,
		open: Open | null,
		work: { left: number }
	): Label | null {
		const { edges, lists, ahead, after } = field;
		const { cells, startState } = this.chain;
		const steps = edges.length;
		const factors = this.optionIn.length;
		const opened = open
			? lists.map((list, k) => Uint8Array.from(list, (c) => Number(this.isOpen(open, k, c))))
			: null;
		const seen: (Label[] | undefined)[][] = lists.map((list) => new Array<Label[] | undefined>(list.length));
		let best: Label | null = null;
		const done = (): boolean => work.left < 0 || (best !== null && best.key <= enough);
		const dive = (k: number, i: number, key: number, state: number, before: Label | null): void => {
			this.judge(k, lists[k]![i]!, state);
			const own = key + this.key();
			const end = this.judged.state;
			const step = stepOf(edges, end);
			const bound = own + after[k]![i * steps + step]!;
			if (!(bound <= limit)) return;
			const label: Label = { key: own, state: end, step, bound, choice: lists[k]![i]!, before };
			if (k === cells - 1) {
				best = label;
				limit = own - 0.5;
				return;
			}
			const others = seen[k]![i];
			if (!others) seen[k]![i] = [label];
			else {
				for (const other of others) if (other.key <= own && other.state <= end) return;
				others.push(label);
			}
			const next = lists[k + 1]!;
			const tables = this.changes(k + 1);
			const from = this.rowsOf(label.choice);
			const costTo = (j: number): number => {
				let cost = 0;
				for (let f = 0; f < factors; f++) cost += tables[f]![from[f]! + this.optionIn[f]![next[j]!]!]!;
				return cost;
			};
			// From the best on that can follow: once even the cheapest change to it is too much, the rest is.
			const order = orderOf(field, k + 1, step);
			const cheapest = this.cheapestChange(k + 1);
			const rests = ahead[k + 1]!;
			const same = placeIn(next, label.choice);
			const isOpen = (j: number): boolean => !opened || opened[k + 1]![j] === 1;
			// The most promising way goes first: what it finds leaves few of the others.
			let most = same >= 0 && isOpen(same) && own + rests[same * steps + step]! <= limit ? same : -1;
			let mostCost = 0;
			let least = most < 0 ? Infinity : own + rests[most * steps + step]!;
			let n = 0;
			for (; n < order.length; n++) {
				const j = order[n]!;
				const rest = own + rests[j * steps + step]!;
				if (!(rest + cheapest <= limit) || rest + cheapest >= least) break;
				if (!isOpen(j) || j === same) continue;
				const cost = costTo(j);
				if (rest + cost <= limit && rest + cost < least) {
					most = j;
					mostCost = cost;
					least = rest + cost;
				}
			}
			work.left -= n + 1;
			if (most < 0) return;
			dive(k + 1, most, own + mostCost, end, label);
			if (done()) return;
			const ways: { at: number; cost: number; bound: number }[] = [];
			if (same >= 0 && same !== most && isOpen(same) && own + rests[same * steps + step]! <= limit)
				ways.push({ at: same, cost: 0, bound: own + rests[same * steps + step]! });
			for (n = 0; n < order.length; n++) {
				const j = order[n]!;
				const rest = own + rests[j * steps + step]!;
				if (!(rest + cheapest <= limit)) break;
				if (j === most || j === same || !isOpen(j)) continue;
				const cost = costTo(j);
				if (rest + cost <= limit) ways.push({ at: j, cost, bound: rest + cost });
			}
			work.left -= n;
			ways.sort((a, b) => a.bound - b.bound || a.cost - b.cost || a.at - b.at);
			for (const way of ways) {
				if (done()) return;
				if (way.bound <= limit) dive(k + 1, way.at, own + way.cost, end, label);
			}
		};
		const start = stepOf(edges, startState);
		const first = [...lists[0]!.keys()]
			.filter((i) => !opened || opened[0]![i])
			.map((i) => ({ at: i, bound: ahead[0]![i * steps + start]! }))
			.sort((a, b) => a.bound - b.bound || a.at - b.at);
		for (const { at, bound } of first) {
			if (done()) break;
			if (bound <= limit) dive(0, at, 0, startState, null);
		}
		return best;
	}

	/**
	 * A course of open options that is no worse than the best in blame and sweat, and takes at most `spare` hundredths
	 * more of changes: the one with the fewest; null when there is none.
	 */
	within(best: Best, open: Open, spare = 0): Label | null {
		const near = this.near(best, spare);
		return this.search(near, best.key + spare, best.key, open, { left: MOST_PAIRS });
	}
	/** Whether a question was ever left open for want of work: no answer of "no" is proven then. */
	gaveUp = false;
	/** Whether there is such a course. */
	private leadsWithin(best: Best, open: Open, spare: number): boolean {
		const near = this.near(best, spare);
		const work = { left: MOST_PAIRS };
		const found = this.search(near, best.key + spare, Infinity, open, work) !== null;
		if (!found && work.left < 0) this.gaveUp = true;
		return found;
	}

	private readonly nearBy = new WeakMap<Best, Map<number, Field>>();
	/** The choices that any course within so much of the best can make. */
	private near(best: Best, spare: number): Field {
		const known = this.nearBy.get(best) ?? new Map<number, Field>();
		this.nearBy.set(best, known);
		const before = known.get(spare);
		if (before) return before;
		const made = this.nearIn(best.field, best.prefix, best.key + spare);
		known.set(spare, made);
		return made;
	}
	/** The choices of a field that a course of no more than some cost can make. */
	private nearIn(field: Field, prefix: Float64Array, most: number): Field {
		const { edges } = field;
		const steps = edges.length;
		const kept = field.lists.map((list, k) => {
			const at = Math.max(0, stepOf(edges, this.lowest[k]!));
			return [...list.keys()].filter((i) => prefix[k]! + field.ahead[k]![i * steps + at]! <= most);
		});
		const rows = (values: Float64Array, k: number): Float64Array => {
			const out = new Float64Array(kept[k]!.length * steps);
			kept[k]!.forEach((i, at) => out.set(values.subarray(i * steps, (i + 1) * steps), at * steps));
			return out;
		};
		return {
			edges,
			lists: field.lists.map((list, k) => Int32Array.from(kept[k]!, (i) => list[i]!)),
			ahead: field.ahead.map(rows),
			after: field.after.map(rows)
		};
	}

	/** The choices of a course, first cell first, and all that it uses. */
	courseOf(last: Label): { choices: number[][]; used: number[] } & CourseLevels {
		const { sizes, uses } = this.chain;
		const way: number[] = [];
		for (let label: Label | null = last; label; label = label.before) way.unshift(label.choice);
		const choices = way.map((choice) => optionsOf(choice, sizes));
		const used = new Set(choices.flatMap((options) => options.flatMap((option, f) => [...uses(f, option)])));
		return { ...levelsOf(last.key), choices, used: [...used].sort((a, b) => a - b) };
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
		const { uses } = this.chain;
		const used = new Set<number>();
		for (const list of this.near(best, spare).lists)
			for (const choice of list)
				this.optionIn.forEach((option, f) => uses(f, option[choice]!).forEach((thing) => used.add(thing)));
		return [...used].sort((a, b) => a - b);
	}
}

/**
 * The best course through a chain, exact in all four levels.
 * @throws RangeError when a factor has no option, or when no course leads through
 */
export function bestCourse(chain: Chain): Course {
	if (chain.cells === 0)
		return { choices: [], blame: 0, sweat: 0, changes: 0, massG: 0, used: [], proven: true };
	const solver = new ChainSolver(chain);
	const best = solver.solve();
	if (!best) throw new RangeError('no course leads through the cells, allowed is at least one');
	const first = solver.courseOf(best.label);
	const mass = best.proven
		? lightestSet(new Set(first.used), solver.things, chain.massG, [solver.oracle(best)])
		: { things: new Set(first.used), proven: false };
	const label = best.proven
		? solver.within(
				best,
				solver.openOf((thing) => mass.things.has(thing))
			)
		: null;
	const course = solver.courseOf(label ?? best.label);
	return {
		...course,
		massG: course.used.reduce((sum, thing) => sum + chain.massG[thing]!, 0),
		proven: best.proven && mass.proven && !solver.gaveUp
	};
}
