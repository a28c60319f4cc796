import type { Pattern } from '../pattern';

export const skiTour: Pattern = {
	id: 'ski-tour',
	name: 'Ski tour',
	startMin: 7 * 60 + 30,
	ground: 'snow',
	terrain: ['avalanche'],
	bed: 'heated',
	day: [
		['Drive', 'ride', 30, 65, 'in', 0],
		['Skins on', 'stop', 10, 100, 'lee', 0, { marks: ['fiddly'] }],
		['Climb through the forest', 'move', 60, 280, 'forest', 0.25, { fitWm2: 525 }],
		['Climb over open slopes', 'move', 75, 280, 'slope', 0.75, { fitWm2: 525 }],
		['Change-over at the top', 'stop', 18, 95, 'ridge', 1, { marks: ['fiddly'] }],
		['What if: partner hurt, wait', 'what-if', 120, 75, 'slope', 1],
		['What if: a glove is lost', 'what-if', 30, 250, 'slope', 1, { ownSpeedKmh: 12 }],
		[
			'What if: the stop coat is in the partner’s pack',
			'what-if',
			18,
			95,
			'ridge',
			1,
			{ marks: ['pack-away'] }
		],
		[
			'Descent, with its pauses',
			'move',
			30,
			250,
			'slope',
			1.4,
			{ ownSpeedKmh: 12, marks: ['helmet', 'snow-contact'] }
		],
		['Tea', 'stop', 20, 75, 'lee', 1.8],
		['Climb back', 'move', 45, 280, 'slope', 1.4, { fitWm2: 525 }],
		['Second change-over', 'stop', 15, 95, 'ridge', 1.2, { marks: ['fiddly'] }],
		[
			'Descent to the road',
			'move',
			30,
			250,
			'slope',
			1.6,
			{ ownSpeedKmh: 12, marks: ['helmet', 'snow-contact'] }
		],
		['Wait for transport', 'stop', 20, 80, 'lee', 2],
		['What if: benighted', 'what-if', 300, 70, 'lee', 1.6, { marks: ['dark'] }],
		['Free time, pottering about', 'indoors', 270, 95, 'bed', 3],
		['Evening', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	]
};
