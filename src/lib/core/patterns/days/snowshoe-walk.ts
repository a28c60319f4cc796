import type { Pattern } from '../pattern';

export const snowshoeWalk: Pattern = {
	id: 'snowshoe-walk',
	doing: 'hike',
	startMin: 8 * 60 + 30,
	ground: 'snow',
	terrain: ['avalanche'],
	bed: 'heated',
	day: [
		['drive', 'ride', 30, 65, 'in', 0],
		['snowshoes-on', 'stop', 10, 100, 'lee', 0, { marks: ['fiddly'] }],
		['up-through-the-forest', 'move', 75, 260, 'forest', 0.3],
		['rest', 'stop', 15, 75, 'slope', 0.5],
		['up-over-open-slopes', 'move', 75, 260, 'slope', 0.75],
		['rest-at-the-top', 'stop', 15, 75, 'slope', 1],
		['what-if-somebody-is-hurt-wait', 'what-if', 120, 75, 'slope', 1],
		['what-if-a-glove-is-lost', 'what-if', 60, 190, 'slope', 1, { marks: ['glove-lost'] }],
		['down', 'move', 75, 190, 'slope', 1.5],
		['tea', 'stop', 15, 75, 'lee', 1.8],
		['down-to-the-road', 'move', 45, 190, 'forest', 1.9],
		['wait-for-transport', 'stop', 20, 80, 'lee', 2],
		['what-if-benighted', 'what-if', 300, 70, 'lee', 1.6, { marks: ['dark'] }],
		['free-time-pottering-about', 'indoors', 195, 95, 'bed', 3],
		['evening', 'indoors', 180, 70, 'bed', 3],
		['night', 'sleep', 540, 45, 'bed', 3]
	]
};
