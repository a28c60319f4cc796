import type { ClientSays } from '$lib/core/kit/answers';
import { answersSchema } from '$lib/formats/schema/people/answers';
import { notesOn, takeInAll } from '$lib/server/db/guests/said';
import { api, bodyOf } from '$lib/server/http';

/** What a client says, and how the lines stand then: a page that was without connection sends all that it kept. */
export const POST = api(async ({ request, locals }) => {
	const guest = locals.guest!;
	const { says } = await bodyOf<{ says: ClientSays[] }>(request, answersSchema);
	const marks = await takeInAll(guest, says);
	// Notes are told again where one came in: they change seldom.
	if (!says.some(({ kind }) => kind === 'note')) return { marks };
	return { marks, notes: (await notesOn(guest.tripId, guest.clientId)).get(guest.clientId) ?? [] };
});
