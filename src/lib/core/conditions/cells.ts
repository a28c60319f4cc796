import { clamp } from '../argument';
import { METHOD_MAX_WM2 } from '../body/effort';
import { SNOW_HOLE_C, UNHEATED_LODGE_WARMER_K } from '../body/night';
import { reason, type Reason, type ValueName, type ValueRow } from '../document/reasons';
import { rolledOut } from '../document/sequence';
import type {
	BedKind,
	Doing,
	Ground,
	Mark,
	Phase,
	PhaseKind,
	Route,
	Site,
	Stage,
	Terrain,
	Weather
} from '../document/types';
import { type Place, type Precipitation } from '../document/weather';
import { atPace } from '../patterns/pattern';
import { USUAL_DAWN_MIN, WARMEST_MIN } from '../weather/day-course';
import { type Daylight, daylightOn, type Light, lightAt } from '../weather/daylight';
import { WETTING_SHARE } from '../weather/precipitation';
import { stageTempC, stageWindKmh } from '../weather/stage-air';
import { wetBetween } from '../weather/wet';
import { doingOf } from './doing';
import { fallOf, type Immersion, immersionOf, waterTempC } from './immersion';
import { airVelocityAtBodyMs, CALM_INDOOR_MS, feltTempC, ROOFED } from '../weather/wind';

/** What a heated place counts as unless typed (our assumption). */
const HEATED = { airTempC: 20, humidityPct: 40, airVelocityMs: CALM_INDOOR_MS } as const;

/** Above this height climbing is slower, m, and by how much (our assumption). */
const THIN_AIR_M = 4000;
const THIN_AIR_FACTOR = 0.75;

/** From here on moving counts as going uphill, W/m² (our assumption). */
const UPHILL_WM2 = 200;

/** What a phase is like on the body, in one weather. */
interface Conditions {
	airTempC: number;
	wind10mKmh: number;
	airVelocityMs: number;
	feltTempC: number;
	humidityPct: number;
	precipitation: Precipitation;
	ground: Ground;
	/** minutes of ordinary rain since the last heated place, to the end of this phase */
	rainMinutes: number;
	/** how fast it wets cloth, as a share of ordinary rain */
	rainPerMin: number;
	/** water that one stands in; null on dry land */
	water: Immersion | null;
	/** water that one falls into at the start; null where one does not */
	fall: Immersion | null;
	reasons: {
		airTempC: Reason;
		wind: Reason;
		feltTempC: Reason;
		altitude: Reason;
		effort: Reason;
		wet: Reason;
	};
}

/** One phase of one round, in one weather: what the plan is made of. */
export interface Cell extends Conditions {
	stageId: string;
	phaseId: string;
	name: string;
	/** round of the innermost loop, from 1 */
	round: number;
	kind: PhaseKind;
	doing: Doing;
	place: Place;
	heated: boolean;
	startMin: number;
	minutes: number;
	altitudeM: number;
	metabolicWm2: number;
	aboveMethod: boolean;
	light: Light;
	/** the first one of a day: nothing is carried in and dressing is free */
	fresh: boolean;
	/** the first stretch on the move of a day, outdoors */
	isStart: boolean;
	marks: readonly Mark[];
	/** what the stage goes through */
	terrain: readonly Terrain[];
}

const PLACE_OF_BED: Readonly<Record<BedKind, Place>> = {
	heated: 'in',
	unheated: 'cold-in',
	hut: 'cold-in',
	tent: 'tent',
	'snow-hole': 'snow-hole',
	none: 'in'
};

/** Where a phase is spent; the bed is wherever the stage sleeps. */
const placeOf = (phase: Phase, stage: Stage): Place =>
	phase.place === 'bed' ? PLACE_OF_BED[stage.bed.kind] : phase.place;

/**
 * Height of a point of the route, m.
 * @param along 0 start, 1 high point, 2 low point after it, 3 bed
 */
function altitudeAlong({ startM, highM, lowM, bedM }: Route, along: number): number {
	const points = [startM, highM, lowM, bedM];
	const before = Math.min(2, Math.floor(clamp(along, 0, 3)));
	return points[before]! + (points[before + 1]! - points[before]!) * (clamp(along, 0, 3) - before);
}

/** Daylight of a stage, where the trip says where it is. */
export const daylightOf = (stage: Stage, site: Site | null): Daylight | null =>
	site && daylightOn(stage.date, site.latitudeDeg, site.longitudeDeg, site.utcOffsetMin);

const dawnOf = (daylight: Daylight | null): number =>
	clamp(daylight?.sunriseMin ?? USUAL_DAWN_MIN, 0, WARMEST_MIN - 60);

