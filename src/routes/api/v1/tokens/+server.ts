import { tokenSchema } from '$lib/formats/schema/people/account';
import { makeToken, type Token, tokensOf } from '$lib/server/db/accounts/sessions';
import { api, bodyOf } from '$lib/server/http';

/** Programs that may use the API of the house. */
export const GET = api(async ({ locals }) => ({ tokens: await tokensOf(locals.houseId) }));

/** Makes a token, which is told once. */
export const POST = api(async ({ request, locals }) => {
	const { id, secret } = await makeToken(
		locals.houseId,
		await bodyOf<Pick<Token, 'name' | 'role'>>(request, tokenSchema)
	);
	return { id, token: secret };
}, 201);
