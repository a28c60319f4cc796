import Joi from 'joi';
import { isCatalogueId } from '../core/cloth/catalogue';
import { PARTS } from '../core/document/parts';
import { SCHOOL_IDS, choicesOf } from '../core/document/schools';
import {
	BAG_SCALES,
	BEDS,
	type Bed,
	CLOTH_FUNCTIONS,
	type Client,
	DEXTERITIES,
	DOCUMENT_FORMAT,
	DOCUMENT_VERSION,
	DRYINGS,
	type Document,
	FACES,
	FACT_SOURCES,
	FACT_STATES,
	FEATURES,
	FIBRES,
	type FixedOutfit,
	GROUNDS,
	MARKS,
	OPENINGS,
	ORIGINS,
	PACES,
	PHASE_KINDS,
	type Sequence,
	type Stage,
	type StageBase,
	TERRAINS,
	type Thing,
	type Trip
} from '../core/document/types';
import {
	PLACES,
	PRECIPITATIONS,
	type Precipitation,
	WATER_GRADES,
	type WetSpell
} from '../core/document/weather';
import { SPARE_CHANGES, WISH_KINDS, type Wish } from '../core/document/wish';
import { USUAL_POOL_K } from '../core/weather/stage-air';

/**
 * The shape of everything that comes in from outside: API, forms, files. Joi checks it on the server; the published JSON
 * Schema is made from the same rules.
 */
const id = Joi.string()
	.pattern(/^[A-Za-z0-9-]{1,64}$/)
	.messages({ 'string.pattern.base': 'may have letters, digits and dashes only, at most 64' });
const name = Joi.string().trim().min(1).max(120);
const count = (min: number, max: number): Joi.NumberSchema => Joi.number().integer().min(min).max(max);
const between = (min: number, max: number): Joi.NumberSchema => Joi.number().min(min).max(max);
const oneOf = (values: readonly string[]): Joi.StringSchema => Joi.string().valid(...values);

const isoDate = Joi.string()
	.pattern(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/)
	.messages({ 'string.pattern.base': 'must be a date such as 2027-01-23' });

const fact = (value: Joi.Schema): Joi.ObjectSchema =>
	Joi.object({
		value: value.allow(null).required(),
		source: oneOf(FACT_SOURCES).required(),
		state: oneOf(FACT_STATES).required()
	});

export const conditionRanges = {
	airTempC: [-60, 50],
	wind10mKmh: [0, 200],
	humidityPct: [0, 100],
	altitudeM: [-400, 8900],
	lapseKPerKm: [-20, 12],
	warmerAtTopK: [0, 20]
} as const;
const condition = (key: keyof typeof conditionRanges): Joi.NumberSchema =>
	between(conditionRanges[key][0], conditionRanges[key][1]);

const typed = Joi.object({
	airTempC: condition('airTempC'),
	wind10mKmh: condition('wind10mKmh'),
	humidityPct: condition('humidityPct'),
	precipitation: oneOf(PRECIPITATIONS),
	ground: oneOf(GROUNDS)
});

const phase = Joi.object({
	type: Joi.string().valid('phase').required(),
	id: id.required(),
	name: name.required(),
	kind: oneOf(PHASE_KINDS).required(),
	startMin: count(0, 1439).allow(null).default(null),
	minutes: count(1, 1440).required(),
	altitudeM: condition('altitudeM').allow(null).default(null),
	along: between(0, 3).default(0),
	place: oneOf([...PLACES, 'bed']).required(),
	ownSpeedKmh: between(0, 150).default(0),
	effortWm2: between(40, 600).required(),
	marks: Joi.array().items(oneOf(MARKS)).unique().default([]),
	typed: typed.default({}),
	guided: Joi.object({
		minutes: count(1, 1440).required(),
		effortWm2: between(40, 600).required(),
		ownSpeedKmh: between(0, 150).default(0),
		fitWm2: between(40, 600)
	})
});

