import { type NewThing, newThingSchema } from '$lib/formats/schema/thing';
import { addThings } from '$lib/server/db/clients';
import { api, bodyOf, param } from '$lib/server/http';

export const POST = api(async (event) => {
	const thing = await bodyOf<NewThing>(event.request, newThingSchema);
	const [added] = await addThings(event.locals.houseId, param(event, 'id'), [thing]);
	return added;
}, 201);
