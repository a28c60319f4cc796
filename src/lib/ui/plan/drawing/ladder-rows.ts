import { type Row, ROWS } from '$lib/core/document/parts';
import type { PlannedPhase } from '$lib/core/kit/planned-day';

/** Parts of the body that a day asks about, head to toe, and those of them that are wrong or unknown somewhere. */
export function ladderRows(phases: readonly PlannedPhase[]): { rows: Row[]; wrong: Row[] } {
	const nights = phases.some(({ cell }) => cell.kind === 'sleep');
	const rows = ROWS.filter((row) => row !== 'sleep' || nights);
	const isWrong = (row: Row): boolean =>
		phases.some(({ coverage }) =>
			coverage.some(
				(cell) => cell.row === row && (cell.trouble || cell.state === 'missing' || cell.state === 'not asked')
			)
		);
	return { rows, wrong: rows.filter(isWrong) };
}
