import { endLink, makeLink } from '$lib/server/db/guests/links';
import { api, param } from '$lib/server/http';

/** Makes the private link of a client for a trip; the one before ends. It is told once. */
export const POST = api(async (event) => {
	const { houseId, by } = event.locals;
	const secret = await makeLink(houseId, param(event, 'id'), param(event, 'clientId'), by ?? '');
	return { link: `${event.url.origin}/c/${secret}` };
}, 201);

/** Ends it, on every browser that has opened it. */
export const DELETE = api(async (event) => {
	await endLink(event.locals.houseId, param(event, 'id'), param(event, 'clientId'));
	return { ok: true };
});
