// How long a tick takes when the clients of several trips tick at the same moment, and whether any is lost.
import { Agent, request } from 'node:http';
import { fetchIn } from './demo-session.mjs';

const TRIPS = 4;
const CLIENTS = 50;
const ROUNDS = 5;

/** Trips with clients, and for each client the cookie of an opened link. */
async function visits(address) {
	const send = async (method, path, body) =>
		(
			await fetchIn(address + path, {
				method,
				headers: { 'content-type': 'application/json', origin: address },
				body: JSON.stringify(body ?? {})
			})
		).json();
	const trips = [];
	for (let trip = 0; trip < TRIPS; trip++) {
		const { id } = await send('POST', '/api/v1/trips', { name: `Ticking ${trip}`, place: 'Fell' });
		const cookies = [];
		for (let client = 0; client < CLIENTS; client++) {
			const made = await send('POST', '/api/v1/clients', { name: `Guest ${trip} ${client}`, tripId: id });
			const { link } = await send('POST', `/api/v1/trips/${id}/clients/${made.id}/link`);
			const opened = await fetch(link, { redirect: 'manual' });
			cookies.push(opened.headers.getSetCookie()[0].split(';')[0]);
		}
		trips.push({ id, cookies });
	}
	return trips;
}

/** Each client is a phone with a line of its own, which takes as little of this machine as it can. */
const lines = new Agent({ keepAlive: true, maxSockets: TRIPS * CLIENTS });
/** Says something. @returns how long the answer took, ms */
const tick = (address, cookie, said) =>
	new Promise((resolve, reject) => {
		const body = JSON.stringify({ says: [said] });
		const begun = performance.now();
		request(
			`${address}/api/v1/my/answers`,
			{
				method: 'POST',
				agent: lines,
				headers: {
					'content-type': 'application/json',
					'content-length': Buffer.byteLength(body),
					origin: address,
					cookie
				}
			},
			(answer) => {
				answer.resume();
				answer.on('end', () =>
					answer.statusCode === 200
						? resolve(performance.now() - begun)
						: reject(new Error(`A tick was answered with ${answer.statusCode}.`))
				);
			}
		)
			.on('error', reject)
			.end(body);
	});

/** @returns times of all ticks, ms, and how many are not there afterwards */
export async function tickTimes(address) {
	const trips = await visits(address);
	const guests = trips.flatMap(({ cookies }) => cookies);
	const times = [];
	for (let round = 0; round < ROUNDS; round++) {
		// The first round finds nothing warm on the server.
		if (round === 1) times.length = 0;
		times.push(
			...(await Promise.all(
				guests.map((cookie) =>
					tick(address, cookie, {
						kind: 'mark',
						id: crypto.randomUUID(),
						lineId: `line-${round}`,
						mark: 'packed',
						saidAt: new Date().toISOString()
					})
				)
			))
		);
	}
	let seen = 0;
	for (const { id } of trips) {
		const page = await (await fetchIn(`${address}/trips/${id}/answers`)).text();
		for (const [, many] of page.matchAll(/(\d+) packed,/g)) seen += Number(many);
	}
	return { times, lost: guests.length * ROUNDS - seen };
}
