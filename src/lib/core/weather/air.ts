import { inRange } from '../argument';

/** Temperature lapse of the ICAO standard atmosphere, K per 1000 m. */
export const STANDARD_LAPSE_K_PER_KM = 6.5;

/**
 * Air temperature at another altitude, °C: T(z) = T(z₀) − Γ·(z − z₀).
 * Source: ICAO standard atmosphere for the default lapse; 9.8 dry and fair, 5 moist (common practice).
 * @param baseTempC °C at the base altitude, −90…60
 * @param baseAltitudeM m, −500…9000
 * @param altitudeM m, −500…9000
 * @param lapseKPerKm K per 1000 m, −20…12 (negative is an inversion)
 * @throws RangeError out of range
 */
export function airTempAtAltitudeC(
	baseTempC: number,
	baseAltitudeM: number,
	altitudeM: number,
	lapseKPerKm: number = STANDARD_LAPSE_K_PER_KM
): number {
	inRange('baseTempC', baseTempC, -90, 60);
	inRange('baseAltitudeM', baseAltitudeM, -500, 9000);
	inRange('altitudeM', altitudeM, -500, 9000);
	inRange('lapseKPerKm', lapseKPerKm, -20, 12);
	return baseTempC - (lapseKPerKm * (altitudeM - baseAltitudeM)) / 1000;
}

/**
 * Saturation pressure of water vapour, kPa: 0.1333·exp(18.6686 − 4030.183/(T + 235)).
 * Source: Antoine form of ISO 7933 / ISO 11079, over water also below 0 °C (from memory).
 * @param airTempC °C, −90…100
 * @throws RangeError out of range
 */
export function saturationPressureKpa(airTempC: number): number {
	inRange('airTempC', airTempC, -90, 100);
	return 0.1333 * Math.exp(18.6686 - 4030.183 / (airTempC + 235));
}

/**
 * Water vapour pressure of the air, kPa.
 * @param airTempC °C, −90…100
 * @param humidityPct relative humidity over water, %, 0…100
 */
export const vapourPressureKpa = (airTempC: number, humidityPct: number): number =>
	(inRange('humidityPct', humidityPct, 0, 100) / 100) * saturationPressureKpa(airTempC);
