import type { Pattern } from '../pattern';

export const motorbikeTour: Pattern = {
	id: 'motorbike-tour',
	doing: 'motorbike',
	startMin: 8 * 60 + 30,
	terrain: ['traffic'],
	bed: 'heated',
	day: [
		['dress', 'indoors', 15, 95, 'in', 0],
		['plain', 'ride', 90, 105, 'slope', 0, { ownSpeedKmh: 90, marks: ['controls', 'seated'] }],
		['fuel-stop', 'stop', 15, 80, 'slope', 0.3],
		['pass', 'ride', 60, 105, 'ridge', 1, { ownSpeedKmh: 70, marks: ['controls', 'seated'] }],
		['what-if-breakdown-at-the-pass', 'what-if', 90, 95, 'ridge', 1],
		[
			'what-if-heat-supply-off',
			'what-if',
			60,
			105,
			'ridge',
			1,
			{ ownSpeedKmh: 70, marks: ['controls', 'seated'] }
		],
		['gravel', 'ride', 60, 150, 'slope', 1.5, { ownSpeedKmh: 45, marks: ['controls', 'abrasion'] }],
		['town-off-the-machine', 'move', 90, 110, 'lee', 2, { doing: 'walk' }],
		['free-time-pottering-about', 'indoors', 240, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
