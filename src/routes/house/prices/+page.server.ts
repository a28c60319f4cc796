import { getHouse } from '$lib/server/db/house';

export const load = async ({ locals }) => ({ house: await getHouse(locals.houseId) });
