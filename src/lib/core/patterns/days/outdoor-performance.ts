import type { Pattern } from '../pattern';

export const outdoorPerformance: Pattern = {
	id: 'outdoor-performance',
	doing: 'walk',
	startMin: 19 * 60,
	bed: 'none',
	day: [
		['set-up', 'move', 20, 110, 'slope', 0],
		['perform', 'move', 30, 190, 'slope', 0, { marks: ['free-movement', 'flame'] }],
		['stand-between', 'stop', 15, 80, 'slope', 0],
		['perform-again', 'move', 30, 190, 'slope', 0, { marks: ['free-movement', 'flame'] }],
		['what-if-the-start-is-put-off', 'what-if', 45, 80, 'slope', 0]
	]
};
