import { noteSchema } from '$lib/formats/schema/people/answers';
import { answerClient } from '$lib/server/db/guests/said';
import { api, bodyOf, param } from '$lib/server/http';

/** The house answers a client; it stands on the client's page. */
export const POST = api(async (event) => {
	const { text } = await bodyOf<{ text: string }>(event.request, noteSchema);
	const { houseId, by } = event.locals;
	await answerClient(houseId, param(event, 'id'), param(event, 'clientId'), by ?? '', text);
	return { ok: true };
}, 201);
