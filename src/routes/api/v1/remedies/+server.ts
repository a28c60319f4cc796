import { api, goodOf, jsonText } from '$lib/server/http';
import { inThread } from '$lib/server/work/workers';

/** What to get for one client of a document that is sent, among candidates that are sent with it. */
export const POST = api(async ({ request, locals }) => {
	const signal = locals.gone;
	const asked = goodOf(await inThread('readRemedies', await request.text(), { signal }));
	return jsonText(await inThread('whatToGet', asked, { signal }));
});
