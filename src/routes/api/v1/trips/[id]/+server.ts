import { tripEditSchema } from '$lib/formats/schema/trip';
import { getDocument } from '$lib/server/db/clients';
import { saveTrip, setTripDeleted, type TripEdit } from '$lib/server/db/trips';
import { api, bodyOf, param } from '$lib/server/http';

/** The trip with its clients and their kit, as one document. */
export const GET = api(async (event) => getDocument(param(event, 'id')));
export const PUT = api(async (event) => ({
	version: await saveTrip(param(event, 'id'), await bodyOf<TripEdit>(event.request, tripEditSchema))
}));
export const DELETE = api(async (event) => setTripDeleted(param(event, 'id'), true));
