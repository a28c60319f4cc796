import type { Cell } from './conditions';

/** Loops of more rounds than this are dressed by their first, second and last round. */
const ROUNDS_DRESSED_APART = 4;

/**
 * The cells for which outfits are chosen, and for every lived cell the one whose outfit it wears. In a long loop the rounds
 * between the second and the last wear what the second does, unless each round shall be dressed.
 */
export function representatives(
	cells: readonly Cell[],
	each = false
): { chosen: Cell[]; of: Map<Cell, number> } {
	const rounds = new Map<string, number>();
	for (const { phaseId, round } of cells) rounds.set(phaseId, Math.max(rounds.get(phaseId) ?? 0, round));
	const chosen: Cell[] = [];
	const of = new Map<Cell, number>();
	const second = new Map<string, number>();
	for (const cell of cells) {
		const last = rounds.get(cell.phaseId)!;
		const between = !each && last > ROUNDS_DRESSED_APART && cell.round > 2 && cell.round < last;
		if (between) of.set(cell, second.get(cell.phaseId)!);
		else {
			of.set(cell, chosen.push(cell) - 1);
			if (cell.round === 2) second.set(cell.phaseId, chosen.length - 1);
		}
	}
	return { chosen, of };
}
