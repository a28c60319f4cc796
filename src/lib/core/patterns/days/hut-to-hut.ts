import type { Pattern } from '../pattern';

/** The bed of a day is where the next one starts: a chain of such days needs only its heights. */
export const hutToHut: Pattern = {
	id: 'hut-to-hut',
	doing: 'hike',
	startMin: 7 * 60,
	bed: 'hut',
	day: [
		['climb', 'move', 75, 230, 'slope', 0.4, { fitWm2: 350 }],
		['rest', 'stop', 15, 75, 'lee', 0.5],
		['climb-to-the-pass', 'move', 90, 230, 'slope', 0.8, { fitWm2: 350 }],
		['at-the-pass', 'stop', 20, 80, 'ridge', 1],
		['what-if-a-twisted-ankle', 'what-if', 120, 70, 'slope', 1],
		['descent', 'move', 90, 170, 'slope', 1.6],
		['midday-rest', 'stop', 30, 75, 'lee', 2],
		['walk-on-to-the-hut', 'move', 90, 200, 'slope', 2.6],
		['what-if-the-hut-is-full-on-to-the-next', 'what-if', 90, 180, 'slope', 2.6, { marks: ['dark'] }],
		['free-time-pottering-about', 'indoors', 240, 95, 'bed', 3],
		['evening-at-the-hut', 'indoors', 180, 75, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	],
	foul: {
		name: 'round-by-the-valley-instead-of-over-the-pass',
		bed: 'hut',
		day: [
			['walk-down', 'move', 90, 170, 'slope', 1.6],
			['wait-for-the-bus', 'stop', 25, 80, 'lee', 2],
			['bus', 'ride', 60, 65, 'in', 2],
			['walk-up', 'move', 75, 230, 'slope', 2.6],
			['free-time-pottering-about', 'indoors', 330, 95, 'bed', 3],
			['evening-at-the-hut', 'indoors', 210, 75, 'bed', 3],
			['night', 'sleep', 540, 45, 'bed', 3]
		]
	}
};
