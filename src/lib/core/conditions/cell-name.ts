import type { Cell } from './cells';

/** The name of a phase, with its round from the second on. */
export const cellName = ({ name, round }: Pick<Cell, 'name' | 'round'>): string =>
	name + (round > 1 ? ` ${round}` : '');
