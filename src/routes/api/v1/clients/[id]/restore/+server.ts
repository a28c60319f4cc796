import { setClientDeleted } from '$lib/server/db/clients';
import { api, param } from '$lib/server/http';

export const POST = api(async (event) => setClientDeleted(event.locals.houseId, param(event, 'id'), false));
