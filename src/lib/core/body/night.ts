export type NightVerdict = 'right' | 'cool' | 'short';

/** How much warmer an unheated lodge is than the night outside, K (our assumption). */
export const UNHEATED_LODGE_WARMER_K = 5;

/** How cold a closed snow hole gets at the sleepers, °C; never colder than this, however cold outside (common practice). */
export const SNOW_HOLE_C = -3;

/**
 * Verdict of a sleeping bag for the coldest air where a person sleeps.
 * Source: comfort and limit temperature of EN ISO 23537; a person who feels the cold is held to comfort.
 * @param nightTempC coldest air at the sleeper, °C
 * @param comfortC comfort temperature of the bag, °C
 * @param limitC limit temperature of the bag, °C; comfort − 6 when the label gives none (our assumption)
 * @param offsetClo of the person; above 0 only comfort counts
 */
export function nightVerdict(
	nightTempC: number,
	comfortC: number,
	limitC: number = comfortC - 6,
	offsetClo = 0
): NightVerdict {
	if (comfortC <= nightTempC) return 'right';
	return limitC <= nightTempC && offsetClo <= 0 ? 'cool' : 'short';
}
