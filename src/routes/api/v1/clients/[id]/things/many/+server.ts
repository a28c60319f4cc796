import { type NewThing, newThingsSchema } from '$lib/formats/schema/thing';
import { addThings } from '$lib/server/db/clients';
import { api, bodyOf, param } from '$lib/server/http';

/** A whole list of things at once, all or none of them. */
export const POST = api(async (event) => {
	const { things } = await bodyOf<{ things: NewThing[] }>(event.request, newThingsSchema);
	return { things: await addThings(event.locals.houseId, param(event, 'id'), things) };
}, 201);
