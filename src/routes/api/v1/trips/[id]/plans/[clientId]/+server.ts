import { wishesSchema } from '$lib/formats/schema/wish';
import { getDocument } from '$lib/server/db/clients';
import { getWishes, type PlanWishes, saveWishes } from '$lib/server/db/plans';
import { NotFoundError } from '$lib/server/db/pool';
import { api, bodyOf } from '$lib/server/http';

export const GET = api(({ params }) => getWishes(params.id!, params.clientId!));
export const PUT = api(async ({ params, request }) => {
	const asked = await bodyOf<PlanWishes>(request, wishesSchema);
	const { clients } = await getDocument(params.id!);
	if (!clients.some(({ id }) => id === params.clientId)) throw new NotFoundError('client');
	return { version: await saveWishes(params.id!, params.clientId!, asked) };
});
