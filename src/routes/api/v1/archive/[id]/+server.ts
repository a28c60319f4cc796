import { setAside } from '$lib/server/db/backup';
import { api, param } from '$lib/server/http';
import { archiveAnswer, archiveIn, putInPlace } from '$lib/server/work/archive-requests';

/** What was set aside when a copy took its place. */
export const GET = api(async (event) => {
	const id = param(event, 'id');
	return archiveAnswer(await setAside(event.locals.houseId, id), `house-set-aside-${id}`);
});

/** What was set aside takes the place of all that is there again, which is set aside in turn. */
export const POST = api(async (event) => {
	const { houseId, gone } = event.locals;
	return putInPlace(houseId, await archiveIn(await setAside(houseId, param(event, 'id')), gone));
});
