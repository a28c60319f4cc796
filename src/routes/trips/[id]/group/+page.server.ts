import { orNotFound } from '$lib/server/http';
import { groupOf } from '$lib/server/plans/work';

export async function load({ params, locals }) {
	const { document, plans } = await orNotFound(groupOf(locals.houseId, params.id));
	const { trip, clients } = document;
	return {
		trip: {
			id: trip.id,
			name: trip.name,
			place: trip.place,
			stages: trip.stages.map(({ id, name, date }) => ({ id, name, date })),
			weathers: trip.weathers.map(({ id, name }) => ({ id, name }))
		},
		/** how far they are; what was not there is begun */
		plans,
		clients: clients.map(({ id, name, things }) => ({ id, name, things: things.length }))
	};
}
