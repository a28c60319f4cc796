import { newClientSchema } from '$lib/formats/schema/client';
import { createClient } from '$lib/server/db/clients';
import { clientPage } from '$lib/server/db/lists';
import { api, bodyOf } from '$lib/server/http';
import { clientsQuestion } from '$lib/server/list-question';

/** One page of the clients: `?q=words&page=1`. */
export const GET = api(async ({ url, locals }) => clientPage(locals.houseId, clientsQuestion(url)));
export const POST = api(async ({ request, locals }) => {
	const { name, tripId } = await bodyOf<{ name: string; tripId?: string }>(request, newClientSchema);
	return { id: await createClient(locals.houseId, name, tripId) };
}, 201);
