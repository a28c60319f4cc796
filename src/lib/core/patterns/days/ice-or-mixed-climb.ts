import type { Pattern } from '../pattern';

export const iceOrMixedClimb: Pattern = {
	id: 'ice-or-mixed-climb',
	doing: 'steep',
	startMin: 6 * 60 + 30,
	ground: 'snow',
	terrain: ['avalanche', 'steep-ground'],
	bed: 'heated',
	day: [
		['approach', 'move', 75, 280, 'forest', 0.3],
		['gear-up', 'stop', 20, 95, 'lee', 0.5, { marks: ['fiddly', 'harness', 'helmet'] }],
		{
			loop: 'lead-and-belay',
			count: 4,
			of: [
				[
					'lead',
					'move',
					25,
					250,
					'slope',
					0.75,
					{ marks: ['arms-up', 'splash', 'harness', 'helmet', 'abrasion'] }
				],
				['belay-above', 'stop', 20, 85, 'ridge', 0.8, { marks: ['roped', 'harness', 'helmet'] }],
				['belay-below', 'stop', 35, 80, 'slope', 0.75, { marks: ['roped', 'harness', 'helmet', 'pack-away'] }]
			]
		},
		['what-if-the-rope-is-stuck', 'what-if', 60, 80, 'slope', 0.9, { marks: ['roped', 'harness'] }],
		[
			'what-if-a-screw-is-dropped',
			'what-if',
			20,
			95,
			'slope',
			0.9,
			{ marks: ['fiddly', 'roped', 'harness'] }
		],
		[
			'what-if-the-coat-is-with-the-partner-below',
			'what-if',
			20,
			85,
			'ridge',
			0.9,
			{ marks: ['roped', 'coat-away'] }
		],
		['abseil', 'stop', 40, 110, 'slope', 1, { marks: ['roped', 'harness', 'helmet'] }],
		['walk-out', 'move', 50, 150, 'forest', 1.8],
		['free-time-pottering-about', 'indoors', 180, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
