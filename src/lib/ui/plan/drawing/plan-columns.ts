import type { PlannedPhase } from '$lib/core/kit/planned-day';

/** Narrowest column in which a phase can be read with ease, and at all, px. */
const NARROW = 72;
const NARROWEST = 54;

/** Widths of the phase columns: they grow slower than minutes, so that a short change-over is no sliver. */
export function columnWidths(phases: readonly PlannedPhase[], available: number): number[] {
	const weights = phases.map(({ cell }) => Math.min(11, Math.max(3, Math.sqrt(cell.minutes))));
	const least = Math.max(NARROWEST, Math.min(NARROW, Math.floor(available / Math.max(1, phases.length))));
	const spare = Math.max(0, available - least * phases.length);
	const total = weights.reduce((a, b) => a + b, 0) || 1;
	return weights.map((weight) => Math.floor(least + (spare * weight) / total));
}

/** Left edge of every column, and the end of the last one, px. */
export const columnEdges = (widths: readonly number[]): number[] =>
	widths.reduce<number[]>((edges, width) => [...edges, edges.at(-1)! + width], [0]);
