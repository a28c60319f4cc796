import type { Pattern } from '../pattern';

/** One warm room and cold ones around it: dressing, the way to the wash house and the night are as cold as outside, nearly. */
export const lodgeWithStove: Pattern = {
	id: 'lodge-with-stove',
	doing: 'hike',
	startMin: 6 * 60 + 45,
	bed: 'unheated',
	day: [
		['dressing-in-the-cold-dormitory', 'indoors', 20, 95, 'bed', 0],
		['breakfast-by-the-stove', 'indoors', 40, 70, 'in', 0],
		['walk-up', 'move', 90, 210, 'slope', 0.5],
		['rest', 'stop', 15, 75, 'lee', 0.5],
		['walk-up-further', 'move', 75, 210, 'slope', 0.8],
		['high-point', 'stop', 25, 80, 'ridge', 1],
		['walk-down', 'move', 120, 165, 'slope', 1.6],
		['afternoon-by-the-stove', 'indoors', 240, 70, 'in', 3],
		['to-the-wash-house-and-back', 'stop', 10, 100, 'slope', 3],
		['evening-by-the-stove', 'indoors', 180, 70, 'in', 3],
		['what-if-the-stove-is-out', 'what-if', 180, 70, 'bed', 3],
		['to-bed-in-the-cold-dormitory', 'indoors', 15, 95, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