/** Loops may hold loops, three deep; deeper days do not exist. */
function sequence(depth: number): Joi.ArraySchema {
	if (depth === 0) return Joi.array().items(phase).max(60);
	const loop = Joi.object({
		type: Joi.string().valid('loop').required(),
		id: id.required(),
		name: name.required(),
		count: count(1, 30).required(),
		sequence: sequence(depth - 1)
			.min(1)
			.required()
	});
	const item = Joi.alternatives().conditional(
		Joi.object({ type: Joi.string().valid('loop').required() }).unknown(),
		{
			then: loop,
			otherwise: phase
		}
	);
	return Joi.array().items(item).max(60);
}

/** A day of more phases than this, loops rolled out, is a slip of the finger. */
const MOST_LIVED_PHASES = 120;
const livedPhases = (items: Sequence): number =>
	items.reduce((sum, item) => sum + (item.type === 'loop' ? item.count * livedPhases(item.sequence) : 1), 0);

const daySequence = (): Joi.ArraySchema =>
	sequence(3)
		.required()
		.custom((value: Sequence, helpers) =>
			livedPhases(value) > MOST_LIVED_PHASES
				? helpers.error('day.tooLong', { limit: MOST_LIVED_PHASES })
				: value
		)
		.messages({ 'day.tooLong': 'a day has at most {#limit} phases, loops rolled out' });

const wetSpell = Joi.object({
	fromMin: count(0, 1440).required(),
	toMin: count(0, 1440).required(),
	kind: oneOf(PRECIPITATIONS).required()
})
	.custom((value: WetSpell, helpers) => (value.toMin > value.fromMin ? value : helpers.error('spell.order')))
	.messages({ 'spell.order': 'must end later than it starts' });
const wetSpells = Joi.array().items(wetSpell).max(24);

const heightForecast = Joi.object({
	altitudeM: condition('altitudeM').required(),
	lowTempC: condition('airTempC').required(),
	highTempC: condition('airTempC').required(),
	wind10mKmh: condition('wind10mKmh').allow(null).default(null)
});

/**
 * What is known of the air. A document may say one temperature for the whole day, `airTempC`, and one kind of rain or
 * snow that falls all day, `precipitation`; they are taken for low and high, and for a spell from 0 to 24 hours.
 */
const base = Joi.object({
	airTempC: condition('airTempC'),
	precipitation: oneOf(PRECIPITATIONS),
	lowTempC: condition('airTempC'),
	highTempC: condition('airTempC'),
	altitudeM: condition('altitudeM').required(),
	lapseKPerKm: condition('lapseKPerKm').default(6.5),
	inversion: Joi.object({
		topM: condition('altitudeM').required(),
		warmerAtTopK: condition('warmerAtTopK').default(USUAL_POOL_K)
	})
		.allow(null)
		.default(null),
	heights: Joi.array().items(heightForecast).max(8).unique('altitudeM').default([]),
	wind10mKmh: condition('wind10mKmh').required(),
	humidityPct: condition('humidityPct').default(70),
	wetSpells,
	ground: oneOf(GROUNDS).default('bare')
})
	.xor('airTempC', 'lowTempC')
	.and('lowTempC', 'highTempC')
	.nand('precipitation', 'wetSpells')
	.custom((value: StageBase & { airTempC?: number; precipitation?: Precipitation }, helpers) => {
		const { airTempC, precipitation, ...rest } = value;
		const lowTempC = rest.lowTempC ?? airTempC;
		const highTempC = rest.highTempC ?? airTempC;
		if (highTempC < lowTempC) return helpers.error('temperature.order');
		return {
			...rest,
			lowTempC,
			highTempC,
			wetSpells:
				rest.wetSpells ??
				(precipitation && precipitation !== 'dry' ? [{ fromMin: 0, toMin: 1440, kind: precipitation }] : [])
		};
	})
	.messages({
		'temperature.order': 'the high must not be below the low',
		'object.xor': 'needs a low and a high, or one temperature for the whole day',
		'object.missing': 'needs a low and a high, or one temperature for the whole day',
		'object.and': 'needs both a low and a high'
	});

