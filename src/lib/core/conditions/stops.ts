import type { Cell } from './cells';
import type { Person } from './person';

/** Whether a stop or ride outdoors begins soon after each cell. */
export function stopsSoonAfter(cells: readonly Cell[]): boolean[] {
	return cells.map((_, k) => {
		let passed = 0;
		for (let next = k + 1; next < cells.length && passed <= BEFORE_STOP_MINUTES; next++) {
			const cell = cells[next]!;
			if (cell.heated) return false;
			if (cell.kind === 'stop' || cell.kind === 'ride') return true;
			passed += cell.minutes;
		}
		return false;
	});
}

/** how much overheating counts in a cell: more before a stop, nothing where one starts warm and sheds. */
export function overheatWeight(cell: Cell, soon: boolean, { schools }: Person): number {
	if (cell.isStart && schools.start === 'warm and shed') return 0;
	return soon && !cell.heated ? BEFORE_STOP_WEIGHT : 1;
}

/** A stop that starts within so many minutes pays for the sweat of now, which then counts double. */
export const BEFORE_STOP_MINUTES = 30;
const BEFORE_STOP_WEIGHT = 2;
