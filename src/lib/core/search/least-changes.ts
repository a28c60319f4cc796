import { type Bounds, type Path, placeIn, risingOrder, type Work } from './bounds';
import { type Open, type Problem, stepOf } from './problem';

const ordersKnown = new WeakMap<Float64Array, Map<number, Int32Array>>();

/** Choices of a cell from the best on, by the changes from there on, for one step of the state. */
function orderOf({ ahead, edges }: Bounds, k: number, step: number): Int32Array {
	const values = ahead[k]!;
	const known = ordersKnown.get(values) ?? new Map<number, Int32Array>();
	ordersKnown.set(values, known);
	let order = known.get(step);
	if (!order) {
		const steps = edges.length;
		order = risingOrder(
			Float64Array.from({ length: values.length / steps }, (_, j) => values[j * steps + step]!)
		);
		known.set(step, order);
	}
	return order;
}

/**
 * The course of a bounds with the fewest changes, or null when none is within the limit: the most promising way is followed
 * to its end first, and what cannot be better than the best so far is dropped. When the work runs out, the best so far.
 * @param limit most changes
 * @param enough a course with no more changes ends the search
 * @param byKey whether ways of little penalty and overheat go first, where any course will do
 */
export function fewestChanges(
	problem: Problem,
	bounds: Bounds,
	{
		limit,
		enough,
		open,
		work,
		byKey = false
	}: { limit: number; enough: number; open: Open | null; work: Work; byKey?: boolean }
): Path | null {
	const { relaxation, edges, lists, ahead, after, most } = bounds;
	const { cells, startState, sizes } = problem.sequence;
	const steps = edges.length;
	const factors = sizes.length;
	const { optionIn } = problem;
	const opened = open
		? lists.map((list, k) => Uint8Array.from(list, (c) => Number(problem.isOpen(open, k, c))))
		: null;
	const seen = lists.map((list) => new Array<Path[] | undefined>(list.length));
	let best: Path | null = null;
	const done = (): boolean => work.left < 0 || (best !== null && best.changes <= enough);
	/** least penalty and overheat of a whole course that goes on with a choice */
	const keyBy = (k: number, i: number, sum: number, from: number): number => {
		const choice = lists[k]![i]!;
		return sum + problem.judge(k, choice, from) + relaxation.restAfter(k, choice, problem.judged.state);
	};
	const dive = (
		k: number,
		i: number,
		sum: number,
		changes: number,
		from: number,
		before: Path | null
	): void => {
		const choice = lists[k]![i]!;
		const key = sum + problem.judge(k, choice, from);
		const { state } = problem.judged;
		if (key + relaxation.restAfter(k, choice, state) > most) return;
		const step = stepOf(edges, state);
		if (!(changes + after[k]![i * steps + step]! <= limit)) return;
		const path: Path = { key, changes, state, choice, before };
		if (k === cells - 1) {
			best = path;
			limit = changes - 0.5;
			return;
		}
		const others = seen[k]![i];
		if (!others) seen[k]![i] = [path];
		else {
			// With less penalty and overheat on the way it would be under what is the least there is.
			for (const other of others)
				if (other.state <= state && (other.key < key || (other.key === key && other.changes <= changes)))
					return;
			others.push(path);
		}
		const next = lists[k + 1]!;
		const values = ahead[k + 1]!;
		const tables = problem.changes(k + 1);
		const costTo = (j: number): number => {
			let cost = 0;
			for (let f = 0; f < factors; f++)
				cost += tables[f]![optionIn[f]![choice]! * sizes[f]! + optionIn[f]![next[j]!]!]!;
			return cost;
		};
		// From the best on that can follow: once even the cheapest change to it is too much, the rest is.
		const order = orderOf(bounds, k + 1, step);
		const cheapest = problem.cheapestChange(k + 1);
		const ways: { at: number; cost: number; bound: number; rank: number }[] = [];
		const consider = (at: number, cost: number): void => {
			const bound = changes + cost + values[at * steps + step]!;
			if (!(bound <= limit) || opened?.[k + 1]![at] === 0) return;
			const rank = byKey ? keyBy(k + 1, at, key, state) : bound;
			if (!byKey || rank <= most) ways.push({ at, cost, bound, rank });
		};
		const same = placeIn(next, choice);
		if (same >= 0) consider(same, 0);
		let n = 0;
		for (; n < order.length; n++) {
			const j = order[n]!;
			if (changes + values[j * steps + step]! + cheapest > limit) break;
			if (j !== same) consider(j, costTo(j));
		}
		work.left -= n + 1;
		ways.sort((a, b) => a.rank - b.rank || a.cost - b.cost || a.at - b.at);
		for (const way of ways) {
			if (done()) return;
			if (way.bound <= limit) dive(k + 1, way.at, key, changes + way.cost, state, path);
		}
	};
	const start = stepOf(edges, startState);
	const rankOf = (i: number): number => (byKey ? keyBy(0, i, 0, startState) : ahead[0]![i * steps + start]!);
	const first = [...lists[0]!.keys()]
		.filter((i) => !opened || opened[0]![i])
		.map((i) => ({ i, rank: rankOf(i) }))
		.sort((a, b) => a.rank - b.rank || a.i - b.i);
	for (const { i } of first) {
		if (done()) break;
		if (ahead[0]![i * steps + start]! <= limit) dive(0, i, 0, 0, startState, null);
	}
	return best;
}
