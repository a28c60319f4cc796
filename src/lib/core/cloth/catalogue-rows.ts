import type { Coverage } from '../document/parts';
import type { ClothFunction, Dexterity, Fibre } from '../document/types';
import type { WaterGrade } from '../document/weather';

/** Body part under which a thing is looked for. */
export const CATALOGUE_GROUPS = [
	'Head and eyes',
	'Torso',
	'Hands',
	'Legs',
	'Feet',
	'Sleep',
	'Other things'
] as const;
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
	covers: Coverage;
	at: [number, number];
	does: ClothFunction[];
	warm: Insulation;
	p: number;
	fibre: Fibre;
	massG: number;
	litres: number;
	words?: string;
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
	/** days of wear before a wash, where the fibre does not say */
	wears?: number;
}

const TOP: Coverage = { torso: 1, arms: 0.95 };
const TORSO_ONLY: Coverage = { torso: 0.95 };
const LONG_LEGS: Coverage = { thighs: 1, calves: 0.95 };
const LEGS: Coverage = { torso: 0.1, thighs: 1, calves: 1 };
const GLOVE_STEP = 'hand systems in steps, between the classes of EN 511';
const FOOT_STEP = 'sock and boot steps that match what walkers report';

/** One row a type: what it is called and what it does. Adding a type is adding a row. */
// prettier-ignore
export const CATALOGUE_ROWS: Record<CatalogueGroup, Record<string, [name: string, row: CatalogueRow]>> = {
	'Head and eyes': {
		'cap-thin': ['Cap, thin, fits under a helmet', { covers: { ears: 0.9 }, at: [1, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.06, why: 'thin knit' }, p: 150, fibre: 'blend', massG: 45, litres: 0.2, words: 'skull cap liner helmet', girth: 1 }],
		'hat-warm': ['Warm hat', { covers: { ears: 1 }, at: [2, 3], does: ['warmth'], warm: { localM2kw: 0.14, why: 'double knit or lined' }, p: 100, fibre: 'wool', massG: 90, litres: 0.5, words: 'beanie woolly bobble', girth: 2 }],
		headband: ['Headband', { covers: { ears: 0.5 }, at: [1, 2], does: ['warmth'], warm: { localM2kw: 0.08, why: 'thin knit, doubled' }, p: 150, fibre: 'blend', massG: 35, litres: 0.1, words: 'ear band', girth: 1 }],
		balaclava: ['Balaclava', { covers: { face: 0.6, ears: 1, neck: 0.9 }, at: [0, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.06, why: 'thin knit' }, p: 150, fibre: 'wool', massG: 70, litres: 0.3, words: 'face mask hood', girth: 1 }],
		'neck-tube': ['Neck tube', { covers: { face: 0.6, neck: 1 }, at: [1, 2], does: ['skin', 'warmth'], warm: { localM2kw: 0.06, why: 'thin knit, folded' }, p: 150, fibre: 'blend', massG: 40, litres: 0.2, words: 'scarf gaiter neck warmer snood', girth: 1 }],
		scarf: ['Scarf', { covers: { neck: 1 }, at: [2, 3], does: ['warmth'], warm: { localM2kw: 0.12, why: 'thick knit' }, p: 100, fibre: 'wool', massG: 160, litres: 0.8, words: 'shawl', girth: 2 }],
		'sun-cap': ['Sun cap', { covers: { ears: 0.45 }, at: [1, 1], does: ['weather'], warm: { weaveClo: 0.1 }, p: 60, fibre: 'cotton', massG: 70, litres: 0.3, words: 'baseball peaked', girth: 1 }],
		sunglasses: ['Sunglasses', { covers: { eyes: 1 }, at: [1, 1], does: ['weather'], warm: { none: true }, p: 1, fibre: 'other', massG: 35, litres: 0.2, lens: 3, words: 'shades glasses' }],
		'glacier-glasses': ['Glacier glasses', { covers: { eyes: 1 }, at: [1, 1], does: ['weather'], warm: { none: true }, p: 1, fibre: 'other', massG: 45, litres: 0.3, lens: 4, words: 'dark category 4 glasses' }],
		goggles: ['Goggles, light lens', { covers: { eyes: 1, face: 0.3 }, at: [2, 2], does: ['weather'], warm: { localM2kw: 0.1, why: 'foam and double lens' }, p: 1, fibre: 'other', massG: 140, litres: 1, lens: 2, words: 'ski mask' }],
		'goggles-dark': ['Goggles, dark lens', { covers: { eyes: 1, face: 0.3 }, at: [2, 2], does: ['weather'], warm: { localM2kw: 0.1, why: 'foam and double lens' }, p: 1, fibre: 'other', massG: 140, litres: 1, lens: 3, words: 'ski mask' }],
		'balaclava-thick': ['Balaclava, lined', { covers: { face: 0.7, ears: 1, neck: 1 }, at: [1, 2], does: ['warmth'], warm: { localM2kw: 0.13, why: 'fleece or doubled knit' }, p: 80, fibre: 'synthetic', massG: 120, litres: 0.7, words: 'face mask', girth: 2 }],
		'hat-trapper': ['Hat with ear flaps, lined', { covers: { ears: 1, neck: 0.3 }, at: [3, 4], does: ['warmth', 'weather'], warm: { localM2kw: 0.2, why: 'pile lining under a tight weave' }, p: 10, fibre: 'synthetic-fill', water: 'repellent', massG: 180, litres: 1.5, words: 'aviator fur bomber', girth: 3 }],
		'hat-brim': ['Hat with a brim', { covers: { ears: 0.5 }, at: [1, 3], does: ['weather'], warm: { weaveClo: 0.1 }, p: 60, fibre: 'cotton', massG: 110, litres: 0.8, words: 'sun safari', girth: 1 }],
		'hat-rain': ['Rain hat', { covers: { ears: 0.6, neck: 0.3 }, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.15 }, p: 2, fibre: 'waxed-cotton', water: 'light-membrane', massG: 130, litres: 0.6, words: 'souwester waterproof cap', girth: 1 }]
	},
	Torso: {
		'top-wool-light': ['Wool top, thin', { covers: TOP, at: [0, 1], does: ['skin'], warm: { tableClo: 0.12, row: 'undershirt with long sleeves' }, p: 200, fibre: 'wool', massG: 190, litres: 0.8, words: 'merino long sleeve thermal shirt', girth: 1 }],
		'top-wool-mid': ['Wool top, mid weight', { covers: TOP, at: [1, 1], does: ['skin', 'warmth'], warm: { tableClo: 0.16, row: 'undershirt with long sleeves 0.12, thin sweater 0.20, between' }, p: 170, fibre: 'wool', massG: 260, litres: 1.1, words: 'merino thermal', girth: 1 }],
		'top-synthetic': ['Synthetic top, thin', { covers: TOP, at: [0, 1], does: ['skin'], warm: { tableClo: 0.12, row: 'undershirt with long sleeves' }, p: 250, fibre: 'synthetic', massG: 140, litres: 0.6, words: 'polyester thermal running', girth: 1 }],
		singlet: ['Singlet or sports bra', { covers: { torso: 0.35 }, at: [0, 0], does: ['skin'], warm: { tableClo: 0.04, row: 'singlet' }, p: 250, fibre: 'synthetic', massG: 70, litres: 0.2, words: 'bra vest undershirt' }],
		'tshirt-cotton': ['Cotton T-shirt', { covers: { torso: 1, arms: 0.35 }, at: [0, 1], does: ['skin'], warm: { tableClo: 0.09, row: 'T-shirt' }, p: 200, fibre: 'cotton', massG: 170, litres: 0.7, words: 'tee', girth: 1 }],
		'tshirt-synthetic': ['Synthetic T-shirt', { covers: { torso: 1, arms: 0.35 }, at: [0, 1], does: ['skin'], warm: { tableClo: 0.09, row: 'T-shirt' }, p: 250, fibre: 'synthetic', massG: 120, litres: 0.5, words: 'tee running', girth: 1 }],
		'top-cotton': ['Cotton long-sleeved top', { covers: TOP, at: [0, 1], does: ['skin'], warm: { tableClo: 0.12, row: 'undershirt with long sleeves' }, p: 180, fibre: 'cotton', massG: 230, litres: 0.9, words: 'sweatshirt tee', girth: 1 }],
		'shirt-flannel': ['Flannel shirt', { covers: TOP, at: [1, 2], does: ['skin', 'warmth'], warm: { tableClo: 0.3, row: 'flannel shirt' }, p: 120, fibre: 'cotton', massG: 350, litres: 1.5, words: 'cotton lumber', girth: 2, room: 1 }],
		'fleece-thin': ['Thin fleece, pullover', { covers: TOP, at: [2, 2], does: ['warmth'], warm: { tableClo: 0.2, row: 'thin sweater' }, p: 400, fibre: 'synthetic', massG: 250, litres: 1.8, words: 'grid midlayer mid', girth: 2, room: 1 }],
		fleece: ['Fleece, jacket', { covers: TOP, at: [2, 3], does: ['warmth'], warm: { tableClo: 0.35, row: 'thick sweater' }, p: 400, fibre: 'synthetic', massG: 420, litres: 3.5, words: 'midlayer mid', girth: 3, room: 3 }],
		'sweater-wool': ['Wool sweater', { covers: TOP, at: [2, 3], does: ['warmth'], warm: { tableClo: 0.28, row: 'sweater' }, p: 300, fibre: 'wool', massG: 450, litres: 3, words: 'jumper pullover', girth: 3, room: 2 }],
		'vest-insulated': ['Vest, insulated', { covers: TORSO_ONLY, at: [2, 3], does: ['warmth'], warm: { fillGm2: 60, fill: 'regular synthetic' }, p: 20, fibre: 'synthetic-fill', massG: 220, litres: 2, words: 'gilet bodywarmer', girth: 2, room: 3 }],
		'jacket-synthetic-light': ['Synthetic jacket, light, 60 g/m²', { covers: TOP, at: [3, 5], does: ['warmth', 'over'], warm: { fillGm2: 60, fill: 'high-loft synthetic' }, p: 15, fibre: 'synthetic-fill', water: 'repellent', massG: 380, litres: 4, words: 'puffy quilted insulated', girth: 3, room: 6 }],
		'jacket-down-light': ['Down jacket, light', { covers: TOP, at: [3, 5], does: ['warmth', 'over'], warm: { fillGm2: 45, fill: 'down' }, p: 10, fibre: 'down', water: 'repellent', massG: 320, litres: 3, words: 'puffy quilted insulated', girth: 3, room: 6 }],
		'coat-synthetic': ['Big coat, synthetic, 120 g/m²', { covers: { torso: 1, arms: 1, ears: 0.5, neck: 0.8, thighs: 0.15 }, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 120, fill: 'high-loft synthetic' }, p: 8, fibre: 'synthetic-fill', water: 'repellent', massG: 720, litres: 9, words: 'belay stop over everything puffy parka', girth: 5, room: 10 }],
		'coat-down': ['Big coat, down', { covers: { torso: 1, arms: 1, ears: 0.5, neck: 0.8, thighs: 0.15 }, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 95, fill: 'down' }, p: 8, fibre: 'down', water: 'repellent', massG: 750, litres: 10, words: 'belay expedition parka', girth: 5, room: 10 }],
		'wind-shirt': ['Wind shirt', { covers: TOP, at: [2, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 30, fibre: 'synthetic', water: 'repellent', massG: 110, litres: 0.5, words: 'windbreaker', girth: 1, room: 4 }],
		'soft-shell': ['Soft shell, jacket', { covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.2, row: 'jacket, light 0.25, less its lining' }, p: 40, fibre: 'synthetic', water: 'windproof', massG: 450, litres: 2.5, words: 'softshell', girth: 2, room: 5 }],
		'soft-shell-lined': ['Soft shell, lined jacket', { covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.3, row: 'smock' }, p: 20, fibre: 'synthetic', water: 'windproof', massG: 650, litres: 4, words: 'softshell winter', girth: 3, room: 5 }],
		'rain-shell': ['Rain jacket, light, 2.5 layers', { covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'synthetic', water: 'light-membrane', massG: 270, litres: 1.2, words: 'waterproof packable', girth: 1, room: 6 }],
		'hard-shell': ['Hard shell, jacket, taped, 3 layers', { covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 1, fibre: 'synthetic', water: 'taped', massG: 480, litres: 2.5, words: 'waterproof hardshell membrane', girth: 1, room: 7 }],
		'jacket-ski': ['Ski jacket, insulated', { covers: TOP, at: [4, 4], does: ['weather', 'warmth'], warm: { fillGm2: 80, fill: 'regular synthetic' }, p: 1, fibre: 'synthetic-fill', water: 'light-membrane', massG: 1000, litres: 8, words: 'padded anorak', girth: 4, room: 6 }],
		'jacket-waxed': ['Waxed cotton jacket', { covers: TOP, at: [4, 4], does: ['weather'], warm: { tableClo: 0.25, row: 'jacket, light' }, p: 5, fibre: 'waxed-cotton', water: 'light-membrane', massG: 1300, litres: 6, words: 'oilskin', girth: 2, room: 6 }],
		'jacket-denim': ['Cotton or denim jacket', { covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.25, row: 'jacket, light' }, p: 60, fibre: 'cotton', massG: 800, litres: 4, words: 'jeans casual', girth: 2, room: 4 }],
		'top-hooded': ['Base top with hood and hand sleeves', { covers: { torso: 1, arms: 1, ears: 0.9, neck: 0.95 }, at: [1, 1], does: ['skin', 'warmth'], warm: { tableClo: 0.16, row: 'undershirt with long sleeves 0.12, thin sweater 0.20, between' }, p: 200, fibre: 'synthetic', massG: 250, litres: 1.1, words: 'hoody thermal thumb loops', girth: 1 }],
		'top-string': ['String vest', { covers: { torso: 0.8 }, at: [0, 0], does: ['skin'], warm: { tableClo: 0.04, row: 'singlet' }, p: 1000, fibre: 'wool', massG: 110, litres: 0.4, words: 'mesh fishnet' }],
		'shirt-wool': ['Wool shirt', { covers: TOP, at: [1, 2], does: ['skin', 'warmth'], warm: { tableClo: 0.3, row: 'flannel shirt' }, p: 120, fibre: 'wool', massG: 420, litres: 1.8, words: 'felt lumber', girth: 2, room: 1 }],
		'shirt-sun': ['Light shirt with long sleeves', { covers: TOP, at: [0, 2], does: ['skin'], warm: { tableClo: 0.2, row: 'shirt, light, long sleeves' }, p: 150, fibre: 'synthetic', massG: 180, litres: 0.7, words: 'trekking travel', girth: 1 }],
		'vest-down': ['Vest, down', { covers: TORSO_ONLY, at: [2, 3], does: ['warmth'], warm: { fillGm2: 40, fill: 'down' }, p: 15, fibre: 'down', massG: 200, litres: 1.8, words: 'gilet bodywarmer', girth: 2, room: 3 }],
		'vest-electric': ['Vest, electrically heated', { covers: TORSO_ONLY, at: [1, 3], does: ['warmth'], warm: { tableClo: 0.12, row: 'sleeveless vest' }, p: 50, fibre: 'synthetic', massG: 420, litres: 2, watts: 9, wh: 37, words: 'heated battery gilet', girth: 2, room: 1 }],
		'vest-visible': ['High-visibility vest', { covers: { torso: 0.9 }, at: [5, 5], does: ['weather'], warm: { none: true }, p: 300, fibre: 'synthetic', massG: 90, litres: 0.3, words: 'hi vis reflective orange yellow waistcoat', room: 20 }],
		'wind-shirt-lined': ['Windbreaker, fleece inside', { covers: TOP, at: [2, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.25, row: 'jacket, light' }, p: 25, fibre: 'synthetic', water: 'repellent', massG: 320, litres: 1.8, words: 'windproof midlayer', girth: 2, room: 3 }],
		poncho: ['Poncho', { covers: { torso: 1, arms: 0.7, ears: 0.5, thighs: 0.6 }, at: [5, 5], does: ['weather'], warm: { weaveClo: 0.15 }, p: 3, fibre: 'synthetic', water: 'light-membrane', massG: 320, litres: 1.2, words: 'rain cape', girth: 1, room: 14 }],
		'anorak-cotton': ['Anorak, tightly woven cotton', { covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 10, fibre: 'cotton', water: 'windproof', massG: 700, litres: 2.5, words: 'double weave expedition smock', girth: 1, room: 6 }],
		'jacket-wool-felt': ['Felted wool jacket', { covers: TOP, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.35, row: 'jacket, normal' }, p: 40, fibre: 'wool', water: 'repellent', massG: 1200, litres: 6, words: 'loden hunting', girth: 3, room: 5 }],
		'coat-town': ['Town coat, wool', { covers: { torso: 1, arms: 1, thighs: 0.6 }, at: [4, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.6, row: 'coat' }, p: 40, fibre: 'wool', massG: 1700, litres: 9, words: 'overcoat', girth: 3, room: 5 }],
		'jacket-motorbike': ['Motorbike jacket, armoured', { covers: TOP, at: [4, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.35, row: 'jacket, normal' }, p: 5, fibre: 'synthetic', water: 'light-membrane', massG: 2600, litres: 10, words: 'motorcycle riding', girth: 3, room: 6 }],
		'jacket-wading': ['Wading jacket, short', { covers: TOP, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 1, fibre: 'synthetic', water: 'taped', massG: 520, litres: 2.5, words: 'fishing river', girth: 1, room: 7 }]
	},
	Hands: {
		'glove-liner': ['Liner gloves', { covers: { hands: 1 }, at: [0, 1], does: ['skin'], warm: { localM2kw: 0.05, why: GLOVE_STEP }, p: 200, fibre: 'wool', massG: 40, litres: 0.1, pairs: true, dexterity: 'high', words: 'thin inner', girth: 1 }],
		'glove-light': ['Light gloves', { covers: { hands: 1 }, at: [2, 2], does: ['warmth'], warm: { localM2kw: 0.1, why: GLOVE_STEP }, p: 60, fibre: 'synthetic', water: 'repellent', massG: 80, litres: 0.4, pairs: true, dexterity: 'high', words: 'softshell touring', girth: 2, room: 1 }],
		'glove-winter': ['Winter gloves', { covers: { hands: 1 }, at: [2, 2], does: ['warmth', 'weather'], warm: { localM2kw: 0.2, why: GLOVE_STEP }, p: 5, fibre: 'synthetic-fill', water: 'light-membrane', massG: 190, litres: 1.2, pairs: true, dexterity: 'medium', words: 'insulated ski', girth: 3, room: 1 }],
		mitten: ['Mittens, insulated', { covers: { hands: 1 }, at: [2, 2], does: ['warmth', 'weather'], warm: { localM2kw: 0.3, why: GLOVE_STEP }, p: 5, fibre: 'synthetic-fill', water: 'light-membrane', massG: 220, litres: 1.6, pairs: true, dexterity: 'low', words: 'mitts', girth: 4, room: 2 }],
		'overmitt-shell': ['Over-mittens, shell', { covers: { hands: 1 }, at: [5, 5], does: ['weather'], warm: { localM2kw: 0.04, why: 'single weave, the air under it' }, p: 1, fibre: 'synthetic', water: 'taped', massG: 70, litres: 0.3, pairs: true, dexterity: 'low', words: 'rain waterproof mitts', girth: 1, room: 6 }],
		'overmitt-down': ['Over-mittens, warm', { covers: { hands: 1 }, at: [5, 5], does: ['over', 'warmth'], warm: { localM2kw: 0.45, why: GLOVE_STEP }, p: 5, fibre: 'down', water: 'repellent', massG: 280, litres: 3, pairs: true, dexterity: 'low', words: 'expedition mitts', girth: 5, room: 6 }],
		'glove-wool': ['Wool gloves', { covers: { hands: 1 }, at: [1, 2], does: ['warmth'], warm: { localM2kw: 0.09, why: GLOVE_STEP }, p: 250, fibre: 'wool', massG: 70, litres: 0.3, pairs: true, dexterity: 'high', words: 'knitted', girth: 2, room: 1 }],
		'glove-leather': ['Leather work gloves', { covers: { hands: 1 }, at: [2, 2], does: ['weather'], warm: { localM2kw: 0.09, why: GLOVE_STEP }, p: 10, fibre: 'leather', water: 'repellent', massG: 160, litres: 0.5, pairs: true, dexterity: 'medium', words: 'belay rope fire', girth: 2, room: 1 }],
		'glove-rubber': ['Neoprene gloves', { covers: { hands: 1 }, at: [2, 2], does: ['weather', 'warmth'], warm: { localM2kw: 0.12, why: GLOVE_STEP }, p: 1, fibre: 'rubber', water: 'rubber', massG: 120, litres: 0.5, pairs: true, dexterity: 'medium', words: 'paddling fishing', girth: 2 }],
		'mitten-open': ['Fold-back mittens', { covers: { hands: 1 }, at: [2, 2], does: ['warmth'], warm: { localM2kw: 0.15, why: GLOVE_STEP }, p: 150, fibre: 'wool', massG: 110, litres: 0.6, pairs: true, dexterity: 'high', words: 'shooting fingerless flip top', girth: 2, room: 1 }],
		'glove-electric': ['Gloves, electrically heated', { covers: { hands: 1 }, at: [2, 2], does: ['warmth', 'weather'], warm: { localM2kw: 0.2, why: GLOVE_STEP }, p: 5, fibre: 'synthetic-fill', water: 'light-membrane', massG: 420, litres: 2, pairs: true, dexterity: 'low', watts: 8, wh: 22, words: 'heated battery', girth: 4, room: 1 }]
	},
	Legs: {
		briefs: ['Underpants', { covers: { torso: 0.1, thighs: 0.25 }, at: [0, 0], does: ['skin'], warm: { tableClo: 0.03, row: 'panties' }, p: 200, fibre: 'synthetic', massG: 50, litres: 0.2, words: 'underwear boxers pants' }],
		'bottoms-wool': ['Long underpants, wool', { covers: LONG_LEGS, at: [1, 1], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants with long legs' }, p: 200, fibre: 'wool', massG: 180, litres: 0.7, words: 'merino long johns thermal leggings', girth: 1 }],
		'bottoms-short': ['Three-quarter underpants, wool', { covers: { thighs: 1, calves: 0.45 }, at: [1, 1], does: ['skin'], warm: { tableClo: 0.08, row: 'underpants with long legs, to below the knee' }, p: 200, fibre: 'wool', massG: 150, litres: 0.6, words: 'merino short long johns ski boots', girth: 1 }],
		'bottoms-synthetic': ['Long underpants, synthetic', { covers: LONG_LEGS, at: [1, 1], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants with long legs' }, p: 250, fibre: 'synthetic', massG: 140, litres: 0.5, words: 'long johns thermal leggings tights', girth: 1 }],
		'bottoms-cotton': ['Cotton leggings', { covers: LONG_LEGS, at: [1, 1], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants with long legs' }, p: 200, fibre: 'cotton', massG: 200, litres: 0.7, words: 'long johns', girth: 1 }],
		'bottoms-fleece': ['Fleece leggings', { covers: LONG_LEGS, at: [1, 2], does: ['warmth', 'skin'], warm: { tableClo: 0.2, row: 'underpants with long legs, doubled' }, p: 300, fibre: 'synthetic', massG: 260, litres: 1.8, words: 'tights', girth: 2, room: 1 }],
		shorts: ['Shorts', { covers: { torso: 0.1, thighs: 0.6 }, at: [2, 4], does: ['weather'], warm: { tableClo: 0.06, row: 'shorts' }, p: 80, fibre: 'synthetic', massG: 180, litres: 0.7, girth: 1, room: 2, overBoots: true }],
		'trousers-trek': ['Trekking trousers', { covers: LEGS, at: [2, 4], does: ['weather'], warm: { tableClo: 0.2, row: 'trousers, light' }, p: 60, fibre: 'synthetic', water: 'repellent', massG: 350, litres: 1.4, words: 'hiking pants', girth: 1, room: 2 }],
		'trousers-soft-shell': ['Soft shell trousers', { covers: LEGS, at: [2, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.25, row: 'trousers, normal' }, p: 30, fibre: 'synthetic', water: 'windproof', massG: 520, litres: 2.5, words: 'touring ski pants softshell', girth: 2, room: 3 }],
		jeans: ['Jeans', { covers: LEGS, at: [2, 4], does: ['weather'], warm: { tableClo: 0.25, row: 'trousers, normal' }, p: 60, fibre: 'cotton', massG: 650, litres: 2, words: 'denim', girth: 2, room: 1 }],
		'trousers-ski': ['Ski trousers, insulated', { covers: LEGS, at: [3, 4], does: ['weather', 'warmth'], warm: { fillGm2: 60, fill: 'regular synthetic' }, p: 1, fibre: 'synthetic-fill', water: 'light-membrane', massG: 850, litres: 6, words: 'padded salopettes', girth: 3, room: 4 }],
		'trousers-rain': ['Rain trousers, light, side zips', { covers: LEGS, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'synthetic', water: 'light-membrane', massG: 260, litres: 1, words: 'waterproof overtrousers', girth: 1, room: 5, overBoots: true }],
		'trousers-hard-shell': ['Hard shell trousers, full side zips', { covers: LEGS, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.25 }, p: 1, fibre: 'synthetic', water: 'taped', massG: 450, litres: 2, words: 'waterproof membrane overtrousers', girth: 1, room: 6, overBoots: true }],
		'overtrousers-warm': ['Warm over-trousers, 60 g/m², side zips', { covers: LEGS, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 60, fill: 'high-loft synthetic' }, p: 10, fibre: 'synthetic-fill', water: 'repellent', massG: 480, litres: 5, words: 'belay pants insulated', girth: 4, room: 8, overBoots: true }],
		'shorts-insulated': ['Insulated over-shorts', { covers: { torso: 0.2, thighs: 0.8 }, at: [5, 5], does: ['over', 'warmth'], warm: { fillGm2: 60, fill: 'high-loft synthetic' }, p: 10, fibre: 'synthetic-fill', water: 'repellent', massG: 260, litres: 2.5, words: 'skirt quilted puffy', girth: 3, room: 8, overBoots: true }],
		'trousers-wool': ['Wool trousers', { covers: LEGS, at: [2, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.28, row: 'trousers, flannel' }, p: 50, fibre: 'wool', massG: 750, litres: 3, words: 'loden felt hunting', girth: 2, room: 2 }],
		'trousers-canvas': ['Woven cotton trousers, hard-wearing', { covers: LEGS, at: [2, 4], does: ['weather'], warm: { tableClo: 0.25, row: 'trousers, normal' }, p: 30, fibre: 'waxed-cotton', water: 'repellent', massG: 680, litres: 2.2, words: 'canvas brush waxed forest', girth: 2, room: 2 }],
		'trousers-motorbike': ['Motorbike trousers, armoured', { covers: LEGS, at: [3, 4], does: ['weather', 'warmth'], warm: { tableClo: 0.28, row: 'trousers, flannel' }, p: 5, fibre: 'synthetic', water: 'light-membrane', massG: 1900, litres: 7, words: 'motorcycle riding', girth: 3, room: 4 }],
		'tights-running': ['Running tights', { covers: LONG_LEGS, at: [1, 4], does: ['skin'], warm: { tableClo: 0.1, row: 'underpants with long legs' }, p: 150, fibre: 'synthetic', massG: 190, litres: 0.6, words: 'leggings', girth: 1 }],
		waders: ['Waders', { covers: { torso: 0.5, thighs: 1, calves: 1 }, at: [4, 4], does: ['weather'], warm: { weaveClo: 0.2 }, p: 1, fibre: 'rubber', water: 'rubber', massG: 1300, litres: 6, words: 'fishing river bib', girth: 2, room: 7 }]
	},
	Feet: {
		'sock-liner': ['Liner socks', { covers: { feet: 1 }, at: [0, 0], does: ['skin'], warm: { localM2kw: 0.015, why: FOOT_STEP }, p: 200, fibre: 'synthetic', massG: 40, litres: 0.1, pairs: true, words: 'inner thin', girth: 1 }],
		'sock-light': ['Light socks', { covers: { feet: 1 }, at: [1, 1], does: ['skin'], warm: { localM2kw: 0.02, why: FOOT_STEP }, p: 200, fibre: 'blend', massG: 60, litres: 0.2, pairs: true, words: 'thin running', girth: 1 }],
		'sock-mid': ['Walking socks', { covers: { feet: 1, calves: 0.3 }, at: [1, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.04, why: FOOT_STEP }, p: 200, fibre: 'wool', massG: 90, litres: 0.4, pairs: true, words: 'hiking mid wool', girth: 2 }],
		'sock-heavy': ['Thick socks, over the calf', { covers: { feet: 1, calves: 0.45 }, at: [1, 1], does: ['skin', 'warmth'], warm: { localM2kw: 0.07, why: FOOT_STEP }, p: 200, fibre: 'wool', massG: 140, litres: 0.6, pairs: true, words: 'wool ski expedition', girth: 3 }],
		'sock-cotton': ['Cotton socks', { covers: { feet: 1 }, at: [1, 1], does: ['skin'], warm: { localM2kw: 0.02, why: FOOT_STEP }, p: 200, fibre: 'cotton', massG: 60, litres: 0.2, pairs: true, words: 'sports', girth: 1 }],
		'shoe-trail': ['Trail shoes', { covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.12, why: FOOT_STEP }, p: 40, fibre: 'synthetic', massG: 650, litres: 5, pairs: true, words: 'running sneakers trainers', room: 2 }],
		'boot-hiking': ['Hiking boots, waterproof', { covers: { feet: 1 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.22, why: FOOT_STEP }, p: 2, fibre: 'leather', water: 'light-membrane', massG: 1200, litres: 8, pairs: true, words: 'walking trekking', room: 3 }],
		'boot-ski-touring': ['Touring boots, ski', { covers: { feet: 1, calves: 0.4 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.3, why: 'plastic shell with a thermo liner, between hiking and lined winter boot' }, p: 1, fibre: 'other', water: 'taped', massG: 2800, litres: 14, pairs: true, words: 'skin randonnee', room: 3 }],
		'boot-ski': ['Ski boots', { covers: { feet: 1, calves: 0.5 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.24, why: 'plastic shell with a tight liner' }, p: 1, fibre: 'other', water: 'taped', massG: 3600, litres: 16, pairs: true, words: 'alpine downhill', room: 2 }],
		'boot-winter': ['Lined winter boots', { covers: { feet: 1, calves: 0.3 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.32, why: FOOT_STEP }, p: 2, fibre: 'leather', water: 'light-membrane', massG: 1700, litres: 11, pairs: true, words: 'snow insulated', room: 4 }],
		'boot-pac': ['Pac boots with felt liner', { covers: { feet: 1, calves: 0.4 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.4, why: FOOT_STEP }, p: 1, fibre: 'rubber', water: 'rubber', massG: 2300, litres: 15, pairs: true, words: 'arctic snow', room: 6 }],
		gaiters: ['Gaiters', { covers: { calves: 0.9 }, at: [5, 5], does: ['weather'], warm: { weaveClo: 0.2 }, p: 3, fibre: 'synthetic', water: 'light-membrane', massG: 240, litres: 0.8, pairs: true, words: 'snow leg', girth: 1, room: 9, overBoots: true }],
		'booties-down': ['Warm hut slippers', { covers: { feet: 1 }, at: [4, 4], does: ['warmth'], warm: { localM2kw: 0.3, why: 'quilted slipper' }, p: 20, fibre: 'synthetic-fill', massG: 250, litres: 2, pairs: true, words: 'booties', room: 3 }],
		'sock-waterproof': ['Waterproof socks', { covers: { feet: 1, calves: 0.2 }, at: [1, 2], does: ['skin', 'weather'], warm: { localM2kw: 0.05, why: FOOT_STEP }, p: 1, fibre: 'synthetic', massG: 110, litres: 0.4, pairs: true, words: 'membrane', girth: 2, room: 1 }],
		'sock-vapour': ['Vapour-barrier socks', { covers: { feet: 1, calves: 0.2 }, at: [1, 1], does: ['skin'], warm: { localM2kw: 0.01, why: FOOT_STEP }, p: 1, fibre: 'rubber', massG: 50, litres: 0.1, pairs: true, words: 'plastic liner', girth: 1, room: 1 }],
		'boot-rubber': ['Rubber boots', { covers: { feet: 1, calves: 0.5 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.15, why: FOOT_STEP }, p: 1, fibre: 'rubber', water: 'rubber', massG: 1900, litres: 14, pairs: true, words: 'wellington gum', room: 5 }],
		'boot-wading': ['Wading boots', { covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.15, why: FOOT_STEP }, p: 30, fibre: 'synthetic', massG: 1400, litres: 9, pairs: true, words: 'river fishing', room: 6 }],
		'boot-mountain': ['Mountaineering boots', { covers: { feet: 1, calves: 0.2 }, at: [4, 4], does: ['weather', 'warmth'], warm: { localM2kw: 0.27, why: 'stiff, lightly lined: between hiking and lined winter boot' }, p: 1, fibre: 'leather', water: 'light-membrane', massG: 1700, litres: 10, pairs: true, words: 'alpine ice crampon', room: 3 }],
		'shoe-low': ['Low walking shoes, waterproof', { covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.15, why: FOOT_STEP }, p: 2, fibre: 'synthetic', water: 'light-membrane', massG: 850, litres: 6, pairs: true, words: 'approach hiking', room: 2 }],
		'shoe-town': ['Town shoes', { covers: { feet: 1 }, at: [4, 4], does: ['weather'], warm: { localM2kw: 0.12, why: FOOT_STEP }, p: 20, fibre: 'leather', massG: 800, litres: 5, pairs: true, words: 'street leather', room: 1 }]
	},
	Sleep: {
		'bag-summer': ['Sleeping bag, comfort +8 °C', { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'synthetic-fill', massG: 900, litres: 8, comfortC: 8, words: 'quilt' }],
		'bag-three-season': ['Sleeping bag, comfort 0 °C', { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'down', massG: 1000, litres: 9, comfortC: 0 }],
		'bag-winter': ['Sleeping bag, comfort −12 °C', { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'down', massG: 1500, litres: 14, comfortC: -12 }],
		'bag-polar': ['Sleeping bag, comfort −25 °C', { covers: {}, at: [5, 5], does: ['warmth'], warm: { none: true }, p: 10, fibre: 'down', massG: 2100, litres: 20, comfortC: -25 }]
	},
	'Other things': {
		'pack-day': ['Day pack, 32 litres', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 50, fibre: 'synthetic', massG: 900, litres: 0, holds: 32, words: 'rucksack backpack bag' }],
		'pack-small': ['Small pack, 10 litres', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 50, fibre: 'synthetic', massG: 400, litres: 0, holds: 10, words: 'running vest rucksack backpack' }],
		'pack-large': ['Large pack, 60 litres', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 50, fibre: 'synthetic', massG: 1900, litres: 0, holds: 60, words: 'rucksack backpack trekking' }],
		'pack-cover': ['Rain cover for the pack', { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'synthetic', massG: 110, litres: 0.3, words: 'raincover' }],
		'bag-dry': ['Roll-top bag, 13 litres', { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'synthetic', massG: 80, litres: 0.2, holds: 13, words: 'dry bag sack waterproof' }],
		torch: ['Head torch', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 90, litres: 0.3, wh: 4, words: 'headlamp light lamp' }],
		'batteries-spare': ['Spare batteries for the torch', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 40, litres: 0.1, wh: 4, words: 'cells' }],
		'power-bank': ['Power bank, 10 000 mAh', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 210, litres: 0.2, wh: 37, words: 'charger battery' }],
		cleats: ['Light cleats for ice underfoot', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 350, litres: 0.8, pairs: true, words: 'spikes grip traction' }],
		poles: ['Walking poles', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 480, litres: 1.5, pairs: true, words: 'sticks trekking' }],
		umbrella: ['Umbrella', { covers: {}, at: [5, 5], does: ['weather'], warm: { none: true }, p: 1, fibre: 'other', massG: 300, litres: 1, words: 'brolly' }],
		flask: ['Vacuum flask, 0.75 litres', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 420, litres: 1.3, holds: 0.75, words: 'thermos hot drink' }],
		bottle: ['Bottle, 1 litre', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 150, litres: 1.3, holds: 1, words: 'water drink' }],
		filter: ['Water filter, hollow fibre', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 90, litres: 0.4, words: 'purifier' }],
		'warmers-hand': ['Chemical hand warmers', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 45, litres: 0.1, pairs: true, words: 'heat pads' }],
		'warmers-foot': ['Chemical foot warmers', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 50, litres: 0.1, pairs: true, words: 'heat pads toe boot dry' }],
		'insole-electric': ['Insoles, electrically heated', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 180, litres: 0.4, pairs: true, watts: 4, wh: 15, words: 'heated battery' }],
		'fire-source': ['Lighter or matches', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 25, litres: 0.1, words: 'fire' }],
		'lights-bike': ['Bicycle lights, front and rear', { covers: {}, at: [5, 5], does: [], warm: { none: true }, p: 1, fibre: 'other', massG: 140, litres: 0.3, wh: 6, words: 'lamp cycling' }]
	}
};
