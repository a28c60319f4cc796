// npm run torture: the built app under load, faults and nonsense, on a database of its own. `-- --short` does less, looks at
// outcomes only and never at times; the tests run that. Figures and limits stand at the end of each part.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { setTimeout as pause } from 'node:timers/promises';
import { startApp } from './lib/app.mjs';
import { fail, say, Trouble } from './lib/console.mjs';
import { loadTs } from './lib/load-ts.mjs';
import { ensureBuild, ensurePackages, ensurePrograms, freePort } from './lib/machine.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ask, broken, check, isShort, isWanted, many, measured, percentile } from './torture/asking.mjs';
import { fullDisk } from './torture/full-disk.mjs';
import { growth } from './torture/growth.mjs';
import { sharing } from './torture/sharing.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const folder = path.join(root, '.data/torture');
const seed = Number(process.env.SNUG_SEED ?? 20_270_123);

/** Random numbers that come again with the same seed. */
let random;
const pick = (list) => list[Math.floor(random() * list.length)];

/** What a request is made of: values that people, programs and enemies send. */
const STRANGE = [
	null, true, -1, 0, 1e308, 3.7, '', ' ', 'a'.repeat(5000), '山'.repeat(400), '<script>alert(1)</script>', "'; DROP TABLE trips; --",
	'2027-02-30', '9999-99-99', '-0001-01-01', [], {}, [[[[[[]]]]]], { a: { b: { c: {} } } }, '\u0000', '\ud800', Array(3000).fill('x'), '../../etc/passwd', '__proto__'
]; // prettier-ignore

/** A value in which some parts were changed for strange ones. */
function mangled(value, share) {
	if (random() < share) return pick(STRANGE);
	if (Array.isArray(value)) return value.map((one) => mangled(one, share));
	if (value && typeof value === 'object')
		return Object.fromEntries(Object.entries(value).map(([key, own]) => [key, mangled(own, share)]));
	return value;
}

const memoryMb = (pid) =>
	Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** Nonsense over every route: told at the field, or simply right. */
