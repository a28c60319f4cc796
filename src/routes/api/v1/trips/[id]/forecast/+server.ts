import { FORECAST_FORMAT, forecastCsv, forecastOfTrip } from '$lib/formats/forecast-file';
import { getTrip } from '$lib/server/db/trips';
import { orNotFound, param } from '$lib/server/http';

/** The air of a trip as a forecast file: JSON, or CSV with `?as=csv`. */
export const GET = async (event) => {
	const trip = await orNotFound(getTrip(event.locals.houseId, param(event, 'id')));
	const days = forecastOfTrip(trip);
	const csv = event.url.searchParams.get('as') === 'csv';
	const body = csv
		? forecastCsv({ days })
		: JSON.stringify(
				{ format: FORECAST_FORMAT, formatVersion: 1, source: trip.name.slice(0, 80), days },
				null,
				'\t'
			);
	return new Response(body, {
		headers: {
			'content-type': csv ? 'text/csv; charset=utf-8' : 'application/json',
			'content-disposition': `attachment; filename="forecast.${csv ? 'csv' : 'json'}"`
		}
	});
};
