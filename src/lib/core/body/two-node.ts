import { clamp, inRange } from '../argument';

/**
 * The two-node body: a core and a skin that exchange heat by blood, with sweat and shivering.
 * Source: Gagge 1986 / ASHRAE Fundamentals ch. 9 (from memory), in the names of the literature. Pressures in torr.
 */
export interface TwoNodeClimate {
	/** °C, −80…60 */
	airTempC: number;
	/** °C; the air temperature when left out */
	radiantTempC?: number;
	/** m/s past the body, 0…90 */
	airVelocityMs: number;
	/** %, 0…100 */
	humidityPct: number;
	/** W/m², 30…1000 */
	metabolicWm2: number;
	/** clothing insulation as worn, clo, 0…13 */
	insulationClo: number;
}
export interface TwoNodeState {
	skinTempC: number;
	coreTempC: number;
	/** share of the body's mass that is skin */
	alpha: number;
	/** l/(m²·h) */
	bloodFlow: number;
	evaporationWm2: number;
	/** 0…1 */
	wettedness: number;
	metabolicWm2: number;
}
export const MET_WM2 = 58.2;
const SET_POINT_SKIN_C = 33.7;
const SET_POINT_CORE_C = 36.8;
const SET_POINT_BODY_C = 36.49;
/** Lewis relation, K/torr. */
const LEWIS = 2.2;
/** Vapour permeability of clothes. */
const I_CL = 0.45;
const STEFAN_BOLTZMANN = 5.67e-8;
/** Mass and area of the body that the tables of the standard use, kg and m². */
const MASS_KG = 69.9;
const AREA_M2 = 1.8258;

const torr = (tempC: number): number => Math.exp(18.6686 - 4030.183 / (tempC + 235));
const above0 = (value: number): number => Math.max(0, value);

/** The neutral body from which every course starts. */
export const neutralBody = (metabolicWm2: number): TwoNodeState => ({
	skinTempC: SET_POINT_SKIN_C,
	coreTempC: SET_POINT_CORE_C,
	alpha: 0.1,
	bloodFlow: 6.3,
	evaporationWm2: 0.1 * metabolicWm2,
	wettedness: 0.06,
	metabolicWm2
});

interface Exchange {
	dryWm2: number;
	/** radiation and convection of the surface, W/(m²·K) */
	hr: number;
	hc: number;
	clothTempC: number;
}

/** Dry heat through clothes; the surface temperature is iterated. */
function exchangeOf(climate: TwoNodeClimate, skinTempC: number, startClothC: number): Exchange {
	const { airTempC, insulationClo } = climate;
	const radiantTempC = climate.radiantTempC ?? airTempC;
	const surface = 1 + 0.15 * insulationClo;
	const clothes = 0.155 * insulationClo;
	const hc = Math.max(3, 8.6 * Math.max(climate.airVelocityMs, 0.1) ** 0.53);
	let cloth = startClothC;
	let hr = 4.7;
	for (let i = 0; i < 30; i++) {
		hr = 4 * STEFAN_BOLTZMANN * 0.72 * ((cloth + radiantTempC) / 2 + 273.15) ** 3;
		const air = 1 / (surface * (hr + hc));
		const operative = (hr * radiantTempC + hc * airTempC) / (hr + hc);
		const next = (air * skinTempC + clothes * operative) / (air + clothes);
		const settled = Math.abs(next - cloth) < 0.01;
		cloth = next;
		if (settled) break;
	}
	const air = 1 / (surface * (hr + hc));
	const operative = (hr * radiantTempC + hc * airTempC) / (hr + hc);
	return { dryWm2: (skinTempC - operative) / (air + clothes), hr, hc, clothTempC: cloth };
}

/** One minute of the two-node body. */
function minuteAfter(climate: TwoNodeClimate, body: TwoNodeState): TwoNodeState & { exchange: Exchange } {
	const { airTempC, insulationClo, humidityPct } = climate;
	const exchange = exchangeOf(climate, body.skinTempC, body.skinTempC);
	const surface = 1 + 0.15 * insulationClo;
	const vapour = (humidityPct / 100) * torr(airTempC);
	const { metabolicWm2: m } = body;
	const byBlood = (body.coreTempC - body.skinTempC) * (5.28 + 1.163 * body.bloodFlow);
	const breath = 0.0023 * m * (44 - vapour) + 0.0014 * m * (34 - airTempC);
	const capacity = (0.97 * MASS_KG) / AREA_M2;
	const core = body.coreTempC + (m - byBlood - breath) / (capacity * (1 - body.alpha) * 60);
	const skin =
		body.skinTempC + (byBlood - exchange.dryWm2 - body.evaporationWm2) / (capacity * body.alpha * 60);
	const whole = body.alpha * skin + (1 - body.alpha) * core;
	const bloodFlow = clamp(
		(6.3 + 120 * above0(core - SET_POINT_CORE_C)) / (1 + 0.5 * above0(SET_POINT_SKIN_C - skin)),
		0.5,
		90
	);
	const sweat = Math.min(
		500,
		170 * above0(whole - SET_POINT_BODY_C) * Math.exp(above0(skin - SET_POINT_SKIN_C) / 10.7)
	);
	const most =
		(torr(skin) - vapour) / (1 / (LEWIS * surface * exchange.hc) + (0.155 * insulationClo) / (LEWIS * I_CL));
	const bare = insulationClo <= 0;
	const velocity = Math.max(0.1, climate.airVelocityMs);
	const mostWet = Math.min(1, bare ? 0.38 * velocity ** -0.29 : 0.59 * velocity ** -0.08);
	const wanted = most > 0 ? 0.06 + (0.94 * 0.68 * sweat) / most : Infinity;
	const wet = Math.min(wanted, mostWet);
	// The standard's program adds what diffuses through the skin once more when the skin can get no wetter.
	const evaporating = most <= 0 ? 1 : wanted > mostWet ? mostWet + 0.06 : wet;
	const shivering = Math.min(200, 19.4 * above0(SET_POINT_SKIN_C - skin) * above0(SET_POINT_CORE_C - core));
	return {
		skinTempC: skin,
		coreTempC: core,
		alpha: 0.0417737 + 0.7451833 / (bloodFlow + 0.585417),
		bloodFlow,
		evaporationWm2: evaporating * most,
		wettedness: wet,
		metabolicWm2: climate.metabolicWm2 + shivering,
		exchange
	};
}

