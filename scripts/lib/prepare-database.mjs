// Migrates the database of the environment and puts the demo into it.
import { loadTs } from './load-ts.mjs';

const { prepareDatabase } = await loadTs('scripts/lib/prepare-database.ts');
await prepareDatabase(process.env.SNUG_MIGRATIONS, true);
