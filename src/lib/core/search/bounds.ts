import type { Problem } from './problem';

/**
 * What a course of choices costs at least, its changes included, when the state is as low as it can be: followed from both
 * ends, factor by factor, since a change costs the sum of what its factors cost.
 */

/** The choices of each cell that courses up to some cost can make. */
export interface Alive {
	/** by cell */
	lists: Int32Array[];
	/** least cost of each of them in its cell */
	own: Float64Array[];
	/** least cost of all that follows each of them */
	ahead: Float64Array[];
	/** least cost of any course */
	least: number;
}

/** Options of a factor that some choices use, and the place of each among them. */
interface Used {
	options: number[];
	placeOf: Int32Array;
}
function usedBy(problem: Problem, list: Int32Array, f: number): Used {
	const placeOf = new Int32Array(problem.sequence.sizes[f]!).fill(-1);
	const options: number[] = [];
	const optionIn = problem.optionIn[f]!;
	for (const choice of list) {
		const option = optionIn[choice]!;
		if (placeOf[option] === -1) placeOf[option] = options.push(option) - 1;
	}
	return { options, placeOf };
}

/**
 * The least cost of getting to each choice of a cell from the choices of the one beside it, each with a cost of its own.
 * @param isAhead whether the cell beside is the later one
 */
function passedOn(
	problem: Problem,
	tables: readonly Float64Array[],
	from: { list: Int32Array; costs: Float64Array },
	to: Int32Array,
	isAhead: boolean,
	limit: number
): Float64Array {
	const factors = problem.optionIn.length;
	const before = Array.from({ length: factors }, (_, f) => usedBy(problem, from.list, f));
	const after = Array.from({ length: factors }, (_, f) => usedBy(problem, to, f));
	// A grid of all combinations of the options that are used, one factor after the other taken from there to here: first those
	// of which least is left.
	const dims = before.map(({ options }) => options.length);
	const shrinks = after.map(({ options }, f) => options.length / dims[f]!);
	const order = [...shrinks.keys()].sort((a, b) => shrinks[a]! - shrinks[b]! || dims[a]! - dims[b]!);
	let grid = new Float64Array(dims.reduce((a, b) => a * b, 1)).fill(Infinity);
	for (let i = 0; i < from.list.length; i++) {
		let at = 0;
		for (let f = 0; f < factors; f++)
			at = at * dims[f]! + before[f]!.placeOf[problem.optionIn[f]![from.list[i]!]!]!;
		if (from.costs[i]! < grid[at]!) grid[at] = from.costs[i]!;
	}
	for (const f of order) {
		const size = problem.sequence.sizes[f]!;
		const table = tables[f]!;
		const here = after[f]!.options;
		const there = before[f]!.options;
		const inner = dims.slice(f + 1).reduce((a, b) => a * b, 1);
		const outer = dims.slice(0, f).reduce((a, b) => a * b, 1);
		const next = new Float64Array(outer * here.length * inner).fill(Infinity);
		for (let x = 0; x < here.length; x++)
			for (let y = 0; y < there.length; y++) {
				const price = isAhead ? table[here[x]! * size + there[y]!]! : table[there[y]! * size + here[x]!]!;
				// What costs more alone than the whole course may cost leads nowhere.
				if (price > limit) continue;
				for (let o = 0; o < outer; o++) {
					let target = (o * here.length + x) * inner;
					let source = (o * there.length + y) * inner;
					for (let i = 0; i < inner; i++, target++, source++) {
						const cost = grid[source]! + price;
						if (cost < next[target]!) next[target] = cost;
					}
				}
			}
		grid = next;
		dims[f] = here.length;
	}
	return Float64Array.from(to, (choice) => {
		let at = 0;
		for (let f = 0; f < factors; f++) at = at * dims[f]! + after[f]!.placeOf[problem.optionIn[f]![choice]!]!;
		return grid[at]!;
	});
}

/** The lowest of some costs; Infinity when there are none. */
export const leastOf = (costs: Float64Array): number => {
	let least = Infinity;
	for (const cost of costs) if (cost < least) least = cost;
	return least;
};

/** Choices of each cell, and what each of them costs at least there. */
export interface Costed {
	lists: readonly Int32Array[];
	own: readonly Float64Array[];
}

/** Those of some choices, with their costs, whose place in the list is wanted. */
export function costedWhere(
	list: Int32Array,
	costs: Float64Array,
	isWanted: (place: number) => boolean
): [Int32Array, Float64Array] {
	const choices = new Int32Array(list.length);
	const own = new Float64Array(list.length);
	let many = 0;
	for (let place = 0; place < list.length; place++) {
		if (!isWanted(place)) continue;
		choices[many] = list[place]!;
		own[many++] = costs[place]!;
	}
	return [choices.slice(0, many), own.slice(0, many)];
}

/**
 * The options of each cell that a course up to a limit can use, where only one factor is looked at.
 * @param own least cost of each option in its cell, Infinity where it cannot be used
 * @param price what it costs at least before cell k to go from one option to another
 * @returns by cell a 1 for each option that can be used
 */
