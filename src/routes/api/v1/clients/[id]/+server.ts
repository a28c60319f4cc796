import { clientEditSchema } from '$lib/formats/schema/client';
import { getClient, saveClient, setClientDeleted, type ClientEdit } from '$lib/server/db/clients';
import { api, bodyOf, param } from '$lib/server/http';

export const GET = api(async (event) => getClient(event.locals.houseId, param(event, 'id')));
export const PUT = api(async (event) => {
	const edit = await bodyOf<ClientEdit>(event.request, clientEditSchema);
	const { houseId, by } = event.locals;
	return { version: await saveClient(houseId, param(event, 'id'), edit, by) };
});
export const DELETE = api(async (event) => setClientDeleted(event.locals.houseId, param(event, 'id'), true));
