// A house after some years: how long its pages take beside a bare page of the same server.
import { say } from '../lib/console.mjs';
import { loadTs } from '../lib/load-ts.mjs';
import { ask, check, isShort, many, percentile } from './asking.mjs';

/** Times of the bare page that a page may take. */
const MOST_TIMES = 3;

export async function growth(app, database) {
	say('a thousand trips, a thousand clients, forty thousand things');
	const before = { ...process.env };
	Object.assign(process.env, database.schemaEnv);
	const { fillFirstHouse } = await loadTs('tests/fixtures/filled-house.ts');
	await fillFirstHouse();
	process.env = before;
	const pages = {
		'a bare page': '/keys',
		'the front page': '/',
		'trips that are over': '/?when=past&page=3',
		'a search of the season': '/?q=glac&when=past',
		'a search of one letter': '/api/v1/find?q=a',
		'a search of two words': '/api/v1/find?q=li+hut',
		clients: '/clients',
		'a search of the clients': '/clients?q=skar',
		'a trip': '/trips/grown-trip-500',
		'a client': '/clients/grown-client-500'
	};
	const p95 = {};
	const times = Object.fromEntries(Object.keys(pages).map((name) => [name, []]));
	// In turns, so that whatever else the machine does falls on all alike; the first round warms up.
	for (let round = 0; round <= many(2, 100); round++)
		for (const [name, url] of Object.entries(pages)) {
			const { status, ms } = await ask(app.address, 'GET', url);
			if (status !== 200) check(false, `${name} answered ${status}`);
			if (round > 0) times[name].push(ms);
		}
	for (const name of Object.keys(pages)) p95[name] = percentile(times[name], 0.95);
	const { 'a bare page': bare, ...others } = p95;
	check(
		Object.values(times).every((own) => own.length > 0),
		'every page answers'
	);
	if (isShort) return;
	console.log(`  a bare page: p95 ${bare.toFixed(1)} ms`);
	for (const [name, ms] of Object.entries(others))
		check(ms <= MOST_TIMES * bare, `${name}: p95 ${ms.toFixed(1)} ms, ${(ms / bare).toFixed(1)} times`);
}
