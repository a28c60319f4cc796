/** What falls during a phase. */
export const PRECIPITATIONS = ['dry', 'dry-snow', 'wet-snow', 'drizzle', 'rain', 'heavy-rain'] as const;
export type Precipitation = (typeof PRECIPITATIONS)[number];

/** How fast it wets cloth, as a share of ordinary rain (our assumption; wet snow counts as drizzle). */
export const WETTING_SHARE: Readonly<Record<Precipitation, number>> = {
	dry: 0,
	'dry-snow': 0.02,
	'wet-snow': 0.5,
	drizzle: 0.5,
	rain: 1,
	'heavy-rain': 2
};

/** How an outer face meets water, weakest first. */
export const WATER_GRADES = ['none', 'repellent', 'windproof', 'light-membrane', 'taped', 'rubber'] as const;
export type WaterGrade = (typeof WATER_GRADES)[number];

/** Minutes of ordinary rain until the grade wets through (our assumption). */
export const RAIN_MINUTES: Readonly<Record<WaterGrade, number>> = {
	none: 2,
	repellent: 15,
	windproof: 30,
	'light-membrane': 180,
	taped: 720,
	rubber: Infinity
};
