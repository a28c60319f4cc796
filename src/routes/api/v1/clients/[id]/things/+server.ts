import type { Fact } from '$lib/core/document/types';
import { newThingSchema } from '$lib/formats/schema/thing';
import { addThing } from '$lib/server/db/clients';
import { api, bodyOf, param } from '$lib/server/http';

export const POST = api(async (event) => {
	const { typeId, quantity, name } = await bodyOf<{ typeId: string; quantity: Fact<number>; name?: string }>(
		event.request,
		newThingSchema
	);
	return addThing(event.locals.houseId, param(event, 'id'), typeId, quantity, name);
}, 201);
