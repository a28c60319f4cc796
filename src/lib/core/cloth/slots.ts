/**
 * Where in an outfit a thing goes: an ordinary outfit has at most one thing in a slot (common practice). From the skin out.
 */
export const SLOTS = [
	'head-base',
	'neck',
	'hat',
	'helmet',
	'eyes',
	'hand-liner',
	'glove',
	'overmitt',
	'support',
	'base',
	'shirt',
	'mid',
	'light-insulation',
	'wind',
	'armour',
	'rain',
	'coat',
	'visibility',
	'briefs',
	'leg-base',
	'trousers',
	'leg-armour',
	'overtrousers',
	'liner-sock',
	'sock',
	'vapour-barrier',
	'footwear',
	'gaiter'
] as const;
export type Slot = (typeof SLOTS)[number];
