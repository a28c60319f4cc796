import type { Pattern } from '../pattern';

export const highTrek: Pattern = {
	id: 'high-trek',
	name: 'High trek between lodges',
	startMin: 5 * 60 + 30,
	bed: 'unheated',
	day: [
		['Dawn start', 'move', 30, 130, 'lee', 0, { marks: ['dark'] }],
		['Climb', 'move', 75, 210, 'slope', 0.3],
		['Rest', 'stop', 12, 75, 'slope', 0.5],
		['Climb to the pass', 'move', 75, 210, 'slope', 0.8],
		['At the pass', 'stop', 15, 80, 'ridge', 1],
		['What if: the pack animal is late, no duffel', 'what-if', 120, 75, 'slope', 1, { marks: ['pack-away'] }],
		['Descent', 'move', 120, 165, 'slope', 1.6],
		['Free time, pottering about', 'indoors', 360, 95, 'bed', 3],
		['Afternoon at the lodge', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	],
	foul: {
		name: 'Storm day waited out at the lodge',
		bed: 'unheated',
		day: [
			['Morning in the lodge', 'indoors', 240, 70, 'bed', 0],
			['Relief stop in the storm', 'stop', 5, 80, 'slope', 0],
			['Afternoon in the lodge', 'indoors', 300, 70, 'bed', 0],
			['Evening, pottering about', 'indoors', 330, 95, 'bed', 0],
			['Night', 'sleep', 540, 45, 'bed', 0]
		]
	}
};
