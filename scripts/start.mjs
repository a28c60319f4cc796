// npm start: installs what is missing, starts the database, brings it up to date, builds when stale, serves the app.
// Flags: --reset-demo loads the demo anew; --dev serves the sources with live reload instead of the build.
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { startApp } from './lib/app.mjs';
import { Trouble, fail, say } from './lib/console.mjs';
import { checkNode, ensureBuild, ensurePackages, ensurePrograms, isPortFree, run } from './lib/machine.mjs';
import { lockFolder } from './lib/lock.mjs';
import { startMariadb } from './lib/mariadb.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const flags = new Set(process.argv.slice(2));
const port = Number(process.env.PORT ?? 5180);

const folder = path.join(root, '.data/demo');
/** A database that ends by itself is started again, so often within so long. */
const MOST_RESTARTS = 3;
const RESTARTS_WITHIN_MS = 600_000;

const running = [];
let stopping = null;
/** Stops what was started, the last one first. */
function stopAll() {
	stopping ??= (async () => {
		for (const part of running.reverse()) await part.stop();
	})();
	return stopping;
}
let wanted = false;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
	process.on(signal, () => {
		if (!wanted) say('stopping');
		wanted = true;
		stopAll().then(() => process.exit());
	});
}

async function start() {
	checkNode();
	lockFolder(folder);
	if (!Number.isInteger(port) || port < 1 || port > 65535) {
		throw new Trouble(
			`PORT is ${process.env.PORT}, which is no port.`,
			'give a number from 1024 to 65535, as in: PORT=8080 npm start'
		);
	}
	if (!(await isPortFree(port))) {
		throw new Trouble(
			`Port ${port} is taken; perhaps Snug Summit runs already at http://127.0.0.1:${port}.`,
			'stop that program, or use another port: PORT=8080 npm start'
		);
	}
	ensurePrograms(['mariadbd', 'mariadb-install-db']);
	ensurePackages(root);
	let database = await startMariadb(folder, 5390, port);
	// The database stops last, whichever it is by then.
	running.push({ stop: () => database.stop() });
	Object.assign(process.env, database.schemaEnv);
	const { loadTs } = await import('./lib/load-ts.mjs');
	const { prepareDatabase } = await loadTs('scripts/lib/prepare-database.ts');
	for (const line of await prepareDatabase(
		path.join(root, 'db/migrations'),
		flags.has('--reset-demo'),
		path.join(root, '.data/copies')
	))
		say(line);
	let app;
	if (flags.has('--dev')) {
		const { child, ended } = run(
			process.execPath,
			[
				path.join(root, 'node_modules/vite/bin/vite.js'),
				'dev',
				'--host',
				'127.0.0.1',
				'--port',
				String(port)
			],
			{ cwd: root, stdio: 'inherit', env: { ...process.env, ...database.env } }
		);
		app = {
			address: `http://127.0.0.1:${port}`,
			ended,
			stop: async () => void (child.kill('SIGTERM'), await ended)
		};
	} else {
		ensureBuild(root);
		app = await startApp(root, port, database.env);
	}
	running.push(app);
	console.log(`\n  Snug Summit is at ${app.address}\n  Ctrl-C stops it.\n`);
	for (const restarts = []; ;) {
		const ended = await Promise.race([app.ended.then(() => 'app'), database.ended.then(() => 'database')]);
		if (wanted) return;
		const now = Date.now();
		const lately = restarts.filter((at) => now - at < RESTARTS_WITHIN_MS).length;
		if (ended === 'app' || lately >= MOST_RESTARTS)
			throw new Trouble(`The ${ended} ended by itself.`, 'start again; the data is kept.');
		say('the database ended by itself: starting it again; pages say so meanwhile');
		restarts.push(now);
		database = await startMariadb(folder, 5390, port);
	}
}

start().catch(async (error) => {
	if (!wanted) fail(error);
	await stopAll();
	process.exit();
});
