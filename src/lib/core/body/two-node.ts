import { inRange } from '../argument';

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

/** Heat capacity of the body by its area, Wh/(m²·K). */
const BODY_WH_PER_K = (0.97 * MASS_KG) / AREA_M2;

const torr = (tempC: number): number => Math.exp(18.6686 - 4030.183 / (tempC + 235));

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

/** The layers next to the skin as a store of sweat (capacity, loss and share of cooling are our assumptions). */
export interface SweatStore {
	/** what they hold before they drip, g/m² */
	capacityGm2: number;
	/** insulation that they lose when full, clo */
	lostClo: number;
	/** share of the heat of drying that is taken from the body, 0…1 */
	coolingShare: number;
}

/** A body that is stepped minute by minute, in place. Every field is a number from the start, for speed. */
export interface SteppedBody extends TwoNodeState {
	/** radiation and convection of the surface, W/(m²·K) */
	hr: number;
	hc: number;
	dryWm2: number;
	clothTempC: number;
	/** sweat held in the layers next to the skin, g/m² */
	moistureGm2: number;
	/** heat that their drying takes from the skin in the next minute, W/m² */
	layerWm2: number;
	/** heat stored in core and skin in this minute, W/m² */
	storedWm2: number;
}

export const steppedBody = (metabolicWm2: number): SteppedBody => ({
	...neutralBody(metabolicWm2),
	hr: 4.7,
	hc: 3,
	dryWm2: 0,
	clothTempC: 30,
	moistureGm2: 0,
	layerWm2: 0,
	storedWm2: 0
});

/** What a climate fixes for every minute. */
interface Surroundings {
	airTempC: number;
	insulationClo: number;
	metabolicWm2: number;
	radiantTempC: number;
	vapour: number;
	hc: number;
	mostWet: number;
	store: SweatStore | null;
	/** how well clothes let vapour through, beside heat */
	vapourPermeability: number;
	/** heat lost by breathing, of the heat made */
	breathPerWm2: number;
}

/**
 * @param store null: sweat that does not evaporate is lost, and breathing is as in the standard's program. With a store
 * breathing is as in ISO 11079, which does not overstate it in the cold.
 * @param vapourPermeability 0.45 for ordinary clothes, 0.05…0.45
 */
export function surroundings(
	climate: TwoNodeClimate,
	store: SweatStore | null = null,
	vapourPermeability = I_CL
): Surroundings {
	const { airTempC, airVelocityMs, humidityPct, insulationClo } = climate;
	const vapour = (humidityPct / 100) * torr(airTempC);
	const velocity = Math.max(0.1, airVelocityMs);
	const exhaledC = 29 + 0.2 * airTempC;
	const exhaled = torr(exhaledC);
	return {
		airTempC,
		insulationClo,
		metabolicWm2: climate.metabolicWm2,
		radiantTempC: climate.radiantTempC ?? airTempC,
		vapour,
		hc: Math.max(3, 8.6 * velocity ** 0.53),
		mostWet: Math.min(1, insulationClo <= 0 ? 0.38 * velocity ** -0.29 : 0.59 * velocity ** -0.08),
		store,
		vapourPermeability,
		breathPerWm2: store
			? 0.0173 * (exhaled - vapour) * KPA_PER_TORR + 0.0014 * (exhaledC - airTempC)
			: 0.0023 * (44 - vapour) + 0.0014 * (34 - airTempC)
	};
}
const KPA_PER_TORR = 0.1333;
/** Share of the free evaporation that wet layers use, and how full they are when they use all of it. */
const LAYER_EVAPORATION = 0.7;
const LAYER_FULL_SHARE = 0.3;
/** Heat of evaporation of sweat, Wh/g. */
const SWEAT_WH_PER_G = 0.68;

