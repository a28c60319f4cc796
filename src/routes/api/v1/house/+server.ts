import { houseEditSchema } from '$lib/formats/schema/trip';
import { getHouse, type House, saveHouse } from '$lib/server/db/house';
import { api, bodyOf } from '$lib/server/http';

export const GET = api(() => getHouse());
export const PUT = api(async ({ request }) => ({
	version: await saveHouse(await bodyOf<House>(request, houseEditSchema))
}));
