import type { BaseField, Ground, Origin, StageBase, Weather } from '../document/types';
import type { HeightForecast, WetSpell } from '../document/weather';

/** A place that a climate service knows. */
export interface ClimatePlace {
	id: string;
	name: string;
	/** what kind of place, in a few words */
	words: string;
	altitudeM: number;
	latitudeDeg: number;
	longitudeDeg: number;
	utcOffsetMin: number;
}

/** What a month is usually like at a place, at its own height. */
export interface MonthNormals {
	placeId: string;
	/** 1…12 */
	month: number;
	/** mean of the daily lows, °C */
	lowTempC: number;
	/** mean of the daily highs, °C */
	highTempC: number;
	/** standard deviation of the days around their mean, K */
	spreadK: number;
	lapseKPerKm: number;
	wind10mKmh: number;
	humidityPct: number;
	/** days of the month with rain or snow */
	wetDays: number;
	/** hours of rain or snow on such a day */
	wetHours: number;
	ground: Ground;
}

/** One day of a forecast, for one height and maybe others. */
export interface DayForecast {
	date: string;
	altitudeM: number;
	lowTempC: number;
	highTempC: number;
	wind10mKmh: number;
	humidityPct: number;
	wetSpells: WetSpell[];
	heights: HeightForecast[];
}

/** What the app asks of whoever knows the weather. The one that ships is simulated; a real one takes its place here. */
export interface ClimateService {
	/** for a reader, beside every figure that comes from it */
	readonly name: string;
	places(): Promise<ClimatePlace[]>;
	/** null when the place is unknown */
	normals(placeId: string, month: number): Promise<MonthNormals | null>;
	/** forecasts for days in a row; null when the place is unknown */
	forecast(placeId: string, firstDate: string, days: number): Promise<DayForecast[] | null>;
}

/** Standard deviations that one day in ten lies beyond, on one side. Source: normal distribution. */
export const ONE_IN_TEN_SD = 1.2816;
/** Spread of the days where no place is known, K (our assumption). */
export const USUAL_SPREAD_K = 4.5;
/** A mild day is usually not as far out as a cold one (our assumption). */
const MILD_SHARE = 0.8;
const MILD_WIND_FACTOR = 1.4;
const COLD_WIND_FACTOR = 1.1;
/** When it rains in the mild and wet weather, minutes after midnight (our assumption). */
const MILD_RAIN: WetSpell = { fromMin: 9 * 60, toMin: 15 * 60, kind: 'rain' };

const round = (value: number, step = 1): number => Math.round(value / step) * step;

/** Ids of the three weathers of a trip. */
export const WEATHER_IDS = ['planned', 'cold-snap', 'mild-wet'] as const;
export type WeatherId = (typeof WEATHER_IDS)[number];

/**
 * The three weathers of a trip: what the stages say, a cold snap and a mild, wet spell, each about one day in ten.
 * @param spreadK standard deviation of the days around their mean, K
 * @param nameOf what a weather is called
 */
export function threeWeathers(
	spreadK: number = USUAL_SPREAD_K,
	nameOf: (id: WeatherId) => string = (id) => id
): Weather[] {
	const oneInTenK = ONE_IN_TEN_SD * spreadK;
	const weather = (
		id: WeatherId,
		tempOffsetK: number,
		windFactor: number,
		wetSpells: WetSpell[] = []
	): Weather => ({ id, name: nameOf(id), meaning: '', tempOffsetK, windFactor, wetSpells });
	return [
		weather('planned', 0, 1),
		weather('cold-snap', -round(oneInTenK, 0.5), COLD_WIND_FACTOR),
		weather('mild-wet', round(oneInTenK * MILD_SHARE, 0.5), MILD_WIND_FACTOR, [MILD_RAIN])
	];
}

/** Figures for a stage, with where each came from. */
export interface KnownBase {
	base: Partial<StageBase>;
	origins: Partial<Record<BaseField, Origin>>;
}

