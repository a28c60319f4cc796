import type { BagNumber, BatteryCharge, EndWorn } from './as-said';
import type { ClientFactName, ClientFactValue } from './client-facts';
import type { Doing, HouseUses, Mark } from './doing';
import type { Part } from './parts';
import type { SomeSchools } from './schools';
import type { HeightForecast, Inversion, Place, Precipitation, WaterGrade, WetSpell } from './weather';

export {
	BAG_NUMBER_KINDS,
	BAG_NUMBER_UNITS,
	type BagNumber,
	BATTERY_UNITS,
	type BatteryCharge,
	END_WORN,
	type EndWorn
} from './as-said';
export { DOINGS, type Doing, type HouseUses, type Mark, MARKS } from './doing';

/** What a document calls itself; the number grows when older readers would misread it. */
export const DOCUMENT_FORMAT = 'snug-summit/document';
export const DOCUMENT_VERSION = 2;

export const FACT_STATES = ['has', 'has not', 'assumed', 'not asked'] as const;
export type FactState = (typeof FACT_STATES)[number];
export const FACT_SOURCES = ['measured', 'maker', 'guide', 'client', 'catalogue', 'guess'] as const;
export type FactSource = (typeof FACT_SOURCES)[number];

/** One thing known, or not, with where it came from. */
export interface Fact<T> {
	value: T | null;
	source: FactSource;
	state: FactState;
}

export const PHASE_KINDS = ['move', 'stop', 'ride', 'indoors', 'sleep', 'what-if'] as const;
export type PhaseKind = (typeof PHASE_KINDS)[number];

export const GROUNDS = ['bare', 'snow', 'ice', 'melting-snow', 'wet-grass'] as const;
export type Ground = (typeof GROUNDS)[number];

/** Conditions that a phase may have typed in; what is left out is computed from the stage. */
interface TypedConditions {
	airTempC?: number;
	wind10mKmh?: number;
	humidityPct?: number;
	precipitation?: Precipitation;
	ground?: Ground;
	/** of water that one stands in, °C */
	waterTempC?: number;
}

export interface Phase {
	type: 'phase';
	id: string;
	name: string;
	kind: PhaseKind;
	/** minutes after midnight; null follows on from the phase before */
	startMin: number | null;
	minutes: number;
	/** typed height, m; null follows the route of the stage by `along` */
	altitudeM: number | null;
	/** where on the route: 0 start, 1 high point, 2 low point after it, 3 bed, and the way between them */
	along: number;
	place: PhasePlace;
	ownSpeedKmh: number;
	/** sustained effort, W/m² */
	effortWm2: number;
	marks: Mark[];
	/** what one is doing; left out, it follows from the pattern, the marks and the place */
	doing?: Doing;
	typed: TypedConditions;
	/** what its pattern says at a guided group's pace; absent when the phase was made by hand */
	guided?: PacedFigures;
}

/** What changes with the pace of a group. */
export interface PacedFigures {
	minutes: number;
	effortWm2: number;
	ownSpeedKmh: number;
	/** what fit people keep up, where a reference says so */
	fitWm2?: number;
}

export const PACES = ['guided', 'fast', 'gentle'] as const;
export type Pace = (typeof PACES)[number];

/** `bed` is wherever the stage sleeps. */
export type PhasePlace = Place | 'bed';
export const BEDS = ['heated', 'unheated', 'hut', 'tent', 'snow-hole', 'none'] as const;
export type BedKind = (typeof BEDS)[number];
export const DRYINGS = ['nothing', 'small things', 'everything'] as const;
export type Drying = (typeof DRYINGS)[number];

/** Where the stage sleeps, and what can be done there. */
export interface Bed {
	kind: BedKind;
	washing: boolean;
	drying: Drying;
}

/** Heights that a guide knows of a stage, m. */
export interface Route {
	startM: number;
	highM: number;
	lowM: number;
	bedM: number;
}

/** What a stage goes through that asks for a caution. */
export const TERRAINS = [
	'avalanche',
	'glacier',
	'shooting-season',
	'traffic',
	'deep-water',
	'steep-ground'
] as const;
export type Terrain = (typeof TERRAINS)[number];

