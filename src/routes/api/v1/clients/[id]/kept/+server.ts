import { keptOf } from '$lib/server/db/guests/kept';
import { api, file, param } from '$lib/server/http';

/** Everything that is kept of a client, in one open file. */
export const GET = api(async (event) => {
	const kept = await keptOf(event.locals.houseId, param(event, 'id'));
	return file(JSON.stringify(kept, null, '\t'), `kept-${param(event, 'id')}.json`, 'application/json');
});
