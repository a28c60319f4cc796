import { photoSchema } from '$lib/formats/schema/people/answers';
import { addPhoto } from '$lib/server/db/guests/photos';
import { cleanPhoto } from '$lib/server/files/photo';
import { api, queryOf } from '$lib/server/http';

/** A photo of a thing of one's own kit, as bytes; what comes in twice counts once. */
export const POST = api(async ({ request, url, locals }) => {
	const { id, thing } = queryOf<{ id: string; thing: string }>(url, photoSchema);
	await addPhoto(locals.guest!, id, thing, await cleanPhoto(new Uint8Array(await request.arrayBuffer())));
	return { id };
}, 201);
