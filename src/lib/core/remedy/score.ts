/** Figures that are to be least, the first one first. */
export type Score = readonly number[];

const EPSILON = 1e-9;
export const isLess = (a: Score, b: Score): boolean => {
	const at = a.findIndex((value, i) => Math.abs(value - b[i]!) > EPSILON);
	return at >= 0 && a[at]! < b[at]!;
};
export const byScore = (a: { score: Score }, b: { score: Score }): number =>
	isLess(a.score, b.score) ? -1 : isLess(b.score, a.score) ? 1 : 0;
