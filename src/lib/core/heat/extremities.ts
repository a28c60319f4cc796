import { clamp } from '../argument';

export type Extremity = 'fingers' | 'toes';

/** Heat capacity per area of a finger or toe, J/(m²·K) (our assumption, tuned on practice). */
const CAPACITY_JM2K = 15_000;
/** Warmest a finger or toe gets, °C; also where the day starts and where 20 min of heating bring it back. */
export const WARM_EXTREMITY_C = 33;
const HOTTEST_EXTREMITY_C = 34;
/** Below this a finger is useless and starts to hurt, °C. Source: ISO 11079 finger levels (from memory). */
export const SHORT_EXTREMITY_C = 15;
/** Below this fine work fails, °C. Source: ISO 11079 finger levels (from memory). */
export const COOL_FINGER_C = 24;
/** Minutes in a heated place that bring fingers and toes back to warm (our assumption). */
export const REWARM_MINUTES = 20;

/**
 * Heat that blood brings to an extremity, W/m² (our assumption): fingers 1.2·M − 60 within 40…200, toes 0.6·M
 * up to 120; half of it once the body is in debt beyond its comfortable mark.
 */
export function bloodHeatWm2(extremity: Extremity, metabolicWm2: number, inDebt: boolean): number {
	const full =
		extremity === 'fingers' ? clamp(1.2 * metabolicWm2 - 60, 40, 200) : Math.min(120, 0.6 * metabolicWm2);
	return inDebt ? full / 2 : full;
}

/** Where the temperature of an extremity settles, °C: t_a + q·R, at most 34. */
export const settledTempC = (airTempC: number, heatWm2: number, totalInsulationM2kw: number): number =>
	Math.min(HOTTEST_EXTREMITY_C, airTempC + heatWm2 * totalInsulationM2kw);

/**
 * Temperature of an extremity after some minutes, °C, by one exponential with time constant c·R.
 * @param startC at the start
 * @param settledC where it settles
 * @param totalInsulationM2kw local insulation with its air layer, m²·K/W
 */
export const extremityAfterC = (
	startC: number,
	settledC: number,
	totalInsulationM2kw: number,
	minutes: number
): number =>
	settledC + (startC - settledC) * Math.exp((-minutes * 60) / (CAPACITY_JM2K * totalInsulationM2kw));

/**
 * Minutes until an extremity falls below a temperature; 0 when it starts below, null when it never does.
 */
export function minutesUntilC(
	startC: number,
	settledC: number,
	totalInsulationM2kw: number,
	limitC: number
): number | null {
	if (startC < limitC) return 0;
	if (settledC >= limitC) return null;
	return (CAPACITY_JM2K * totalInsulationM2kw * Math.log((startC - settledC) / (limitC - settledC))) / 60;
}

/** Temperature after minutes in a heated place, °C: straight back to warm within 20 minutes. */
export const extremityAfterHeatedC = (startC: number, minutes: number): number =>
	startC + (Math.max(startC, WARM_EXTREMITY_C) - startC) * Math.min(1, minutes / REWARM_MINUTES);
