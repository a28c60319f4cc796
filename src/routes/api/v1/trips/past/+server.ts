import { pastTrips } from '$lib/server/db/lists';
import { api } from '$lib/server/http';

/** Trips that another can start from, the latest first. */
export const GET = api(async ({ locals }) => ({ trips: await pastTrips(locals.houseId) }));
