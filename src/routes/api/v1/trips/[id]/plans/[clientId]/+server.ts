import { wishesSchema } from '$lib/formats/schema/wish';
import { getDocument } from '$lib/server/db/clients';
import { NotFoundError } from '$lib/server/db/pool';
import { belongs } from '$lib/server/db/trips';
import { getWishes, saveWishes, type PlanWishes } from '$lib/server/db/wishes';
import { api, bodyOf, param } from '$lib/server/http';

export const GET = api(async (event) => {
	const { houseId } = event.locals;
	await Promise.all([
		belongs('trips', houseId, param(event, 'id')),
		belongs('clients', houseId, param(event, 'clientId'))
	]);
	return getWishes(param(event, 'id'), param(event, 'clientId'));
});
export const PUT = api(async (event) => {
	const [tripId, clientId] = [param(event, 'id'), param(event, 'clientId')];
	const asked = await bodyOf<PlanWishes>(event.request, wishesSchema);
	const { clients } = await getDocument(event.locals.houseId, tripId);
	if (!clients.some(({ id }) => id === clientId)) throw new NotFoundError('client');
	return { version: await saveWishes(tripId, clientId, asked) };
});
