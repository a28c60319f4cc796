import type { Coverage } from '../document/parts';
import type { ClothFunction, Dexterity, Doing, EndWorn, Feature, Fibre } from '../document/types';
import type { WaterGrade } from '../document/weather';
import type { Slot } from './slots';

/** Body part under which a thing is looked for. */
export const CATALOGUE_GROUPS = ['head', 'torso', 'hands', 'legs', 'feet', 'sleep', 'other'] as const;
export type CatalogueGroup = (typeof CATALOGUE_GROUPS)[number];

/** How the local insulation of a type is known. */
export type Insulation =
	/** whole-body value of the nearest row of ISO 7730 Table C.2, clo */
	| { tableClo: number; row: string }
	/** fill weight, g/m² */
	| { fillGm2: number; fill: keyof typeof CLO_PER_FILL_GM2 }
	/** local value, m²·K/W */
	| { localM2kw: number; why: string }
	/** local value of a single weave: the air under it, clo */
	| { weaveClo: number }
	| { none: true };

/** Local clo for each g/m² of fill (our assumption). */
export const CLO_PER_FILL_GM2 = {
	'high-loft synthetic': 0.023,
	'regular synthetic': 0.018,
	down: 0.035
} as const;
/** No single garment is credited with more, clo (our assumption). */
export const MOST_LOCAL_CLO = 3.5;

export interface CatalogueRow {
	/** where in an outfit it goes; absent for what is not worn awake */
	slot?: Slot;
	/** what it is made for (common practice); absent where it serves whatever one does */
	uses?: readonly Doing[];
	covers: Coverage;
	at: [number, number];
	does: ClothFunction[];
	warm: Insulation;
	p: number;
	fibre: Fibre;
	massG: number;
	litres: number;
	water?: WaterGrade;
	girth?: number;
	room?: number;
	pairs?: boolean;
	dexterity?: Dexterity;
	overBoots?: boolean;
	lens?: number;
	comfortC?: number;
	/** how far it reaches above the ankle, cm */
	height?: number;
	/** what it holds, litres */
	holds?: number;
	watts?: number;
	wh?: number;
	/** whether its cuff or leg goes over or under what it meets; over, where this is left out */
	endWorn?: EndWorn;
	/** days of wear before a wash, where the fibre does not say */
	wears?: number;
	/** what it can do (our assumption for an ordinary thing of its kind; a fact about the thing wins) */
	features?: readonly Feature[];
}

const TOP: Coverage = { torso: 1, arms: 0.95 };
const TORSO_ONLY: Coverage = { torso: 0.95 };
const LONG_LEGS: Coverage = { thighs: 1, calves: 0.95 };
const LEGS: Coverage = { torso: 0.1, thighs: 1, calves: 1 };

