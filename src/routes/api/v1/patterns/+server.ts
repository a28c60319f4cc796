import { newPatternSchema } from '$lib/formats/schema/pattern';
import { createPattern, type HousePattern, listPatterns } from '$lib/server/db/patterns';
import { api, bodyOf } from '$lib/server/http';

/** The house's own patterns. */
export const GET = api(async ({ locals }) => ({ patterns: await listPatterns(locals.houseId) }));
export const POST = api(async ({ request, locals }) => {
	const { name, ...content } = await bodyOf<{ name: string } & HousePattern['content']>(
		request,
		newPatternSchema
	);
	return { id: await createPattern(locals.houseId, name, content) };
}, 201);