/** Effort of a phase, W/m²: the figure of a pattern is taken down in thin air, a typed one is not. */
function effortOf(phase: Phase, stage: Stage, altitudeM: number): { effortWm2: number; reason: Reason } {
	const { effortWm2, guided, kind } = phase;
	const values: ValueRow[] = [['effort', effortWm2, 'W/m²']];
	const ofPattern =
		guided !== undefined &&
		effortWm2 === (kind === 'move' ? atPace(guided, stage.pace).effortWm2 : guided.effortWm2);
	if (!ofPattern) return { effortWm2, reason: reason('typedEffort', values) };
	if (kind === 'move' && effortWm2 >= UPHILL_WM2 && altitudeM > THIN_AIR_M)
		return {
			effortWm2: effortWm2 * THIN_AIR_FACTOR,
			reason: reason('thinAir', [...values, ['height', altitudeM, 'm']])
		};
	return {
		effortWm2,
		reason: reason('effort', [...values, ['guidedGroup', guided.effortWm2, 'W/m²'], ['pace', stage.pace]])
	};
}

/** The part of the day in which a phase lies. */
interface When {
	startMin: number;
	daylight: Daylight | null;
	southern: boolean;
}

type Computed = Omit<
	Cell,
	'stageId' | 'phaseId' | 'name' | 'round' | 'kind' | 'doing' | 'fresh' | 'marks' | 'terrain' | 'isStart'
> & {
	/** minutes of ordinary rain in this phase alone */
	ownRainMinutes: number;
};

/** Conditions of one phase at its time of the day, before rain has been summed up. Typed values win. */
function conditionsOf(phase: Phase, stage: Stage, weather: Weather, when: When): Computed {
	const { base } = stage;
	const { typed, minutes } = phase;
	const { startMin, daylight } = when;
	const place = placeOf(phase, stage);
	const heated = place === 'in';
	const roofed = ROOFED.has(place);
	const altitudeM = phase.altitudeM ?? altitudeAlong(stage.route, phase.along);
	const dawnMin = dawnOf(daylight);
	// A night is judged by its coldest hour, the one before sunrise, wherever its phase starts and ends.
	const atMin = phase.kind === 'sleep' ? dawnMin : startMin + minutes / 2;
	const outside = stageTempC(base, altitudeM, atMin, dawnMin);
	const offsetK = heated ? 0 : weather.tempOffsetK;
	const outsideC = outside.airTempC + offsetK;
	const shelteredC =
		place === 'cold-in'
			? outsideC + UNHEATED_LODGE_WARMER_K
			: place === 'snow-hole'
				? Math.max(outsideC, SNOW_HOLE_C)
				: outsideC;
	const airTempC = clamp(
		typed.airTempC !== undefined ? typed.airTempC + offsetK : heated ? HEATED.airTempC : shelteredC,
		-80,
		60
	);
	const wind10mKmh = heated
		? 0
		: clamp((typed.wind10mKmh ?? stageWindKmh(base, altitudeM)) * weather.windFactor, 0, 250);
	const airVelocityMs = heated
		? HEATED.airVelocityMs
		: airVelocityAtBodyMs(wind10mKmh, place, phase.ownSpeedKmh);
	const felt = feltTempC(airTempC, airVelocityMs);
	const wet = roofed
		? { kind: 'dry' as const, minutes: 0, rainMinutes: 0 }
		: typed.precipitation
			? {
					kind: typed.precipitation,
					minutes: typed.precipitation === 'dry' ? 0 : minutes,
					rainMinutes: minutes * WETTING_SHARE[typed.precipitation]
				}
			: wetBetween([...base.wetSpells, ...weather.wetSpells], startMin, startMin + minutes, airTempC);
	const effort = effortOf(phase, stage, altitudeM);
	const waterC = waterTempC(typed.waterTempC, airTempC, stage.date, when.southern);
	const dark = phase.marks.includes('dark') || phase.kind === 'sleep';
	const offset: ValueRow[] = offsetK === 0 ? [] : [['weatherOffset', offsetK, 'K', { of: weather.name }]];
	const outsideReason = reason(outside.rule, [
		['lowAtDawn', base.lowTempC, '°C'],
		['highInTheEarlyAfternoon', base.highTempC, '°C'],
		['theyHoldAt', base.altitudeM, 'm'],
		['thisPhase', altitudeM, 'm'],
		['lapse', base.lapseKPerKm, 'K per 1000 m'],
		['time', Math.round(atMin) % 1440, 'o’clock'],
		...base.heights.flatMap(({ altitudeM: of, lowTempC, highTempC }): ValueRow[] => [
			['forecastLow', lowTempC, '°C', { of }],
			['forecastHigh', highTempC, '°C', { of }]
		]),
		...(base.inversion && outside.rule === 'inversion'
			? ([['topOfTheColdPool', base.inversion.topM, 'm']] as ValueRow[])
			: []),
		...offset,
		originOf('lowIs', stage, 'lowTempC'),
		originOf('highIs', stage, 'highTempC')
	]);
	return {
		place,
		heated,
		startMin,
		minutes,
		altitudeM,
		metabolicWm2: effort.effortWm2,
		aboveMethod: effort.effortWm2 > METHOD_MAX_WM2,
		light: dark ? 'dark' : daylight ? lightAt(daylight, startMin + minutes / 2) : 'day',
		airTempC,
		wind10mKmh,
		airVelocityMs,
		feltTempC: felt,
		humidityPct: typed.humidityPct ?? (heated ? HEATED.humidityPct : base.humidityPct),
		precipitation: wet.kind,
		ground: roofed ? 'bare' : (typed.ground ?? base.ground),
		rainMinutes: wet.rainMinutes,
		ownRainMinutes: wet.rainMinutes,
		rainPerMin: wet.rainMinutes / minutes,
		water: immersionOf(phase.marks, waterC),
		fall: fallOf(phase.marks, waterC),
		reasons: {
			airTempC:
				typed.airTempC !== undefined
					? reason('typed', [['air', typed.airTempC, '°C'], ...offset])
					: heated
						? reason('heated')
						: place === 'cold-in'
							? reason('unheated', [['outside', outsideC, '°C']])
							: place === 'snow-hole'
								? reason('snowHole', [['outside', outsideC, '°C']])
								: outsideReason,
			wind: heated
				? reason('heated')
				: reason('bodyWind', [
						['windAt10M', wind10mKmh, 'km/h'],
						...(weather.windFactor === 1
							? []
							: ([['weatherFactor', weather.windFactor, 'times', { of: weather.name }]] as ValueRow[])),
						['place', place],
						['ownSpeed', phase.ownSpeedKmh, 'km/h'],
						['pastTheBody', airVelocityMs, 'm/s'],
						typed.wind10mKmh === undefined
							? originOf('windIs', stage, 'wind10mKmh')
							: ['windIs', 'typed for this phase']
					]),
			feltTempC: reason('windChill', [
				['air', airTempC, '°C'],
				['pastTheBody', airVelocityMs, 'm/s']
			]),
			altitude:
				phase.altitudeM === null
					? reason('along', [
							['start', stage.route.startM, 'm'],
							['highPoint', stage.route.highM, 'm'],
							['lowPoint', stage.route.lowM, 'm'],
							['bed', stage.route.bedM, 'm'],
							['thisPhase', altitudeM, 'm']
						])
					: reason('typed', [['height', altitudeM, 'm']]),
			effort: effort.reason,
			wet: typed.precipitation
				? reason('typed', [['falls', typed.precipitation]])
				: reason('wetHours', [
						['falls', wet.kind],
						['minutesOfThisPhase', wet.minutes, 'min'],
						['asOrdinaryRain', wet.rainMinutes, 'min'],
						originOf('rainIs', stage, 'wetSpells')
					])
		}
	};
}

