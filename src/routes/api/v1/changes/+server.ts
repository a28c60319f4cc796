import { api, goodOf, jsonText } from '$lib/server/http';
import { inThread } from '$lib/server/work/workers';

/** Whose verdicts change between two documents: client, phase, from, to. */
export const POST = api(async ({ request, locals }) => {
	const signal = locals.gone;
	const asked = goodOf(await inThread('readChanges', await request.text(), { signal }));
	return jsonText(await inThread('changes', asked, { signal }));
});