export function optionsWithin(
	own: readonly Float64Array[],
	price: (k: number, from: number, to: number) => number,
	limit: number
): Uint8Array[] {
	const cells = own.length;
	const usable = own.map((costs) =>
		Int32Array.from(costs.keys()).filter((option) => costs[option]! <= limit)
	);
	/** Least cost of getting to each usable option of a cell from those of the one beside it. */
	const stepped = (costs: Float64Array, from: number, to: number): Float64Array => {
		const reached = new Float64Array(costs.length).fill(Infinity);
		const isAhead = from > to;
		const k = Math.max(from, to);
		for (const here of usable[to]!)
			for (const there of usable[from]!) {
				if (costs[there]! >= reached[here]!) continue;
				const cost = costs[there]! + (isAhead ? price(k, here, there) : price(k, there, here));
				if (cost < reached[here]!) reached[here] = cost;
			}
		return reached;
	};
	const ahead: Float64Array[] = [];
	ahead[cells - 1] = new Float64Array(own[cells - 1]!.length);
	for (let k = cells - 2; k >= 0; k--)
		ahead[k] = stepped(
			ahead[k + 1]!.map((cost, option) => cost + own[k + 1]![option]!),
			k + 1,
			k
		);
	let reached = new Float64Array(own[0]!.length);
	return own.map((costs, k) => {
		const upTo: Float64Array = reached.map((cost, option) => cost + costs[option]!);
		if (k + 1 < cells) reached = new Float64Array(stepped(upTo, k, k + 1));
		return Uint8Array.from(upTo, (cost, option) => Number(cost + ahead[k]![option]! <= limit));
	});
}

/** Leaves out the choices with an option that no course up to a limit can use, looked at one factor at a time. */
export function withinByFactor(problem: Problem, { lists, own }: Costed, limit: number): Costed {
	const alive = problem.optionIn.map((optionIn, f) => {
		const size = problem.sequence.sizes[f]!;
		const least = lists.map((list, k) => {
			const costs = new Float64Array(size).fill(Infinity);
			for (let i = 0; i < list.length; i++) {
				const option = optionIn[list[i]!]!;
				if (own[k]![i]! < costs[option]!) costs[option] = own[k]![i]!;
			}
			return costs;
		});
		return optionsWithin(least, (k, from, to) => problem.changesBefore(k)[f]![from * size + to]!, limit);
	});
	const kept = lists.map((list, k) =>
		costedWhere(list, own[k]!, (place) => {
			for (let f = 0; f < alive.length; f++)
				if (alive[f]![k]![problem.optionIn[f]![list[place]!]!] === 0) return false;
			return true;
		})
	);
	return { lists: kept.map(([list]) => list), own: kept.map(([, costs]) => costs) };
}

/**
 * The choices that a course of no more than some cost can make.
 * @param lists choices of each cell
 * @param own least cost of each of them
 * @param limit highest cost of a course, hundredths
 */
export function aliveWithin(
	problem: Problem,
	lists: readonly Int32Array[],
	own: readonly Float64Array[],
	limit: number
): Alive {
	const cells = lists.length;
	const ahead: Float64Array[] = [];
	ahead[cells - 1] = new Float64Array(lists[cells - 1]!.length);
	for (let k = cells - 2; k >= 0; k--) {
		const costs = ahead[k + 1]!.map((cost, i) => cost + own[k + 1]![i]!);
		ahead[k] = passedOn(
			problem,
			problem.changesBefore(k + 1),
			{ list: lists[k + 1]!, costs },
			lists[k]!,
			true,
			limit
		);
	}
	const alive: Alive = { lists: [], own: [], ahead: [], least: Infinity };
	let reached: Float64Array | null = null;
	for (let k = 0; k < cells; k++) {
		const behind: Float64Array =
			k === 0
				? new Float64Array(lists[0]!.length)
				: passedOn(
						problem,
						problem.changesBefore(k),
						{ list: alive.lists[k - 1]!, costs: reached! },
						lists[k]!,
						false,
						limit
					);
		const kept: number[] = [];
		for (let i = 0; i < lists[k]!.length; i++) {
			const total = behind[i]! + own[k]![i]! + ahead[k]![i]!;
			if (k === 0 && total < alive.least) alive.least = total;
			if (total <= limit) kept.push(i);
		}
		alive.lists[k] = Int32Array.from(kept, (i) => lists[k]![i]!);
		alive.own[k] = Float64Array.from(kept, (i) => own[k]![i]!);
		alive.ahead[k] = Float64Array.from(kept, (i) => ahead[k]![i]!);
		reached = Float64Array.from(kept, (i) => behind[i]! + own[k]![i]!);
		if (kept.length === 0) {
			for (let rest = k + 1; rest < cells; rest++) {
				alive.lists[rest] = new Int32Array(0);
				alive.own[rest] = new Float64Array(0);
				alive.ahead[rest] = new Float64Array(0);
			}
			break;
		}
	}
	return alive;
}
