import { listOf } from '$lib/core/kit/list';
import { schooled } from '$lib/core/conditions/person';
import { getDocument } from '$lib/server/db/clients';
import { getWishes } from '$lib/server/db/wishes';
import { orNotFound } from '$lib/server/http';
import { planOfClient } from '$lib/server/plans/keep';
import { error } from '@sveltejs/kit';

export async function load({ params, locals }) {
	const [document, wished] = await Promise.all([
		orNotFound(getDocument(locals.houseId, params.id)),
		getWishes(params.id, params.clientId)
	]);
	const own = document.clients.find(({ id }) => id === params.clientId);
	if (!own) error(404, 'This client is not on the trip.');
	const client = schooled(own, document);
	const { trip } = document;
	const { days } = await planOfClient(document, own, wished);
	return {
		trip: {
			id: trip.id,
			name: trip.name,
			place: trip.place,
			stages: trip.stages.map(({ id, name, date }) => ({ id, name, date }))
		},
		names: Object.fromEntries(client.things.map(({ id, name }) => [id, name])),
		client: { id: client.id, name: client.name, knowsKit: client.things.length > 0 },
		list: listOf(client, days, trip.stages)
	};
}
