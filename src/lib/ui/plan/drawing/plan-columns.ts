import { pictureMessage } from '$lib/words/figure/picture-message';
import { cellName } from '$lib/core/conditions/cell-name';
import type { PlannedPhase } from '$lib/core/kit/planned-day';
import { VERDICTS } from '$lib/core/document/verdict';

/** Narrowest column in which a phase can be read with ease, and at all, px. */
const NARROW = 72;
const NARROWEST = 54;

/** A phase of the drawing: the rounds of a loop in which the same is worn are one column, of which the worst is shown. */
export interface PlanColumn {
	phase: PlannedPhase;
	/** place of the shown round, and of the first one, in the day */
	index: number;
	firstIndex: number;
	/** first and last of its rounds */
	from: number;
	to: number;
}

const wornIn = ({ outfit }: PlannedPhase): string =>
	JSON.stringify(outfit.map(({ cloth, opening }) => [cloth.thingId, opening]));
const isWorse = (a: PlannedPhase, b: PlannedPhase): boolean => {
	const [own, other] = [VERDICTS.indexOf(a.verdict), VERDICTS.indexOf(b.verdict)];
	return own < other || (own === other && (a.holdsMinutes ?? Infinity) < (b.holdsMinutes ?? Infinity));
};

/** The columns of a day, in the order of time; what only may happen is no part of the day and left out. */
export function planColumns(phases: readonly PlannedPhase[]): PlanColumn[] {
	const columns: PlanColumn[] = [];
	// Columns of the loop that is gone through now, by phase; once something else is worn, they begin anew.
	let open = new Map<string, { column: PlanColumn; worn: string }>();
	phases.forEach((phase, index) => {
		const { kind, phaseId, round } = phase.cell;
		if (kind === 'what-if') return;
		const worn = wornIn(phase);
		const before = open.get(phaseId);
		if (before && before.worn === worn && before.column.to === round - 1) {
			before.column.to = round;
			if (isWorse(phase, before.column.phase)) Object.assign(before.column, { phase, index });
			return;
		}
		if (before) open = new Map();
		const column = { phase, index, firstIndex: index, from: round, to: round };
		columns.push(column);
		open.set(phaseId, { column, worn });
	});
	return columns;
}

/** What is worn just before a column begins, at whatever is no what-if; null where the day begins with it. */
export const wornBefore = (
	phases: readonly PlannedPhase[],
	{ firstIndex }: Pick<PlanColumn, 'firstIndex'>
): PlannedPhase['outfit'] | null =>
	phases.slice(0, firstIndex).findLast(({ cell }) => cell.kind !== 'what-if')?.outfit ?? null;

/** The name of a column: the phase, and which of its rounds. */
export const columnName = ({ phase, from, to }: PlanColumn): string =>
	from === to ? cellName(phase.cell) : `${phase.cell.name}, ${pictureMessage('rounds', { from, to })}`;

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
