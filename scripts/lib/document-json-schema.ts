import parse from 'joi-to-json';
import { DOCUMENT_VERSION } from '../../src/lib/core/document/types';
import { documentSchema } from '$lib/formats/schema/document';

export const SCHEMA_FILE = `static/schema/document-${DOCUMENT_VERSION}.json`;

/** The document's JSON Schema (draft 2019-09), from the Joi rules. */
export function documentJsonSchema(): Record<string, unknown> {
	return {
		$schema: 'https://json-schema.org/draft/2019-09/schema',
		$id: `snug-summit/document/${DOCUMENT_VERSION}`,
		title: 'Snug Summit document: a trip, its clients and their kit',
		...(parse(documentSchema, 'json-draft-2019-09') as Record<string, unknown>)
	};
}
