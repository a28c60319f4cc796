import { clientEditSchema } from '$lib/formats/schema/client';
import { type ClientEdit, getClient, saveClient, setClientDeleted } from '$lib/server/db/clients';
import { api, bodyOf, param } from '$lib/server/http';

export const GET = api(async (event) => getClient(param(event, 'id')));
export const PUT = api(async (event) => ({
	version: await saveClient(param(event, 'id'), await bodyOf<ClientEdit>(event.request, clientEditSchema))
}));
export const DELETE = api(async (event) => setClientDeleted(param(event, 'id'), true));
