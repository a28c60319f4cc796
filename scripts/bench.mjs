// npm run bench: the figures that the project promises, as medians of one run.
// The code is bundled first, as the server runs it. --no-server leaves out the pages; --pages measures nothing else.
import { rmSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';
import { startApp } from './lib/app.mjs';
import { fetchIn } from './lib/demo-session.mjs';
import { loadTs, root } from './lib/load-ts.mjs';
import { ensureBuild, ensurePrograms, ensureSynced, freePort } from './lib/machine.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { pageTimes } from './lib/page-times.mjs';
import { tickTimes } from './lib/tick-times.mjs';

ensurePrograms(['mariadbd', 'mariadb-install-db', 'chromium']);
ensureSynced(root);

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const p95 = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)];
let slow = 0;
/** Prints a figure: its median, its range, and whether it keeps its limit. */
function tell(name, values, unit, limit, more = '') {
	const middle = median(values);
	const kept = middle <= limit;
	if (!kept) slow++;
	console.log(
		`${kept ? '✓' : '✗'} ${name}: median ${middle.toFixed(1)} ${unit}, ${Math.min(...values).toFixed(1)} to ${Math.max(...values).toFixed(1)}${more} (limit ${limit} ${unit})`
	);
}

/** What the core takes, alone and over whole trips. */
async function coreTimes() {
	const outDir = path.join(root, '.data/bench');
	await build({
		root,
		configFile: false,
		logLevel: 'error',
		publicDir: false,
		build: {
			outDir,
			emptyOutDir: true,
			minify: false,
			ssr: true,
			rollupOptions: {
				input: [path.join(root, 'bench/benchmarks.ts'), path.join(root, 'bench/trips.ts')],
				output: { entryFileNames: '[name].js' }
			},
			target: 'node20'
		}
	});
	const { benchmarks } = await import(pathToFileURL(path.join(outDir, 'benchmarks.js')).href);
	for (const { name, run, unit, perRun, rounds, limit } of benchmarks()) {
		for (let i = 0; i < Math.max(3, rounds / 5); i++) run();
		const times = [];
		for (let i = 0; i < rounds; i++) {
			const begin = process.hrtime.bigint();
			run();
			times.push(Number(process.hrtime.bigint() - begin) / 1e3 / perRun / (unit === 'ms' ? 1e3 : 1));
		}
		tell(name, times, unit, limit);
	}
	const { trips } = await import(pathToFileURL(path.join(outDir, 'trips.js')).href);
	const { figures, notes } = await trips();
	for (const { name, values, unit, limit } of figures)
		tell(name, values, unit, limit, `, ${values.length} cases`);
	for (const note of notes) console.log(`  ${note}`);
}

/** The data of a plan's page when the plan is stored: read, checked and sent by the server. */
async function storedPlan(address) {
	await (await fetchIn(`${address}/api/v1/trips/demo-trip/plans/demo-runa/plan`)).text();
	const times = [];
	for (let i = 0; i < 60; i++) {
		const begin = process.hrtime.bigint();
		await (await fetchIn(`${address}/trips/demo-trip/plan/demo-runa/__data.json?day=${1 + (i % 2)}`)).text();
		if (i >= 10) times.push(Number(process.hrtime.bigint() - begin) / 1e6);
	}
	tell('page data of a stored plan', times, 'ms', 100);
}

/** Pages of a season against a bare page of the same server, asked by turns: the 95th percentile of each. */
async function seasonPages() {
	const folder = path.join(root, '.data/bench-season');
	rmSync(folder, { recursive: true, force: true });
	const database = await startMariadb(folder, 5690);
	Object.assign(process.env, database.schemaEnv);
	const { fillSeason } = await loadTs('bench/season.ts');
	await fillSeason(path.join(root, 'db/migrations'));
	const { prepareDatabase } = await loadTs('scripts/lib/prepare-database.ts');
	await prepareDatabase(path.join(root, 'db/migrations'), true);
	ensureBuild(root);
	const app = await startApp(root, await freePort(5480), database.env);
	const BARE = '/keys';
	const PAGES = ['/', '/?page=2', '/?q=guest+12', '/?when=past'];
	const times = new Map([BARE, ...PAGES].map((page) => [page, []]));
	try {
		for (let i = 0; i < 260; i++) {
			for (const [page, own] of times) {
				const begin = process.hrtime.bigint();
				await (await fetchIn(app.address + page)).text();
				if (i >= 60) own.push(Number(process.hrtime.bigint() - begin) / 1e6);
			}
		}
		await storedPlan(app.address);
		const { times: ticked, lost } = await tickTimes(app.address);
		const slowest = p95(ticked);
		if (slowest > 500 || lost > 0) slow++;
		console.log(
			`${slowest > 500 || lost > 0 ? '✗' : '✓'} 200 clients tick at once: p95 ${slowest.toFixed(0)} ms of ${ticked.length} ticks, ${lost} lost (limits 500 ms, none)`
		);
		// Last: what it begins in the background would be measured with what comes after it.
		for (const { name, values, limit } of await pageTimes(app.address)) tell(name, values, 'ms', limit);
	} finally {
		await app.stop();
		await database.stop();
	}
	const bare = p95(times.get(BARE));
	console.log(`  bare page ${BARE}: p95 ${bare.toFixed(1)} ms`);
	for (const page of PAGES) {
		const own = p95(times.get(page));
		const kept = own <= 3 * bare;
		if (!kept) slow++;
		console.log(
			`${kept ? '✓' : '✗'} season of 300 trips, ${page}: p95 ${own.toFixed(1)} ms, ${(own / bare).toFixed(2)} times the bare page (limit 3)`
		);
	}
}
if (!process.argv.includes('--pages')) await coreTimes();
if (!process.argv.includes('--no-server')) await seasonPages();
process.exitCode = slow > 0 ? 1 : 0;
