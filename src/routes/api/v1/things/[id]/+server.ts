import { thingEditSchema } from '$lib/formats/schema/thing';
import { saveThing, setThingDeleted, type ThingEdit } from '$lib/server/db/clients';
import { api, bodyOf, param } from '$lib/server/http';

export const PUT = api(async (event) => ({
	version: await saveThing(
		event.locals.houseId,
		param(event, 'id'),
		await bodyOf<ThingEdit>(event.request, thingEditSchema)
	)
}));
export const DELETE = api(async (event) => setThingDeleted(event.locals.houseId, param(event, 'id'), true));
