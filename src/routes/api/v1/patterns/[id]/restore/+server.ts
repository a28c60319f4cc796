import { setPatternDeleted } from '$lib/server/db/patterns';
import { api, param } from '$lib/server/http';

export const POST = api(async (event) => setPatternDeleted(event.locals.houseId, param(event, 'id'), false));
