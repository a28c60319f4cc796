import type { Pattern } from '../pattern';

export const rideOverSeveralDays: Pattern = {
	id: 'ride-over-several-days',
	doing: 'cycle',
	startMin: 8 * 60,
	terrain: ['traffic'],
	bed: 'hut',
	day: [
		{
			loop: 'ride-stop-ride-on',
			count: 2,
			of: [
				['ride', 'move', 60, 250, 'slope', 0.5, { ownSpeedKmh: 17, marks: ['pedals'] }],
				['stop', 'stop', 15, 75, 'slope', 0.8],
				['ride-on', 'move', 90, 250, 'slope', 1.5, { ownSpeedKmh: 17, marks: ['pedals'] }]
			]
		},
		['what-if-repair-in-the-rain', 'what-if', 40, 95, 'slope', 1.5, { marks: ['fiddly'] }],
		['what-if-no-hut-is-reached', 'what-if', 540, 70, 'lee', 1.5, { marks: ['dark'] }],
		['free-time-pottering-about', 'indoors', 270, 95, 'bed', 3],
		['evening-at-the-hut', 'indoors', 180, 75, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
