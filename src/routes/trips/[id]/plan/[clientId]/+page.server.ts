import { error } from '@sveltejs/kit';
import { foulStage } from '$lib/core/plan/conditions';
import type { Stage } from '$lib/core/document/types';
import type { Wetness } from '$lib/core/plan/overnight';
import { planStage, schooled, wetBefore, type PlannedStage } from '$lib/core/plan/plan';
import { getDocument } from '$lib/server/db/clients';
import { orNotFound } from '$lib/server/http';

export async function load({ params, url }) {
	const document = await orNotFound(getDocument(params.id));
	const own = document.clients.find(({ id }) => id === params.clientId);
	if (!own) error(404, 'This client is not on the trip.');
	const client = schooled(own, document);
	const asked = Number(url.searchParams.get('day') ?? 1) - 1;
	const day = Math.min(
		Math.max(0, Number.isInteger(asked) ? asked : 0),
		Math.max(0, document.trip.stages.length - 1)
	);
	const stage = document.trip.stages[day];
	const { weathers, site } = document.trip;
	const weather = weathers.find(({ id }) => id === url.searchParams.get('weather')) ?? weathers[0]!;
	const variant = stage && url.searchParams.get('foul') ? foulStage(stage) : null;
	const shown = variant ?? stage;
	const plan = (day: Stage, morning: Wetness): PlannedStage =>
		planStage(day, weather, client, [], site, morning);
	return {
		trip: document.trip,
		others: document.clients.map(({ id, name }) => ({ id, name })),
		client,
		day,
		weather,
		foul: variant !== null,
		planned: stage && shown ? plan(shown, wetBefore(document.trip.stages, stage, client, plan)) : null
	};
}
