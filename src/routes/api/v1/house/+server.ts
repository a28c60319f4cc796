import { houseEditSchema } from '$lib/formats/schema/trip';
import { getHouse, type HouseEdit, saveHouse } from '$lib/server/db/house';
import { api, bodyOf } from '$lib/server/http';

export const GET = api(({ locals }) => getHouse(locals.houseId));
export const PUT = api(async ({ request, locals }) => ({
	version: await saveHouse(locals.houseId, await bodyOf<HouseEdit>(request, houseEditSchema))
}));
