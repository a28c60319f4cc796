import type { Pattern } from '../pattern';

export const motorbikeTour: Pattern = {
	id: 'motorbike-tour',
	name: 'Motorbike tour',
	startMin: 8 * 60 + 30,
	terrain: ['traffic'],
	bed: 'heated',
	day: [
		['Dress', 'indoors', 15, 95, 'in', 0],
		['Plain', 'ride', 90, 105, 'slope', 0, { ownSpeedKmh: 90, marks: ['controls', 'seated'] }],
		['Fuel stop', 'stop', 15, 80, 'slope', 0.3],
		['Pass', 'ride', 60, 105, 'ridge', 1, { ownSpeedKmh: 70, marks: ['controls', 'seated'] }],
		['What if: breakdown at the pass', 'what-if', 90, 95, 'ridge', 1],
		[
			'What if: heat supply off',
			'what-if',
			60,
			105,
			'ridge',
			1,
			{ ownSpeedKmh: 70, marks: ['controls', 'seated'] }
		],
		['Gravel', 'ride', 60, 150, 'slope', 1.5, { ownSpeedKmh: 45, marks: ['controls', 'abrasion'] }],
		['Town, off the machine', 'move', 90, 110, 'lee', 2],
		['Free time, pottering about', 'indoors', 240, 95, 'bed', 3],
		['Evening', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	]
};
