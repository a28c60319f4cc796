import { accountChangeSchema } from '$lib/formats/schema/people/account';
import { changeAccount, type Role } from '$lib/server/db/accounts/accounts';
import { api, bodyOf, param } from '$lib/server/http';

/** Another role, or closed, or open again. Nobody is deleted: what they did stays under their name. */
export const PATCH = api(async (event) => {
	const change = await bodyOf<{ role?: Role; closed?: boolean }>(event.request, accountChangeSchema);
	await changeAccount(event.locals.houseId, param(event, 'id'), change);
	return { ok: true };
});
