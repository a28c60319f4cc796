import { everything } from '$lib/server/db/backup';
import { api } from '$lib/server/http';
import { inThread } from '$lib/server/work/workers';

/** Everything that the house has, as an open archive, as it is at this moment. */
export const GET = api(async ({ locals }) => {
	const archive = await inThread('archiveOf', await everything(), { signal: locals.gone });
	const day = new Date().toISOString().slice(0, 10);
	return new Response(Buffer.from(archive), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': `attachment; filename="house-${day}.zip"`
		}
	});
});
