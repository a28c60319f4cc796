import { addressSchema } from '$lib/formats/schema/people/answers';
import { saveAddress } from '$lib/server/db/guests/addresses';
import { api, bodyOf } from '$lib/server/http';

/** Where the client gets mail; an empty one is forgotten. */
export const PUT = api(async ({ request, locals }) => {
	const { mail } = await bodyOf<{ mail: string }>(request, addressSchema);
	await saveAddress(locals.guest!.clientId, mail);
	return { mail };
});