const withOrigin = (base: Partial<StageBase>, origin: Origin): KnownBase => ({
	base,
	origins: Object.fromEntries(Object.keys(base).map((field) => [field, origin]))
});

/** From so many wet days in a month on a usual day is a wet one: more than every second day. */
const WET_MONTH_DAYS = 15;
/** When rain or snow usually begins on such a day, minutes after midnight (our assumption). */
const USUAL_RAIN_FROM_MIN = 10 * 60;

function usualSpells({ wetDays, wetHours, highTempC }: MonthNormals): WetSpell[] {
	if (wetDays <= WET_MONTH_DAYS) return [];
	const toMin = Math.min(1440, USUAL_RAIN_FROM_MIN + wetHours * 60);
	return [{ fromMin: USUAL_RAIN_FROM_MIN, toMin, kind: highTempC > 1 ? 'drizzle' : 'dry-snow' }];
}

/**
 * What is usual for a stage, at the height of the place. Where more than half of the days are wet, a usual day is.
 * @param note where it came from, for a reader
 */
export function usualBase(place: ClimatePlace, normals: MonthNormals, note: string): KnownBase {
	return withOrigin(
		{
			lowTempC: round(normals.lowTempC, 0.5),
			highTempC: round(normals.highTempC, 0.5),
			altitudeM: place.altitudeM,
			lapseKPerKm: normals.lapseKPerKm,
			wind10mKmh: round(normals.wind10mKmh),
			humidityPct: round(normals.humidityPct),
			wetSpells: usualSpells(normals),
			ground: normals.ground
		},
		{ from: 'usual', note }
	);
}

/** A forecast for a stage. It replaces everything that it speaks of, the inversion too. */
export function forecastBase(forecast: DayForecast, from: 'forecast' | 'file', note: string): KnownBase {
	const { date: _date, ...base } = forecast;
	return withOrigin({ ...base, inversion: null }, { from, note });
}

/** Three touches on a forecast, by hand. */
export const TOUCHES = ['colder', 'windier', 'wetter'] as const;
export type Touch = (typeof TOUCHES)[number];
/** How much one touch does (our assumption). */
export const TOUCH_COLDER_K = 3;
export const TOUCH_WINDIER_KMH = 15;
export const TOUCH_WETTER_MIN = 180;
const MOST_WIND_KMH = 200;
const COLDEST_C = -60;

/** What one touch makes of the figures of a stage; a wetter day gets three hours more of rain, from 9 o'clock on. */
export function touched(base: StageBase, touch: Touch): KnownBase {
	const known = (change: Partial<StageBase>): KnownBase => withOrigin(change, { from: 'touch', note: touch });
	const colder = (tempC: number): number => Math.max(COLDEST_C, tempC - TOUCH_COLDER_K);
	const windier = (kmh: number): number => Math.min(MOST_WIND_KMH, kmh + TOUCH_WINDIER_KMH);
	switch (touch) {
		case 'colder':
			return known({
				lowTempC: colder(base.lowTempC),
				highTempC: colder(base.highTempC),
				heights: base.heights.map((height) => ({
					...height,
					lowTempC: colder(height.lowTempC),
					highTempC: colder(height.highTempC)
				}))
			});
		case 'windier':
			return known({
				wind10mKmh: windier(base.wind10mKmh),
				heights: base.heights.map((height) => ({
					...height,
					wind10mKmh: height.wind10mKmh === null ? null : windier(height.wind10mKmh)
				}))
			});
		case 'wetter': {
			const last = Math.max(9 * 60, ...base.wetSpells.map(({ toMin }) => toMin));
			const toMin = Math.min(1440, last + TOUCH_WETTER_MIN);
			const kind = base.wetSpells.at(-1)?.kind ?? 'rain';
			return known({
				wetSpells: toMin > last ? [...base.wetSpells, { fromMin: last, toMin, kind }] : base.wetSpells,
				humidityPct: Math.max(base.humidityPct, 90)
			});
		}
	}
}
