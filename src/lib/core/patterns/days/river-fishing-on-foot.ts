import type { Pattern } from '../pattern';

export const riverFishingOnFoot: Pattern = {
	id: 'river-fishing-on-foot',
	doing: 'wade',
	startMin: 7 * 60,
	terrain: ['deep-water'],
	bed: 'heated',
	day: [
		['drive', 'ride', 30, 65, 'in', 0],
		['dress-at-the-car', 'stop', 15, 95, 'lee', 0],
		['walk-in', 'move', 25, 150, 'trees', 0.5],
		{
			loop: 'cast-and-move-on',
			count: 4,
			of: [
				['stand-and-cast', 'stop', 45, 120, 'slope', 1, { marks: ['immersed-thigh', 'arms-up', 'splash'] }],
				['walk-to-the-next-pool', 'move', 12, 140, 'trees', 1]
			]
		},
		['what-if-falls-in-walk-to-the-car', 'what-if', 40, 150, 'slope', 1, { marks: ['falls-in'] }],
		['what-if-the-zip-leaks', 'what-if', 45, 120, 'slope', 1, { marks: ['immersed-thigh'] }],
		['walk-out', 'move', 25, 150, 'trees', 0.5],
		['free-time-pottering-about', 'indoors', 330, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
