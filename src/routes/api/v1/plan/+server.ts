import { api, goodOf, jsonText } from '$lib/server/http';
import { planOfDocument } from '$lib/server/plans/keep';
import { inThread } from '$lib/server/work/workers';

/** The plan of a document that is sent, for one of its clients. */
export const POST = api(async ({ request, locals }) => {
	const signal = locals.gone;
	const { asked, client } = goodOf(await inThread('readPlan', await request.text(), { signal }));
	const { days } = await planOfDocument(asked, client, asked, signal);
	return jsonText(await inThread('answerOf', { document: asked, client, days }, { signal }));
});
