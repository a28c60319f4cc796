import { schooled } from '$lib/core/plan/day-report';
import { getDocument } from '$lib/server/db/clients';
import { getWishes } from '$lib/server/db/plans';
import { orNotFound } from '$lib/server/http';
import { error } from '@sveltejs/kit';

export async function load({ params, url }) {
	const [document, wished] = await Promise.all([
		orNotFound(getDocument(params.id)),
		getWishes(params.id, params.clientId)
	]);
	const own = document.clients.find(({ id }) => id === params.clientId);
	if (!own) error(404, 'This client is not on the trip.');
	const asked = Number(url.searchParams.get('day') ?? 1) - 1;
	const day = Math.min(
		Math.max(0, Number.isInteger(asked) ? asked : 0),
		Math.max(0, document.trip.stages.length - 1)
	);
	const { weathers, stages } = document.trip;
	return {
		trip: document.trip,
		others: document.clients.map(({ id, name }) => ({ id, name })),
		client: schooled(own, document),
		wished,
		day,
		weather: weathers.find(({ id }) => id === url.searchParams.get('weather')) ?? weathers[0]!,
		foul: Boolean(url.searchParams.get('foul') && stages[day]?.foul)
	};
}