/** One minute of the two-node body, in place. */
export function minuteOf(around: Surroundings, body: SteppedBody): void {
	const { airTempC, store, vapour, radiantTempC, hc } = around;
	const full = store ? body.moistureGm2 / store.capacityGm2 : 0;
	const clo = store ? Math.max(0, around.insulationClo - store.lostClo * full) : around.insulationClo;
	const surface = 1 + 0.15 * clo;
	const clothes = 0.155 * clo;
	const { skinTempC } = body;
	let cloth = body.clothTempC;
	let hr = 4.7;
	let operative = airTempC;
	for (let i = 0; i < 30; i++) {
		const mean = (cloth + radiantTempC) / 2 + 273.15;
		hr = 4 * STEFAN_BOLTZMANN * 0.72 * mean * mean * mean;
		const both = hr + hc;
		operative = (hr * radiantTempC + hc * airTempC) / both;
		const outside = clothes * surface * both;
		const next = (skinTempC + outside * operative) / (1 + outside);
		const off = next - cloth;
		cloth = next;
		if (off < 0.01 && off > -0.01) break;
	}
	const dryWm2 = (body.skinTempC - operative) / (1 / (surface * (hr + hc)) + clothes);
	const m = body.metabolicWm2;
	const byBlood = (body.coreTempC - body.skinTempC) * (5.28 + 1.163 * body.bloodFlow);
	const toCore = m - byBlood - around.breathPerWm2 * m;
	const toSkin = byBlood - dryWm2 - body.evaporationWm2 - body.layerWm2;
	const core = body.coreTempC + toCore / (BODY_WH_PER_K * (1 - body.alpha) * 60);
	const skin = body.skinTempC + toSkin / (BODY_WH_PER_K * body.alpha * 60);
	const whole = body.alpha * skin + (1 - body.alpha) * core;
	const warmCore = core > SET_POINT_CORE_C ? core - SET_POINT_CORE_C : 0;
	const coldSkin = skin < SET_POINT_SKIN_C ? SET_POINT_SKIN_C - skin : 0;
	const bloodFlow = Math.min(90, Math.max(0.5, (6.3 + 120 * warmCore) / (1 + 0.5 * coldSkin)));
	const warmer = whole > SET_POINT_BODY_C ? whole - SET_POINT_BODY_C : 0;
	const sweat =
		warmer === 0
			? 0
			: Math.min(
					500,
					170 * warmer * Math.exp(skin > SET_POINT_SKIN_C ? (skin - SET_POINT_SKIN_C) / 10.7 : 0)
				);
	const most =
		(torr(skin) - vapour) / (1 / (LEWIS * surface * hc) + clothes / (LEWIS * around.vapourPermeability));
	// With a store a part of the sweat runs into the layers, the more the wetter the skin is already.
	const onSkin = SWEAT_WH_PER_G * sweat * (store ? 1 - (body.wettedness * body.wettedness) / 2 : 1);
	const wanted = most > 0 ? 0.06 + (0.94 * onSkin) / most : Infinity;
	const wet = Math.min(wanted, around.mostWet);
	// The standard's program adds what diffuses through the skin once more when the skin can get no wetter.
	const evaporating = most <= 0 ? 1 : wanted > around.mostWet && !store ? around.mostWet + 0.06 : wet;
	const evaporationWm2 = evaporating * most;
	if (store) {
		const drying = Math.min(
			LAYER_EVAPORATION * Math.min(1, full / LAYER_FULL_SHARE) * Math.max(0, most - evaporationWm2),
			SWEAT_WH_PER_G * body.moistureGm2 * 60
		);
		body.layerWm2 = store.coolingShare * drying;
		const gained = (sweat - onSkin / SWEAT_WH_PER_G - drying / SWEAT_WH_PER_G) / 60;
		body.moistureGm2 = Math.min(store.capacityGm2, Math.max(0, body.moistureGm2 + gained));
	}
	const shivering = core >= SET_POINT_CORE_C ? 0 : Math.min(200, 19.4 * coldSkin * (SET_POINT_CORE_C - core));
	body.storedWm2 = toCore + toSkin;
	body.skinTempC = skin;
	body.coreTempC = core;
	body.alpha = 0.0417737 + 0.7451833 / (bloodFlow + 0.585417);
	body.bloodFlow = bloodFlow;
	body.evaporationWm2 = evaporationWm2;
	body.wettedness = wet;
	body.metabolicWm2 = around.metabolicWm2 + shivering;
	body.hr = hr;
	body.hc = hc;
	body.dryWm2 = dryWm2;
	body.clothTempC = cloth;
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
export function bodyAfter(climate: TwoNodeClimate, minutes: number): SteppedBody {
	const around = surroundings(checked(climate));
	const body = steppedBody(climate.metabolicWm2);
	for (let minute = 0; minute < minutes; minute++) minuteOf(around, body);
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
	const around = surroundings(checked(climate));
	const body = steppedBody(climate.metabolicWm2);
	for (let minute = 0; minute < SETTLED_MIN; minute++) {
		const { coreTempC, skinTempC } = body;
		minuteOf(around, body);
		const settled =
			minute > 30 &&
			Math.abs(body.coreTempC - coreTempC) < 2e-4 &&
			Math.abs(body.skinTempC - skinTempC) < 5e-4;
		if (settled || body.coreTempC > 40) break;
	}
	return body.wettedness;
}

/** Wettedness that is still comfortable, 0…1: 0.0012·M + 0.15. Source: Nishi & Gagge 1977 (from memory). */
export const comfortableWettedness = (metabolicWm2: number): number => 0.0012 * metabolicWm2 + 0.15;

/** Skin so wet that sweat begins to run off instead of cooling, as a share of the wettest that it can be (our assumption). */
const STRAINED_WET_SHARE = 0.85;
/** Strain counts from this minute on (our assumption): nobody is too hot at once. */
const STRAINED_AFTER_MIN = 10;
/** Core temperature that nobody keeps up, °C (common practice in the literature on heat strain). */
export const HOT_CORE_C = 38.5;

/**
 * Whether the heat has no way out: the skin is nearly as wet as it can be after ten minutes, or the core is hot.
 * @param minutes 1…1440
 */
export function isStrained(climate: TwoNodeClimate, minutes: number): boolean {
	const around = surroundings(checked(climate));
	const body = steppedBody(climate.metabolicWm2);
	for (let minute = 1; minute <= minutes; minute++) {
		minuteOf(around, body);
		if (body.coreTempC >= HOT_CORE_C) return true;
		if (minute >= STRAINED_AFTER_MIN && body.wettedness > STRAINED_WET_SHARE * around.mostWet) return true;
	}
	return false;
}

/** More clothes than this are not asked about, clo. */
const MOST_CLO = 6;

/**
 * Insulation as worn, above which the settled skin is wetter than comfortable, clo; 0 when it is so even bare, and
 * Infinity when it never is.
 */
export function tooWetAboveClo(climate: Omit<TwoNodeClimate, 'insulationClo'>): number {
	const limit = comfortableWettedness(climate.metabolicWm2);
	return mostCloWithout((insulationClo) => steadyWettedness({ ...climate, insulationClo }) > limit);
}

/** Most insulation without some trouble that more of it brings, clo; 0 when bare skin has it, Infinity when it never comes. */
function mostCloWithout(hasTrouble: (insulationClo: number) => boolean): number {
	if (hasTrouble(0.01)) return 0;
	if (!hasTrouble(MOST_CLO)) return Infinity;
	let low = 0;
	let high = MOST_CLO;
	for (let i = 0; i < 9; i++) {
		const middle = (low + high) / 2;
		if (hasTrouble(middle)) high = middle;
		else low = middle;
	}
	return low;
}

/** Insulation as worn, above which the heat has no way out within so many minutes, clo. @param minutes 1…1440 */
export const strainedAboveClo = (climate: Omit<TwoNodeClimate, 'insulationClo'>, minutes: number): number =>
	mostCloWithout((insulationClo) => isStrained({ ...climate, insulationClo }, minutes));

/**
 * Standard effective temperature after an hour, °C: the air of a standard room in which the skin would lose as much heat
 * at the same temperature and wettedness.
 * Source: ASHRAE 55, SET (from memory).
 */
export function standardEffectiveTempC(climate: TwoNodeClimate): number {
	const body = bodyAfter(climate, 60);
	const met = climate.metabolicWm2 / MET_WM2;
	const { hr } = body;
	const hc = Math.max(3, met > 0.85 ? 5.66 * (met - 0.85) ** 0.39 : 0);
	const h = hr + hc;
	const clo = 1.52 / (met + 0.6944) - 0.1835;
	const resistance = 0.155 * clo;
	const surface = 1 + 0.25 * clo;
	const efficiency = 1 / (1 + 0.155 * surface * h * clo);
	const vapourPart = (I_CL * hc * (1 - efficiency)) / h / (hc / h - efficiency * I_CL);
	const dry = 1 / (1 / (surface * h) + resistance);
	const moist = 1 / (1 / (LEWIS * surface * hc) + resistance / (LEWIS * vapourPart));
	const loss = body.dryWm2 + body.evaporationWm2;
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
