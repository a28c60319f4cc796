// npm test: format, lint, types, unit, reference and database tests, build, browser. Installs what is missing, and uses
// a database folder and ports of its own, so that it runs beside a running demo.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { startApp } from './lib/app.mjs';
import { fail, say, Trouble } from './lib/console.mjs';
import {
	checkNode,
	ensureBuild,
	ensurePackages,
	ensurePrograms,
	freePort,
	programPath
} from './lib/machine.mjs';
import { startMariadb } from './lib/mariadb.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const bin = (name) => path.join(root, 'node_modules/.bin', name);
const folder = path.join(root, '.data/test');
const total = { passed: 0, failed: 0 };
const running = [];

/** `npm test -- --browser` builds and runs the tests of the browser alone. */
const browserOnly = process.argv.includes('--browser');

async function stopAll() {
	while (running.length > 0) await running.pop().stop();
}
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => stopAll().then(() => process.exit(1)));

function count(passed, failed) {
	total.passed += passed;
	total.failed += failed;
}

/** Runs a command and shows what it says, as it says it or at its end; resolves to whether it succeeded. */
function runs(command, args, env = {}, atEnd = false) {
	return new Promise((resolve) => {
		const out = atEnd ? 'pipe' : 'inherit';
		const child = spawn(command, args, {
			cwd: root,
			stdio: ['ignore', out, out],
			env: { ...process.env, ...env }
		});
		const said = [];
		child.stdout?.on('data', (part) => said.push(part));
		child.stderr?.on('data', (part) => said.push(part));
		child.once('error', () => resolve(false));
		child.once('close', (code) => {
			process.stdout.write(Buffer.concat(said));
			resolve(code === 0);
		});
	});
}

/** One step that passes or fails as a whole. */
async function step(name, work) {
	say(name);
	const begin = Date.now();
	const good = await work();
	count(good ? 1 : 0, good ? 0 : 1);
	console.log(`  ${good ? '✓' : '✗'} ${name}, ${((Date.now() - begin) / 1000).toFixed(0)} s`);
	return good;
}

/** Adds what a test runner wrote to its report; a run without a report is a failure. */
function addReport(file, read, good) {
	if (!existsSync(file)) return count(0, 1);
	const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
	count(passed, failed);
	if (!good && failed === 0) count(0, 1);
}

/** Runs tests of Vitest and adds up what they report. @param atEnd what they say is shown at their end */
async function vitest(name, report, args, env, atEnd = false) {
	say(name);
	const file = path.join(folder, `${report}.json`);
	const wanted = ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${file}`];
	const good = await runs(bin('vitest'), [...wanted, ...args], env, atEnd);
	addReport(file, (told) => ({ passed: told.numPassedTests, failed: told.numFailedTests }), good);
}

/** Brings a database up to date with the demo in it: in a process of its own, since a pool belongs to one database. */
async function prepare(env) {
	const script = path.join(root, 'scripts/lib/prepare-database.mjs');
	if (!(await runs(process.execPath, [script], env)))
		throw new Trouble('The database of the tests could not be prepared, see above.', 'run the tests again.');
}

/** Format, types, lint, and all tests but those of the browser. */
async function testWithoutBrowser(env, database) {
	// Each uses one core: together they take half as long.
	await Promise.all([
		step('types', () => runs(bin('svelte-check'), ['--fail-on-warnings', '--output', 'human'], {}, true)),
		step('format', () => runs(bin('prettier'), ['--check', '--log-level', 'warn', '.'], {}, true)).then(() =>
			step('lint and import boundaries', () => runs(bin('eslint'), ['.'], {}, true))
		)
	]);
	// Those of the database go one after the other, since they share one, and wait for the disk half of the time: they take
	// place beside the others. Nothing is built meanwhile: all write into .svelte-kit.
	const shared = ['tests/db', '--no-file-parallelism'];
	await Promise.all([
		// In two processes for all files: each file in one of its own takes a quarter longer, to load and to warm up.
		vitest(
			'unit and reference tests',
			'unit',
			['src', 'tests/reference', 'tests/scripts', '--no-isolate'],
			env
		),
		vitest('database tests', 'database', shared, { ...env, ...database.schemaEnv }, true)
	]);
}

async function main() {
	checkNode();
	ensurePrograms(['mariadbd', 'mariadb-install-db', 'chromium']);
	ensurePackages(root);
	rmSync(folder, { recursive: true, force: true });
	mkdirSync(folder, { recursive: true });

	spawnSync(bin('svelte-kit'), ['sync'], { cwd: root, stdio: 'inherit' });
	const database = await startMariadb(path.join(folder, 'database'), 5490);
	running.push(database);
	const env = { ...database.env, SNUG_MIGRATIONS: path.join(root, 'db/migrations') };
	Object.assign(process.env, env);
	if (!browserOnly) await testWithoutBrowser(env, database);

	const built = await step('build', async () => {
		try {
			ensureBuild(root);
			return true;
		} catch (error) {
			console.error(error.message);
			return false;
		}
	});
	if (built) {
		// Two browsers, each with an app and a database of its own, in which nothing is but the demo.
		const databases = [];
		for (const name of ['first', 'second']) {
			const own = await startMariadb(path.join(folder, `${name}-database`), 5491);
			running.push(own);
			databases.push(own);
		}
		const addresses = [];
		for (const own of databases) {
			await prepare({ ...env, ...own.schemaEnv });
			const connection = { ...env, ...own.env };
			const app = await startApp(root, await freePort(5280 + addresses.length), connection);
			running.push(app);
			addresses.push(app.address);
		}
		if (!browserOnly)
			await step('under load, faults and nonsense', () =>
				runs(process.execPath, [path.join(root, 'scripts/torture.mjs'), '--short'])
			);
		say('browser tests');
		const browserReport = path.join(folder, 'browser.json');
		const browserGood = await runs(bin('playwright'), ['test'], {
			...env,
			SNUG_ADDRESSES: addresses.join(' '),
			SNUG_CHROMIUM: programPath('chromium'),
			PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport
		});
		addReport(
			browserReport,
			({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }),
			browserGood
		);
	} else {
		count(0, 1);
	}
}

main()
	.catch((error) => {
		fail(error);
		count(0, 1);
	})
	.finally(async () => {
		await stopAll();
		console.log(`\n${total.passed} passed, ${total.failed} failed`);
		process.exit(total.failed > 0 ? 1 : 0);
	});
