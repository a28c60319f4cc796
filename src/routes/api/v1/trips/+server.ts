import { newTripSchema } from '$lib/formats/schema';
import { createTrip, listTrips } from '$lib/server/db/trips';
import { api, bodyOf } from '$lib/server/http';

export const GET = api(async () => ({ trips: await listTrips() }));
export const POST = api(async ({ request }) => {
	const { name, place } = await bodyOf<{ name: string; place: string }>(request, newTripSchema);
	return { id: await createTrip(name, place) };
}, 201);
