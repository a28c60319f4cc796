import { stockEditSchema } from '$lib/formats/schema/lending/stock';
import { saveStock, setStockDeleted, type StockEdit } from '$lib/server/db/lending/stock';
import { api, bodyOf, param } from '$lib/server/http';

export const PUT = api(async (event) => ({
	version: await saveStock(
		event.locals.houseId,
		param(event, 'id'),
		await bodyOf<StockEdit>(event.request, stockEditSchema)
	)
}));
export const DELETE = api(async (event) => setStockDeleted(event.locals.houseId, param(event, 'id'), true));
