import type { Pattern } from '../pattern';

export const fastHillRun: Pattern = {
	id: 'fast-hill-run',
	doing: 'run',
	startMin: 9 * 60,
	bed: 'none',
	day: [
		['warm-up', 'move', 10, 200, 'slope', 0],
		['run-up', 'move', 50, 450, 'slope', 0.5, { ownSpeedKmh: 10 }],
		['top', 'stop', 5, 150, 'ridge', 1, { ownSpeedKmh: 10 }],
		['what-if-an-ankle-walk-out', 'what-if', 60, 130, 'slope', 1],
		['run-down', 'move', 45, 450, 'slope', 1.5, { ownSpeedKmh: 10 }],
		['stand-and-talk', 'stop', 10, 80, 'lee', 2]
	]
};
