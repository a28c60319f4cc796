import { clamp } from '../argument';

export type Extremity = 'fingers' | 'toes';

/** Heat capacity per area of a finger or toe, J/(m²·K) (our assumption, tuned on practice). */
const CAPACITY_JM2K = 15_000;
/** Warmest a finger or toe gets, °C; also where the day starts and where 20 min of heating bring it back. */
export const WARM_EXTREMITY_C = 33;
const HOTTEST_EXTREMITY_C = 34;
/** Minutes in a heated place that bring fingers and toes back to warm (our assumption). */
export const REWARM_MINUTES = 20;

/** Below these a finger or toe is useless and starts to hurt, is cool, and fails at fine work, in cold air, °C. */
export const EXTREMITY_MARKS_C = { short: 15, cool: 20, fine: 24 } as const;
type ExtremityMark = keyof typeof EXTREMITY_MARKS_C;
/** Air up to which the marks hold as they stand, °C (our assumption). */
const MARKS_FADE_FROM_C = 5;

/**
 * Temperature below which a finger or toe counts as short, cool, or too cool for fine work, °C. Cold fingers of 15 and 24 °C are
 * those of ISO 11079 (from memory); in air over 5 °C each mark sinks by a kelvin for each kelvin of air (our assumption), so
 * that it ends without a step where a finger cannot get so cold any more.
 */
export const extremityMarkC = (mark: ExtremityMark, airTempC: number): number =>
	EXTREMITY_MARKS_C[mark] - Math.max(0, airTempC - MARKS_FADE_FROM_C);

/** The blood follows past effort with this time constant, minutes (our assumption). */
const EFFORT_FOLLOWS_MIN = 20;
/** Effort that the blood still follows some minutes into a phase, W/m². */
export const followedEffortWm2 = (startWm2: number, metabolicWm2: number, minutes: number): number =>
	metabolicWm2 + (startWm2 - metabolicWm2) * Math.exp(-minutes / EFFORT_FOLLOWS_MIN);

/** Share of its usual blood that a finger or toe gets of a body that owes or has spare heat (our assumption). */
const shareOfDebt = (debtWhm2: number): number => clamp(1.5 - debtWhm2 / 80, 0.5, 1.5);

/**
 * Heat that blood brings to an extremity, W/m² (our assumption): fingers 1.2·M − 60 within 40…200, toes 0.6·M up to 120; half
 * as much again while the body is warm, half of it when it is deep in debt.
 * @param effortWm2 the effort that the blood follows
 * @param debtWhm2 of the body
 * @param share of the usual blood that a person's fingers or toes get, 0…1
 */
export const bloodHeatWm2 = (
	extremity: Extremity,
	effortWm2: number,
	debtWhm2: number,
	share: number
): number =>
	share *
	shareOfDebt(debtWhm2) *
	(extremity === 'fingers' ? clamp(1.2 * effortWm2 - 60, 40, 200) : Math.min(120, 0.6 * effortWm2));

/** Hands without a task at rest are in pockets: below this effort, and this much warmer, m²·K/W (our assumption). */
const POCKETS_BELOW_WM2 = 100;
const POCKETS_M2KW = 0.08;
/**
 * What pockets add to hands, m²·K/W.
 * @param wetShare of the gloves, 0…1
 */
export const pocketsM2kw = (metabolicWm2: number, hasTask: boolean, wetShare = 0): number =>
	metabolicWm2 < POCKETS_BELOW_WM2 && !hasTask ? POCKETS_M2KW * (1 - wetShare) : 0;

/** Where the temperature of an extremity settles, °C: t_a + q·R, at most 34. */
export const settledTempC = (airTempC: number, heatWm2: number, totalInsulationM2kw: number): number =>
	Math.min(HOTTEST_EXTREMITY_C, airTempC + heatWm2 * totalInsulationM2kw);

/** Share of the way to where it settles that an extremity has left after some minutes. */
export const shareLeft = (minutes: number, totalInsulationM2kw: number): number =>
	Math.exp((-minutes * 60) / (CAPACITY_JM2K * totalInsulationM2kw));

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
): number => settledC + (startC - settledC) * shareLeft(minutes, totalInsulationM2kw);

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
