import { decisionsSchema } from '$lib/formats/schema/lending/decision';
import { decisionsOf, type NewDecision, saveDecisions } from '$lib/server/db/lending/decisions';
import { belongs } from '$lib/server/db/trips';
import { api, bodyOf, param } from '$lib/server/http';

export const GET = api(async (event) => {
	await belongs('trips', event.locals.houseId, param(event, 'id'));
	return decisionsOf(param(event, 'id'), param(event, 'clientId'));
});
export const POST = api(async (event) => {
	const { decisions } = await bodyOf<{ decisions: NewDecision[] }>(event.request, decisionsSchema);
	await saveDecisions(event.locals.houseId, param(event, 'id'), param(event, 'clientId'), decisions);
}, 201);
