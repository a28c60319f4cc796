import { getDocument } from '$lib/server/db/clients';
import { NotFoundError } from '$lib/server/db/pool';
import { getWishes } from '$lib/server/db/wishes';
import { api, jsonText, param } from '$lib/server/http';
import { packedPlanOfClient } from '$lib/server/plans/keep';
import { inThread } from '$lib/server/work/workers';

/** The plan of a client on a trip, with what is wished of it, as `POST /api/v1/plan` answers. */
export const GET = api(async (event) => {
	const [tripId, clientId] = [param(event, 'id'), param(event, 'clientId')];
	const document = await getDocument(event.locals.houseId, tripId);
	const client = document.clients.find(({ id }) => id === clientId);
	if (!client) throw new NotFoundError('client');
	const signal = event.locals.gone;
	const { days } = await packedPlanOfClient(document, client, await getWishes(tripId, clientId), signal);
	return jsonText(await inThread('answerOf', { document, client, days }, { signal }));
});
