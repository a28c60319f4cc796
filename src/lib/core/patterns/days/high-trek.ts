import type { Pattern } from '../pattern';

export const highTrek: Pattern = {
	id: 'high-trek',
	doing: 'hike',
	startMin: 5 * 60 + 30,
	bed: 'unheated',
	day: [
		['dawn-start', 'move', 30, 130, 'lee', 0, { marks: ['dark'] }],
		['climb', 'move', 75, 210, 'slope', 0.3],
		['rest', 'stop', 12, 75, 'slope', 0.5],
		['climb-to-the-pass', 'move', 75, 210, 'slope', 0.8],
		['at-the-pass', 'stop', 15, 80, 'ridge', 1],
		['what-if-the-pack-animal-is-late-no-duffel', 'what-if', 120, 75, 'slope', 1],
		['descent', 'move', 120, 165, 'slope', 1.6],
		['free-time-pottering-about', 'indoors', 360, 95, 'bed', 3],
		['afternoon-at-the-lodge', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	],
	foul: {
		name: 'storm-day-waited-out-at-the-lodge',
		bed: 'unheated',
		day: [
			['morning-in-the-lodge', 'indoors', 240, 70, 'bed', 0],
			['relief-stop-in-the-storm', 'stop', 5, 80, 'slope', 0],
			['afternoon-in-the-lodge', 'indoors', 300, 70, 'bed', 0],
			['evening-pottering-about', 'indoors', 330, 95, 'bed', 0],
			['night', 'sleep', 540, 45, 'bed', 0]
		]
	}
};
