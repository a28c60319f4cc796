import { newClientSchema } from '$lib/formats/schema/client';
import { createClient, listClients } from '$lib/server/db/clients';
import { api, bodyOf } from '$lib/server/http';

export const GET = api(async ({ locals }) => ({ clients: await listClients(locals.houseId) }));
export const POST = api(async ({ request, locals }) => {
	const { name, tripId } = await bodyOf<{ name: string; tripId?: string }>(request, newClientSchema);
	return { id: await createClient(locals.houseId, name, tripId) };
}, 201);
