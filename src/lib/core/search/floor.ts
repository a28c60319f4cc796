import { type Alive, aliveWithin, costedWhere, leastOf, withinByFactor } from './bounds';
import type { Problem } from './problem';

/** What choices cost at least in their cells, and which of them courses up to a limit can make. */

/** Times that choices are left out and the lowest states worked out anew. */
const MOST_SHAVES = 4;

/** Choices of each cell, and what they cost at least. */
export interface Floor {
	lists: Int32Array[];
	own: Float64Array[];
	/** sum of the cheapest ones */
	total: number;
}

/** What some choices cost at least, from the lowest states that they can bring about; null when a cell has none. */
export function floorOf(problem: Problem, lists: readonly Int32Array[]): Floor | null {
	const { sequence } = problem;
	const floor: Floor = { lists: [], own: [], total: 0 };
	let lowest = sequence.startState;
	for (let k = 0; k < sequence.cells; k++) {
		const all = lists[k]!;
		const costs = problem.leastCosts(k, lowest, all);
		const list = new Int32Array(all.length);
		const own = new Float64Array(all.length);
		let many = 0;
		for (let i = 0; i < all.length; i++) {
			if (costs[i] === Infinity) continue;
			own[many] = costs[i]!;
			list[many++] = all[i]!;
		}
		if (many === 0) return null;
		floor.lists[k] = list.subarray(0, many);
		floor.own[k] = own.subarray(0, many);
		floor.total += leastOf(floor.own[k]!);
		lowest = problem.lowestAfter(k, floor.lists[k]!, lowest);
	}
	return floor;
}

/**
 * The choices within a slack of the cheapest of their cell, without what is too far away factor by factor; `whole` when
 * none was left out for there being too many.
 */
function nearest(
	problem: Problem,
	first: Floor,
	slack: number,
	most: number
): { floor: Floor; whole: boolean } {
	let whole = true;
	const close: Floor = { lists: [], own: [], total: 0 };
	first.lists.forEach((list, k) => {
		const costs = first.own[k]!;
		const highest = leastOf(costs) + slack + 1e-6;
		[close.lists[k], close.own[k]] = costedWhere(list, costs, (place) => costs[place]! <= highest);
	});
	const near = slack === Infinity ? close : withinByFactor(problem, close, first.total + slack + 1e-6);
	const floor: Floor = { lists: [], own: [], total: 0 };
	near.lists.forEach((list, k) => {
		const costs = near.own[k]!;
		floor.lists[k] = list;
		floor.own[k] = costs;
		if (list.length <= most) return;
		whole = false;
		const places = Array.from(list.keys())
			.sort((a, b) => costs[a]! - costs[b]! || a - b)
			.slice(0, most);
		const cheap = new Set(places);
		[floor.lists[k], floor.own[k]] = costedWhere(list, costs, (place) => cheap.has(place));
	});
	return { floor, whole };
}

/** The choices that courses up to a limit can make, shaved until no more fall out. */
export function aliveUpTo(
	problem: Problem,
	first: Floor,
	limit: number,
	most: number
): { alive: Alive; whole: boolean } {
	const { floor, whole } = nearest(problem, first, limit - first.total, most);
	let alive = aliveWithin(problem, floor.lists, floor.own, limit + 1e-6);
	let many = floor.lists.reduce((sum, list) => sum + list.length, 0);
	for (let turn = 0; turn < MOST_SHAVES && alive.least <= limit; turn++) {
		const left = alive.lists.reduce((sum, list) => sum + list.length, 0);
		if (left > 0.9 * many) break;
		many = left;
		const next = floorOf(problem, alive.lists);
		if (!next) return { alive: { ...alive, least: Infinity }, whole };
		alive = aliveWithin(problem, next.lists, next.own, limit + 1e-6);
	}
	return { alive, whole };
}
