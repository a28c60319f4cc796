import { enrolledIn } from '$lib/server/db/lists';
import { getEverybody } from '$lib/server/db/packing/lists';
import { getTrip } from '$lib/server/db/trips';
import { orNotFound } from '$lib/server/http';

export const load = ({ params, locals }) =>
	orNotFound(
		Promise.all([
			getTrip(locals.houseId, params.id),
			getEverybody(locals.houseId, params.id),
			enrolledIn([params.id])
		]).then(([{ id, name, place }, everybody, clients]) => ({
			trip: { id, name, place },
			everybody,
			clients: clients.map((client) => ({ id: client.id, name: client.name }))
		}))
	);
