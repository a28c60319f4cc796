import { schooled } from '$lib/core/conditions/person';
import { upgradeDocument } from '$lib/formats/upgrade';
import { planAnswer } from '$lib/formats/plan-answer';
import { type PlanRequest, planRequestSchema } from '$lib/formats/schema/plan';
import { InputError, api, bodyOf } from '$lib/server/http';
import { planOfDocument } from '$lib/server/plans/keep';

export const POST = api(async ({ request }) => {
	const asked = await bodyOf<PlanRequest>(request, planRequestSchema, upgradeDocument);
	const id = asked.clientId ?? asked.clients[0]?.id;
	const client = asked.clients.find((one) => one.id === id);
	if (!client) {
		const ids = asked.clients.map((one) => one.id);
		const allowed = ids.length > 0 ? ids.join(', ') : 'the id of a client in the document';
		const message = ids.length > 0 ? `must be one of: ${allowed}` : 'needs a client: the document has none';
		throw new InputError([{ field: 'clientId', value: id ?? null, allowed, message }]);
	}
	const { days } = await planOfDocument(asked, client, asked);
	return planAnswer(schooled(client, asked), days, asked.trip);
});
