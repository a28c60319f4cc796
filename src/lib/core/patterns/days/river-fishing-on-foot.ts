import type { Pattern } from '../pattern';

export const riverFishingOnFoot: Pattern = {
	id: 'river-fishing-on-foot',
	name: 'River fishing on foot',
	startMin: 7 * 60,
	terrain: ['deep-water'],
	bed: 'heated',
	day: [
		['Drive', 'ride', 30, 65, 'in', 0],
		['Dress at the car', 'stop', 15, 95, 'lee', 0],
		['Walk in', 'move', 25, 150, 'trees', 0.5],
		{
			loop: 'Cast and move on',
			count: 4,
			of: [
				['Stand and cast', 'stop', 45, 120, 'slope', 1, { marks: ['immersed-thigh', 'arms-up', 'splash'] }],
				['Walk to the next pool', 'move', 12, 140, 'trees', 1]
			]
		},
		['What if: falls in, walk to the car', 'what-if', 40, 150, 'slope', 1, { marks: ['immersed-waist'] }],
		['What if: the zip leaks', 'what-if', 45, 120, 'slope', 1, { marks: ['immersed-thigh'] }],
		['Walk out', 'move', 25, 150, 'trees', 0.5],
		['Free time, pottering about', 'indoors', 330, 95, 'bed', 3],
		['Evening', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	]
};
