import { clamp } from '../argument';
import type { Precipitation, WaterGrade } from '../document/weather';

/** How fast it wets cloth, as a share of ordinary rain (our assumption; wet snow counts as drizzle). */
export const WETTING_SHARE: Readonly<Record<Precipitation, number>> = {
	dry: 0,
	'dry-snow': 0.02,
	'wet-snow': 0.5,
	drizzle: 0.5,
	rain: 1,
	'heavy-rain': 2
};

/** Snow is dry below the first of these, wet from the second to the third, and rain from the fourth on, °C (our assumption). */
const SNOW_TURNS_C = [-3, -1, 0, 2] as const;

/**
 * How fast it wets cloth in air of some temperature, as a share of ordinary rain: from dry snow to wet snow to rain without a step.
 * @param kind as forecast
 * @param airTempC °C where it falls
 */
export function wettingPerMin(kind: Precipitation, airTempC: number): number {
	if (kind === 'dry') return 0;
	const asRain = kind === 'dry-snow' || kind === 'wet-snow' ? 1 : WETTING_SHARE[kind];
	const [dryUntil, wetFrom, wetUntil, rainFrom] = SNOW_TURNS_C;
	const wet = WETTING_SHARE['wet-snow'];
	if (airTempC <= wetFrom) {
		const share = clamp((airTempC - dryUntil) / (wetFrom - dryUntil), 0, 1);
		return WETTING_SHARE['dry-snow'] + (wet - WETTING_SHARE['dry-snow']) * share;
	}
	return wet + (asRain - wet) * clamp((airTempC - wetUntil) / (rainFrom - wetUntil), 0, 1);
}

/** Minutes of ordinary rain until the grade wets through (our assumption). */
export const RAIN_MINUTES: Readonly<Record<WaterGrade, number>> = {
	none: 2,
	repellent: 15,
	windproof: 30,
	'light-membrane': 180,
	taped: 720,
	rubber: Infinity
};
