import type { Pattern } from '../pattern';

export const townWalk: Pattern = {
	id: 'town-walk',
	name: 'Town walk',
	startMin: 9 * 60,
	terrain: ['traffic'],
	bed: 'none',
	day: [
		['Walk', 'move', 25, 150, 'lee', 0],
		['Shop', 'indoors', 20, 90, 'in', 0.5],
		['Walk home', 'move', 25, 150, 'lee', 1],
		['What if: the bus does not come', 'what-if', 30, 75, 'lee', 0.5]
	]
};