export interface Loop {
	type: 'loop';
	id: string;
	name: string;
	count: number;
	sequence: Sequence;
}

export type Sequence = (Phase | Loop)[];

/** Where a figure of a stage came from. */
export const ORIGINS = ['typed', 'usual', 'forecast', 'file', 'touch', 'copied', 'default'] as const;
export type OriginKind = (typeof ORIGINS)[number];
export interface Origin {
	from: OriginKind;
	/** for a reader: the service, the file, the day of the forecast */
	note: string;
}

/** What is known of a stage as a whole; phases follow from it. */
export interface StageBase {
	/** forecast or usual low at dawn, °C, at `altitudeM` */
	lowTempC: number;
	/** forecast or usual high of the early afternoon, °C, at `altitudeM` */
	highTempC: number;
	/** height at which low and high hold, m */
	altitudeM: number;
	lapseKPerKm: number;
	inversion: Inversion | null;
	/** forecasts for other heights; they win over the lapse */
	heights: HeightForecast[];
	wind10mKmh: number;
	humidityPct: number;
	/** rain and snow, between times */
	wetSpells: WetSpell[];
	ground: Ground;
}

export type BaseField = keyof StageBase;

/** What a stage does instead when the weather is foul. */
export interface FoulVariant {
	name: string;
	sequence: Sequence;
	bed: Bed;
}

/** A thing that the operator provides on a stage. */
export interface ProvidedThing {
	id: string;
	name: string;
	/** catalogue type, where it is one */
	typeId: string | null;
	quantity: number;
}

export interface Stage {
	id: string;
	name: string;
	/** ISO date */
	date: string;
	/** minutes after midnight */
	startMin: number;
	base: StageBase;
	route: Route;
	bed: Bed;
	/** what the operator provides */
	provided: ProvidedThing[];
	/** each one's share of the group's load, litres; none when left out */
	groupLoadL?: number;
	terrain: Terrain[];
	pace: Pace;
	/** the pattern that it was unfolded from, for reading only */
	patternId: string | null;
	sequence: Sequence;
	foul: FoulVariant | null;
	/** where the figures of `base` came from; what is not named was typed */
	origins: Partial<Record<BaseField, Origin>>;
}

/** A weather is an offset on what the stages say. */
export interface Weather {
	id: string;
	name: string;
	/** in plain words: how often, compared with what */
	meaning: string;
	tempOffsetK: number;
	windFactor: number;
	/** falls on every stage in this weather, beside what the stage says */
	wetSpells: WetSpell[];
}

/** Where on earth a trip is, for daylight and the usual weather. */
export interface Site {
	/** place of the climate service, if it is one */
	placeId: string | null;
	latitudeDeg: number;
	longitudeDeg: number;
	/** local time minus UTC, minutes */
	utcOffsetMin: number;
}

export interface Versioned {
	version: number;
	/** ISO time; null while it is not deleted */
	deletedAt: string | null;
}

export interface Trip extends Versioned {
	id: string;
	name: string;
	place: string;
	site: Site | null;
	weathers: Weather[];
	stages: Stage[];
	/** schools of this trip; what is left out is the house's */
	schools?: SomeSchools;
}

export const CLOTH_FUNCTIONS = ['skin', 'warmth', 'weather', 'over'] as const;

/** Next to skin, warmth, wind and wet, over everything. */
export type ClothFunction = (typeof CLOTH_FUNCTIONS)[number];

export const FIBRES = [
	'wool',
	'synthetic',
	'blend',
	'cotton',
	'waxed-cotton',
	'down',
	'synthetic-fill',
	'leather',
	'rubber',
	'other'
] as const;
export type Fibre = (typeof FIBRES)[number];

export const DEXTERITIES = ['high', 'medium', 'low'] as const;
export type Dexterity = (typeof DEXTERITIES)[number];

