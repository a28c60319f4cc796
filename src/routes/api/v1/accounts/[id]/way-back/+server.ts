import { wayBack } from '$lib/server/db/accounts/accounts';
import { api, param } from '$lib/server/http';

/** A link by which somebody who lost a password chooses another one; told once. */
export const POST = api(async (event) => {
	const secret = await wayBack(event.locals.houseId, param(event, 'id'));
	return { link: `${event.url.origin}/password/${secret}` };
}, 201);
