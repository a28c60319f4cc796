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

/** Minutes of ordinary rain until the grade wets through (our assumption). */
export const RAIN_MINUTES: Readonly<Record<WaterGrade, number>> = {
	none: 2,
	repellent: 15,
	windproof: 30,
	'light-membrane': 180,
	taped: 720,
	rubber: Infinity
};
