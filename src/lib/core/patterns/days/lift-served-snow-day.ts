import type { Pattern } from '../pattern';

export const liftServedSnowDay: Pattern = {
	id: 'lift-served-snow-day',
	name: 'Lift-served snow day',
	startMin: 8 * 60,
	ground: 'snow',
	bed: 'heated',
	day: [
		['Dress', 'indoors', 25, 95, 'in', 0],
		['Boots on, walk to the lift', 'move', 12, 140, 'slope', 0, { marks: ['boots-on'] }],
		{
			loop: 'Lift and run, morning',
			count: 9,
			of: [
				['Queue', 'stop', 4, 80, 'lee', 0.2],
				['Lift', 'ride', 8, 70, 'ridge', 0.6, { ownSpeedKmh: 16, marks: ['seated', 'boots-on'] }],
				['Run', 'move', 7, 250, 'slope', 0.6, { ownSpeedKmh: 35, marks: ['helmet', 'snow-contact'] }]
			]
		},
		['Hut', 'indoors', 45, 70, 'in', 0.8],
		{
			loop: 'Lift and run, afternoon',
			count: 5,
			of: [
				['Queue', 'stop', 4, 80, 'lee', 0.2],
				['Lift', 'ride', 8, 70, 'ridge', 0.6, { ownSpeedKmh: 16, marks: ['seated', 'boots-on'] }],
				['Run', 'move', 7, 250, 'slope', 0.6, { ownSpeedKmh: 35, marks: ['helmet', 'snow-contact'] }]
			]
		},
		['What if: the lift stands', 'what-if', 30, 70, 'ridge', 0.8, { marks: ['seated', 'boots-on'] }],
		['What if: a fall, wait for help', 'what-if', 60, 65, 'slope', 0.7, { marks: ['snow-contact'] }],
		['What if: fog and flat light', 'what-if', 20, 200, 'slope', 0.7, { marks: ['helmet'] }],
		['What if: a glove is lost', 'what-if', 15, 70, 'ridge', 0.8],
		['Walk home', 'move', 15, 130, 'lee', 0],
		['Free time, pottering about', 'indoors', 240, 95, 'bed', 3],
		['Evening, drying out', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	]
};
