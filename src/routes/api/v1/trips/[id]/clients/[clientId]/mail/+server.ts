import { mailSchema } from '$lib/formats/schema/people/answers';
import type { Language } from '$lib/words/guest/guest-words';
import { api, bodyOf, param } from '$lib/server/http';
import { writeToClient } from '$lib/server/mail/letter-to-client';

/** Writes to a client: a new link, or a reminder. */
export const POST = api(async (event) => {
	const { kind, language } = await bodyOf<{ kind: 'link' | 'reminder'; language: Language }>(
		event.request,
		mailSchema
	);
	await writeToClient({
		houseId: event.locals.houseId,
		tripId: param(event, 'id'),
		clientId: param(event, 'clientId'),
		by: event.locals.by ?? '',
		origin: event.url.origin,
		kind,
		language
	});
	return { ok: true };
}, 201);
