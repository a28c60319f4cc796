import type { Pattern } from '../pattern';

export const liftServedSnowDay: Pattern = {
	id: 'lift-served-snow-day',
	doing: 'pistes',
	startMin: 8 * 60,
	ground: 'snow',
	bed: 'heated',
	day: [
		['dress', 'indoors', 25, 95, 'in', 0],
		['boots-on-walk-to-the-lift', 'move', 12, 140, 'slope', 0, { marks: ['boots-on'] }],
		{
			loop: 'lift-and-run-morning',
			count: 9,
			of: [
				['queue', 'stop', 4, 80, 'lee', 0.2],
				['lift', 'ride', 8, 70, 'ridge', 0.6, { ownSpeedKmh: 16, marks: ['seated', 'boots-on'] }],
				['run', 'move', 7, 250, 'slope', 0.6, { ownSpeedKmh: 35, marks: ['helmet', 'snow-contact'] }]
			]
		},
		['hut', 'indoors', 45, 70, 'in', 0.8],
		{
			loop: 'lift-and-run-afternoon',
			count: 5,
			of: [
				['queue', 'stop', 4, 80, 'lee', 0.2],
				['lift', 'ride', 8, 70, 'ridge', 0.6, { ownSpeedKmh: 16, marks: ['seated', 'boots-on'] }],
				['run', 'move', 7, 250, 'slope', 0.6, { ownSpeedKmh: 35, marks: ['helmet', 'snow-contact'] }]
			]
		},
		['what-if-the-lift-stands', 'what-if', 30, 70, 'ridge', 0.8, { marks: ['seated', 'boots-on'] }],
		['what-if-a-fall-wait-for-help', 'what-if', 60, 65, 'slope', 0.7, { marks: ['snow-contact'] }],
		['what-if-fog-and-flat-light', 'what-if', 20, 200, 'slope', 0.7, { marks: ['helmet'] }],
		['what-if-a-glove-is-lost', 'what-if', 15, 70, 'ridge', 0.8, { marks: ['glove-lost'] }],
		['walk-home', 'move', 15, 130, 'lee', 0],
		['free-time-pottering-about', 'indoors', 240, 95, 'bed', 3],
		['evening-drying-out', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