async function fuzz(app, demo) {
	const wanted = many(400, 20_000);
	say(`nonsense: ${wanted} requests over every route`);
	const { address } = app;
	const trip = demo.trip.id;
	const client = demo.clients[0];
	const { id: _t, deletedAt: _d, ...edit } = demo.trip;
	const { id: _c, deletedAt: _e, things: _s, schools: _h, ...person } = client;
	const thing = client.things[0];
	const air = { airTempC: -5, airVelocityMs: 3, wind10mKmh: 20, humidityPct: 70, metabolicWm2: 150 };
	const routes = [
		['GET', '/', undefined],
		['GET', `/?q=${encodeURIComponent(pick(['ski', '山小屋', '%', '_', '\\']))}`, undefined],
		['GET', '/clients', undefined],
		['GET', '/house', undefined],
		['GET', `/trips/${trip}`, undefined],
		['GET', `/clients/${client.id}`, undefined],
		['GET', '/trips/nowhere', undefined],
		['GET', '/api/v1/trips?when=past&page=-3', undefined],
		['GET', '/api/v1/find?q=%00%ff', undefined],
		['GET', '/api/v1/climate/normals?month=13&latitudeDeg=200', undefined],
		['POST', '/api/v1/demand', air],
		['POST', '/api/v1/trips', { name: 'Fuzz', place: 'nowhere' }],
		['POST', '/api/v1/clients', { name: 'Fuzz' }],
		['PUT', `/api/v1/trips/${trip}`, edit],
		['PUT', `/api/v1/clients/${client.id}`, person],
		['POST', `/api/v1/clients/${client.id}/things`, { typeId: 'fleece', quantity: thing.quantity }],
		['PUT', `/api/v1/things/${thing.id}`, thing],
		['PUT', `/api/v1/trips/${trip}/plans/${client.id}`, { wishes: [], spareChanges: 0, version: 0 }],
		['PUT', '/api/v1/house', { schools: {}, version: 1 }],
		['POST', '/api/v1/forecast', { text: 'date,low\n2027-01-01,x', name: 'a' }],
		['POST', '/api/v1/plan', demo],
		['POST', '/api/v1/changes', { before: demo, after: demo }],
		['POST', '/api/v1/archive', demo],
		['POST', '/api/v1/archive/1', {}],
		['DELETE', '/api/v1/trips/nowhere', undefined],
		['PATCH', '/api/v1/trips', {}]
	];
	let before = memoryMb(app.pid);
	const grown = [];
	const statuses = new Map();
	const slow = [];
	const bad = [];
	const cut = [];
	for (let i = 0; i < wanted; i++) {
		// What is compiled and kept at first is no growth: the first tenth does not count.
		if (i === Math.floor(wanted / 10)) before = memoryMb(app.pid);
		if (i % Math.floor(wanted / 10) === 0) grown.push(Math.round(memoryMb(app.pid)));
		const [method, url, body] = pick(routes);
		const sent = body === undefined ? undefined : mangled(body, pick([0.02, 0.2, 0.6]));
		// One that is right would be planned: that is another part.
		if (/plan$|changes$/.test(url) && JSON.stringify(sent) === JSON.stringify(body)) continue;
		const text = sent === undefined ? undefined : random() < 0.05 ? JSON.stringify(sent).slice(0, -3) : sent;
		const place =
			random() < 0.05
				? url.replace(/[^/]+$/, encodeURIComponent(String(pick(['..', 'x'.repeat(3000), '%', '山']))))
				: url;
		const answer = await ask(address, method, place, text).catch((error) => ({
			cut: error.cause?.code ?? String(error)
		}));
		if (answer.cut) {
			// A line may be cut while too much is still being sent; the server lives on.
			cut.push(`${method} ${url} ${JSON.stringify(text)?.length ?? 0} characters: ${answer.cut}`);
			if ((await ask(address, 'GET', '/api/v1/health')).status !== 200) bad.push('the server is gone');
			continue;
		}
		statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
		if (answer.status >= 500 && answer.status !== 503)
			bad.push(
				`${method} ${place.slice(0, 60)} ${JSON.stringify(sent)?.slice(0, 300)}: ${answer.text.slice(0, 200)}`
			);
		if (answer.ms > 1000 && !/plan$|changes$/.test(url))
			slow.push(`${method} ${url} ${Math.round(answer.ms)} ms`);
	}
	console.log(
		`  ${[...statuses]
			.sort(([a], [b]) => a - b)
			.map(([status, n]) => `${status}: ${n}`)
			.join(', ')}`
	);
	for (const one of [...bad.slice(0, 5), ...cut.slice(0, 5)]) console.log(`    ${one}`);
	check(bad.length === 0, `no answer of 5xx but 503 (${bad.length})`);
	if (!isShort) {
		for (const one of slow.slice(0, 5)) console.log(`    ${one}`);
		check(slow.length === 0, `no answer over 1 s that is no plan (${slow.length})`);
		console.log(`  memory by tenths: ${grown.join(', ')} MB`);
		measured(memoryMb(app.pid) - before, 50, 'MB', 'memory grown since the first tenth');
	}
}

