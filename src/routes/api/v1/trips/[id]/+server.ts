import { tripEditSchema } from '$lib/formats/schema/trip';
import { getDocument } from '$lib/server/db/clients';
import { saveTrip, setTripDeleted, type TripEdit } from '$lib/server/db/trips';
import { upgradeTrip } from '$lib/formats/upgrade';
import { api, bodyOf, param } from '$lib/server/http';

/** The trip with its clients and their kit, as one document. */
export const GET = api(async (event) => getDocument(event.locals.houseId, param(event, 'id')));
export const PUT = api(async (event) => ({
	version: await saveTrip(
		event.locals.houseId,
		param(event, 'id'),
		await bodyOf<TripEdit>(event.request, tripEditSchema, upgradeTrip)
	)
}));
export const DELETE = api(async (event) => setTripDeleted(event.locals.houseId, param(event, 'id'), true));
