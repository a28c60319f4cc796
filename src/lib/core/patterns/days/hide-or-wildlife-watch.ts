import type { Pattern } from '../pattern';

export const hideOrWildlifeWatch: Pattern = {
	id: 'hide-or-wildlife-watch',
	doing: 'hike',
	startMin: 5 * 60,
	terrain: ['shooting-season'],
	bed: 'heated',
	day: [
		['walk-in-unhurried', 'move', 60, 200, 'forest', 0.5, { marks: ['quiet', 'dark'] }],
		['dress-at-the-place', 'stop', 10, 95, 'trees', 1, { marks: ['quiet', 'dark'] }],
		['sit', 'stop', 180, 68, 'trees', 1, { marks: ['seated', 'quiet'] }],
		['what-if-two-hours-longer', 'what-if', 120, 68, 'trees', 1, { marks: ['seated', 'quiet'] }],
		['what-if-the-battery-is-dead', 'what-if', 180, 68, 'trees', 1, { marks: ['seated', 'quiet'] }],
		['walk-out', 'move', 50, 150, 'forest', 1.5],
		['free-time-pottering-about', 'indoors', 480, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
