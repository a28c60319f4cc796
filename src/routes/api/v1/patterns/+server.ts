import { newPatternSchema } from '$lib/formats/schema/pattern';
import { createPattern, type HousePattern, listPatterns } from '$lib/server/db/patterns';
import { api, bodyOf } from '$lib/server/http';

/** The house's own patterns. */
export const GET = api(async () => ({ patterns: await listPatterns() }));
export const POST = api(async ({ request }) => {
	const { name, ...content } = await bodyOf<{ name: string } & HousePattern['content']>(
		request,
		newPatternSchema
	);
	return { id: await createPattern(name, content) };
}, 201);
