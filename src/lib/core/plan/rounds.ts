import type { Cell } from './conditions';

/** Loops of more rounds than this are dressed by some of their rounds. */
const ROUNDS_DRESSED_APART = 4;
/** Rounds that are dressed alike where the first and the last alone do not do. */
const ALIKE = 3;

/**
 * How closely the rounds of a long loop are looked at: all between the second and the last wear what the second does; every
 * third is dressed, and those after it wear the same; each for itself.
 */
export const CLOSENESS = ['few', 'thirds', 'each'] as const;
export type Closeness = (typeof CLOSENESS)[number];
export const closer = (closeness: Closeness): Closeness =>
	CLOSENESS[Math.min(CLOSENESS.length - 1, CLOSENESS.indexOf(closeness) + 1)]!;

/** The round whose outfit a round wears. */
function dressedAs(round: number, last: number, closeness: Closeness): number {
	if (round === 1 || round === last || last <= ROUNDS_DRESSED_APART || closeness === 'each') return round;
	return closeness === 'few' ? 2 : 2 + ALIKE * Math.floor((round - 2) / ALIKE);
}

/** The cells for which outfits are chosen, and for every lived cell the one whose outfit it wears. */
export function representatives(
	cells: readonly Cell[],
	closeness: Closeness = 'few'
): { chosen: Cell[]; of: Map<Cell, number> } {
	const rounds = new Map<string, number>();
	for (const { phaseId, round } of cells) rounds.set(phaseId, Math.max(rounds.get(phaseId) ?? 0, round));
	const chosen: Cell[] = [];
	const of = new Map<Cell, number>();
	const places = new Map<string, number>();
	for (const cell of cells) {
		const { phaseId, round } = cell;
		const model = dressedAs(round, rounds.get(phaseId)!, closeness);
		if (model === round) places.set(`${phaseId} ${round}`, chosen.push(cell) - 1);
		of.set(cell, places.get(`${phaseId} ${model}`)!);
	}
	return { chosen, of };
}
