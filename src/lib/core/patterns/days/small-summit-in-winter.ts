import type { Pattern } from '../pattern';

export const smallSummitInWinter: Pattern = {
	id: 'small-summit-in-winter',
	doing: 'hike',
	startMin: 8 * 60,
	ground: 'ice',
	bed: 'heated',
	day: [
		['start-through-the-forest', 'move', 40, 230, 'forest', 0.2],
		['climb', 'move', 100, 280, 'trees', 0.6],
		['top-with-a-hot-drink', 'stop', 25, 80, 'ridge', 1],
		['what-if-a-twisted-ankle', 'what-if', 120, 70, 'trees', 1],
		['down', 'move', 110, 190, 'trees', 1.5],
		['free-time-pottering-about', 'indoors', 330, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
