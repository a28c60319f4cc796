import { countedIn, everything } from '$lib/server/db/backup';
import { api } from '$lib/server/http';
import { archiveAnswer, archiveIn, putInPlace } from '$lib/server/work/archive-requests';
import { inThread } from '$lib/server/work/workers';

/** Everything that the house has, as an open archive, as it is at this moment. */
export const GET = api(async ({ locals }) =>
	archiveAnswer(
		await inThread('archiveOf', await everything(locals.houseId), { signal: locals.gone }),
		`house-${new Date().toISOString().slice(0, 10)}`
	)
);

/** What an archive holds takes the place of all that is there, which is set aside. With `?look`, it is only read and counted. */
export const POST = api(async ({ request, url, locals }) => {
	const wanted = await archiveIn(await request.arrayBuffer(), locals.gone);
	if (url.searchParams.has('look')) return countedIn(wanted);
	return putInPlace(locals.houseId, wanted);
});
