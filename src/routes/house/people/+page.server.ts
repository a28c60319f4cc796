import { accountsOf } from '$lib/server/db/accounts/accounts';
import { tokensOf } from '$lib/server/db/accounts/sessions';

export async function load({ locals }) {
	const [accounts, tokens] = await Promise.all([accountsOf(locals.houseId), tokensOf(locals.houseId)]);
	return { accounts, tokens, me: locals.who?.accountId ?? null };
}