/** What a thing can do that a phase may ask for. */
export const FEATURES = [
	'hood',
	'hood-over-helmet',
	'under-helmet',
	'full-zip',
	'half-zip',
	'two-way-zip',
	'vents',
	'full-side-zip',
	'removable-sleeves',
	'stays-tucked',
	'slim-cuff',
	'cuff-seal',
	'armour-room',
	'abrasion',
	'quiet-face',
	'high-visibility',
	'reflective',
	'no-melt',
	'drop-seat',
	'touch-screen',
	'wrist-leash',
	'vehicle-fed',
	'packs-into-itself',
	'long-tail',
	'short-tail',
	'loose-ends',
	'watertight',
	'town',
	'tights',
	'hem-seal',
	'floats'
] as const;
export type Feature = (typeof FEATURES)[number];

/** The water-repellent finish of an outer face. */
export const FACES = ['fresh', 'worn out'] as const;
type Face = (typeof FACES)[number];

/** What the number on a sleeping bag means; an unclear one gives no verdict. */
export const BAG_SCALES = ['comfort', 'unclear'] as const;
type BagScale = (typeof BAG_SCALES)[number];

/** Everything about a thing that the computation reads. */
export interface Properties {
	functions: ClothFunction[];
	/** share of each part of the body that it covers, 0…1 */
	covers: Partial<Record<Part, number>>;
	/** 0 skin, 1 base, 2 mid, 3 insulation, 4 shell, 5 over everything */
	positions: [number, number];
	/** insulation where it covers, without air layer, clo */
	localClo: number;
	/** l/(m²·s), 1…1000 */
	airPermeability: number;
	waterGrade: WaterGrade;
	fibre: Fibre;
	girthSteps: number;
	roomSteps: number;
	massG: number;
	packedL: number;
	size: string;
	dexterity: Dexterity;
	/** goes on and off over boots */
	overBoots: boolean;
	/** EN ISO 12312-1 filter category, 0…4 */
	lensCategory: number;
	/** EN ISO 23537 comfort temperature of a sleeping bag, °C */
	comfortTempC: number;
	bagScale: BagScale;
	features: Feature[];
	face: Face;
	/** how far a sock, boot or gaiter reaches above the ankle, cm */
	heightCm: number;
	/** resistance to vapour, m²·Pa/W (ISO 11092) */
	vapourResistance: number;
	/** what a bag or bottle holds, litres */
	holdsL: number;
	/** electric heat, W */
	watts: number;
	/** what a battery holds when warm, Wh */
	energyWh: number;
	/** days of wear before a wash; 0 the whole trip */
	wearDays: number;
	/** whether its cuff goes over the sleeve, or its leg over the boot */
	endWorn: EndWorn;
	/** kept dry for the night, so not worn where it would get wet */
	dryForNight: boolean;
	/** ISO date of the first day on which the client has it; empty when from the start */
	availableFrom: string;
	/** the number on a sleeping bag; where it is known it wins over `comfortTempC` */
	bagNumber: BagNumber | null;
	/** what a battery holds as it says itself; where it is known it wins over `energyWh` */
	batteryCharge: BatteryCharge | null;
}

export type PropertyName = keyof Properties;

export interface Thing extends Versioned {
	id: string;
	/** catalogue type that fills in what no fact says */
	typeId: string;
	name: string;
	quantity: Fact<number>;
	inPairs: boolean;
	/** facts that differ from, or confirm, the catalogue */
	facts: { [K in PropertyName]?: Fact<Properties[K]> };
}

/** Facts of a client, by name. */
export type FactsOfClient = { [K in ClientFactName]: Fact<ClientFactValue<K>> };

export interface Client extends Versioned, FactsOfClient {
	id: string;
	name: string;
	/** parts of the body for which the client has named all they own */
	answeredParts: Part[];
	things: Thing[];
	/** schools of this client; what is left out is the trip's, and then the house's */
	schools?: SomeSchools;
	/** what the house uses types for; a document says it once for all its clients */
	uses?: HouseUses;
	/** room and weight of what the client carries for others beside the own kit; none when left out */
	forOthers?: { litres: number; massG: number };
	/** types of what others bring for the client, who needs none then */
	fromOthers?: string[];
}

export interface Document {
	format: typeof DOCUMENT_FORMAT;
	formatVersion: number;
	trip: Trip;
	clients: Client[];
	/** how the house does it, where practitioners disagree */
	house?: SomeSchools;
	/** what the house uses types of the catalogue for, where it differs from the catalogue */
	uses?: HouseUses;
}
