import { eraseSchema } from '$lib/formats/schema/people/answers';
import { eraseClient, keptOf } from '$lib/server/db/guests/kept';
import { api, bodyOf, InputError, param } from '$lib/server/http';

/** Erases a client for good, once the name was typed: this is the one thing that cannot be undone. */
export const POST = api(async (event) => {
	const { name } = await bodyOf<{ name: string }>(event.request, eraseSchema);
	const { houseId } = event.locals;
	const kept = await keptOf(houseId, param(event, 'id'));
	const is = String(kept['clients']![0]!['name']);
	if (name.trim() !== is)
		throw new InputError([
			{ field: 'name', value: name, allowed: is, message: 'is not the name of this client' }
		]);
	await eraseClient(houseId, param(event, 'id'));
	return { ok: true };
});
