import type { Pattern } from '../pattern';

export const roadRideWithCafe: Pattern = {
	id: 'road-ride-with-cafe',
	doing: 'cycle',
	startMin: 9 * 60,
	terrain: ['traffic'],
	bed: 'none',
	day: [
		['roll-out', 'move', 15, 170, 'slope', 0, { ownSpeedKmh: 20, marks: ['pedals'] }],
		['ride', 'move', 75, 270, 'slope', 0.5, { ownSpeedKmh: 26, marks: ['pedals'], fitWm2: 580 }],
		['cafe', 'indoors', 35, 70, 'in', 0.7],
		['restart', 'move', 10, 200, 'slope', 0.7, { ownSpeedKmh: 24, marks: ['pedals'] }],
		['ride-to-the-top', 'move', 70, 270, 'slope', 0.9, { ownSpeedKmh: 26, marks: ['pedals'], fitWm2: 580 }],
		['last-descent', 'move', 12, 90, 'ridge', 1.5, { ownSpeedKmh: 45, marks: ['pedals'] }],
		['what-if-a-puncture', 'what-if', 20, 95, 'lee', 1.2, { marks: ['fiddly'] }],
		['what-if-a-mechanical-walk', 'what-if', 60, 130, 'slope', 1.5]
	]
};
