import { climateNormalsSchema } from '$lib/formats/schema/forecast';
import { climate } from '$lib/server/climate';
import { NotFoundError } from '$lib/server/db/pool';
import { api, queryOf } from '$lib/server/http';

/** What a month is usually like: `?place=id&month=1`. */
export const GET = api(async ({ url }) => {
	const { place, month } = queryOf<{ place: string; month: number }>(url, climateNormalsSchema);
	const normals = await climate.normals(place, month);
	if (!normals) throw new NotFoundError('place');
	return { service: climate.name, normals };
});