/** Who asks for much at once does not keep the others waiting. */
async function load(app, demo) {
	const { address } = app;
	say('eight planners, twelve clients, fourteen days; others read pages meanwhile');
	const days = Array.from({ length: many(2, 14) }, (_, i) => ({
		...demo.trip.stages[i % demo.trip.stages.length],
		id: `day-${i}`,
		date: `2027-01-${String(10 + i).padStart(2, '0')}`
	}));
	const clients = Array.from({ length: many(2, 12) }, (_, i) => ({
		...demo.clients[i % demo.clients.length],
		id: `guest-${i}`
	}));
	const document = { ...demo, trip: { ...demo.trip, stages: days }, clients };
	let asking = true;
	const times = [];
	const reader = (async () => {
		for (let i = 0; asking; i++) {
			const { ms, status } = await ask(address, 'GET', ['/', '/clients', `/trips/${demo.trip.id}`][i % 3]);
			times.push(ms);
			if (status !== 200) broken.push(`a page beside the planners answered ${status}`);
			await pause(30);
		}
	})();
	const answers = await Promise.all(
		Array.from({ length: 8 }, (_, i) =>
			ask(address, 'POST', '/api/v1/plan', { ...document, clientId: clients[i % clients.length].id })
		)
	);
	asking = false;
	await reader;
	const good = answers.filter(({ status }) => status === 200).length;
	const busy = answers.filter(({ status }) => status === 503).length;
	check(
		good + busy === 8 && good > 0,
		`each planner has a plan or is told to come back (${good} and ${busy})`
	);
	measured(percentile(times, 0.95), 300, 'ms', `p95 of ${times.length} other pages`);
	const large = { ...document, trip: { ...document.trip, stages: Array.from({ length: 40 }, (_, i) => ({ ...days[0], id: `d${i}`, date: '2027-01-10', sequence: [{ type: 'loop', id: 'l', name: 'l', count: 30, sequence: days[0].sequence.slice(0, 3) }] })) } }; // prettier-ignore
	const told = await ask(address, 'POST', '/api/v1/plan', large);
	check(
		told.status === 413 && /phases in all weathers/.test(told.text),
		'a document too long is told so before any work'
	);
}

/** Many who edit the same trip: nobody's acknowledged edit is lost. */
async function editors(apps, demo) {
	const seconds = many(3, 60);
	say(`twenty editors for ${seconds} s, over ${apps.length} processes on one database`);
	const { id } = (await ask(apps[0].address, 'POST', '/api/v1/trips', { name: 'Edited', place: '' })).data;
	const first = (await ask(apps[0].address, 'GET', `/api/v1/trips/${id}`)).data.trip;
	let acknowledged = 0;
	const bad = [];
	const until = Date.now() + seconds * 1000;
	const editor = async (n) => {
		const { address } = apps[n % apps.length];
		while (Date.now() < until) {
			const now = await ask(address, 'GET', `/api/v1/trips/${id}`);
			const { version } = now.data?.trip ?? {};
			if (version === undefined) {
				bad.push(`read ${now.status}`);
				continue;
			}
			const { status } = await ask(address, 'PUT', `/api/v1/trips/${id}`, {
				name: 'Edited', place: String(n), site: null, weathers: first.weathers, stages: demo.trip.stages, schools: {}, version
			}); // prettier-ignore
			if (status === 200) acknowledged++;
			else if (status !== 409 && status !== 503) bad.push(`save ${status}`);
		}
	};
	await Promise.all(Array.from({ length: 20 }, (_, n) => editor(n)));
	const last = (await ask(apps[0].address, 'GET', `/api/v1/trips/${id}`)).data.trip;
	check(bad.length === 0, `no answer of 5xx but 503 (${bad.slice(0, 3).join(', ') || 'none'})`);
	check(
		last.version === first.version + acknowledged,
		`${acknowledged} saves acknowledged, as many versions`
	);
}

