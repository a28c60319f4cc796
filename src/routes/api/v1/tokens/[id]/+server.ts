import { endToken } from '$lib/server/db/accounts/sessions';
import { api, param } from '$lib/server/http';

/** Ends a token at once. */
export const DELETE = api(async (event) => {
	await endToken(event.locals.houseId, param(event, 'id'));
	return { ok: true };
});
