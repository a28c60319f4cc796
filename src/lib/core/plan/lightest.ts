/**
 * The lightest set of things that still does: an implicit hitting set, knowing nothing of clothes.
 */

/** Steps after which the search for the lightest hitting set is given up. */
const MOST_STEPS = 20_000;

/**
 * Least mass of things that hits every cut, each of which needs at least one of its things; null when that takes too
 * long to find.
 */
export function lightestHitting(
	cuts: readonly (readonly number[])[],
	massG: readonly number[]
): Set<number> | null {
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
}

/**
 * The lightest set of things with which the first three levels keep their optimum. Whether a set does is monotone, so
 * this is an implicit hitting set: a set that fails is grown while it still fails, and what is then left out is a cut,
 * of which at least one thing must be taken.
 * @param start things of one best course
 * @param holds whether a set of things keeps the optimum
 * @param isOver whether it shall settle for the lightest set so far
 */
export function lightestSet(
	start: ReadonlySet<number>,
	massG: readonly number[],
	holds: (things: ReadonlySet<number>) => boolean,
	isOver: () => boolean
): { things: Set<number>; proven: boolean } {
	const all = massG.map((_, thing) => thing);
	const heaviestFirst = [...all].sort((a, b) => massG[b]! - massG[a]! || a - b);
	const totalG = (things: ReadonlySet<number>): number =>
		[...things].reduce((sum, thing) => sum + massG[thing]!, 0);
	const cuts: number[][] = [];
	const keeps = (things: ReadonlySet<number>): boolean => things.size === all.length || holds(things);
	/** Grows a failing set, light things first, and remembers what it lacks. */
	const learn = (failing: ReadonlySet<number>): void => {
		const grown = new Set(failing);
		for (const thing of [...heaviestFirst].reverse()) {
			if (grown.has(thing)) continue;
			grown.add(thing);
			if (keeps(grown)) grown.delete(thing);
		}
		cuts.push(all.filter((thing) => !grown.has(thing)));
	};
	let best = new Set(start);
	for (const thing of heaviestFirst) {
		if (!best.has(thing)) continue;
		const without = new Set(best);
		without.delete(thing);
		if (keeps(without)) best = without;
		else if (!isOver()) learn(without);
	}
	while (!isOver()) {
		const lower = lightestHitting(cuts, massG);
		if (!lower) break;
		if (totalG(lower) >= totalG(best)) return { things: best, proven: true };
		if (keeps(lower)) return { things: lower, proven: true };
		learn(lower);
	}
	return { things: best, proven: false };
}
