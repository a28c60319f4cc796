import { getDocument } from '$lib/server/db/clients';
import { orNotFound } from '$lib/server/http';
import { planGroup } from '$lib/server/plans/work';

export async function load({ params, locals }) {
	const { trip, clients } = await orNotFound(getDocument(locals.houseId, params.id));
	return {
		trip: {
			id: trip.id,
			name: trip.name,
			place: trip.place,
			stages: trip.stages.map(({ id, name, date }) => ({ id, name, date })),
			weathers: trip.weathers.map(({ id, name }) => ({ id, name }))
		},
		/** how far they are; what is not there is begun */
		plans: await planGroup(locals.houseId, trip.id),
		clients: clients.map(({ id, name, things }) => ({ id, name, things: things.length }))
	};
}
