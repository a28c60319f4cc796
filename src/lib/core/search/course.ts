import type { Bounds, Path } from './bounds';

export interface Course extends CourseLevels {
	/** option per factor, for each cell */
	choices: number[][];
	massG: number;
	/** things used anywhere, as indexes into `massG` */
	used: number[];
	/** whether the mass is proven the least */
	proven: boolean;
}

/**
 * The best course of choices along a sequence of cells, proven.
 *
 * How it is found. Penalty and overheat come first: they are followed exactly as if changes cost nothing (relaxation), among
 * choices within some slack of the best of their cell; when the optimum stays within the slack, none that was left out can
 * be better. Only choices that courses of that optimum can make are looked at further, for the fewest changes
 * (least-changes), and last for the fewest grams: which things can be left out is asked of the same search.
 */
export interface CourseLevels {
	penalty: number;
	overheat: number;
	/** hundredths */
	changes: number;
}

/** The best course that was found, and what is needed to ask whether fewer things do as well. */
export interface Best extends CourseLevels {
	proven: boolean;
	path: Path;
	bounds: Bounds;
}

/** The choices that lead to a path, first cell first. */
export function wayTo(last: Path): number[] {
	const way: number[] = [];
	for (let path: Path | null = last; path; path = path.before) way.unshift(path.choice);
	return way;
}

/** The least key of some choices; Infinity where there are none. */
export function leastOf(list: Int32Array, keys: Float64Array): number {
	let least = Infinity;
	for (let i = 0; i < list.length; i++) if (keys[list[i]!]! < least) least = keys[list[i]!]!;
	return least;
}

/** Those of some choices whose key is no more than so much. */
export function upTo(list: Int32Array, keys: Float64Array, most: number): Int32Array {
	const kept = new Int32Array(list.length);
	let many = 0;
	for (let i = 0; i < list.length; i++) if (keys[list[i]!]! <= most) kept[many++] = list[i]!;
	return kept.slice(0, many);
}
