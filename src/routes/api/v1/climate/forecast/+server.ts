import { FORECAST_FORMAT } from '$lib/formats/forecast-file';
import { climateForecastSchema } from '$lib/formats/schema/forecast';
import { climate } from '$lib/server/climate';
import { NotFoundError } from '$lib/server/db/pool';
import { api, queryOf } from '$lib/server/http';

/** A forecast for days in a row, as a forecast file: `?place=id&from=2027-01-23&days=3`. */
export const GET = api(async ({ url }) => {
	const { place, from, days } = queryOf<{ place: string; from: string; days: number }>(
		url,
		climateForecastSchema
	);
	const forecast = await climate.forecast(place, from, days);
	if (!forecast) throw new NotFoundError('place');
	return { format: FORECAST_FORMAT, formatVersion: 1, source: climate.name, days: forecast };
});
