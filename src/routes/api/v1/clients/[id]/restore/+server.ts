import { setClientDeleted } from '$lib/server/db/clients';
import { api, param } from '$lib/server/http';

export const POST = api(async (event) => setClientDeleted(param(event, 'id'), false));
