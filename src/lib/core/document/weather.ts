/** What falls during a phase. */
export const PRECIPITATIONS = ['dry', 'dry-snow', 'wet-snow', 'drizzle', 'rain', 'heavy-rain'] as const;
export type Precipitation = (typeof PRECIPITATIONS)[number];

/** How an outer face meets water, weakest first. */
export const WATER_GRADES = ['none', 'repellent', 'windproof', 'light-membrane', 'taped', 'rubber'] as const;
export type WaterGrade = (typeof WATER_GRADES)[number];

/** Where a phase is spent. `in` is heated, `cold-in` a roof without heating. */
export const PLACES = [
	'in',
	'cold-in',
	'tent',
	'snow-hole',
	'lee',
	'forest',
	'trees',
	'slope',
	'ridge'
] as const;
export type Place = (typeof PLACES)[number];

/** Rain or snow of one kind between two times, minutes after midnight, as it falls where the forecast holds. */
export interface WetSpell {
	fromMin: number;
	toMin: number;
	kind: Precipitation;
}

/** Cold air that lies in the valley on a clear, calm morning. */
export interface Inversion {
	/** top of the cold pool, m */
	topM: number;
	/** how much warmer it is at its top than on the valley floor at dawn, K */
	warmerAtTopK: number;
}

/** A forecast for one more height. */
export interface HeightForecast {
	altitudeM: number;
	lowTempC: number;
	highTempC: number;
	/** at 10 m over open ground there; null when the forecast gives none */
	wind10mKmh: number | null;
}
