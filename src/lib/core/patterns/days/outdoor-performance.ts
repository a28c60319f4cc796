import type { Pattern } from '../pattern';

export const outdoorPerformance: Pattern = {
	id: 'outdoor-performance',
	name: 'Outdoor performance',
	startMin: 19 * 60,
	bed: 'none',
	day: [
		['Set up', 'move', 20, 110, 'slope', 0],
		['Perform', 'move', 30, 190, 'slope', 0, { marks: ['free-movement', 'flame'] }],
		['Stand between', 'stop', 15, 80, 'slope', 0],
		['Perform again', 'move', 30, 190, 'slope', 0, { marks: ['free-movement', 'flame'] }],
		['What if: the start is put off', 'what-if', 45, 80, 'slope', 0]
	]
};
