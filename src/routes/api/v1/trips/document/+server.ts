import type { Document } from '$lib/core/document/types';
import { documentSchema } from '$lib/formats/schema/document';
import { upgradeDocument } from '$lib/formats/upgrade';
import { openDocument } from '$lib/server/db/packing/open-document';
import { api, bodyOf } from '$lib/server/http';

/** Opens a document that was saved: a new trip with its clients and their kits. */
export const POST = api(async ({ request, locals }) => {
	const document = await bodyOf<Document>(request, documentSchema, upgradeDocument);
	return { id: await openDocument(locals.houseId, document) };
}, 201);
