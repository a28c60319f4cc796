import { allSetAside } from '$lib/server/db/backup';
import { getHouse } from '$lib/server/db/house';

export const load = async ({ locals }) => ({
	house: await getHouse(locals.houseId),
	setAside: await allSetAside(locals.houseId)
});
