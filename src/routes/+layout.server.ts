import { listClients } from '$lib/server/db/clients';
import { listTrips } from '$lib/server/db/trips';

/** What can be jumped to from everywhere. */
export async function load({ depends }) {
	depends('app:places');
	const [trips, clients] = await Promise.all([listTrips(), listClients()]);
	return { trips, clients };
}
