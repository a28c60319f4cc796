import { clamp } from '../../argument';
import { catalogueType } from '../../cloth/catalogue';
import { PARTS } from '../../document/parts';
import {
	type Client,
	type Phase,
	type PhasePlace,
	type Stage,
	type Thing,
	type Weather
} from '../../document/types';
import { NOTHING_KNOWN } from '../../document/nothing-known';
import type { Precipitation } from '../../document/weather';
import type { SimulatedDay } from '../../heat/simulation';
import { type PlannedStage } from '../../kit/planned-day';
import { schooled } from '../../conditions/person';
import { simulationOf } from '../simulated-plan';
import { planStage } from '../planner';

/** What is moved on the page where anyone tries it. */
export interface Tried {
	/** −40…30 °C */
	airTempC: number;
	/** at 10 m, 0…100 km/h */
	wind10mKmh: number;
	precipitation: Precipitation;
	/** 65…290 W/m² */
	effortWm2: number;
	/** 5…240 */
	minutes: number;
	place: PhasePlace;
	/** an hour uphill before it, in the same clothes */
	afterClimb: boolean;
	/** who wears it */
	person: TriedPerson;
	/** catalogue types that are worn */
	typeIds: readonly string[];
}
export const TRIED_PERSONS = ['usual', 'feels cold', 'feels warm', 'careful'] as const;
export type TriedPerson = (typeof TRIED_PERSONS)[number];
/** What somebody who feels cold wears more than others, clo (our assumption, as for clients). */
const FEELS_CLO: Readonly<Record<TriedPerson, number>> = {
	usual: 0,
	'feels cold': 0.2,
	'feels warm': -0.2,
	careful: 0
};

const CLIMB_MIN = 60;
const CLIMB_WM2 = 280;
/** From this effort on it is moving, W/m². */
const MOVES_WM2 = 130;

const TYPICAL: Weather = {
	id: 'tried',
	name: 'Tried',
	meaning: '',
	tempOffsetK: 0,
	windFactor: 1,
	wetSpells: []
};

const has = <T>(value: T): { value: T; source: 'client'; state: 'has' } => ({
	value,
	source: 'client',
	state: 'has'
});

function phaseOf(tried: Tried, id: string, name: string, minutes: number, effortWm2: number): Phase {
	return {
		type: 'phase',
		id,
		name,
		kind: effortWm2 >= MOVES_WM2 ? 'move' : 'stop',
		startMin: null,
		minutes,
		altitudeM: 0,
		along: 0,
		place: tried.place,
		ownSpeedKmh: effortWm2 >= MOVES_WM2 ? 4 : 0,
		effortWm2,
		marks: [],
		typed: { airTempC: tried.airTempC, wind10mKmh: tried.wind10mKmh, precipitation: tried.precipitation }
	};
}

/** Somebody who owns just what is tried on, of average build, and has been asked about everything. */
function wearerOf({ typeIds, person }: Tried, nameOf: (typeId: string) => string): Client {
	return {
		id: 'tried',
		name: 'Anyone',
		...NOTHING_KNOWN,
		offsetClo: has(FEELS_CLO[person]),
		careful: has(person === 'careful'),
		answeredParts: [...PARTS],
		things: typeIds.map((typeId): Thing => {
			const { inPairs } = catalogueType(typeId);
			return {
				id: typeId,
				typeId,
				name: nameOf(typeId),
				quantity: has(1),
				inPairs,
				facts: {},
				version: 1,
				deletedAt: null
			};
		}),
		version: 1,
		deletedAt: null
	};
}

/**
 * One stretch of time in given clothes, judged, with the body minute by minute.
 * @param nameOf what a type is called
 * @throws RangeError when a type is not in the catalogue
 */
export function tryIt(
	asked: Tried,
	nameOf: (typeId: string) => string = (typeId) => typeId
): { planned: PlannedStage; course: SimulatedDay; client: Client } {
	const tried: Tried = {
		...asked,
		airTempC: clamp(asked.airTempC, -40, 30),
		wind10mKmh: clamp(asked.wind10mKmh, 0, 100),
		effortWm2: clamp(asked.effortWm2, 65, 290),
		minutes: Math.round(clamp(asked.minutes, 5, 240))
	};
	const client = schooled(wearerOf(tried, nameOf), { trip: EMPTY_TRIP });
	const sequence = [
		...(tried.afterClimb ? [phaseOf(tried, 'climb', 'An hour uphill', CLIMB_MIN, CLIMB_WM2)] : []),
		phaseOf(
			tried,
			'now',
			tried.effortWm2 >= MOVES_WM2 ? 'On the move' : 'Standing still',
			tried.minutes,
			tried.effortWm2
		)
	];
	const stage: Stage = {
		id: 'tried',
		name: 'Tried',
		date: '2027-01-23',
		startMin: 600,
		base: {
			lowTempC: tried.airTempC,
			highTempC: tried.airTempC,
			altitudeM: 0,
			lapseKPerKm: 6.5,
			inversion: null,
			heights: [],
			wind10mKmh: tried.wind10mKmh,
			humidityPct: 70,
			wetSpells: [],
			ground: 'bare'
		},
		route: { startM: 0, highM: 0, lowM: 0, bedM: 0 },
		bed: { kind: 'none', washing: false, drying: 'everything' },
		provided: [],
		terrain: [],
		pace: 'guided',
		patternId: null,
		sequence,
		foul: null,
		origins: {}
	};
	const worn = tried.typeIds.map((thingId) => ({ thingId, opening: 'closed' as const }));
	const planned = planStage(
		stage,
		TYPICAL,
		client,
		sequence.map(({ id }) => ({ stageId: stage.id, phaseId: id, worn }))
	);
	return { planned, course: simulationOf(planned.phases, client), client };
}

const EMPTY_TRIP = {
	id: 'tried',
	name: '',
	place: '',
	site: null,
	weathers: [TYPICAL],
	stages: [],
	version: 1,
	deletedAt: null
};
