import { DOCUMENT_VERSION } from '../core/document/types';
import { WEATHER_IDS } from '../core/weather/climate';

/**
 * The one path by which what an older version wrote is brought up: documents that come in, and rows that are read. It
 * changes shapes only; what is left is checked by the schema.
 */

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
	typeof value === 'object' && value !== null && !Array.isArray(value);
const each = (value: unknown, change: (item: Json) => unknown): unknown =>
	Array.isArray(value) ? value.map((item: unknown) => (isObject(item) ? change(item) : item)) : value;

/** Version 1 said what the operator provides in one text. */
function upgradeStage(stage: Json): Json {
	const { provided } = stage;
	if (typeof provided !== 'string') return stage;
	const name = provided.trim();
	return {
		...stage,
		provided: name === '' ? [] : [{ id: 'provided-1', name, typeId: null, quantity: 1 }]
	};
}

/** Version 1 kept what the three usual weathers mean as metric text; it follows from their figures now. */
function upgradeWeather(weather: Json): Json {
	const isUsual = (WEATHER_IDS as readonly unknown[]).includes(weather.id);
	const isOurs = /^(About 1 day in 10 is|What each day says:)/.test(String(weather.meaning ?? ''));
	return isUsual && isOurs ? { ...weather, meaning: '' } : weather;
}

/** A trip as this version writes it. */
export const upgradeTrip = (trip: unknown): unknown =>
	isObject(trip)
		? {
				...trip,
				...(trip.stages !== undefined && { stages: each(trip.stages, upgradeStage) }),
				...(trip.weathers !== undefined && { weathers: each(trip.weathers, upgradeWeather) })
			}
		: trip;

/** A document as this version writes it; what is no document comes back as it is. */
export function upgradeDocument(input: unknown): unknown {
	if (!isObject(input) || input.formatVersion !== 1) return input;
	return { ...input, formatVersion: DOCUMENT_VERSION, trip: upgradeTrip(input.trip) };
}
