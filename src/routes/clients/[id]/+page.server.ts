import { getClient } from '$lib/server/db/clients';
import { orNotFound } from '$lib/server/http';

export async function load({ params }) {
	return { client: await orNotFound(getClient(params.id)) };
}
