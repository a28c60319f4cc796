import type { Pattern } from '../pattern';

export const townWalk: Pattern = {
	id: 'town-walk',
	doing: 'walk',
	startMin: 9 * 60,
	terrain: ['traffic'],
	bed: 'none',
	day: [
		['walk', 'move', 25, 150, 'lee', 0],
		['shop', 'indoors', 20, 90, 'in', 0.5],
		['walk-home', 'move', 25, 150, 'lee', 1],
		['what-if-the-bus-does-not-come', 'what-if', 30, 75, 'lee', 0.5]
	]
};
