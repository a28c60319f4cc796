import type { Pattern } from '../pattern';

export const snowshoeWalk: Pattern = {
	id: 'snowshoe-walk',
	name: 'Snowshoe walk',
	startMin: 8 * 60 + 30,
	ground: 'snow',
	terrain: ['avalanche'],
	bed: 'heated',
	day: [
		['Drive', 'ride', 30, 65, 'in', 0],
		['Snowshoes on', 'stop', 10, 100, 'lee', 0, { marks: ['fiddly'] }],
		['Up through the forest', 'move', 75, 260, 'forest', 0.3],
		['Rest', 'stop', 15, 75, 'slope', 0.5],
		['Up over open slopes', 'move', 75, 260, 'slope', 0.75],
		['Rest at the top', 'stop', 15, 75, 'slope', 1],
		['What if: somebody is hurt, wait', 'what-if', 120, 75, 'slope', 1],
		['What if: a glove is lost', 'what-if', 60, 190, 'slope', 1],
		['Down', 'move', 75, 190, 'slope', 1.5],
		['Tea', 'stop', 15, 75, 'lee', 1.8],
		['Down to the road', 'move', 45, 190, 'forest', 1.9],
		['Wait for transport', 'stop', 20, 80, 'lee', 2],
		['What if: benighted', 'what-if', 300, 70, 'lee', 1.6, { marks: ['dark'] }],
		['Free time, pottering about', 'indoors', 195, 95, 'bed', 3],
		['Evening', 'indoors', 180, 70, 'bed', 3],
		['Night', 'sleep', 540, 45, 'bed', 3]
	]
};
