import { ENTRIES_AT_ONCE, entriesOf } from '$lib/server/db/accounts/entries';

export async function load({ locals, url }) {
	const before = Number(url.searchParams.get('before') ?? NaN);
	const entries = await entriesOf(locals.houseId, Number.isSafeInteger(before) ? before : null);
	return { entries, older: entries.length === ENTRIES_AT_ONCE ? entries.at(-1)!.id : null };
}
