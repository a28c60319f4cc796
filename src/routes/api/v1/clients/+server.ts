import { newClientSchema } from '$lib/formats/schema/client';
import { createClient, listClients } from '$lib/server/db/clients';
import { api, bodyOf } from '$lib/server/http';

export const GET = api(async () => ({ clients: await listClients() }));
export const POST = api(async ({ request }) => {
	const { name, tripId } = await bodyOf<{ name: string; tripId?: string }>(request, newClientSchema);
	return { id: await createClient(name, tripId) };
}, 201);
