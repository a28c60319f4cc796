import { inRange } from '../argument';
import { METHOD_MAX_WM2, METHOD_MIN_WM2, pumpingSpeedMs } from '../body/effort';
import {
	type Exposure,
	METHOD_MAX_AIR_C,
	METHOD_MAX_AIR_MS,
	METHOD_MIN_AIR_MS,
	requiredInsulationM2kw
} from '../body/heat-balance';
import { basicFromResultantM2kw } from '../body/insulation';
import { USUAL_MARKS } from '../conditions/person';
import { cloFromM2kw } from '../units';
import { frostbiteClass, type FrostbiteClass, windChillC } from '../weather/wind';
import { balancePair, bandOf } from './debt';

export interface DemandQuestion extends Exposure {
	/** forecast wind at 10 m for the wind chill, km/h, 0…250 */
	wind10mKmh: number;
	/** length of the exposure, 1…1440; without it the hold and need values are null */
	minutes?: number;
	/** of the outer layer, l/(m²·s), 1…1000; 8, a tight weave, when left out */
	airPermeability?: number;
}

export interface Demand {
	ireqMinClo: number;
	ireqNeutralClo: number;
	holdForMinutesClo: number | null;
	needForMinutesClo: number | null;
	requiredMinClo: number;
	requiredNeutralClo: number;
	windChillC: number;
	frostbite: FrostbiteClass;
	withinStandard: boolean;
}

/** Air permeability of a tight weave, l/(m²·s) (our assumption). */
export const DEFAULT_AIR_PERMEABILITY = 8;

/** Whether ISO 11079 covers these conditions. */
export const isWithinStandard = (airTempC: number, airVelocityMs: number, metabolicWm2: number): boolean =>
	airTempC <= METHOD_MAX_AIR_C &&
	airVelocityMs <= METHOD_MAX_AIR_MS &&
	metabolicWm2 >= METHOD_MIN_WM2 &&
	metabolicWm2 <= METHOD_MAX_WM2;

/**
 * What one exposure asks of the clothes: `ireq…`, `hold…`, `need…` are resultant clo from zero debt, `required…`
 * basic clo (at rest, still air) for the outer layer's permeability.
 * Source: ISO 11079:2007 (from memory), wind chill of Environment Canada / US NWS 2001.
 * @throws RangeError naming argument, value and range
 */
export function demandOf(question: DemandQuestion): Demand {
	const { airTempC, airVelocityMs, metabolicWm2, minutes } = question;
	if (minutes !== undefined) inRange('minutes', minutes, 1, 1440);
	const permeability = inRange(
		'airPermeability',
		question.airPermeability ?? DEFAULT_AIR_PERMEABILITY,
		1,
		1000
	);
	const balance = balancePair(question);
	const minM2kw = requiredInsulationM2kw(balance.minimal);
	const neutralM2kw = requiredInsulationM2kw(balance.neutral);
	const band = minutes === undefined ? null : bandOf(balance, 0, minutes, USUAL_MARKS);
	const windMs = Math.min(METHOD_MAX_AIR_MS, Math.max(METHOD_MIN_AIR_MS, airVelocityMs));
	const walkMs = Math.min(1.2, question.walkSpeedMs ?? pumpingSpeedMs(balance.neutral.metabolicWm2));
	const basicClo = (resultantM2kw: number): number =>
		cloFromM2kw(basicFromResultantM2kw(resultantM2kw, windMs, walkMs, permeability));
	const chillC = windChillC(airTempC, question.wind10mKmh);
	return {
		ireqMinClo: cloFromM2kw(minM2kw),
		ireqNeutralClo: cloFromM2kw(neutralM2kw),
		holdForMinutesClo: band && band.holdClo,
		needForMinutesClo: band && band.needClo,
		requiredMinClo: basicClo(minM2kw),
		requiredNeutralClo: basicClo(neutralM2kw),
		windChillC: chillC,
		frostbite: frostbiteClass(chillC),
		withinStandard: isWithinStandard(airTempC, airVelocityMs, metabolicWm2)
	};
}