/** Processes and the database are killed at any moment: what was acknowledged is there afterwards. */
async function kills(database, startOne, restartDatabase) {
	const times = many(2, 100);
	say(`${times} kills, of the app and of the database`);
	const acknowledged = new Set();
	const before = [];
	let lost = 0;
	let slowest = 0;
	for (let n = 0; n < times; n++) {
		const app = await startOne();
		let writing = true;
		const writer = (async () => {
			while (writing) {
				const name = `Kept ${randomUUID()}`;
				const answer = await ask(app.address, 'POST', '/api/v1/trips', { name, place: '' }).catch(() => null);
				if (answer?.status === 201) acknowledged.add(answer.data.id);
				await pause(2);
			}
		})();
		await pause(100 + random() * 400);
		const isDatabase = n % 2 === 1;
		process.kill(isDatabase ? database.pid : app.pid, 'SIGKILL');
		await (isDatabase ? database.ended : app.ended);
		writing = false;
		await writer;
		if (isDatabase) {
			await app.stop();
			database = await restartDatabase();
		}
		const begin = performance.now();
		const next = await startOne();
		slowest = Math.max(slowest, performance.now() - begin);
		// Those of this turn, and some of those before.
		const older = Array.from({ length: Math.min(20, before.length) }, () => pick(before));
		for (const id of [...acknowledged, ...older])
			if ((await ask(next.address, 'GET', `/api/v1/trips/${id}`)).status !== 200) lost++;
		before.push(...acknowledged);
		acknowledged.clear();
		if (n % 10 === 9)
			console.log(`  after ${n + 1} kills ${lost} of ${before.length} acknowledged writes are lost`);
		await next.stop();
	}
	check(lost === 0, `of ${before.length} acknowledged writes nothing was lost (${lost})`);
	measured(slowest, 3000, 'ms', 'slowest start of the built app');
	return database;
}

/** Brings a database up to date with the demo in it. */
async function prepare({ schemaEnv }) {
	const script = path.join(root, 'scripts/lib/prepare-database.mjs');
	const prepared = spawn(process.execPath, [script], {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, ...schemaEnv, SNUG_MIGRATIONS: path.join(root, 'db/migrations') }
	});
	if ((await new Promise((resolve) => prepared.once('exit', resolve))) !== 0)
		throw new Trouble('The database could not be prepared, see above.', 'run it again.');
}

async function torture() {
	ensurePackages(root);
	random = (await loadTs('src/lib/core/seeded.ts')).seeded(seed);
	ensurePrograms(['mariadbd', 'mariadb-install-db']);
	ensureBuild(root);
	rmSync(folder, { recursive: true, force: true });
	let database = await startMariadb(path.join(folder, 'database'), 5790);
	const apps = new Set();
	const logFile = path.join(folder, 'app.log');
	const startOne = async (more = {}) => {
		const app = await startApp(root, await freePort(5880), {
			...database.env,
			SNUG_LOG_FILE: logFile,
			...more
		});
		apps.add(app);
		return { ...app, stop: () => (apps.delete(app), app.stop()) };
	};
	try {
		await prepare(database);
		const one = await startOne();
		const list = (await ask(one.address, 'GET', '/api/v1/trips?when=ahead')).data.trips;
		const past = (await ask(one.address, 'GET', '/api/v1/trips?when=past')).data.trips;
		const { id } = [...list, ...past].find(({ clients }) => clients.length > 0);
		const demo = (await ask(one.address, 'GET', `/api/v1/trips/${id}`)).data;
		if (isWanted('load')) await load(one, demo);
		if (isWanted('editors')) {
			const two = await startOne();
			await editors([one, two], demo);
			await two.stop();
		}
		if (isWanted('sharing')) await sharing(startOne, demo);
		if (isWanted('growth')) await growth(one, database);
		if (isWanted('nonsense')) await fuzz(one, demo);
		await one.stop();
		if (isWanted('full')) await fullDisk(folder, prepare, ({ env }) => startOne(env));
		if (isWanted('kills'))
			database = await kills(database, startOne, async () => {
				database = await startMariadb(path.join(folder, 'database'), 5790);
				return database;
			});
	} finally {
		for (const app of apps) await app.stop().catch(() => undefined);
		await database.stop();
		if (existsSync(logFile) && broken.length > 0) console.log(`  the log is in ${logFile}`);
	}
	console.log(broken.length === 0 ? 'torture: all held' : `torture: ${broken.length} did not hold`);
	if (broken.length > 0) process.exitCode = 1;
}

torture()
	.catch(fail)
	.finally(() => process.exit());
