import { clamp, inRange } from '../argument';
import { saturationPressureKpa, vapourPressureKpa } from '../weather/air';
import { methodMetabolicWm2, pumpingSpeedMs } from './effort';
import { airLayerM2kw, surfaceFactor } from './insulation';

/** Limits of ISO 11079: warmer air and stronger wind leave the standard. */
export const METHOD_MAX_AIR_C = 10;
export const METHOD_MIN_AIR_MS = 0.4;
export const METHOD_MAX_AIR_MS = 18;

/** No search for an insulation goes beyond this, m²·K/W (about 13 clo; nobody can wear it). */
export const MAX_INSULATION_M2KW = 2;

export interface Exposure {
	/** °C, −80…60 */
	airTempC: number;
	/** air past the body, m/s, 0…90; the balance computes with 0.4…18 */
	airVelocityMs: number;
	/** %, 0…100 */
	humidityPct: number;
	/** W/m², 30…1000; the balance computes with 58…290 */
	metabolicWm2: number;
	/** m/s, 0…3; from the effort when left out */
	walkSpeedMs?: number;
	/** °C; the air temperature when left out */
	meanRadiantTempC?: number;
	/** electric heat, W per m² of body, 0…100 */
	electricWm2?: number;
}

/** Neutral: comfortable. Minimal: slight cooling, what the standard calls high strain. */
export type Level = 'neutral' | 'minimal';

/** Skin temperature of a level, °C. Source: ISO 11079 (from memory). */
export const skinTempC = (level: Level, metabolicWm2: number): number =>
	level === 'neutral' ? 35.7 - 0.0285 * metabolicWm2 : 33.34 - 0.0354 * metabolicWm2;

/** Skin wettedness of a level, 0…1. Source: ISO 11079 (from memory). */
export const wettedness = (level: Level, metabolicWm2: number): number =>
	level === 'neutral' ? 0.001 * metabolicWm2 : 0.06;

const STEFAN_BOLTZMANN_WM2K4 = 5.67e-8;
const kelvin = (tempC: number): number => tempC + 273.15;

/**
 * What an exposure fixes for both levels, worked out once.
 * Everything that depends on the clothes is left to `heatLossWm2`.
 */
export interface BalanceTerms {
	airTempC: number;
	radiantTempC: number;
	metabolicWm2: number;
	airLayerM2kw: number;
	vapourKpa: number;
	/** W/m², breathing */
	respirationWm2: number;
	electricWm2: number;
	level: Level;
	skinTempC: number;
	wettedness: number;
	skinVapourKpa: number;
}

/**
 * The fixed terms of the balance for one level.
 * @throws RangeError when an input lies outside what `Exposure` allows
 */
export function balanceTerms(exposure: Exposure, level: Level): BalanceTerms {
	const airTempC = inRange('airTempC', exposure.airTempC, -80, 60);
	inRange('metabolicWm2', exposure.metabolicWm2, 30, 1000);
	inRange('airVelocityMs', exposure.airVelocityMs, 0, 90);
	const metabolicWm2 = methodMetabolicWm2(exposure.metabolicWm2);
	const walkSpeedMs = clamp(
		inRange('walkSpeedMs', exposure.walkSpeedMs ?? pumpingSpeedMs(metabolicWm2), 0, 3),
		0,
		1.2
	);
	const vapourKpa = vapourPressureKpa(airTempC, exposure.humidityPct);
	const breathTempC = 29 + 0.2 * airTempC;
	const skin = skinTempC(level, metabolicWm2);
	return {
		airTempC,
		radiantTempC: exposure.meanRadiantTempC ?? airTempC,
		metabolicWm2,
		airLayerM2kw: airLayerM2kw(
			clamp(exposure.airVelocityMs, METHOD_MIN_AIR_MS, METHOD_MAX_AIR_MS),
			walkSpeedMs
		),
		vapourKpa,
		respirationWm2:
			0.0173 * metabolicWm2 * (saturationPressureKpa(breathTempC) - vapourKpa) +
			0.0014 * metabolicWm2 * (breathTempC - airTempC),
		electricWm2: inRange('electricWm2', exposure.electricWm2 ?? 0, 0, 100),
		level,
		skinTempC: skin,
		wettedness: wettedness(level, metabolicWm2),
		skinVapourKpa: saturationPressureKpa(skin)
	};
}

/** Dry heat through clothes of a resultant insulation, W/m². Closed form while walls are as cold as the air. */
function dryLossWm2(terms: BalanceTerms, insulationM2kw: number, surface: number): number {
	const { airTempC, radiantTempC, skinTempC: skin, airLayerM2kw: air } = terms;
	if (radiantTempC === airTempC) return (skin - airTempC) / (insulationM2kw + air / surface);
	let low = Math.min(airTempC, radiantTempC, skin) - 1;
	let high = Math.max(airTempC, radiantTempC, skin) + 1;
	const outward = (clothTempC: number): number => {
		const gap = clothTempC - radiantTempC;
		const radiation =
			STEFAN_BOLTZMANN_WM2K4 * 0.97 * 0.77 * (kelvin(clothTempC) ** 4 - kelvin(radiantTempC) ** 4);
		const hr =
			Math.abs(gap) < 1e-9
				? 4 * STEFAN_BOLTZMANN_WM2K4 * 0.97 * 0.77 * kelvin(clothTempC) ** 3
				: radiation / gap;
		return surface * (radiation + (1 / air - hr) * (clothTempC - airTempC));
	};
	for (let i = 0; i < 60; i++) {
		const middle = (low + high) / 2;
		if (skin - middle > insulationM2kw * outward(middle)) low = middle;
		else high = middle;
	}
	return outward((low + high) / 2);
}

/**
 * Heat lost minus heat made, W/m²: above 0 the body cools. Falls as insulation grows.
 * Source: heat balance of ISO 11079:2007 (from memory).
 * @param terms of `balanceTerms`
 * @param insulationM2kw resultant clothing insulation I_cl,r, m²·K/W, 0…2
 */
export function heatLossWm2(terms: BalanceTerms, insulationM2kw: number): number {
	const surface = surfaceFactor(insulationM2kw);
	const vapourResistance = (0.06 / 0.38) * (terms.airLayerM2kw / surface + insulationM2kw);
	const evaporation = (terms.wettedness * (terms.skinVapourKpa - terms.vapourKpa)) / vapourResistance;
	return (
		dryLossWm2(terms, insulationM2kw, surface) +
		evaporation +
		terms.respirationWm2 -
		terms.metabolicWm2 -
		terms.electricWm2
	);
}

/**
 * Smallest x in 0…high for which a falling function is at or below 0; `high` if it never is.
 * Bisection on a bracket; 34 halvings of 2 m²·K/W leave 1e-10.
 */
export function firstNotAbove(falling: (x: number) => number, high: number): number {
	if (falling(0) <= 0) return 0;
	if (falling(high) > 0) return high;
	let low = 0;
	for (let i = 0; i < 34; i++) {
		const middle = (low + high) / 2;
		if (falling(middle) > 0) low = middle;
		else high = middle;
	}
	return high;
}

/**
 * Required insulation IREQ of a level in steady state, as resultant insulation, m²·K/W; 0 where none is needed.
 * Source: ISO 11079:2007 (from memory).
 */
export const requiredInsulationM2kw = (terms: BalanceTerms): number =>
	firstNotAbove((insulation) => heatLossWm2(terms, insulation), MAX_INSULATION_M2KW);