const bed = Joi.object<Bed>({
	kind: oneOf(BEDS).required(),
	washing: Joi.boolean().default(false),
	drying: oneOf(DRYINGS).default('nothing')
});
/** Bed of a stage that says nothing of it. */
export const USUAL_BED: Bed = { kind: 'heated', washing: false, drying: 'small things' };

const origin = Joi.object({
	from: oneOf(ORIGINS).required(),
	note: Joi.string().allow('').max(120).default('')
});
const BASE_FIELDS = [
	'lowTempC',
	'highTempC',
	'altitudeM',
	'lapseKPerKm',
	'inversion',
	'heights',
	'wind10mKmh',
	'humidityPct',
	'wetSpells',
	'ground'
] as const satisfies (keyof StageBase)[];

const stage = Joi.object<Stage>({
	id: id.required(),
	name: name.required(),
	date: isoDate.required(),
	startMin: count(0, 1439).default(480),
	base: base.required(),
	route: Joi.object({
		startM: condition('altitudeM').required(),
		highM: condition('altitudeM').required(),
		lowM: condition('altitudeM').required(),
		bedM: condition('altitudeM').required()
	}),
	bed: bed.default(USUAL_BED),
	provided: Joi.string().allow('').max(400).default(''),
	groupLoadL: between(0, 60),
	terrain: Joi.array().items(oneOf(TERRAINS)).unique().default([]),
	pace: oneOf(PACES).default('guided'),
	patternId: id.allow(null).default(null),
	sequence: daySequence(),
	foul: Joi.object({
		name: name.required(),
		sequence: daySequence(),
		bed: bed.required()
	})
		.allow(null)
		.default(null),
	origins: Joi.object(Object.fromEntries(BASE_FIELDS.map((field) => [field, origin]))).default({})
}).custom((value: Stage) => {
	if (value.route) return value;
	const { altitudeM } = value.base;
	return { ...value, route: { startM: altitudeM, highM: altitudeM, lowM: altitudeM, bedM: altitudeM } };
});

const versioned = {
	version: count(1, 1e9).default(1),
	deletedAt: Joi.string().isoDate().allow(null).default(null)
};

const weather = Joi.object({
	id: id.required(),
	name: name.required(),
	meaning: Joi.string().allow('').max(200).default(''),
	tempOffsetK: between(-30, 30).default(0),
	windFactor: between(0, 5).default(1),
	wetSpells: wetSpells.default([])
});

const site = Joi.object({
	placeId: id.allow(null).default(null),
	latitudeDeg: between(-90, 90).required(),
	longitudeDeg: between(-180, 180).required(),
	utcOffsetMin: count(-720, 840).required()
});

/** Choices in the schools; what is left out is inherited. */
const schools = Joi.object(
	Object.fromEntries(SCHOOL_IDS.map((school) => [school, oneOf(choicesOf(school))]))
);

const tripFields = {
	name: name.required(),
	place: Joi.string().trim().allow('').max(120).default(''),
	site: site.allow(null).default(null),
	weathers: Joi.array().items(weather).min(1).max(5).unique('id').required(),
	stages: Joi.array().items(stage).max(40).unique('id').required(),
	schools
};
const trip = Joi.object<Trip>({ id: id.required(), ...tripFields, ...versioned });

