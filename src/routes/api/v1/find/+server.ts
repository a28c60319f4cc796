import { find } from '$lib/server/db/search';
import { api } from '$lib/server/http';

/** Trips and clients by the words of their names: `?q=words`. */
export const GET = api(async ({ url, locals }) => ({
	found: await find(locals.houseId, (url.searchParams.get('q') ?? '').slice(0, 120))
}));
