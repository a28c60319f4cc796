import { getClient } from '$lib/server/db/clients';
import { getTrip, setEnrolled } from '$lib/server/db/trips';
import { api, param } from '$lib/server/http';

export const PUT = api(async (event) => {
	const [tripId, clientId] = [param(event, 'id'), param(event, 'clientId')];
	await getTrip(event.locals.houseId, tripId);
	await getClient(event.locals.houseId, clientId);
	await setEnrolled(event.locals.houseId, tripId, clientId, true);
});
export const DELETE = api(async (event) =>
	setEnrolled(event.locals.houseId, param(event, 'id'), param(event, 'clientId'), false)
);
