import type { Pattern } from '../pattern';

export const campCraftInWetForest: Pattern = {
	id: 'camp-craft-in-wet-forest',
	name: 'Camp craft in wet forest',
	startMin: 9 * 60,
	bed: 'tent',
	day: [
		['Chores', 'move', 60, 150, 'forest', 0, { marks: ['abrasion'] }],
		['Fire', 'stop', 120, 85, 'lee', 0, { marks: ['flame'] }],
		['Walk over the bog', 'move', 60, 165, 'slope', 1, { marks: ['splash', 'abrasion'] }],
		['Camp life', 'stop', 300, 110, 'lee', 3, { marks: ['flame'] }],
		['Evening in the shelter', 'stop', 180, 75, 'lee', 3, { marks: ['flame'] }],
		['Night', 'sleep', 540, 45, 'bed', 3]
	],
	foul: {
		name: 'Under cover by the fire',
		bed: 'tent',
		day: [
			['Chores', 'move', 40, 150, 'forest', 0, { marks: ['abrasion'] }],
			['Day under cover by the fire', 'stop', 300, 85, 'lee', 0, { marks: ['flame'] }],
			['Camp life', 'stop', 200, 110, 'lee', 3, { marks: ['flame'] }],
			['Evening in the shelter', 'stop', 180, 75, 'lee', 3, { marks: ['flame'] }],
			['Night', 'sleep', 540, 45, 'bed', 3]
		]
	}
};
