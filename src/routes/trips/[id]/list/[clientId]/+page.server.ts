import { listOf } from '$lib/core/kit/list';
import { schooled } from '$lib/core/plan/day-report';
import { documentSteps } from '$lib/core/plan/planner';
import { getDocument } from '$lib/server/db/clients';
import { getWishes } from '$lib/server/db/plans';
import { orNotFound } from '$lib/server/http';
import { inTurns } from '$lib/server/planning';
import { error } from '@sveltejs/kit';

export async function load({ params }) {
	const [document, wished] = await Promise.all([
		orNotFound(getDocument(params.id)),
		getWishes(params.id, params.clientId)
	]);
	const own = document.clients.find(({ id }) => id === params.clientId);
	if (!own) error(404, 'This client is not on the trip.');
	const client = schooled(own, document);
	const { trip } = document;
	return {
		trip: {
			id: trip.id,
			name: trip.name,
			place: trip.place,
			stages: trip.stages.map(({ id, name, date }) => ({ id, name, date }))
		},
		names: Object.fromEntries(client.things.map(({ id, name }) => [id, name])),
		client: { id: client.id, name: client.name, knowsKit: client.things.length > 0 },
		list: listOf(client, await inTurns(documentSteps(document, client, wished)), trip.stages)
	};
}
