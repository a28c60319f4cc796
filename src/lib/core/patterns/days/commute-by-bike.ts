import type { Pattern } from '../pattern';

export const commuteByBike: Pattern = {
	id: 'commute-by-bike',
	doing: 'cycle',
	startMin: 7 * 60 + 30,
	terrain: ['traffic'],
	bed: 'none',
	day: [
		['ride-to-work', 'move', 25, 210, 'lee', 0.5, { ownSpeedKmh: 17, marks: ['pedals'] }],
		['work', 'indoors', 480, 70, 'in', 1],
		['ride-home', 'move', 25, 210, 'lee', 0.5, { ownSpeedKmh: 17, marks: ['pedals'] }],
		['what-if-a-puncture', 'what-if', 20, 95, 'lee', 0.5, { marks: ['fiddly'] }]
	]
};
