import { catalogueType } from '../core/cloth/catalogue';
import type { Part } from '../core/document/parts';
import type {
	Client,
	Document,
	Fact,
	FactState,
	Phase,
	Stage,
	StageBase,
	Thing
} from '../core/document/types';
import type { LETTER_SIZES } from '../core/document/client-facts';
import { DOCUMENT_FORMAT, DOCUMENT_VERSION } from '../core/document/types';
import { NOTHING_KNOWN } from '../core/document/nothing-known';
import { typeName } from '../words/garments';
import { usualWeathers } from '../words/weathers';

/**
 * The demo: an invented outfitter's two-day ski tour over an invented saddle, and two invented clients. One is well
 * equipped; the other has honest gaps. It doubles as the reference day of the ledger.
 */
type PhaseRow = [
	id: string,
	name: string,
	kind: Phase['kind'],
	minutes: number,
	altitudeM: number,
	effortWm2: number,
	place: Phase['place'],
	rest?: Partial<Pick<Phase, 'ownSpeedKmh' | 'marks' | 'typed' | 'startMin'>>
];

const phase = ([id, name, kind, minutes, altitudeM, effortWm2, place, rest]: PhaseRow): Phase => ({
	type: 'phase',
	id,
	name,
	kind,
	startMin: null,
	minutes,
	altitudeM,
	along: 0,
	place,
	ownSpeedKmh: 0,
	effortWm2,
	marks: [],
	typed: {},
	...rest
});

const DAY_ONE: PhaseRow[] = [
	['1-drive', 'Drive to the trailhead', 'ride', 30, 900, 65, 'in'],
	['1-skins', 'Skins on at the car', 'stop', 10, 900, 100, 'lee', { marks: ['fiddly'] }],
	['1-forest', 'Climb through the forest', 'move', 60, 1150, 280, 'forest'],
	['1-open', 'Climb over open slopes', 'move', 75, 1600, 280, 'slope'],
	['1-last', 'Wait for the last on Tarn Saddle', 'stop', 33, 1840, 80, 'ridge'],
	['1-hurt', 'What if: partner hurt on the saddle', 'what-if', 120, 1800, 75, 'slope'],
	['1-top', 'Change-over, skins off', 'stop', 8, 1840, 95, 'ridge', { marks: ['fiddly'] }],
	[
		'1-descent',
		'Descent to the tarn',
		'move',
		30,
		1500,
		250,
		'slope',
		{ ownSpeedKmh: 12, marks: ['snow-contact'] }
	],
	['1-tea', 'Tea below the boulder', 'stop', 15, 1250, 75, 'lee'],
	['1-climb', 'Climb back to the rim', 'move', 45, 1450, 280, 'slope'],
	['1-change', 'Second change-over', 'stop', 10, 1600, 95, 'ridge', { marks: ['fiddly'] }],
	[
		'1-run',
		'Descent to the road',
		'move',
		30,
		1200,
		250,
		'slope',
		{ ownSpeedKmh: 12, marks: ['snow-contact'] }
	],
	['1-wait', 'Wait for the van', 'stop', 15, 920, 80, 'lee'],
	['1-lodge', 'Evening at the lodge', 'indoors', 180, 900, 70, 'in'],
	['1-night', 'Night at the lodge', 'sleep', 540, 900, 45, 'in', { startMin: 21 * 60 + 30 }]
];

const DAY_TWO: PhaseRow[] = [
	['2-start', 'Dress and skins on', 'stop', 12, 900, 100, 'lee', { marks: ['fiddly'] }],
	['2-forest', 'Climb in wet snow', 'move', 70, 1050, 280, 'forest'],
	['2-open', 'Climb to the hut ruin', 'move', 50, 1300, 280, 'slope'],
	['2-ruin', 'Rest behind the ruin', 'stop', 20, 1400, 75, 'lee'],
	[
		'2-descent',
		'Descent through the birches',
		'move',
		35,
		1150,
		250,
		'trees',
		{ ownSpeedKmh: 12, marks: ['snow-contact'] }
	],
	['2-wait', 'Wait at the bus stop', 'stop', 25, 900, 80, 'slope']
];

/** What both days share; the guide typed one temperature for each day. */
const day = (
	stage: Pick<Stage, 'id' | 'name' | 'date' | 'startMin' | 'sequence' | 'base' | 'route'>
): Stage => ({
	bed: { kind: 'heated', washing: true, drying: 'everything' },
	provided: [
		{ id: 'rescue', name: 'Transceiver, shovel and probe', typeId: null, quantity: 1 },
		{ id: 'sheets', name: 'Sheets at the lodge', typeId: null, quantity: 1 }
	],
	terrain: ['avalanche'],
	pace: 'guided',
	patternId: 'ski-tour',
	foul: null,
	origins: {},
	...stage
});
const air = (
	tempC: number,
	lapseKPerKm: number,
	wind10mKmh: number,
	humidityPct: number,
	wetSpells: StageBase['wetSpells']
): StageBase => ({
	lowTempC: tempC,
	highTempC: tempC,
	altitudeM: 900,
	lapseKPerKm,
	inversion: null,
	heights: [],
	wind10mKmh,
	humidityPct,
	wetSpells,
	ground: 'snow'
});

