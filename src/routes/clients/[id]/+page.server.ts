import { getClient } from '$lib/server/db/clients';
import { getHouse } from '$lib/server/db/house';
import { orNotFound } from '$lib/server/http';

export async function load({ params }) {
	const [client, house] = await Promise.all([orNotFound(getClient(params.id)), getHouse()]);
	return { client, house: house.schools };
}
