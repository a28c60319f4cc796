import type { ClientSays } from '$lib/core/kit/answers';
import { answersSchema } from '$lib/formats/schema/people/answers';
import { marksOn, notesOn, takeInAll } from '$lib/server/db/guests/said';
import { api, bodyOf } from '$lib/server/http';

/** What a client says, and what is known then: a page that was without connection sends all that it kept. */
export const POST = api(async ({ request, locals }) => {
	const guest = locals.guest!;
	const { says } = await bodyOf<{ says: ClientSays[] }>(request, answersSchema);
	await takeInAll(guest, says);
	const { tripId, clientId } = guest;
	const [marks, notes] = await Promise.all([marksOn(tripId, clientId), notesOn(tripId, clientId)]);
	return { marks: marks.get(clientId) ?? [], notes: notes.get(clientId) ?? [] };
});
