import type { Pattern } from '../pattern';

export const smallSummitInWinter: Pattern = {
	id: 'small-summit-in-winter',
	name: 'Winter day on a small summit',
	startMin: 8 * 60,
	ground: 'ice',
	bed: 'heated',
	day: [
		['Start through the forest', 'move', 40, 230, 'forest', 0.2],
		['Climb', 'move', 100, 280, 'trees', 0.6],
		['Top, with a hot drink', 'stop', 25, 80, 'ridge', 1],
		['What if: a twisted ankle', 'what-if', 120, 70, 'trees', 1],
		['Down', 'move', 110, 190, 'trees', 1.5],
		['Free time, pottering about', 'indoors', 330, 95, 'bed', 3],
		['Evening', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	]
};
