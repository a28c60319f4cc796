import { setThingDeleted } from '$lib/server/db/clients';
import { api, param } from '$lib/server/http';

export const POST = api(async (event) => setThingDeleted(event.locals.houseId, param(event, 'id'), false));
