import { orNotFound } from '$lib/server/http';
import { tomorrowOnTrip } from '$lib/server/plans/tomorrow';

export async function load({ params, url, locals }) {
	const asked = Number(url.searchParams.get('day')) - 1;
	const day = Number.isInteger(asked) && asked >= 0 ? asked : null;
	const today = new Date().toISOString().slice(0, 10);
	const { trip, ...rest } = await orNotFound(tomorrowOnTrip(locals.houseId, params.id, day, today));
	return {
		...rest,
		trip: {
			id: trip.id,
			name: trip.name,
			stages: trip.stages.map(({ id, name, date }) => ({ id, name, date }))
		}
	};
}
