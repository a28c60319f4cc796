import { getClient } from '$lib/server/db/clients';
import { getHouse } from '$lib/server/db/house';
import { orNotFound } from '$lib/server/http';

export async function load({ params, locals }) {
	const [client, house] = await Promise.all([
		orNotFound(getClient(locals.houseId, params.id)),
		getHouse(locals.houseId)
	]);
	return { client, house: house.schools };
}
