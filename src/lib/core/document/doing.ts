/** What one does in a phase, and what that demands. */

/** What a phase demands of the kit. */
export const MARKS = [
	'helmet',
	'harness',
	'fiddly',
	'arms-up',
	'seated',
	'snow-contact',
	'splash',
	'immersed-ankle',
	'immersed-knee',
	'immersed-thigh',
	'immersed-waist',
	'immersed-neck',
	'falls-in',
	'hands-in-snow',
	'quiet',
	'flame',
	'abrasion',
	'pedals',
	'controls',
	'boots-on',
	'roped',
	'dark',
	'alone-with-pack',
	'pack-away',
	'coat-away',
	'glove-lost',
	'free-movement',
	'screen',
	'tethered',
	'in-company'
] as const;
export type Mark = (typeof MARKS)[number];

/** What one is doing in a phase: things are made for some of it. */
export const DOINGS = [
	'ski-touring',
	'pistes',
	'steep',
	'hike',
	'walk',
	'run',
	'cycle',
	'motorbike',
	'wade',
	'camp',
	'vehicle',
	'public-room',
	'lodging',
	'bed'
] as const;
export type Doing = (typeof DOINGS)[number];

/** What a house uses types of the catalogue for, where it differs from the catalogue; by type. */
export type HouseUses = Readonly<Partial<Record<string, readonly Doing[]>>>;
