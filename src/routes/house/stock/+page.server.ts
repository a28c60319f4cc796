import { getStock } from '$lib/server/db/lending/stock';

export const load = async ({ locals }) => ({ stock: await getStock(locals.houseId) });
