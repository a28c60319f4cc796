import { schooled } from '$lib/core/conditions/person';
import { planAnswer } from '$lib/formats/plan-answer';
import { getDocument } from '$lib/server/db/clients';
import { NotFoundError } from '$lib/server/db/pool';
import { getWishes } from '$lib/server/db/wishes';
import { api, param } from '$lib/server/http';
import { planOfClient } from '$lib/server/plans/keep';

/** The plan of a client on a trip, with what is wished of it, as `POST /api/v1/plan` answers. */
export const GET = api(async (event) => {
	const [tripId, clientId] = [param(event, 'id'), param(event, 'clientId')];
	const document = await getDocument(event.locals.houseId, tripId);
	const client = document.clients.find(({ id }) => id === clientId);
	if (!client) throw new NotFoundError('client');
	const { days } = await planOfClient(document, client, await getWishes(tripId, clientId));
	return planAnswer(schooled(client, document), days, document.trip);
});
