import { savedTrip } from '$lib/server/db/packing/saved-trip';
import { saveTrip, setTripDeleted } from '$lib/server/db/trips';
import { api, goodOf, param } from '$lib/server/http';
import { tripEditAsked } from '$lib/server/work/asked';
import { inThread } from '$lib/server/work/workers';

/** The trip with its clients, their kit, and what was written and decided for them, as one document. */
export const GET = api(async (event) => savedTrip(event.locals.houseId, param(event, 'id')));
/** A trip so long is checked in a thread, so that others need not wait for it, characters. */
const LARGE = 60_000;
export const PUT = api(async (event) => {
	const text = await event.request.text();
	const edit = goodOf(
		text.length < LARGE ? tripEditAsked(text) : await inThread('tripEdit', { text }, { kind: 'checked' })
	);
	return { version: await saveTrip(event.locals.houseId, param(event, 'id'), edit) };
});
export const DELETE = api(async (event) => setTripDeleted(event.locals.houseId, param(event, 'id'), true));