/** One row a type: all of its facts. Adding a type is adding a row, and its name in the words. */
// prettier-ignore
export const CATALOGUE_ROWS: Record<CatalogueGroup, Record<string, CatalogueRow>> = {
	head: {
		'cap-thin': { slot: 'head-base', covers: { ears: 0.9 }, at: [1, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.06, why: 'thin-knit' }, p: 150, fibre: 'blend', massG: 45, litres: 0.2, girth: 1, features: ['under-helmet'] },
		'hat-warm': { slot: 'hat', covers: { ears: 1 }, at: [2, 3], does: ['warmth'], warm: { localM2kw: 0.14, why: 'double-knit-or-lined' }, p: 100, fibre: 'wool', massG: 90, litres: 0.5, girth: 2, features: ['town'] },
		headband: { slot: 'head-base', covers: { ears: 0.5 }, at: [1, 2], does: ['warmth'], warm: { localM2kw: 0.08, why: 'thin-knit-doubled' }, p: 150, fibre: 'blend', massG: 35, litres: 0.1, girth: 1, features: ['under-helmet'] },
		balaclava: { slot: 'head-base', covers: { face: 0.6, ears: 1, neck: 0.9 }, at: [0, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.06, why: 'thin-knit' }, p: 150, fibre: 'wool', massG: 70, litres: 0.3, girth: 1, features: ['under-helmet'] },
		'neck-tube': { slot: 'neck', covers: { face: 0.6, neck: 1 }, at: [1, 2], does: ['skin', 'warmth'], warm: { localM2kw: 0.06, why: 'thin-knit-folded' }, p: 150, fibre: 'blend', massG: 40, litres: 0.2, girth: 1, features: ['under-helmet'] },
		scarf: { slot: 'neck', uses: ['walk', 'hike', 'camp', 'vehicle', 'public-room', 'lodging'], covers: { neck: 1 }, at: [2, 3], does: ['warmth'], warm: { localM2kw: 0.12, why: 'thick-knit' }, p: 100, fibre: 'wool', massG: 160, litres: 0.8, girth: 2, features: ['loose-ends', 'town'] },
		'sun-cap': { slot: 'head-base', covers: { ears: 0.45 }, at: [1, 1], does: ['weather'], warm: { weaveClo: 0.1 }, p: 60, fibre: 'cotton', massG: 70, litres: 0.3, girth: 1 },
		sunglasses: { slot: 'eyes', covers: { eyes: 1 }, at: [1, 1], does: ['weather'], warm: { none: true }, p: 1, fibre: 'other', massG: 35, litres: 0.2, lens: 3 },
		'glacier-glasses': { slot: 'eyes', covers: { eyes: 1 }, at: [1, 1], does: ['weather'], warm: { none: true }, p: 1, fibre: 'other', massG: 45, litres: 0.3, lens: 4 },
		goggles: { slot: 'eyes', covers: { eyes: 1, face: 0.3 }, at: [2, 2], does: ['weather'], warm: { localM2kw: 0.1, why: 'foam-and-double-lens' }, p: 1, fibre: 'other', massG: 140, litres: 1, lens: 2, features: ['under-helmet'] },
		'goggles-dark': { slot: 'eyes', covers: { eyes: 1, face: 0.3 }, at: [2, 2], does: ['weather'], warm: { localM2kw: 0.1, why: 'foam-and-double-lens' }, p: 1, fibre: 'other', massG: 140, litres: 1, lens: 3, features: ['under-helmet'] },
		'balaclava-thick': { slot: 'head-base', covers: { face: 0.7, ears: 1, neck: 1 }, at: [1, 2], does: ['warmth'], warm: { localM2kw: 0.13, why: 'fleece-or-doubled-knit' }, p: 80, fibre: 'synthetic', massG: 120, litres: 0.7, girth: 2 },
		'hat-trapper': { slot: 'hat', uses: ['walk', 'hike', 'camp', 'wade', 'vehicle'], covers: { ears: 1, neck: 0.3 }, at: [3, 4], does: ['warmth', 'weather'], warm: { localM2kw: 0.2, why: 'pile-lining-under-a-tight-weave' }, p: 10, fibre: 'synthetic-fill', water: 'repellent', massG: 180, litres: 1.5, girth: 3 },
		'hat-brim': { slot: 'hat', covers: { ears: 0.5 }, at: [1, 3], does: ['weather'], warm: { weaveClo: 0.1 }, p: 60, fibre: 'cotton', massG: 110, litres: 0.8, girth: 1 },
		'hat-rain': { slot: 'hat', covers: { ears: 0.6, neck: 0.3 }, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.15 }, p: 2, fibre: 'waxed-cotton', water: 'light-membrane', massG: 130, litres: 0.6, girth: 1 },
		'helmet-bike': { slot: 'helmet', uses: ['cycle'], covers: { ears: 0.7 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.054, why: 'padded-shell-with-open-vents' }, p: 200, fibre: 'other', massG: 290, litres: 6, room: 2 },
		'helmet-ski': { slot: 'helmet', uses: ['ski-touring', 'pistes'], covers: { ears: 1 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.054, why: 'padded-shell-with-open-vents' }, p: 60, fibre: 'other', massG: 450, litres: 7, room: 2 },
		'helmet-climb': { slot: 'helmet', uses: ['steep', 'ski-touring'], covers: { ears: 0.7 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.054, why: 'padded-shell-with-open-vents' }, p: 100, fibre: 'other', massG: 280, litres: 6, room: 2 },
		'helmet-motorbike': { slot: 'helmet', uses: ['motorbike'], covers: { face: 0.9, ears: 1, neck: 0.2 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.124, why: 'closed-padded-shell' }, p: 1, fibre: 'other', massG: 1450, litres: 12, room: 2 }
	},
	torso: {
		'top-wool-light': { slot: 'base', covers: TOP, at: [0, 1], does: ['skin'], warm: { tableClo: 0.12, row: 'undershirt-with-long-sleeves' }, p: 200, fibre: 'wool', massG: 190, litres: 0.8, girth: 1 },
		'top-wool-mid': { slot: 'base', covers: TOP, at: [1, 1], does: ['skin', 'warmth'], warm: { tableClo: 0.16, row: 'undershirt-with-long-sleeves-0-12-thin-sweater-0-20-between' }, p: 170, fibre: 'wool', massG: 260, litres: 1.1, girth: 1 },
		'top-synthetic': { slot: 'base', covers: TOP, at: [0, 1], does: ['skin'], warm: { tableClo: 0.12, row: 'undershirt-with-long-sleeves' }, p: 250, fibre: 'synthetic', massG: 140, litres: 0.6, girth: 1 },
		singlet: { slot: 'support', covers: { torso: 0.35 }, at: [0, 0], does: ['skin'], warm: { tableClo: 0.04, row: 'singlet' }, p: 250, fibre: 'synthetic', massG: 70, litres: 0.2 },
		'tshirt-cotton': { slot: 'base', covers: { torso: 1, arms: 0.35 }, at: [0, 1], does: ['skin'], warm: { tableClo: 0.09, row: 't-shirt' }, p: 200, fibre: 'cotton', massG: 170, litres: 0.7, girth: 1 },
		'tshirt-synthetic': { slot: 'base', covers: { torso: 1, arms: 0.35 }, at: [0, 1], does: ['skin'], warm: { tableClo: 0.09, row: 't-shirt' }, p: 250, fibre: 'synthetic', massG: 120, litres: 0.5, girth: 1 },
		'top-cotton': { slot: 'base', covers: TOP, at: [0, 1], does: ['skin'], warm: { tableClo: 0.12, row: 'undershirt-with-long-sleeves' }, p: 180, fibre: 'cotton', massG: 230, litres: 0.9, girth: 1 },
		'shirt-flannel': { slot: 'shirt', covers: TOP, at: [1, 2], does: ['skin', 'warmth'], warm: { tableClo: 0.3, row: 'flannel-shirt' }, p: 120, fibre: 'cotton', massG: 350, litres: 1.5, girth: 2, room: 1, features: ['full-zip', 'quiet-face', 'town'] },
		'fleece-thin': { slot: 'mid', covers: TOP, at: [2, 2], does: ['warmth'], warm: { tableClo: 0.2, row: 'thin-sweater' }, p: 400, fibre: 'synthetic', massG: 250, litres: 1.8, girth: 2, room: 1, features: ['half-zip', 'quiet-face'] },
		fleece: { slot: 'mid', covers: TOP, at: [2, 3], does: ['warmth'], warm: { tableClo: 0.35, row: 'thick-sweater' }, p: 400, fibre: 'synthetic', massG: 420, litres: 3.5, girth: 3, room: 3, features: ['full-zip', 'quiet-face'] },
		'sweater-wool': { slot: 'mid', covers: TOP, at: [2, 3], does: ['warmth'], warm: { tableClo: 0.28, row: 'sweater' }, p: 300, fibre: 'wool', massG: 450, litres: 3, girth: 3, room: 2, features: ['quiet-face', 'town'] },
		'vest-insulated': { slot: 'light-insulation', covers: TORSO_ONLY, at: [2, 3], does: ['warmth'], warm: { fillGm2: 60, fill: 'regular synthetic' }, p: 20, fibre: 'synthetic-fill', massG: 220, litres: 2, girth: 2, room: 3, features: ['full-zip'] },
		'jacket-synthetic-light': { slot: 'light-insulation', covers: TOP, at: [3, 5], does: ['warmth', 'over'], warm: { fillGm2: 60, fill: 'high-loft synthetic' }, p: 15, fibre: 'synthetic-fill', water: 'repellent', massG: 380, litres: 4, girth: 3, room: 6, features: ['full-zip', 'packs-into-itself'] },
		'jacket-down-light': { slot: 'light-insulation', covers: TOP, at: [3, 5], does: ['warmth', 'over'], warm: { fillGm2: 45, fill: 'down' }, p: 10, fibre: 'down', water: 'repellent', massG: 320, litres: 3, girth: 3, room: 6, features: ['full-zip', 'packs-into-itself'] },
		'coat-synthetic': { slot: 'coat', uses: ['ski-touring', 'pistes', 'steep', 'hike', 'walk', 'camp', 'wade', 'vehicle', 'public-room', 'lodging'], covers: { torso: 1, arms: 1, ears: 0.5, neck: 0.8, thighs: 0.15 }, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 120, fill: 'high-loft synthetic' }, p: 8, fibre: 'synthetic-fill', water: 'repellent', massG: 720, litres: 9, girth: 5, room: 10, features: ['hood', 'hood-over-helmet', 'two-way-zip'] },
		'coat-down': { slot: 'coat', uses: ['ski-touring', 'pistes', 'steep', 'hike', 'walk', 'camp', 'wade', 'vehicle', 'public-room', 'lodging'], covers: { torso: 1, arms: 1, ears: 0.5, neck: 0.8, thighs: 0.15 }, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 95, fill: 'down' }, p: 8, fibre: 'down', water: 'repellent', massG: 750, litres: 10, girth: 5, room: 10, features: ['hood', 'hood-over-helmet', 'two-way-zip'] },
		'wind-shirt': { slot: 'wind', covers: TOP, at: [2, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 30, fibre: 'synthetic', water: 'repellent', massG: 110, litres: 0.5, girth: 1, room: 4, features: ['half-zip', 'hood', 'packs-into-itself'] },
		'soft-shell': { slot: 'wind', covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.2, row: 'jacket-light-0-25-less-its-lining' }, p: 40, fibre: 'synthetic', water: 'windproof', massG: 450, litres: 2.5, girth: 2, room: 5, features: ['full-zip', 'stays-tucked', 'short-tail', 'quiet-face'] },
		'soft-shell-lined': { slot: 'wind', covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.3, row: 'smock' }, p: 20, fibre: 'synthetic', water: 'windproof', massG: 650, litres: 4, girth: 3, room: 5, features: ['full-zip', 'quiet-face'] },
		'rain-shell': { slot: 'rain', covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'synthetic', water: 'light-membrane', massG: 270, litres: 1.2, girth: 1, room: 6, features: ['full-zip', 'hood', 'packs-into-itself'] },
		'hard-shell': { slot: 'rain', covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 1, fibre: 'synthetic', water: 'taped', massG: 480, litres: 2.5, girth: 1, room: 7, features: ['full-zip', 'hood', 'hood-over-helmet', 'two-way-zip', 'stays-tucked', 'vents', 'cuff-seal'] },
		'jacket-ski': { slot: 'rain', uses: ['pistes', 'ski-touring', 'hike', 'walk', 'camp', 'vehicle'], covers: TOP, at: [4, 4], does: ['weather', 'warmth'], warm: { fillGm2: 80, fill: 'regular synthetic' }, p: 1, fibre: 'synthetic-fill', water: 'light-membrane', massG: 1000, litres: 8, girth: 4, room: 6, features: ['full-zip', 'hood', 'hood-over-helmet', 'vents', 'cuff-seal'] },
		'jacket-waxed': { slot: 'rain', uses: ['walk', 'hike', 'camp', 'wade', 'vehicle'], covers: TOP, at: [4, 4], does: ['weather'], warm: { tableClo: 0.25, row: 'jacket-light' }, p: 5, fibre: 'waxed-cotton', water: 'light-membrane', massG: 1300, litres: 6, girth: 2, room: 6, features: ['full-zip', 'quiet-face', 'abrasion', 'long-tail', 'town'] },
		'jacket-denim': { slot: 'wind', uses: ['walk', 'camp', 'vehicle', 'public-room', 'lodging'], covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.25, row: 'jacket-light' }, p: 60, fibre: 'cotton', massG: 800, litres: 4, girth: 2, room: 4, features: ['quiet-face', 'abrasion', 'town'] },
		'top-hooded': { slot: 'base', covers: { torso: 1, arms: 1, ears: 0.9, neck: 0.95 }, at: [1, 1], does: ['skin', 'warmth'], warm: { tableClo: 0.16, row: 'undershirt-with-long-sleeves-0-12-thin-sweater-0-20-between' }, p: 200, fibre: 'synthetic', massG: 250, litres: 1.1, girth: 1, features: ['hood', 'under-helmet'] },
		'top-string': { slot: 'support', covers: { torso: 0.8 }, at: [0, 0], does: ['skin'], warm: { tableClo: 0.04, row: 'singlet' }, p: 1000, fibre: 'wool', massG: 110, litres: 0.4 },
		'shirt-wool': { slot: 'shirt', covers: TOP, at: [1, 2], does: ['skin', 'warmth'], warm: { tableClo: 0.3, row: 'flannel-shirt' }, p: 120, fibre: 'wool', massG: 420, litres: 1.8, girth: 2, room: 1, features: ['full-zip', 'quiet-face', 'town'] },
		'shirt-sun': { slot: 'shirt', covers: TOP, at: [0, 2], does: ['skin'], warm: { tableClo: 0.2, row: 'shirt-light-long-sleeves' }, p: 150, fibre: 'synthetic', massG: 180, litres: 0.7, girth: 1, features: ['full-zip', 'town'] },
		'vest-down': { slot: 'light-insulation', covers: TORSO_ONLY, at: [2, 3], does: ['warmth'], warm: { fillGm2: 40, fill: 'down' }, p: 15, fibre: 'down', massG: 200, litres: 1.8, girth: 2, room: 3, features: ['full-zip', 'packs-into-itself'] },
		'vest-electric': { slot: 'light-insulation', covers: TORSO_ONLY, at: [1, 3], does: ['warmth'], warm: { tableClo: 0.12, row: 'sleeveless-vest' }, p: 50, fibre: 'synthetic', massG: 420, litres: 2, watts: 9, wh: 37, girth: 2, room: 1, features: ['full-zip'] },
		'vest-visible': { slot: 'visibility', covers: { torso: 0.9 }, at: [5, 5], does: ['weather'], warm: { none: true }, p: 300, fibre: 'synthetic', massG: 90, litres: 0.3, room: 20, features: ['high-visibility', 'reflective', 'quiet-face'] },
		'wind-shirt-lined': { slot: 'wind', covers: TOP, at: [2, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.25, row: 'jacket-light' }, p: 25, fibre: 'synthetic', water: 'repellent', massG: 320, litres: 1.8, girth: 2, room: 3, features: ['full-zip', 'hood'] },
		poncho: { slot: 'rain', uses: ['walk', 'hike', 'camp'], covers: { torso: 1, arms: 0.7, ears: 0.5, thighs: 0.6 }, at: [5, 5], does: ['weather'], warm: { weaveClo: 0.15 }, p: 3, fibre: 'synthetic', water: 'light-membrane', massG: 320, litres: 1.2, girth: 1, room: 14, features: ['hood', 'loose-ends', 'long-tail'] },
		'anorak-cotton': { slot: 'wind', covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 10, fibre: 'cotton', water: 'windproof', massG: 700, litres: 2.5, girth: 1, room: 6, features: ['half-zip', 'hood', 'quiet-face', 'abrasion', 'no-melt', 'long-tail'] },
		'jacket-wool-felt': { slot: 'wind', uses: ['walk', 'hike', 'camp', 'vehicle', 'public-room', 'lodging'], covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.35, row: 'jacket-normal' }, p: 40, fibre: 'wool', water: 'repellent', massG: 1200, litres: 6, girth: 3, room: 5, features: ['full-zip', 'quiet-face', 'abrasion', 'no-melt', 'town'] },
		'coat-town': { slot: 'wind', uses: ['walk', 'vehicle', 'public-room'], covers: { torso: 1, arms: 1, thighs: 0.6 }, at: [4, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.6, row: 'coat' }, p: 40, fibre: 'wool', massG: 1700, litres: 9, girth: 3, room: 5, features: ['quiet-face', 'long-tail', 'town'] },
		'jacket-motorbike': { slot: 'armour', uses: ['motorbike', 'walk', 'public-room'], covers: TOP, at: [4, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.35, row: 'jacket-normal' }, p: 5, fibre: 'synthetic', water: 'light-membrane', massG: 2600, litres: 10, girth: 3, room: 6, features: ['full-zip', 'armour-room', 'abrasion', 'reflective'] },
		'jacket-wading': { slot: 'rain', uses: ['wade', 'hike', 'camp'], covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 1, fibre: 'synthetic', water: 'taped', massG: 520, litres: 2.5, girth: 1, room: 7, features: ['full-zip', 'hood', 'cuff-seal', 'short-tail'] },
		'jacket-rain-over': { slot: 'rain', uses: ['motorbike', 'walk', 'hike', 'camp'], covers: TOP, at: [5, 5], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'synthetic', water: 'light-membrane', massG: 420, litres: 2, girth: 1, room: 12, features: ['full-zip', 'reflective', 'cuff-seal'] }
	},
	hands: {
		'glove-liner': { slot: 'hand-liner', covers: { hands: 1 }, at: [0, 1], does: ['skin'], warm: { localM2kw: 0.05, why: 'glove-steps' }, p: 200, fibre: 'wool', massG: 40, litres: 0.1, pairs: true, dexterity: 'high', girth: 1, features: ['touch-screen'] },
		'glove-light': { slot: 'glove', covers: { hands: 1 }, at: [2, 2], does: ['warmth'], warm: { localM2kw: 0.1, why: 'glove-steps' }, p: 60, fibre: 'synthetic', water: 'repellent', massG: 80, litres: 0.4, pairs: true, dexterity: 'high', girth: 2, room: 1, features: ['touch-screen'] },
		'glove-winter': { slot: 'glove', covers: { hands: 1 }, at: [2, 2], does: ['warmth', 'weather'], warm: { localM2kw: 0.2, why: 'glove-steps' }, p: 5, fibre: 'synthetic-fill', water: 'light-membrane', massG: 190, litres: 1.2, pairs: true, dexterity: 'medium', girth: 3, room: 1, features: ['cuff-seal', 'wrist-leash'] },
		mitten: { slot: 'glove', covers: { hands: 1 }, at: [2, 2], does: ['warmth', 'weather'], warm: { localM2kw: 0.3, why: 'glove-steps' }, p: 5, fibre: 'synthetic-fill', water: 'light-membrane', massG: 220, litres: 1.6, pairs: true, dexterity: 'low', girth: 4, room: 2, features: ['cuff-seal', 'wrist-leash'] },
		'overmitt-shell': { slot: 'overmitt', covers: { hands: 1 }, at: [5, 5], does: ['weather'], warm: { localM2kw: 0.04, why: 'single-weave-the-air-under-it' }, p: 1, fibre: 'synthetic', water: 'taped', massG: 70, litres: 0.3, pairs: true, dexterity: 'low', girth: 1, room: 6, features: ['cuff-seal'] },
		'overmitt-down': { slot: 'overmitt', covers: { hands: 1 }, at: [5, 5], does: ['over', 'warmth'], warm: { localM2kw: 0.45, why: 'glove-steps' }, p: 5, fibre: 'down', water: 'repellent', massG: 280, litres: 3, pairs: true, dexterity: 'low', girth: 5, room: 6, features: ['wrist-leash'] },
		'glove-wool': { slot: 'glove', covers: { hands: 1 }, at: [1, 2], does: ['warmth'], warm: { localM2kw: 0.09, why: 'glove-steps' }, p: 250, fibre: 'wool', massG: 70, litres: 0.3, pairs: true, dexterity: 'high', girth: 2, room: 1, features: ['no-melt'] },
		'glove-leather': { slot: 'glove', covers: { hands: 1 }, at: [2, 2], does: ['weather'], warm: { localM2kw: 0.09, why: 'glove-steps' }, p: 10, fibre: 'leather', water: 'repellent', massG: 160, litres: 0.5, pairs: true, dexterity: 'medium', girth: 2, room: 1, features: ['abrasion', 'no-melt'] },
		'glove-rubber': { slot: 'glove', endWorn: 'over', uses: ['wade', 'camp'], covers: { hands: 1 }, at: [2, 2], does: ['weather', 'warmth'], warm: { localM2kw: 0.12, why: 'glove-steps' }, p: 1, fibre: 'rubber', water: 'rubber', massG: 120, litres: 0.5, pairs: true, dexterity: 'medium', girth: 2, features: ['cuff-seal'] },
		'mitten-open': { slot: 'glove', covers: { hands: 1 }, at: [2, 2], does: ['warmth'], warm: { localM2kw: 0.15, why: 'glove-steps' }, p: 150, fibre: 'wool', massG: 110, litres: 0.6, pairs: true, dexterity: 'high', girth: 2, room: 1 },
		'glove-electric': { slot: 'glove', covers: { hands: 1 }, at: [2, 2], does: ['warmth', 'weather'], warm: { localM2kw: 0.2, why: 'glove-steps' }, p: 5, fibre: 'synthetic-fill', water: 'light-membrane', massG: 420, litres: 2, pairs: true, dexterity: 'low', watts: 8, wh: 22, girth: 4, room: 1 }
	},
	legs: {
		briefs: { slot: 'briefs', covers: { torso: 0.1, thighs: 0.25 }, at: [0, 0], does: ['skin'], warm: { tableClo: 0.03, row: 'panties' }, p: 200, fibre: 'synthetic', massG: 50, litres: 0.2 },
		'bottoms-wool': { slot: 'leg-base', covers: LONG_LEGS, at: [1, 1], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants-with-long-legs' }, p: 200, fibre: 'wool', massG: 180, litres: 0.7, girth: 1 },
		'bottoms-short': { slot: 'leg-base', covers: { thighs: 1, calves: 0.45 }, at: [1, 1], does: ['skin'], warm: { tableClo: 0.08, row: 'underpants-with-long-legs-to-below-the-knee' }, p: 200, fibre: 'wool', massG: 150, litres: 0.6, girth: 1 },
		'bottoms-synthetic': { slot: 'leg-base', covers: LONG_LEGS, at: [1, 1], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants-with-long-legs' }, p: 250, fibre: 'synthetic', massG: 140, litres: 0.5, girth: 1 },
		'bottoms-cotton': { slot: 'leg-base', covers: LONG_LEGS, at: [1, 1], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants-with-long-legs' }, p: 200, fibre: 'cotton', massG: 200, litres: 0.7, girth: 1 },
		'bottoms-fleece': { slot: 'leg-base', covers: LONG_LEGS, at: [1, 2], does: ['warmth', 'skin'], warm: { tableClo: 0.2, row: 'underpants-with-long-legs-doubled' }, p: 300, fibre: 'synthetic', massG: 260, litres: 1.8, girth: 2, room: 1 },
		shorts: { slot: 'trousers', covers: { torso: 0.1, thighs: 0.6 }, at: [2, 4], does: ['weather'], warm: { tableClo: 0.06, row: 'shorts' }, p: 80, fibre: 'synthetic', massG: 180, litres: 0.7, girth: 1, room: 2, overBoots: true },
		'trousers-trek': { slot: 'trousers', covers: LEGS, at: [2, 4], does: ['weather'], warm: { tableClo: 0.2, row: 'trousers-light' }, p: 60, fibre: 'synthetic', water: 'repellent', massG: 350, litres: 1.4, girth: 1, room: 2, features: ['town'] },
		'trousers-soft-shell': { slot: 'trousers', covers: LEGS, at: [2, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.25, row: 'trousers-normal' }, p: 30, fibre: 'synthetic', water: 'windproof', massG: 520, litres: 2.5, girth: 2, room: 3, features: ['slim-cuff', 'stays-tucked', 'vents'] },
		jeans: { slot: 'trousers', uses: ['walk', 'camp', 'motorbike', 'vehicle', 'public-room', 'lodging'], covers: LEGS, at: [2, 4], does: ['weather'], warm: { tableClo: 0.25, row: 'trousers-normal' }, p: 60, fibre: 'cotton', massG: 650, litres: 2, girth: 2, room: 1, features: ['abrasion', 'town'] },
		'trousers-ski': { slot: 'trousers', uses: ['pistes', 'ski-touring', 'hike', 'walk', 'camp', 'vehicle', 'public-room'], covers: LEGS, at: [3, 4], does: ['weather', 'warmth'], warm: { fillGm2: 60, fill: 'regular synthetic' }, p: 1, fibre: 'synthetic-fill', water: 'light-membrane', massG: 850, litres: 6, girth: 3, room: 4, features: ['vents'] },
		'trousers-rain': { slot: 'overtrousers', covers: LEGS, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'synthetic', water: 'light-membrane', massG: 260, litres: 1, girth: 1, room: 5, overBoots: true, features: ['packs-into-itself'] },
		'trousers-hard-shell': { slot: 'overtrousers', covers: LEGS, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 1, fibre: 'synthetic', water: 'taped', massG: 450, litres: 2, girth: 1, room: 6, overBoots: true, features: ['full-side-zip', 'drop-seat', 'slim-cuff'] },
		'overtrousers-warm': { slot: 'overtrousers', uses: ['ski-touring', 'pistes', 'steep', 'hike', 'walk', 'camp', 'wade', 'vehicle', 'public-room', 'lodging'], covers: LEGS, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 60, fill: 'high-loft synthetic' }, p: 10, fibre: 'synthetic-fill', water: 'repellent', massG: 480, litres: 5, girth: 4, room: 8, overBoots: true, features: ['full-side-zip'] },
		'shorts-insulated': { slot: 'overtrousers', uses: ['ski-touring', 'hike', 'steep', 'camp', 'walk', 'pistes'], covers: { torso: 0.2, thighs: 0.8 }, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 60, fill: 'high-loft synthetic' }, p: 10, fibre: 'synthetic-fill', water: 'repellent', massG: 260, litres: 2.5, girth: 3, room: 8, overBoots: true, features: ['full-side-zip'] },
		'trousers-wool': { slot: 'trousers', covers: LEGS, at: [2, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.28, row: 'trousers-flannel' }, p: 50, fibre: 'wool', massG: 750, litres: 3, girth: 2, room: 2, features: ['abrasion', 'no-melt', 'quiet-face', 'town'] },
		'trousers-canvas': { slot: 'trousers', uses: ['walk', 'hike', 'camp', 'wade', 'vehicle', 'public-room', 'lodging'], covers: LEGS, at: [2, 4], does: ['weather'], warm: { tableClo: 0.25, row: 'trousers-normal' }, p: 30, fibre: 'waxed-cotton', water: 'repellent', massG: 680, litres: 2.2, girth: 2, room: 2, features: ['abrasion', 'no-melt', 'quiet-face'] },
		'trousers-motorbike': { slot: 'leg-armour', uses: ['motorbike', 'walk', 'public-room'], covers: LEGS, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.28, row: 'trousers-flannel' }, p: 5, fibre: 'synthetic', water: 'light-membrane', massG: 1900, litres: 7, girth: 3, room: 4, features: ['armour-room', 'abrasion'] },
		'tights-running': { slot: 'leg-base', uses: ['run', 'cycle'], covers: LONG_LEGS, at: [1, 4], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants-with-long-legs' }, p: 150, fibre: 'synthetic', massG: 190, litres: 0.6, girth: 1, features: ['slim-cuff', 'tights'] },
		'trousers-rain-over': { slot: 'overtrousers', uses: ['motorbike', 'walk', 'hike', 'camp'], covers: LEGS, at: [5, 5], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'synthetic', water: 'light-membrane', massG: 380, litres: 1.8, girth: 1, room: 10, overBoots: true, features: ['full-side-zip'] },
		'tights-cycling': { slot: 'leg-base', uses: ['cycle', 'run'], covers: LONG_LEGS, at: [1, 4], does: ['skin', 'warmth'], warm: { tableClo: 0.2, row: 'underpants-with-long-legs-doubled' }, p: 100, fibre: 'synthetic', massG: 280, litres: 1, girth: 1, features: ['slim-cuff', 'tights'] },
		waders: { slot: 'overtrousers', uses: ['wade'], covers: { torso: 0.5, thighs: 1, calves: 1 }, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'rubber', water: 'rubber', massG: 1300, litres: 6, girth: 2, room: 7, height: 90 }
	},
	feet: {
		'sock-liner': { slot: 'liner-sock', covers: { feet: 1 }, at: [0, 0], does: ['skin'], warm: { localM2kw: 0.015, why: 'foot-steps' }, p: 200, fibre: 'synthetic', massG: 40, litres: 0.1, pairs: true, girth: 1, height: 12 },
		'sock-light': { slot: 'sock', covers: { feet: 1 }, at: [1, 1], does: ['skin'], warm: { localM2kw: 0.02, why: 'foot-steps' }, p: 200, fibre: 'blend', massG: 60, litres: 0.2, pairs: true, girth: 1, height: 6, features: ['town'] },
		'sock-mid': { slot: 'sock', covers: { feet: 1, calves: 0.3 }, at: [1, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.04, why: 'foot-steps' }, p: 200, fibre: 'wool', massG: 90, litres: 0.4, pairs: true, girth: 2, height: 18 },
		'sock-heavy': { slot: 'sock', covers: { feet: 1, calves: 0.45 }, at: [1, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.07, why: 'foot-steps' }, p: 200, fibre: 'wool', massG: 140, litres: 0.6, pairs: true, girth: 3, height: 36 },
		'sock-ski': { slot: 'sock', covers: { feet: 1, calves: 0.45 }, at: [1, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.03, why: 'foot-steps' }, p: 200, fibre: 'wool', massG: 90, litres: 0.3, pairs: true, girth: 1, height: 40 },
		'sock-cotton': { slot: 'sock', covers: { feet: 1 }, at: [1, 1], does: ['skin'], warm: { localM2kw: 0.02, why: 'foot-steps' }, p: 200, fibre: 'cotton', massG: 60, litres: 0.2, pairs: true, girth: 1, height: 6 },
		'shoe-trail': { slot: 'footwear', uses: ['run', 'walk', 'hike', 'cycle', 'camp', 'vehicle', 'public-room'], covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.12, why: 'foot-steps' }, p: 40, fibre: 'synthetic', massG: 650, litres: 5, pairs: true, room: 2, height: 0, features: ['town'] },
		'boot-hiking': { slot: 'footwear', uses: ['hike', 'walk', 'camp', 'motorbike', 'vehicle', 'public-room'], covers: { feet: 1 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.22, why: 'foot-steps' }, p: 2, fibre: 'leather', water: 'light-membrane', massG: 1200, litres: 8, pairs: true, room: 3, height: 8 },
		'boot-ski-touring': { slot: 'footwear', uses: ['ski-touring', 'pistes'], covers: { feet: 1, calves: 0.4 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.3, why: 'plastic-shell-with-a-thermo-liner-between-hiking-and-lined-winter-boot' }, p: 1, fibre: 'other', water: 'taped', massG: 2800, litres: 14, pairs: true, room: 3, height: 24 },
		'boot-ski': { slot: 'footwear', uses: ['pistes'], covers: { feet: 1, calves: 0.5 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.24, why: 'plastic-shell-with-a-tight-liner' }, p: 1, fibre: 'other', water: 'taped', massG: 3600, litres: 16, pairs: true, room: 2, height: 27 },
		'boot-snowboard': { slot: 'footwear', uses: ['pistes'], covers: { feet: 1, calves: 0.45 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.3, why: 'soft-shell-with-a-thick-liner' }, p: 1, fibre: 'other', water: 'light-membrane', massG: 2200, litres: 14, pairs: true, room: 4, height: 25 },
		'boot-winter': { slot: 'footwear', uses: ['hike', 'walk', 'camp', 'motorbike', 'vehicle', 'public-room'], covers: { feet: 1, calves: 0.3 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.32, why: 'foot-steps' }, p: 2, fibre: 'leather', water: 'light-membrane', massG: 1700, litres: 11, pairs: true, room: 4, height: 16 },
		'boot-pac': { slot: 'footwear', uses: ['hike', 'walk', 'camp', 'public-room'], covers: { feet: 1, calves: 0.4 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.4, why: 'foot-steps' }, p: 1, fibre: 'rubber', water: 'rubber', massG: 2300, litres: 15, pairs: true, room: 6, height: 22 },
		gaiters: { slot: 'gaiter', uses: ['hike', 'steep', 'ski-touring', 'walk', 'camp'], covers: { calves: 0.9 }, at: [5, 5], does: ['weather'], warm: { weaveClo: 0.2 }, p: 3, fibre: 'synthetic', water: 'light-membrane', massG: 240, litres: 0.8, pairs: true, girth: 1, room: 9, overBoots: true, height: 40, features: ['slim-cuff'] },
		'booties-down': { slot: 'footwear', uses: ['lodging', 'bed'], covers: { feet: 1 }, at: [4, 4], does: ['warmth'], warm: { localM2kw: 0.3, why: 'quilted-slipper' }, p: 20, fibre: 'synthetic-fill', massG: 250, litres: 2, pairs: true, room: 3 },
		'sock-waterproof': { slot: 'sock', covers: { feet: 1, calves: 0.2 }, at: [1, 2], does: ['skin', 'weather'], warm: { localM2kw: 0.05, why: 'foot-steps' }, p: 1, fibre: 'synthetic', massG: 110, litres: 0.4, pairs: true, girth: 2, room: 1, height: 20 },
		'sock-vapour': { slot: 'vapour-barrier', covers: { feet: 1, calves: 0.2 }, at: [1, 1], does: ['skin'], warm: { localM2kw: 0.01, why: 'foot-steps' }, p: 1, fibre: 'rubber', massG: 50, litres: 0.1, pairs: true, girth: 1, room: 1, height: 22 },
		'boot-rubber': { slot: 'footwear', uses: ['wade', 'hike', 'walk', 'camp'], covers: { feet: 1, calves: 0.5 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.15, why: 'foot-steps' }, p: 1, fibre: 'rubber', water: 'rubber', massG: 1900, litres: 14, pairs: true, room: 5, height: 28 },
		'boot-wading': { slot: 'footwear', uses: ['wade'], covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.15, why: 'foot-steps' }, p: 30, fibre: 'synthetic', massG: 1400, litres: 9, pairs: true, room: 6, height: 12 },
		'boot-mountain': { slot: 'footwear', uses: ['steep', 'hike'], covers: { feet: 1, calves: 0.2 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.27, why: 'stiff-lightly-lined-between-hiking-and-lined-winter-boot' }, p: 1, fibre: 'leather', water: 'light-membrane', massG: 1700, litres: 10, pairs: true, room: 3, height: 12 },
		'shoe-low': { slot: 'footwear', uses: ['walk', 'hike', 'cycle', 'camp', 'vehicle', 'public-room'], covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.15, why: 'foot-steps' }, p: 2, fibre: 'synthetic', water: 'light-membrane', massG: 850, litres: 6, pairs: true, room: 2, height: 0, features: ['town'] },
		'shoe-town': { slot: 'footwear', uses: ['walk', 'vehicle', 'public-room'], covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.12, why: 'foot-steps' }, p: 20, fibre: 'leather', massG: 800, litres: 5, pairs: true, room: 1, height: 0, features: ['town'] },
		'shoe-cycling': { slot: 'footwear', uses: ['cycle', 'public-room'], covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.12, why: 'foot-steps' }, p: 60, fibre: 'synthetic', massG: 620, litres: 5, pairs: true, room: 2, height: 0 },
		'boot-cycling-winter': { slot: 'footwear', uses: ['cycle', 'public-room'], covers: { feet: 1 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.22, why: 'foot-steps' }, p: 2, fibre: 'synthetic', water: 'light-membrane', massG: 980, litres: 7, pairs: true, room: 3, height: 8 },
		slippers: { slot: 'footwear', uses: ['lodging', 'bed'], covers: { feet: 1 }, at: [4, 4], does: ['warmth'], warm: { localM2kw: 0.08, why: 'foot-steps' }, p: 80, fibre: 'wool', massG: 250, litres: 1.5, pairs: true, room: 3, height: 0 }
	},
	sleep: {
		'bag-summer': { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'synthetic-fill', massG: 900, litres: 8, comfortC: 8 },
		'bag-three-season': { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'down', massG: 1000, litres: 9, comfortC: 0 },
		'bag-winter': { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'down', massG: 1500, litres: 14, comfortC: -12 },
		'bag-polar': { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'down', massG: 2100, litres: 20, comfortC: -25 }
	},
	other: {
		'pack-day': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 50, fibre: 'synthetic', massG: 900, litres: 0, holds: 32 },
		'pack-small': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 50, fibre: 'synthetic', massG: 400, litres: 0, holds: 10 },
		'pack-large': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 50, fibre: 'synthetic', massG: 1900, litres: 0, holds: 60 },
		'pack-cover': { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'synthetic', massG: 110, litres: 0.3, features: ['watertight'] },
		'bag-dry': { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'synthetic', massG: 80, litres: 0.2, holds: 13, features: ['watertight'] },
		'bag-roll-top': { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'synthetic', massG: 380, litres: 0, holds: 35, features: ['watertight'] },
		panniers: { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'synthetic', massG: 1800, litres: 0, holds: 40, features: ['watertight'] },
		'vest-float': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 600, litres: 6, features: ['floats'] },
		'mat-seat': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 60, litres: 0.8 },
		harness: { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 380, litres: 3 },
		torch: { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 90, litres: 0.3, wh: 4 },
		'batteries-spare': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 40, litres: 0.1, wh: 4 },
		'power-bank': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 210, litres: 0.2, wh: 37 },
		cleats: { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 350, litres: 0.8, pairs: true },
		poles: { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 480, litres: 1.5, pairs: true },
		umbrella: { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'other', massG: 300, litres: 1 },
		flask: { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 420, litres: 1.3, holds: 0.75 },
		bottle: { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 150, litres: 1.3, holds: 1 },
		filter: { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 90, litres: 0.4 },
		'warmers-hand': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 45, litres: 0.1, pairs: true },
		'warmers-foot': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 50, litres: 0.1, pairs: true },
		'insole-electric': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 180, litres: 0.4, pairs: true, watts: 4, wh: 15 },
		'fire-source': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 25, litres: 0.1 },
		'lights-bike': { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 140, litres: 0.3, wh: 6 }
	}
};
