import { schooled } from '$lib/core/plan/day-report';
import { documentSteps } from '$lib/core/plan/planner';
import { planAnswer } from '$lib/formats/plan-answer';
import { type PlanRequest, planRequestSchema } from '$lib/formats/schema/plan';
import { InputError, api, bodyOf } from '$lib/server/http';
import { inTurns } from '$lib/server/planning';

export const POST = api(async ({ request }) => {
	const asked = await bodyOf<PlanRequest>(request, planRequestSchema);
	const id = asked.clientId ?? asked.clients[0]?.id;
	const client = asked.clients.find((one) => one.id === id);
	if (!client) {
		const ids = asked.clients.map((one) => one.id);
		const allowed = ids.length > 0 ? ids.join(', ') : 'the id of a client in the document';
		const message = ids.length > 0 ? `must be one of: ${allowed}` : 'needs a client: the document has none';
		throw new InputError([{ field: 'clientId', value: id ?? null, allowed, message }]);
	}
	const planned = await inTurns(documentSteps(asked, client, asked));
	return planAnswer(schooled(client, asked), planned, asked.trip.stages);
});
