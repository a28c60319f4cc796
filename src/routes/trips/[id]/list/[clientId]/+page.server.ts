import { clientList } from '$lib/server/plans/client-list';
import { orNotFound } from '$lib/server/http';

export const load = ({ params, locals }) =>
	orNotFound(clientList(locals.houseId, params.id, params.clientId));
