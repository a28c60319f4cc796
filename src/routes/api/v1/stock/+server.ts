import { newStockSchema } from '$lib/formats/schema/lending/stock';
import { addStock, getStock, type NewStock } from '$lib/server/db/lending/stock';
import { api, bodyOf } from '$lib/server/http';

export const GET = api(({ locals }) => getStock(locals.houseId));
export const POST = api(
	async ({ request, locals }) => ({
		id: await addStock(locals.houseId, await bodyOf<NewStock>(request, newStockSchema))
	}),
	201
);
