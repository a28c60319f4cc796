import { planGroup } from '$lib/server/plans/work';
import { api, param } from '$lib/server/http';

/** How far the plans of all clients are, or of one. What is not there, or answers an older question, is begun. */
export const GET = api(async (event) => {
	const client = event.url.searchParams.get('client');
	return {
		plans: await planGroup(event.locals.houseId, param(event, 'id'), client === null ? undefined : [client])
	};
});
