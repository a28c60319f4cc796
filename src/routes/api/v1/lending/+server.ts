import { api, goodOf, jsonText } from '$lib/server/http';
import { inThread } from '$lib/server/work/workers';

/** Who gets what of a stock that is sent with a document, over all its clients. */
export const POST = api(async ({ request, locals }) => {
	const signal = locals.gone;
	const asked = goodOf(await inThread('readLending', await request.text(), { signal }));
	return jsonText(await inThread('whoGetsWhat', asked, { signal }));
});
