import type { Pattern } from '../pattern';

export const rideOverSeveralDays: Pattern = {
	id: 'ride-over-several-days',
	name: 'Ride over several days',
	startMin: 8 * 60,
	terrain: ['traffic'],
	bed: 'hut',
	day: [
		{
			loop: 'Ride, stop, ride on',
			count: 2,
			of: [
				['Ride', 'move', 60, 250, 'slope', 0.5, { ownSpeedKmh: 17, marks: ['pedals'] }],
				['Stop', 'stop', 15, 75, 'slope', 0.8],
				['Ride on', 'move', 90, 250, 'slope', 1.5, { ownSpeedKmh: 17, marks: ['pedals'] }]
			]
		},
		['What if: repair in the rain', 'what-if', 40, 95, 'slope', 1.5, { marks: ['fiddly'] }],
		['What if: no hut is reached', 'what-if', 540, 70, 'lee', 1.5, { marks: ['dark'] }],
		['Free time, pottering about', 'indoors', 270, 95, 'bed', 3],
		['Evening at the hut', 'indoors', 180, 75, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	]
};
