import type { Weather } from '../core/document/types';
import {
	type ClimatePlace,
	type MonthNormals,
	WEATHER_IDS,
	type WeatherId,
	threeWeathers
} from '../core/weather/climate';
import { monthName } from './labels';
import { message } from './message';
import { METRIC, type Units, withUnit } from './units';

/** What the weathers of a trip are called, and what they mean. */
export const WEATHER_NAMES: Readonly<Record<WeatherId, string>> = {
	planned: message('weather.planned'),
	'cold-snap': message('weather.cold-snap'),
	'mild-wet': message('weather.mild-wet')
};

/** The three weathers of a trip, with their names. @param spreadK standard deviation of the days, K */
export const usualWeathers = (spreadK?: number): Weather[] =>
	threeWeathers(spreadK, (id) => WEATHER_NAMES[id]);

const isUsual = (id: string): id is WeatherId => (WEATHER_IDS as readonly string[]).includes(id);

/** How often a weather comes, and compared with what; what somebody typed is said as it stands. */
export function weatherMeaning(
	{ id, meaning, tempOffsetK, windFactor }: Weather,
	units: Units = METRIC
): string {
	if (meaning !== '' || !isUsual(id)) return meaning;
	return message(`weather.${id}.meaning`, {
		difference: withUnit('difference', Math.abs(tempOffsetK), units, Number.isInteger(tempOffsetK) ? 0 : 1),
		wind: windFactor
	});
}

/** Where usual figures came from: place, month and service. */
export const usualNote = (place: ClimatePlace, { month }: MonthNormals, service: string): string =>
	message('weather.usual', { place: place.name, month: monthName(month), service });
