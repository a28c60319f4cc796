import { getClient } from '$lib/server/db/clients';
import { getTrip, setEnrolled } from '$lib/server/db/trips';
import { api, param } from '$lib/server/http';

export const PUT = api(async (event) => {
	await getTrip(param(event, 'id'));
	await getClient(param(event, 'clientId'));
	await setEnrolled(param(event, 'id'), param(event, 'clientId'), true);
});
export const DELETE = api(async (event) => setEnrolled(param(event, 'id'), param(event, 'clientId'), false));
