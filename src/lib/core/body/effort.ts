import { clamp } from '../argument';

/** Range of the required-insulation method, W/m². Source: ISO 11079. */
export const METHOD_MIN_WM2 = 58;
export const METHOD_MAX_WM2 = 290;
/** From here on a phase counts as work, W/m² (our assumption). */
export const WORK_WM2 = 145;

/** Classes of metabolic rate, W/m². Source: ISO 8996 (from memory). */
export const EFFORT_CLASSES = { resting: 65, low: 100, moderate: 165, high: 230, 'very high': 290 } as const;
export type EffortClass = keyof typeof EFFORT_CLASSES;

/** The ISO 8996 class whose value is nearest to a metabolic rate in W/m². */
export function effortClass(metabolicWm2: number): EffortClass {
	const names = Object.keys(EFFORT_CLASSES) as EffortClass[];
	return names.reduce((best, name) =>
		Math.abs(EFFORT_CLASSES[name] - metabolicWm2) < Math.abs(EFFORT_CLASSES[best] - metabolicWm2)
			? name
			: best
	);
}

/** Metabolic rate held within the method's 58…290 W/m². */
export const methodMetabolicWm2 = (metabolicWm2: number): number =>
	clamp(metabolicWm2, METHOD_MIN_WM2, METHOD_MAX_WM2);

/**
 * Walking speed that pumps air through clothes when none is known, m/s: 0.0052·(M − 58), 0…1.2.
 * Source: ISO 11079 (from memory).
 */
export const pumpingSpeedMs = (metabolicWm2: number): number => clamp(0.0052 * (metabolicWm2 - 58), 0, 1.2);
