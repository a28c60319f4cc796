import type { SavedTrip } from '$lib/formats/saved-trip';
import { savedTripSchema } from '$lib/formats/schema/lending/packing';
import { upgradeDocument } from '$lib/formats/upgrade';
import { openTrip } from '$lib/server/db/packing/saved-trip';
import { api, bodyOf } from '$lib/server/http';

/** Opens a trip that was saved: a new one with its clients, their kits, and what was written and decided for them. */
export const POST = api(async ({ request, locals }) => {
	const document = await bodyOf<SavedTrip>(request, savedTripSchema, upgradeDocument);
	return { id: await openTrip(locals.houseId, document) };
}, 201);
