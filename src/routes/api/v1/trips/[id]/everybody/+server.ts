import { everybodySchema } from '$lib/formats/schema/lending/lists';
import { type Everybody, getEverybody, saveEverybody } from '$lib/server/db/packing/lists';
import { api, bodyOf, param } from '$lib/server/http';

export const GET = api(async (event) => getEverybody(event.locals.houseId, param(event, 'id')));
export const PUT = api(async (event) => ({
	version: await saveEverybody(
		event.locals.houseId,
		param(event, 'id'),
		await bodyOf<Everybody>(event.request, everybodySchema)
	)
}));