/** Where a figure of the stage came from. */
function originOf(name: ValueName, stage: Stage, field: keyof Stage['base']): ValueRow {
	const { from, note } = stage.origins[field] ?? { from: 'typed', note: '' };
	return note && from !== 'typed' ? [name, from, undefined, { of: note }] : [name, from];
}

/**
 * The cells of a stage in one weather, in time order, with start times and the rain that has gathered.
 * A what-if phase is judged but takes no time of the day.
 * @param site where the trip is, for dawn and daylight; without it dawn counts as 6:30 and every phase as day
 */
export function cellsOf(stage: Stage, weather: Weather, site: Site | null = null): Cell[] {
	const daylight = daylightOf(stage, site);
	const southern = (site?.latitudeDeg ?? 0) < 0;
	let clock = stage.startMin;
	let rainMinutes = 0;
	let fresh = true;
	let moved = false;
	return rolledOut(stage.sequence).map(({ phase, round }) => {
		const startMin = round === 1 && phase.startMin !== null ? phase.startMin : clock;
		const { ownRainMinutes, ...conditions } = conditionsOf(phase, stage, weather, {
			startMin,
			daylight,
			southern
		});
		const gathered = rainMinutes + ownRainMinutes;
		let isFresh = false;
		let isStart = false;
		if (phase.kind !== 'what-if') {
			clock = startMin + phase.minutes;
			isFresh = fresh;
			fresh = phase.kind === 'sleep';
			isStart = !moved && phase.kind === 'move' && !conditions.heated;
			moved = phase.kind !== 'sleep' && (moved || isStart);
			rainMinutes = conditions.heated || phase.kind === 'sleep' ? 0 : gathered;
		}
		return {
			...conditions,
			rainMinutes: conditions.precipitation === 'dry' ? 0 : gathered,
			stageId: stage.id,
			phaseId: phase.id,
			name: phase.name,
			round,
			kind: phase.kind,
			doing: doingOf(phase, stage),
			fresh: isFresh,
			isStart,
			marks: phase.marks,
			terrain: stage.terrain
		};
	});
}

/** The stage as it goes when the weather is foul: the same day and air, another sequence and another bed. */
export const foulStage = (stage: Stage): Stage | null =>
	stage.foul && {
		...stage,
		name: stage.foul.name,
		sequence: stage.foul.sequence,
		bed: stage.foul.bed,
		foul: null
	};
