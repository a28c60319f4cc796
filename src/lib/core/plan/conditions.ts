import { clamp } from '../argument';
import type { Ground, Mark, Phase, PhaseKind, Sequence, Stage, Weather } from '../document/types';
import { METHOD_MAX_WM2 } from '../body/effort';
import { UNHEATED_LODGE_WARMER_K } from '../body/night';
import { airTempAtAltitudeC } from '../weather/air';
import { WETTING_SHARE, type Precipitation } from '../weather/precipitation';
import { CALM_INDOOR_MS, airVelocityAtBodyMs, feltTempC, type Place } from '../weather/wind';
import { reason, type Reason } from './reasons';

/** What a heated place counts as unless typed (our assumption). */
export const HEATED = { airTempC: 20, humidityPct: 40, airVelocityMs: CALM_INDOOR_MS } as const;

/** What a phase is like on the body, in one weather. */
export interface Conditions {
	airTempC: number;
	wind10mKmh: number;
	airVelocityMs: number;
	feltTempC: number;
	humidityPct: number;
	precipitation: Precipitation;
	ground: Ground;
	/** minutes of ordinary rain since the last heated place, to the end of this phase */
	rainMinutes: number;
	reasons: { airTempC: Reason; wind: Reason; feltTempC: Reason };
}

/** One phase of one round, in one weather: what the plan is made of. */
export interface Cell extends Conditions {
	stageId: string;
	phaseId: string;
	name: string;
	/** round of the innermost loop, from 1 */
	round: number;
	kind: PhaseKind;
	place: Place;
	heated: boolean;
	startMin: number;
	minutes: number;
	altitudeM: number;
	metabolicWm2: number;
	aboveMethod: boolean;
	/** the first one of a day: nothing is carried in and dressing is free */
	fresh: boolean;
	marks: readonly Mark[];
}

const typedReason = (name: string, value: number, unit: string): Reason =>
	reason('typed', [[name, value, unit]]);

/** Conditions of one phase before rain has been summed up. Typed values win over computed ones. */
export function conditionsOf(phase: Phase, stage: Stage, weather: Weather): Omit<Conditions, 'rainMinutes'> {
	const { base } = stage;
	const { typed, place } = phase;
	const heated = place === 'in';
	const roofed = heated || place === 'cold-in';
	const outsideC = airTempAtAltitudeC(base.airTempC, base.altitudeM, phase.altitudeM, base.lapseKPerKm);
	const offsetK = heated ? 0 : weather.tempOffsetK;
	const computedC = heated ? HEATED.airTempC : outsideC + (place === 'cold-in' ? UNHEATED_LODGE_WARMER_K : 0);
	const airTempC = clamp((typed.airTempC ?? computedC) + offsetK, -80, 60);
	const wind10mKmh = heated ? 0 : (typed.wind10mKmh ?? base.wind10mKmh) * weather.windFactor;
	const airVelocityMs = heated
		? HEATED.airVelocityMs
		: airVelocityAtBodyMs(wind10mKmh, place, phase.ownSpeedKmh);
	const felt = feltTempC(airTempC, airVelocityMs);
	const lapseReason = reason('lapse', [
		['temperature at the base', base.airTempC, '°C'],
		['base', base.altitudeM, 'm'],
		['this phase', phase.altitudeM, 'm'],
		['lapse', base.lapseKPerKm, 'K per 1000 m']
	]);
	return {
		airTempC,
		wind10mKmh,
		airVelocityMs,
		feltTempC: felt,
		humidityPct: typed.humidityPct ?? (heated ? HEATED.humidityPct : base.humidityPct),
		precipitation: roofed ? 'dry' : (typed.precipitation ?? base.precipitation),
		ground: roofed ? 'bare' : (typed.ground ?? base.ground),
		reasons: {
			airTempC:
				typed.airTempC !== undefined
					? typedReason('air', typed.airTempC, '°C')
					: heated
						? reason('heated')
						: place === 'cold-in'
							? reason('unheated', [['outside', outsideC, '°C']])
							: lapseReason,
			wind: heated
				? reason('heated')
				: reason('bodyWind', [
						['wind at 10 m', wind10mKmh, 'km/h'],
						['place', place],
						['own speed', phase.ownSpeedKmh, 'km/h'],
						['past the body', airVelocityMs, 'm/s']
					]),
			feltTempC: reason('windChill', [
				['air', airTempC, '°C'],
				['past the body', airVelocityMs, 'm/s']
			])
		}
	};
}

/** Phases in the order in which they are lived, loops rolled out, with the round of the innermost loop. */
export function rolledOut(sequence: Sequence, round = 1): { phase: Phase; round: number }[] {
	return sequence.flatMap((item) =>
		item.type === 'phase'
			? [{ phase: item, round }]
			: Array.from({ length: item.count }, (_, i) => rolledOut(item.sequence, i + 1)).flat()
	);
}

/**
 * The cells of a stage in one weather, in time order, with start times and the rain that has gathered.
 * A what-if phase is judged but takes no time of the day.
 */
export function cellsOf(stage: Stage, weather: Weather): Cell[] {
	let clock = stage.startMin;
	let rainMinutes = 0;
	let fresh = true;
	return rolledOut(stage.sequence).map(({ phase, round }) => {
		const conditions = conditionsOf(phase, stage, weather);
		const startMin = round === 1 && phase.startMin !== null ? phase.startMin : clock;
		const gathered = rainMinutes + phase.minutes * WETTING_SHARE[conditions.precipitation];
		let isFresh = false;
		if (phase.kind !== 'what-if') {
			clock = startMin + phase.minutes;
			isFresh = fresh;
			fresh = phase.kind === 'sleep';
			rainMinutes = phase.place === 'in' || phase.kind === 'sleep' ? 0 : gathered;
		}
		return {
			...conditions,
			rainMinutes: conditions.precipitation === 'dry' ? 0 : gathered,
			stageId: stage.id,
			phaseId: phase.id,
			name: phase.name,
			round,
			kind: phase.kind,
			place: phase.place,
			heated: phase.place === 'in',
			startMin,
			minutes: phase.minutes,
			altitudeM: phase.altitudeM,
			metabolicWm2: phase.effortWm2,
			aboveMethod: phase.effortWm2 > METHOD_MAX_WM2,
			fresh: isFresh,
			marks: phase.marks
		};
	});
}
