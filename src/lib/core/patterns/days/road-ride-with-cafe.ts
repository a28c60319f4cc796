import type { Pattern } from '../pattern';

export const roadRideWithCafe: Pattern = {
	id: 'road-ride-with-cafe',
	name: 'Road ride with a café',
	startMin: 9 * 60,
	terrain: ['traffic'],
	bed: 'none',
	day: [
		['Roll out', 'move', 15, 170, 'slope', 0, { ownSpeedKmh: 20, marks: ['pedals'] }],
		['Ride', 'move', 75, 270, 'slope', 0.5, { ownSpeedKmh: 26, marks: ['pedals'], fitWm2: 580 }],
		['Café', 'indoors', 35, 70, 'in', 0.7],
		['Restart', 'move', 10, 200, 'slope', 0.7, { ownSpeedKmh: 24, marks: ['pedals'] }],
		['Ride to the top', 'move', 70, 270, 'slope', 0.9, { ownSpeedKmh: 26, marks: ['pedals'], fitWm2: 580 }],
		['Last descent', 'move', 12, 90, 'ridge', 1.5, { ownSpeedKmh: 45, marks: ['pedals'] }],
		['What if: a puncture', 'what-if', 20, 95, 'lee', 1.2, { marks: ['fiddly'] }],
		['What if: a mechanical, walk', 'what-if', 60, 130, 'slope', 1.5]
	]
};
