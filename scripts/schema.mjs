// Writes the published JSON Schema of the document from the rules that the server checks with.
import { writeFile } from 'node:fs/promises';
import { loadTs } from './lib/load-ts.mjs';

const { documentJsonSchema, SCHEMA_FILE } = await loadTs('scripts/lib/document-json-schema.ts');
await writeFile(SCHEMA_FILE, JSON.stringify(documentJsonSchema(), null, '\t') + '\n');
console.log(`wrote ${SCHEMA_FILE}`);
