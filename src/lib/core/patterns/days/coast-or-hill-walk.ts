import type { Pattern } from '../pattern';

export const coastOrHillWalk: Pattern = {
	id: 'coast-or-hill-walk',
	name: 'Coast or hill walk',
	startMin: 8 * 60 + 30,
	bed: 'hut',
	day: [
		['Walk', 'move', 80, 230, 'slope', 0.4, { fitWm2: 350 }],
		['Rest', 'stop', 10, 75, 'lee', 0.5],
		['Walk up', 'move', 60, 230, 'slope', 0.8, { fitWm2: 350 }],
		['High point', 'stop', 25, 80, 'ridge', 1],
		['What if: a twisted ankle', 'what-if', 120, 70, 'slope', 1],
		['Walk down', 'move', 100, 190, 'slope', 1.6],
		['Wait for the ferry or the bus', 'stop', 25, 80, 'slope', 2],
		['Ride', 'ride', 30, 65, 'in', 2.5],
		['What if: the last boat is missed', 'what-if', 180, 75, 'lee', 2],
		['Free time, pottering about', 'indoors', 240, 95, 'bed', 3],
		['Evening', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	],
	foul: {
		name: 'By bus, sleeping in the village',
		bed: 'heated',
		day: [
			['Wait for the bus', 'stop', 25, 80, 'lee', 0],
			['Bus', 'ride', 60, 65, 'in', 2],
			['Short walk by the harbour', 'move', 40, 150, 'slope', 2],
			['Free time in the village', 'indoors', 390, 95, 'bed', 2],
			['Evening in the village', 'indoors', 240, 70, 'bed', 2],
			['Night', 'sleep', 540, 45, 'bed', 2]
		]
	}
};
