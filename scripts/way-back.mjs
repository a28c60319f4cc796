// npm run way-back -- mail@address: a link by which somebody who is locked out chooses another password. For whoever sits at the
// machine: an owner has nobody else to ask.
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { fail, say, Trouble } from './lib/console.mjs';
import { connectionTo } from './lib/mariadb.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const [mail] = process.argv.slice(2);

async function wayBack() {
	if (!mail)
		throw new Trouble('No address was named.', 'name it, as in: npm run way-back -- mara@outfitter.example');
	const connection = await connectionTo(path.join(root, '.data/demo'));
	if (!connection) throw new Trouble('The app is not running.', 'start it first: npm start');
	Object.assign(process.env, connection);
	const { loadTs } = await import('./lib/load-ts.mjs');
	const { wayBackFor } = await loadTs('scripts/lib/prepare-database.ts');
	const secret = await wayBackFor(mail);
	if (!secret) throw new Trouble(`Nobody signs in with ${mail}.`, 'look at the address again.');
	const address = process.env.SNUG_ADDRESS ?? `http://127.0.0.1:${process.env.PORT ?? 5180}`;
	say(`works once, for seven days: ${address}/password/${secret}`);
}

wayBack()
	.catch(fail)
	.finally(() => process.exit());
