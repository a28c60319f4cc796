import { inRange } from '../argument';
import type { Place } from '../document/weather';

/** Places with a roof: nothing falls there. */
export const ROOFED: ReadonlySet<Place> = new Set<Place>(['in', 'cold-in', 'tent', 'snow-hole']);

/** Share of the open-ground wind at the body that is left at a place (our assumption). */
export const SHELTER_FACTOR: Readonly<Record<Place, number>> = {
	in: 0.1,
	'cold-in': 0.1,
	tent: 0.1,
	'snow-hole': 0.1,
	lee: 0.3,
	forest: 0.3,
	trees: 0.5,
	slope: 0.8,
	ridge: 1
};

/** Wind at 10 m over wind at the body in the open, v10 = 1.5·v. Source: ISO 11079 (from memory). */
export const WIND10M_OVER_BODY = 1.5;

/** Air velocity at which wind chill and the balance treat the body as outdoors in calm air, m/s. */
export const CALM_INDOOR_MS = 0.1;

/**
 * Air passing the body, m/s: forecast wind brought down to the body and sheltered, with the person's own
 * speed added square-wise, since a day turns through all directions.
 * @param wind10mKmh forecast wind 10 m above open ground, km/h, 0…250
 * @param place shelter of the phase
 * @param ownSpeedKmh mean own speed over the phase, pauses included, km/h, 0…150
 * @throws RangeError out of range
 */
export function airVelocityAtBodyMs(wind10mKmh: number, place: Place, ownSpeedKmh = 0): number {
	inRange('wind10mKmh', wind10mKmh, 0, 250);
	inRange('ownSpeedKmh', ownSpeedKmh, 0, 150);
	const windMs = (wind10mKmh / 3.6 / WIND10M_OVER_BODY) * SHELTER_FACTOR[place];
	return Math.hypot(windMs, ownSpeedKmh / 3.6);
}

/**
 * Wind chill temperature, °C; below 4.8 km/h the air temperature. Never above the air temperature.
 * Source: Environment Canada / US NWS 2001. Published for air at or below 0 °C; used here up to 10 °C,
 * above that the air temperature is returned.
 * @param airTempC °C, −90…60
 * @param wind10mKmh wind at 10 m, km/h, 0…400
 * @throws RangeError out of range
 */
export function windChillC(airTempC: number, wind10mKmh: number): number {
	inRange('airTempC', airTempC, -90, 60);
	inRange('wind10mKmh', wind10mKmh, 0, 400);
	if (wind10mKmh < 4.8 || airTempC > 10) return airTempC;
	const v = wind10mKmh ** 0.16;
	return Math.min(airTempC, 13.12 + 0.6215 * airTempC - 11.37 * v + 0.3965 * airTempC * v);
}

/**
 * Felt temperature of a phase, °C: wind chill of the 10 m wind that would pass the body as fast.
 * @param airTempC °C
 * @param airVelocityMs true air past the body, own speed included, m/s
 */
export const feltTempC = (airTempC: number, airVelocityMs: number): number =>
	windChillC(airTempC, airVelocityMs * 3.6 * WIND10M_OVER_BODY);

export type FrostbiteLevel = 'low' | 'risk' | 'high' | 'very high' | 'extreme';
export interface FrostbiteClass {
	level: FrostbiteLevel;
	/** Minutes until bare skin freezes, from…to; null where the chart gives none. */
	minutes: [number, number] | null;
}

/**
 * Frostbite class of bare, dry skin by wind chill rounded to the degree.
 * Source: Environment Canada wind chill index page (from memory).
 * @param chillC wind chill, °C
 */
export function frostbiteClass(chillC: number): FrostbiteClass {
	const felt = Math.round(chillC);
	if (felt >= -27) return { level: 'low', minutes: null };
	if (felt >= -39) return { level: 'risk', minutes: [10, 30] };
	if (felt >= -47) return { level: 'high', minutes: [5, 10] };
	if (felt >= -54) return { level: 'very high', minutes: [2, 5] };
	return { level: 'extreme', minutes: [0, 2] };
}