const share = between(0, 1);
const properties = {
	functions: fact(Joi.array().items(oneOf(CLOTH_FUNCTIONS))),
	covers: fact(Joi.object(Object.fromEntries(PARTS.map((part) => [part, share])))),
	positions: fact(Joi.array().items(count(0, 5)).length(2)),
	localClo: fact(between(0, 6)),
	airPermeability: fact(between(1, 1000)),
	waterGrade: fact(oneOf(WATER_GRADES)),
	fibre: fact(oneOf(FIBRES)),
	girthSteps: fact(count(0, 20)),
	roomSteps: fact(count(0, 20)),
	massG: fact(between(0, 20_000)),
	packedL: fact(between(0, 100)),
	size: fact(Joi.string().allow('').max(20)),
	dexterity: fact(oneOf(DEXTERITIES)),
	overBoots: fact(Joi.boolean()),
	lensCategory: fact(count(0, 4)),
	comfortTempC: fact(between(-60, 30)),
	bagScale: fact(oneOf(BAG_SCALES)),
	features: fact(Joi.array().items(oneOf(FEATURES)).unique()),
	face: fact(oneOf(FACES)),
	heightCm: fact(between(0, 120)),
	vapourResistance: fact(between(0, 1000)),
	holdsL: fact(between(0, 150)),
	watts: fact(between(0, 100)),
	energyWh: fact(between(0, 500)),
	wearDays: fact(count(0, 30))
};

const typeId = Joi.string()
	.required()
	.custom((value: string, helpers) => (isCatalogueId(value) ? value : helpers.error('catalogue.unknown')))
	.messages({ 'catalogue.unknown': 'must be the id of a type in the catalogue' });

const thingFields = {
	typeId,
	name: name.required(),
	quantity: fact(count(0, 99)).required(),
	inPairs: Joi.boolean().default(false),
	facts: Joi.object(properties).default({})
};
const thing = Joi.object<Thing>({ id: id.required(), ...thingFields, ...versioned });

const notAsked = { value: null, source: 'client', state: 'not asked' } as const;
const clientFields = {
	name: name.required(),
	offsetClo: fact(between(-0.6, 0.6)).default(notAsked),
	careful: fact(Joi.boolean()).default(notAsked),
	answeredParts: Joi.array().items(oneOf(PARTS)).unique().default([]),
	schools
};
const client = Joi.object<Client>({
	id: id.required(),
	...clientFields,
	things: Joi.array().items(thing).max(200).unique('id').required(),
	...versioned
});

const worn = Joi.object({ thingId: id.required(), opening: oneOf(OPENINGS).default('closed') });
const fixedOutfit = Joi.object<FixedOutfit>({
	weather: id,
	stageId: id.required(),
	phaseId: id.required(),
	round: count(1, 30),
	worn: Joi.array().items(worn).required()
});

const wish = Joi.object({
	kind: oneOf(WISH_KINDS).required(),
	thingId: id.required(),
	stageId: id,
	phaseId: id
})
	.when(Joi.object({ kind: 'wear' }).unknown(), {
		then: Joi.object({ stageId: id.required(), phaseId: id.required() })
	})
	.messages({ 'any.required': 'is needed: where shall it be worn?' });
const wishList = Joi.array().items(wish).max(60);
const spareChanges = Joi.number().valid(...SPARE_CHANGES);

/** The document, as published. */
export const documentSchema = Joi.object<Document>({
	format: Joi.string().valid(DOCUMENT_FORMAT).required(),
	formatVersion: Joi.number().valid(DOCUMENT_VERSION).required(),
	trip: trip.required(),
	clients: Joi.array().items(client).max(60).unique('id').required(),
	house: schools
});

/** A request for a plan: a document, whose plan, outfits to be judged as given, and what is wished of the plan. */
export interface PlanRequest extends Document {
	clientId?: string;
	fixed: FixedOutfit[];
	wishes: Wish[];
	spareChanges: number;
}
export const planRequestSchema = (documentSchema as Joi.ObjectSchema<PlanRequest>).keys({
	clientId: id,
	fixed: Joi.array().items(fixedOutfit).max(500).default([]),
	wishes: wishList.default([]),
	spareChanges: spareChanges.default(0)
});

/** Which verdicts change between two documents. */
export interface ChangesRequest {
	before: Document;
	after: Document;
	/** weather of each side that is looked at; the first one when left out */
	weatherBefore?: string;
	weatherAfter?: string;
	/** whose verdicts; everybody's on the trip as it is after when left out */
	clientIds?: string[];
	/** what is wished of the plans, by client */
	wishes: Record<string, { wishes: Wish[]; spareChanges: number }>;
}
export const changesRequestSchema = Joi.object<ChangesRequest>({
	before: documentSchema.required(),
	after: documentSchema.required(),
	weatherBefore: id,
	weatherAfter: id,
	clientIds: Joi.array().items(id).max(60).unique(),
	wishes: Joi.object()
		.pattern(id, Joi.object({ wishes: wishList.default([]), spareChanges: spareChanges.default(0) }))
		.max(60)
		.default({})
});

