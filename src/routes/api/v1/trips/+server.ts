import { newTripSchema } from '$lib/formats/schema/trip';
import { seasonPage } from '$lib/server/db/lists';
import { createTrip, type NewTrip } from '$lib/server/db/trips';
import { api, bodyOf } from '$lib/server/http';
import { seasonQuestion } from '$lib/server/list-question';

/** One page of the season: `?q=words&when=ahead|past&page=1`. */
export const GET = api(async ({ url, locals }) => seasonPage(locals.houseId, seasonQuestion(url)));
export const POST = api(
	async ({ request, locals }) => ({
		id: await createTrip(locals.houseId, await bodyOf<NewTrip>(request, newTripSchema))
	}),
	201
);
