// npm run restore -- file: the house as it was when that archive was written. What is there now is set aside, never deleted; an
// archive that is bad or cut changes nothing.
import { existsSync, readFileSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { fail, say, Trouble } from './lib/console.mjs';
import { lockFolder } from './lib/lock.mjs';
import { ensurePackages, ensurePrograms } from './lib/machine.mjs';
import { startMariadb } from './lib/mariadb.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const folder = path.join(root, '.data/demo');
const [file] = process.argv.slice(2);

async function restore() {
	if (!file || !existsSync(file))
		throw new Trouble(
			file ? `There is no file ${file}.` : 'No file was named.',
			'name the archive, as in: npm run restore -- house-2027-01-20.zip'
		);
	lockFolder(folder);
	ensurePackages(root);
	ensurePrograms(['mariadbd', 'mariadb-install-db']);
	const { loadTs } = await import('./lib/load-ts.mjs');
	const { restoreArchive, checkArchive, erasedNow } = await loadTs('scripts/lib/prepare-database.ts');
	const archive = readFileSync(file);
	const bad = (error) => new Trouble(error.message, 'take another copy; nothing was changed.');
	try {
		checkArchive(archive);
	} catch (error) {
		throw bad(error);
	}
	const data = path.join(folder, 'data');
	const aside = `${data}-before-${new Date().toISOString().replace(/[:.]/g, '-')}`;
	const hadData = existsSync(data);
	// Who was erased stays so, whatever the archive holds.
	let erased = [];
	if (hadData) {
		// A database that was left running is stopped first, so that what is set aside is whole.
		const old = await startMariadb(folder, 5390);
		Object.assign(process.env, old.schemaEnv);
		erased = await erasedNow().finally(() => old.stop());
		renameSync(data, aside);
	}
	let database = null;
	try {
		database = await startMariadb(folder, 5390);
		Object.assign(process.env, database.schemaEnv);
		const many = await restoreArchive(archive, path.join(root, 'db/migrations'), erased);
		say(`${many} rows restored from ${file}`);
		if (hadData) say(`what was there before is in ${aside}`);
	} catch (error) {
		await database?.stop();
		database = null;
		rmSync(data, { recursive: true, force: true });
		if (hadData) renameSync(aside, data);
		throw error?.constructor?.name === 'ArchiveError' ? bad(error) : error;
	} finally {
		await database?.stop();
	}
}

restore()
	.catch(fail)
	.finally(() => process.exit());
