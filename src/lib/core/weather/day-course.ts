import { inRange } from '../argument';

/** When the day is warmest, minutes after midnight (common practice: early afternoon). */
export const WARMEST_MIN = 14 * 60;
/** When the day is coldest where no sunrise is known, minutes after midnight (our assumption). */
export const USUAL_DAWN_MIN = 6 * 60 + 30;
const DAY_MIN = 1440;

/**
 * Air temperature at a time of the day, °C: the low at dawn, the high in the early afternoon; half a cosine between
 * them by day, and a quarter sine back through the evening and night, which falls fast at first.
 * Source: common practice (sine by day and decay by night, as in crop models); the exact shape is our assumption.
 * @param lowTempC low of the day, °C, −90…60
 * @param highTempC high of the day, °C, −90…60
 * @param timeMin minutes after midnight; other days wrap around
 * @param dawnMin when it is coldest, minutes after midnight, 0…839
 * @throws RangeError out of range
 */
export function dayTempC(
	lowTempC: number,
	highTempC: number,
	timeMin: number,
	dawnMin = USUAL_DAWN_MIN
): number {
	inRange('lowTempC', lowTempC, -90, 60);
	inRange('highTempC', highTempC, -90, 60);
	inRange('dawnMin', dawnMin, 0, WARMEST_MIN - 1);
	const sinceDawn = (((timeMin - dawnMin) % DAY_MIN) + DAY_MIN) % DAY_MIN;
	const rise = WARMEST_MIN - dawnMin;
	const share =
		sinceDawn <= rise
			? (1 - Math.cos((Math.PI * sinceDawn) / rise)) / 2
			: 1 - Math.sin(((Math.PI / 2) * (sinceDawn - rise)) / (DAY_MIN - rise));
	return lowTempC + (highTempC - lowTempC) * share;
}
