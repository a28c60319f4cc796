import { setTripDeleted } from '$lib/server/db/trips';
import { api, param } from '$lib/server/http';

export const POST = api(async (event) => setTripDeleted(event.locals.houseId, param(event, 'id'), false));
