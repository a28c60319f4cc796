import { listClients } from '$lib/server/db/clients';

export async function load({ depends }) {
	depends('app:clients');
	return { clients: await listClients() };
}
