/**
 * The lightest set of things that still does: an implicit hitting set, knowing nothing of clothes.
 */

/** Steps after which the search for the lightest hitting set is given up. */
const MOST_STEPS = 20_000;

/** Finds the least mass of things that hits every cut; null when that takes too long. */
export type HittingSolver = (
	cuts: readonly (readonly number[])[],
	massG: readonly number[]
) => Set<number> | null;

/**
 * Least mass of things that hits every cut, each of which needs at least one of its things; null when that takes too
 * long to find.
 */
export const lightestHitting: HittingSolver = (cuts, massG) => {
	let best: Set<number> | null = null;
	let bestG = Infinity;
	let steps = 0;
	const search = (taken: Set<number>, left: ReadonlySet<number>, soFarG: number): void => {
		if (soFarG >= bestG || steps++ > MOST_STEPS) return;
		const open = cuts.filter((cut) => !cut.some((thing) => taken.has(thing)));
		if (open.length === 0) {
			best = new Set(taken);
			bestG = soFarG;
			return;
		}
		const choices = open
			.map((cut) => cut.filter((thing) => !left.has(thing)))
			.reduce((a, b) => (b.length < a.length ? b : a));
		const without = new Set(left);
		for (const thing of [...choices].sort((a, b) => massG[a]! - massG[b]! || a - b)) {
			search(new Set([...taken, thing]), without, soFarG + massG[thing]!);
			without.add(thing);
		}
	};
	search(new Set(), new Set(), 0);
	return steps > MOST_STEPS ? null : (best ?? new Set());
};

/** One part of the whole (a day): whether a set of things keeps its optimum; more things never do worse. */
export interface Oracle {
	/** things that make a difference to it */
	things: readonly number[];
	holds(things: ReadonlySet<number>): boolean;
}

interface Lightest {
	things: Set<number>;
	proven: boolean;
	/** least mass that any set can have, by what has been shown so far */
	atLeastG: number;
}

/**
 * The lightest set of things with which every part keeps its optimum. Whether a set does is monotone, so this is an
 * implicit hitting set: a set that fails a part is grown while it still fails it, light things first, and what is then
 * left out is a cut, of which at least one thing must be taken.
 * @param start things with which every part holds
 * @param all things that can be taken
 * @param massG mass of every thing, by its number; 0 for what comes along anyway
 * @param hit solver of the small integer program
 * @param isOver whether it shall settle for the lightest set so far
 */
export function lightestSet(...asked: Parameters<typeof lightestSteps>): Lightest {
	const steps = lightestSteps(...asked);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}

/** The same, a step at a time, so that others may have a turn in between. */
export function* lightestSteps(
	start: ReadonlySet<number>,
	all: readonly number[],
	massG: readonly number[],
	parts: readonly Oracle[],
	{ hit = lightestHitting, isOver = () => false }: { hit?: HittingSolver; isOver?: () => boolean } = {}
): Generator<void, Lightest, void> {
	const heaviestFirst = [...all].sort((a, b) => massG[b]! - massG[a]! || a - b);
	const totalG = (things: ReadonlySet<number>): number =>
		[...things].reduce((sum, thing) => sum + massG[thing]!, 0);
	const cuts: number[][] = [];
	// A part that failed lately is asked first.
	const order = parts.map((_, part) => part);
	const failing = (things: ReadonlySet<number>): number => {
		for (let at = 0; at < order.length; at++) {
			const part = order[at]!;
			if (parts[part]!.holds(things)) continue;
			order.splice(at, 1);
			order.unshift(part);
			return part;
		}
		return -1;
	};
	/** @returns whether a cut was found: none is where the part does not hold with anything */
	const learn = (things: ReadonlySet<number>, part: number): boolean => {
		const { things: own, holds } = parts[part]!;
		const matters = new Set(own);
		const grown = new Set(things);
		for (const thing of [...heaviestFirst].reverse()) {
			if (grown.has(thing) || !matters.has(thing)) continue;
			grown.add(thing);
			if (holds(grown)) grown.delete(thing);
		}
		const cut = own.filter((thing) => !grown.has(thing));
		if (cut.length > 0) cuts.push(cut);
		return cut.length > 0;
	};
	let best = new Set(start);
	for (const thing of heaviestFirst) {
		if (!best.has(thing)) continue;
		const without = new Set(best);
		without.delete(thing);
		const part = failing(without);
		if (part < 0) best = without;
		else if (!isOver()) learn(without, part);
		yield;
	}
	let atLeastG = 0;
	while (!isOver()) {
		const lower = hit(cuts, massG);
		if (!lower) break;
		atLeastG = Math.min(totalG(best), Math.max(atLeastG, totalG(lower)));
		if (totalG(lower) >= totalG(best)) return { things: best, proven: true, atLeastG: totalG(best) };
		const part = failing(lower);
		if (part < 0) return { things: lower, proven: true, atLeastG: totalG(lower) };
		if (!learn(lower, part)) break;
		yield;
	}
	return { things: best, proven: false, atLeastG };
}