const checked = (climate: TwoNodeClimate): TwoNodeClimate => {
	inRange('airTempC', climate.airTempC, -80, 60);
	inRange('airVelocityMs', climate.airVelocityMs, 0, 90);
	inRange('humidityPct', climate.humidityPct, 0, 100);
	inRange('metabolicWm2', climate.metabolicWm2, 30, 1000);
	inRange('insulationClo', climate.insulationClo, 0, 13);
	return climate;
};

/**
 * The body after some minutes in a steady climate, from neutral.
 * @param minutes 1…1440
 * @throws RangeError out of range
 */
export function bodyAfter(climate: TwoNodeClimate, minutes: number): TwoNodeState & { exchange: Exchange } {
	checked(climate);
	let body = { ...neutralBody(climate.metabolicWm2), exchange: exchangeOf(climate, SET_POINT_SKIN_C, 30) };
	for (let minute = 0; minute < minutes; minute++) body = minuteAfter(climate, body);
	return body;
}

/** Longest course until a body counts as settled, minutes. */
const SETTLED_MIN = 240;

/**
 * Wettedness of the skin once the body has settled, 0…1. A body that cannot settle, since the heat has no way out, ends
 * at the wettest that skin can be.
 * @throws RangeError out of range
 */
export function steadyWettedness(climate: TwoNodeClimate): number {
	checked(climate);
	let body: TwoNodeState = neutralBody(climate.metabolicWm2);
	for (let minute = 0; minute < SETTLED_MIN; minute++) {
		const next = minuteAfter(climate, body);
		const settled =
			minute > 30 &&
			Math.abs(next.coreTempC - body.coreTempC) < 2e-4 &&
			Math.abs(next.skinTempC - body.skinTempC) < 5e-4;
		body = next;
		if (settled || body.coreTempC > 40) break;
	}
	return body.wettedness;
}

/** Wettedness that is still comfortable, 0…1: 0.0012·M + 0.15. Source: Nishi & Gagge 1977 (from memory). */
export const comfortableWettedness = (metabolicWm2: number): number => 0.0012 * metabolicWm2 + 0.15;

/** More clothes than this are not asked about, clo. */
const MOST_CLO = 6;

/**
 * Insulation as worn, above which the settled skin is wetter than comfortable, clo; 0 when it is so even bare, and
 * Infinity when it never is.
 */
export function tooWetAboveClo(climate: Omit<TwoNodeClimate, 'insulationClo'>): number {
	const limit = comfortableWettedness(climate.metabolicWm2);
	const tooWet = (insulationClo: number): boolean => steadyWettedness({ ...climate, insulationClo }) > limit;
	if (tooWet(0.01)) return 0;
	if (!tooWet(MOST_CLO)) return Infinity;
	let low = 0;
	let high = MOST_CLO;
	for (let i = 0; i < 9; i++) {
		const middle = (low + high) / 2;
		if (tooWet(middle)) high = middle;
		else low = middle;
	}
	return low;
}

/**
 * Standard effective temperature after an hour, °C: the air of a standard room in which the skin would lose as much heat
 * at the same temperature and wettedness.
 * Source: ASHRAE 55, SET (from memory).
 */
export function standardEffectiveTempC(climate: TwoNodeClimate): number {
	const body = bodyAfter(climate, 60);
	const met = climate.metabolicWm2 / MET_WM2;
	const { hr } = body.exchange;
	const hc = Math.max(3, met > 0.85 ? 5.66 * (met - 0.85) ** 0.39 : 0);
	const h = hr + hc;
	const clo = 1.52 / (met + 0.6944) - 0.1835;
	const resistance = 0.155 * clo;
	const surface = 1 + 0.25 * clo;
	const efficiency = 1 / (1 + 0.155 * surface * h * clo);
	const vapourPart = (I_CL * hc * (1 - efficiency)) / h / (hc / h - efficiency * I_CL);
	const dry = 1 / (1 / (surface * h) + resistance);
	const moist = 1 / (1 / (LEWIS * surface * hc) + resistance / (LEWIS * vapourPart));
	const loss = body.exchange.dryWm2 + body.evaporationWm2;
	const skinVapour = torr(body.skinTempC);
	let low = -60;
	let high = 100;
	for (let i = 0; i < 50; i++) {
		const middle = (low + high) / 2;
		const lost =
			dry * (body.skinTempC - middle) + body.wettedness * moist * (skinVapour - 0.5 * torr(middle));
		if (lost > loss) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}
