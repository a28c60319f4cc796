import { setStockDeleted } from '$lib/server/db/lending/stock';
import { api, param } from '$lib/server/http';

export const POST = api(async (event) => setStockDeleted(event.locals.houseId, param(event, 'id'), false));
