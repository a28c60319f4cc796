import type { Mark } from '../document/types';

/** How deep one stands in water, and how cold it is. */
export interface Immersion {
	/** above the sole, cm */
	depthCm: number;
	tempC: number;
}

/** Who falls in is so long in the water, minutes, and to the neck (our assumption). */
export const FALL_MIN = 3;

/** Marks of a phase in water, with how deep it is, cm (our assumption: a person of middle height). */
const DEPTH_CM = {
	'immersed-neck': 145,
	'immersed-waist': 100,
	'immersed-thigh': 75,
	'immersed-knee': 45,
	'immersed-ankle': 12
} as const satisfies Partial<Record<Mark, number>>;

/** Water is colder than the air in winter and in spring by this much, K (our assumption; typed wins). */
const COLDER_THAN_AIR_K = { winter: 6, spring: 4, else: 0 } as const;

function seasonOf(date: string, southern: boolean): keyof typeof COLDER_THAN_AIR_K {
	const month = (Number(date.slice(5, 7)) + (southern ? 6 : 0)) % 12;
	return month <= 2 ? 'winter' : month <= 5 ? 'spring' : 'else';
}

/**
 * How cold water is, °C.
 * @param typedC what was typed
 * @param date of the stage, ISO
 */
export const waterTempC = (
	typedC: number | undefined,
	airTempC: number,
	date: string,
	southern: boolean
): number => typedC ?? Math.max(0, airTempC - COLDER_THAN_AIR_K[seasonOf(date, southern)]);

/** The water that one stands in; null on dry land. */
export function immersionOf(marks: readonly Mark[], tempC: number): Immersion | null {
	const mark = (Object.keys(DEPTH_CM) as (keyof typeof DEPTH_CM)[]).find((one) => marks.includes(one));
	return mark ? { depthCm: DEPTH_CM[mark], tempC } : null;
}

/** The water that one falls into before a phase; null where one does not. */
export const fallOf = (marks: readonly Mark[], tempC: number): Immersion | null =>
	marks.includes('falls-in') ? { depthCm: DEPTH_CM['immersed-neck'], tempC } : null;
