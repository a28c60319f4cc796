import { invitedSchema } from '$lib/formats/schema/people/account';
import { accountsOf, invite, type NewPerson } from '$lib/server/db/accounts/accounts';
import { api, bodyOf } from '$lib/server/http';

/** Everybody who may come in. */
export const GET = api(async ({ locals }) => ({ accounts: await accountsOf(locals.houseId) }));

/** Invites somebody; the link is told once, and handed over by who invites. */
export const POST = api(async (event) => {
	const { id, secret } = await invite(
		event.locals.houseId,
		await bodyOf<NewPerson>(event.request, invitedSchema)
	);
	return { id, link: `${event.url.origin}/password/${secret}` };
}, 201);
