import type { Pattern } from '../pattern';

export const coastOrHillWalk: Pattern = {
	id: 'coast-or-hill-walk',
	doing: 'hike',
	startMin: 8 * 60 + 30,
	bed: 'hut',
	day: [
		['walk', 'move', 80, 230, 'slope', 0.4, { fitWm2: 350 }],
		['rest', 'stop', 10, 75, 'lee', 0.5],
		['walk-up', 'move', 60, 230, 'slope', 0.8, { fitWm2: 350 }],
		['high-point', 'stop', 25, 80, 'ridge', 1],
		['what-if-a-twisted-ankle', 'what-if', 120, 70, 'slope', 1],
		['walk-down', 'move', 100, 190, 'slope', 1.6],
		['wait-for-the-ferry-or-the-bus', 'stop', 25, 80, 'slope', 2],
		['ride', 'ride', 30, 65, 'in', 2.5],
		['what-if-the-last-boat-is-missed', 'what-if', 180, 75, 'lee', 2],
		['free-time-pottering-about', 'indoors', 240, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	],
	foul: {
		name: 'by-bus-sleeping-in-the-village',
		bed: 'heated',
		day: [
			['wait-for-the-bus', 'stop', 25, 80, 'lee', 0],
			['bus', 'ride', 60, 65, 'in', 2],
			['short-walk-by-the-harbour', 'move', 40, 150, 'slope', 2],
			['free-time-in-the-village', 'indoors', 390, 95, 'bed', 2],
			['evening-in-the-village', 'indoors', 240, 70, 'bed', 2],
			['night', 'sleep', 540, 45, 'bed', 2]
		]
	}
};