const STAGES: Stage[] = [
	day({
		id: 'demo-day-1',
		name: 'Over Tarn Saddle',
		date: '2027-01-23',
		startMin: 7 * 60 + 30,
		base: air(-3, 8, 48, 70, []),
		route: { startM: 900, highM: 1840, lowM: 900, bedM: 900 },
		sequence: DAY_ONE.map(phase)
	}),
	day({
		id: 'demo-day-2',
		name: 'The hut ruin and back, in wet snow',
		date: '2027-01-24',
		startMin: 8 * 60 + 30,
		base: air(1, 5, 20, 95, [{ fromMin: 0, toMin: 1440, kind: 'wet-snow' }]),
		route: { startM: 900, highM: 1400, lowM: 900, bedM: 900 },
		sequence: DAY_TWO.map(phase)
	})
];

const fact = <T>(value: T, state: FactState = 'has'): Fact<T> => ({ value, source: 'client', state });

/** A thing of a demo kit: catalogue type, how many, and the name that the client gave it. */
export function thing(client: string, typeId: string, quantity = 1, name?: string): Thing {
	const type = catalogueType(typeId);
	return {
		id: `${client}-${typeId}`,
		typeId,
		name: name ?? typeName(typeId),
		quantity: quantity > 0 ? fact(quantity) : fact(0, 'has not'),
		inPairs: type.inPairs,
		facts: {},
		version: 1,
		deletedAt: null
	};
}

export const EVERYTHING_ANSWERED: Part[] = [
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
];

type Letter = (typeof LETTER_SIZES)[number];
/** Top, trousers, gloves and shoes. */
type Sizes = [top: Letter, legs: Letter, gloves: Letter, shoes: number];

export function client(
	id: string,
	name: string,
	offsetClo: number,
	things: [string, number?, string?][],
	answeredParts: Part[],
	sizes?: Sizes
): Client {
	return {
		id,
		name,
		...NOTHING_KNOWN,
		...(offsetClo !== 0 && { offsetClo: fact(offsetClo) }),
		...(sizes && {
			topSize: fact(sizes[0]),
			legSize: fact(sizes[1]),
			gloveSize: fact(sizes[2]),
			shoeSize: fact(sizes[3])
		}),
		answeredParts,
		things: things.map(([typeId, quantity, called]) => thing(id, typeId, quantity, called)),
		version: 1,
		deletedAt: null
	};
}

const RUNA = client(
	'demo-runa',
	'Runa Fjellby',
	0,
	[
		['briefs', 3],
		['top-wool-mid', 2],
		['fleece'],
		['soft-shell'],
		['hard-shell'],
		['coat-synthetic'],
		['bottoms-wool', 1],
		['trousers-soft-shell'],
		['trousers-hard-shell'],
		['sock-heavy', 3],
		['boot-ski-touring'],
		['glove-liner', 2],
		['glove-light'],
		['glove-winter'],
		['mitten'],
		['overmitt-down'],
		['cap-thin'],
		['hat-warm'],
		['neck-tube', 2],
		['sunglasses'],
		['goggles']
	],
	EVERYTHING_ANSWERED,
	['M', 'M', 'M', 39]
);

const TEO = client(
	'demo-teo',
	'Teo Marsh',
	0,
	[
		['briefs', 2],
		['top-cotton', 2, 'Long-sleeved cotton shirt'],
		['fleece'],
		['soft-shell', 1, 'Soft shell, bought last winter'],
		['coat-synthetic', 0],
		['rain-shell', 1],
		['bottoms-synthetic'],
		['trousers-trek'],
		['trousers-hard-shell', 0],
		['sock-mid', 2],
		['boot-ski-touring', 1, 'Hired touring boots'],
		['glove-winter', 1],
		['hat-warm'],
		['sunglasses']
	],
	['torso', 'arms', 'hands', 'thighs', 'calves', 'feet', 'ears', 'face'],
	['L', 'L', 'L', 43]
);

/** The document that a fresh installation starts with. */
export const DEMO_DOCUMENT: Document = {
	format: DOCUMENT_FORMAT,
	formatVersion: DOCUMENT_VERSION,
	trip: {
		id: 'demo-trip',
		name: 'Two days on skis over Tarn Saddle',
		place: 'Vessel valley',
		site: { placeId: 'vessel-valley', latitudeDeg: 46.9, longitudeDeg: 10.8, utcOffsetMin: 60 },
		weathers: usualWeathers(4.7),
		stages: STAGES,
		version: 1,
		deletedAt: null
	},
	clients: [RUNA, TEO]
};
