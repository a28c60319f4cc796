import { api, goodOf, jsonText } from '$lib/server/http';
import { inThread } from '$lib/server/work/workers';

/** What to ask a client of a document that is sent, in the order of what each answer is worth. */
export const POST = api(async ({ request, locals }) => {
	const signal = locals.gone;
	const asked = goodOf(await inThread('readQuestions', await request.text(), { signal }));
	return jsonText(await inThread('whatToAsk', asked, { signal }));
});
