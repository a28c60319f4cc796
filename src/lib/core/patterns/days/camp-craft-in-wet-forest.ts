import type { Pattern } from '../pattern';

export const campCraftInWetForest: Pattern = {
	id: 'camp-craft-in-wet-forest',
	doing: 'camp',
	startMin: 9 * 60,
	bed: 'tent',
	day: [
		['chores', 'move', 60, 150, 'forest', 0, { marks: ['abrasion'] }],
		['fire', 'stop', 120, 85, 'lee', 0, { marks: ['flame'] }],
		['walk-over-the-bog', 'move', 60, 165, 'slope', 1, { marks: ['splash', 'abrasion'] }],
		['camp-life', 'stop', 300, 110, 'lee', 3, { marks: ['flame'] }],
		['evening-in-the-shelter', 'stop', 180, 75, 'lee', 3, { marks: ['flame'] }],
		['night', 'sleep', 540, 45, 'bed', 3]
	],
	foul: {
		name: 'under-cover-by-the-fire',
		bed: 'tent',
		day: [
			['chores', 'move', 40, 150, 'forest', 0, { marks: ['abrasion'] }],
			['day-under-cover-by-the-fire', 'stop', 300, 85, 'lee', 0, { marks: ['flame'] }],
			['camp-life', 'stop', 200, 110, 'lee', 3, { marks: ['flame'] }],
			['evening-in-the-shelter', 'stop', 180, 75, 'lee', 3, { marks: ['flame'] }],
			['night', 'sleep', 540, 45, 'bed', 3]
		]
	}
};