export const demandSchema = Joi.object({
	airTempC: between(-60, 50).required(),
	airVelocityMs: between(0, 60).required(),
	wind10mKmh: between(0, 250).required(),
	humidityPct: between(0, 100).required(),
	metabolicWm2: between(40, 600).required(),
	minutes: count(1, 1440),
	walkSpeedMs: between(0, 3),
	airPermeability: between(1, 1000)
});

export const wishesSchema = Joi.object({
	wishes: wishList.required(),
	spareChanges: spareChanges.required(),
	version: count(0, 1e9).required()
});

/** What the pages save. `version` is the one that was edited. */
export const tripEditSchema = Joi.object({ ...tripFields, version: count(1, 1e9).required() });
export const houseEditSchema = Joi.object({ schools: schools.required(), version: count(1, 1e9).required() });
export const newTripSchema = Joi.object({
	name: name.required(),
	place: tripFields.place,
	site: tripFields.site,
	weathers: tripFields.weathers.optional(),
	/** a past trip whose stages are taken over, from a first date on */
	likeTripId: id,
	firstDate: isoDate
});
export const clientEditSchema = Joi.object({ ...clientFields, version: count(1, 1e9).required() });
export const newClientSchema = Joi.object({ name: name.required(), tripId: id });
export const newThingSchema = Joi.object({ typeId, quantity: fact(count(0, 99)).required(), name });
export const thingEditSchema = Joi.object({ ...thingFields, version: count(1, 1e9).required() });

/** One day of a forecast that comes in. */
const dayForecast = Joi.object({
	date: isoDate.required(),
	altitudeM: condition('altitudeM').required(),
	lowTempC: condition('airTempC').required(),
	highTempC: condition('airTempC').required(),
	wind10mKmh: condition('wind10mKmh'),
	humidityPct: condition('humidityPct'),
	wetSpells: wetSpells.default([]),
	heights: Joi.array().items(heightForecast).max(8).unique('altitudeM').default([])
})
	.custom((value: { lowTempC: number; highTempC: number }, helpers) =>
		value.highTempC < value.lowTempC ? helpers.error('temperature.order') : value
	)
	.messages({ 'temperature.order': 'the high must not be below the low' });
/** A forecast file, as published. */
export const forecastFileSchema = Joi.object({
	format: Joi.string().valid('snug-summit/forecast').required(),
	formatVersion: Joi.number().valid(1).required(),
	source: Joi.string().allow('').max(80).default(''),
	days: Joi.array().items(dayForecast).min(1).max(60).unique('date').required()
});

/** What is asked of the climate service, and a file that is to be read. */
export const climateNormalsSchema = Joi.object({ place: id.required(), month: count(1, 12).required() });
export const climateForecastSchema = Joi.object({
	place: id.required(),
	from: isoDate.required(),
	days: count(1, 60).default(1)
});
export const readFileSchema = Joi.object({
	text: Joi.string().max(500_000).required(),
	name: Joi.string().max(80).default('')
});

/** A pattern that a house keeps for itself. */
const patternFields = {
	name: name.required(),
	startMin: count(0, 1439).required(),
	ground: oneOf(GROUNDS).allow(null).required(),
	terrain: Joi.array().items(oneOf(TERRAINS)).unique().default([]),
	bed: oneOf(BEDS).required(),
	pace: oneOf(PACES).default('guided'),
	sequence: daySequence().min(1),
	foul: Joi.object({ name: name.required(), sequence: daySequence(), bed: bed.required() })
		.allow(null)
		.default(null)
};
export const newPatternSchema = Joi.object(patternFields);
