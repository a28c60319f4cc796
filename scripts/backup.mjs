// npm run backup [-- file]: everything that the house has, as one open archive, while the app runs or not.
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { fail, say, Trouble } from './lib/console.mjs';
import { lockFolder } from './lib/lock.mjs';
import { ensurePackages, ensurePrograms } from './lib/machine.mjs';
import { connectionTo, startMariadb } from './lib/mariadb.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const folder = path.join(root, '.data/demo');
const day = new Date().toISOString().slice(0, 16).replace('T', '-').replace(':', '');
const file = path.resolve(process.argv[2] ?? path.join(root, '.data/copies', `house-${day}.zip`));

async function backup() {
	let started = null;
	let connection = await connectionTo(folder);
	if (!connection) {
		lockFolder(folder);
		ensurePackages(root);
		ensurePrograms(['mariadbd', 'mariadb-install-db']);
		started = await startMariadb(folder, 5390);
		connection = started.env;
	}
	try {
		Object.assign(process.env, connection);
		const { loadTs } = await import('./lib/load-ts.mjs');
		const { writeArchive } = await loadTs('scripts/lib/prepare-database.ts');
		const bytes = await writeArchive(file).catch((error) => {
			if (error.code === 'EEXIST')
				throw new Trouble(`${file} is there already; nothing was written.`, 'name another file.');
			throw error;
		});
		say(`${file} holds everything, ${(bytes / 1000).toFixed(0)} kB`);
	} finally {
		await started?.stop();
	}
}

backup()
	.catch(fail)
	.finally(() => process.exit());
