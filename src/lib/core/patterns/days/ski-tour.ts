import type { Pattern } from '../pattern';

export const skiTour: Pattern = {
	id: 'ski-tour',
	doing: 'ski-touring',
	startMin: 7 * 60 + 30,
	ground: 'snow',
	terrain: ['avalanche'],
	bed: 'heated',
	day: [
		['drive', 'ride', 30, 65, 'in', 0],
		['skins-on', 'stop', 10, 100, 'lee', 0, { marks: ['fiddly'] }],
		['climb-through-the-forest', 'move', 60, 280, 'forest', 0.25, { fitWm2: 525 }],
		['climb-over-open-slopes', 'move', 75, 280, 'slope', 0.75, { fitWm2: 525 }],
		['change-over-at-the-top', 'stop', 18, 95, 'ridge', 1, { marks: ['fiddly'] }],
		['what-if-partner-hurt-wait', 'what-if', 120, 75, 'slope', 1],
		['what-if-a-glove-is-lost', 'what-if', 30, 250, 'slope', 1, { ownSpeedKmh: 12, marks: ['glove-lost'] }],
		[
			'what-if-the-stop-coat-is-in-the-partners-pack',
			'what-if',
			18,
			95,
			'ridge',
			1,
			{ marks: ['coat-away'] }
		],
		[
			'descent-with-its-pauses',
			'move',
			30,
			250,
			'slope',
			1.4,
			{ ownSpeedKmh: 12, marks: ['helmet', 'snow-contact'] }
		],
		['tea', 'stop', 20, 75, 'lee', 1.8],
		['climb-back', 'move', 45, 280, 'slope', 1.4, { fitWm2: 525 }],
		['second-change-over', 'stop', 15, 95, 'ridge', 1.2, { marks: ['fiddly'] }],
		[
			'descent-to-the-road',
			'move',
			30,
			250,
			'slope',
			1.6,
			{ ownSpeedKmh: 12, marks: ['helmet', 'snow-contact'] }
		],
		['wait-for-transport', 'stop', 20, 80, 'lee', 2],
		['what-if-benighted', 'what-if', 300, 70, 'lee', 1.6, { marks: ['dark'] }],
		['free-time-pottering-about', 'indoors', 270, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
