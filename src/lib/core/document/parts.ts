/** Parts of the body that a thing can cover, in the order in which the ladder shows them. */
export const PARTS = [
	'eyes',
	'face',
	'ears',
	'neck',
	'torso',
	'arms',
	'hands',
	'thighs',
	'calves',
	'feet'
] as const;
export type Part = (typeof PARTS)[number];

/** Rows of the ladder, from the top, and the parts that each one stands for. */
export const ROWS = [
	'eyes',
	'face',
	'ears',
	'neck',
	'torso',
	'arms',
	'hands',
	'legs',
	'feet',
	'sleep'
] as const;
export type Row = (typeof ROWS)[number];
export type Coverage = Partial<Record<Part, number>>;
