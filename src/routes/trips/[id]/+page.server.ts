import { getDocument } from '$lib/server/db/clients';
import { orNotFound } from '$lib/server/http';

export async function load({ params, depends }) {
	depends('app:trip');
	return { document: await orNotFound(getDocument(params.id)) };
}
