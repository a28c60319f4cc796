import type { Phase, Sequence } from './types';

/** All phases of a sequence, those of its loops once. */
export const phasesIn = (sequence: Sequence): Phase[] =>
	sequence.flatMap((item) => (item.type === 'loop' ? phasesIn(item.sequence) : [item]));

/** How many phases are lived, loops rolled out. */
export const livedCount = (sequence: Sequence): number =>
	sequence.reduce(
		(sum, item) => sum + (item.type === 'loop' ? item.count * livedCount(item.sequence) : 1),
		0
	);

/** Phases in the order in which they are lived, loops rolled out, with the round of the innermost loop. */
export function rolledOut(sequence: Sequence, round = 1): { phase: Phase; round: number }[] {
	return sequence.flatMap((item) =>
		item.type === 'phase'
			? [{ phase: item, round }]
			: Array.from({ length: item.count }, (_, i) => rolledOut(item.sequence, i + 1)).flat()
	);
}
