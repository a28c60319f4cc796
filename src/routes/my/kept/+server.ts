import { keptOf } from '$lib/server/db/guests/kept';
import { api, file } from '$lib/server/http';

/** Everything that is kept of the client whose link was opened, in one open file. */
export const GET = api(async ({ locals }) => {
	const { houseId, clientId } = locals.guest!;
	return file(
		JSON.stringify(await keptOf(houseId, clientId), null, '\t'),
		'what-is-kept.json',
		'application/json'
	);
});
