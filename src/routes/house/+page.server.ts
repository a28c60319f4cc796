import { getHouse } from '$lib/server/db/house';

export const load = async () => ({ house: await getHouse() });
