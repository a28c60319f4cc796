import type { Mark } from '$lib/core/kit/answers';
import { markSchema } from '$lib/formats/schema/people/answers';
import { tickFor } from '$lib/server/db/guests/said';
import { api, bodyOf, param } from '$lib/server/http';

/** Somebody of the house ticks a line for a client: at the check of the kit, say. */
export const POST = api(async (event) => {
	const { lineId, mark } = await bodyOf<{ lineId: string; mark: Mark }>(event.request, markSchema);
	await tickFor(event.locals.houseId, param(event, 'id'), param(event, 'clientId'), lineId, mark);
	return { ok: true };
});
