import { listClients } from '$lib/server/db/clients';

export async function load({ depends, locals }) {
	depends('app:clients');
	return { clients: await listClients(locals.houseId) };
}
