import { chromium, devices } from 'playwright-core';
import { demoCookies, fetchIn } from './demo-session.mjs';
import { programPath } from './machine.mjs';

/** A slow phone: four times slower than this machine, on 1.6 Mbit/s with 150 ms to the server (common practice, no source). */
const SLOW_PHONE = { cpu: 4, bytesPerSecond: (1.6e6 / 8) | 0, latencyMs: 150 };
const GROUP_OF = 12;

const send = async (method, url, data) => {
	const answer = await fetchIn(url, {
		method,
		headers: { 'content-type': 'application/json', origin: new URL(url).origin },
		body: JSON.stringify(data)
	});
	if (!answer.ok) throw new Error(`${url}: ${answer.status} ${await answer.text()}`);
	return answer.json();
};
const post = (url, data) => send('POST', url, data);
/** A new client on a trip. @returns the id */
async function guestOn(address, tripId, name, things) {
	const { id } = await post(`${address}/api/v1/clients`, { name, tripId });
	for (const { typeId, quantity } of things)
		await post(`${address}/api/v1/clients/${id}/things`, { typeId, quantity });
	return id;
}

const demo = async (address) => (await fetchIn(`${address}/api/v1/trips/demo-trip`)).json();

/** A trip like the demo’s with twelve clients, whose plans are stored. @returns its id */
async function groupTrip(address) {
	const { trip, clients } = await demo(address);
	const { things } = clients.find(({ id }) => id === 'demo-teo');
	const { id } = await post(`${address}/api/v1/trips`, { name: 'Twelve' });
	const { weathers, stages, site } = trip;
	await send('PUT', `${address}/api/v1/trips/${id}`, {
		name: 'Twelve',
		place: '',
		site,
		weathers,
		stages,
		version: 1
	});
	// Each has one thing less than the one before: twelve plans, and not one twelve times.
	for (let i = 0; i < GROUP_OF; i++)
		await guestOn(address, id, `Guest ${i + 1}`, things.slice(0, things.length - i));
	for (;;) {
		const { plans } = await (await fetchIn(`${address}/api/v1/trips/${id}/plans`)).json();
		if (plans.every(({ state }) => state === 'there')) return id;
		await new Promise((wake) => setTimeout(wake, 1000));
	}
}

/** The list of a client's page. */
const LIST = 'section[aria-labelledby="list-head"] progress';
/** Opens a new private link. @returns the cookies of the visit */
async function visitOf(address, tripId, clientId) {
	const { link } = await post(`${address}/api/v1/trips/${tripId}/clients/${clientId}/link`, {});
	const opened = await fetch(link, { redirect: 'manual' });
	const [name, value] = opened.headers.getSetCookie()[0].split(';')[0].split('=');
	return [{ name, value, url: address }];
}

/** What everybody has of whom next to nothing is known. */
const LITTLE = ['briefs', 'tshirt-cotton', 'jeans', 'sock-mid', 'boot-hiking', 'sunglasses'];
const ANSWERS = 8;
/** One reads a question and thinks, ms. */
const THINKS_MS = 6000;
/** Questions of a week for a guest of whom little is known, answered one after the other. @returns times from a press to the next question, ms */
async function questionTimes(browser, address) {
	const { trip } = await demo(address);
	const week = Array.from({ length: 7 }, (_, i) => {
		const stage = trip.stages[i % trip.stages.length];
		return { ...stage, id: `week-${i}`, date: `2027-02-0${i + 1}`, name: `Day ${i + 1}` };
	});
	const { id } = await post(`${address}/api/v1/trips`, { name: 'Week', place: '' });
	const { weathers, site } = trip;
	await send('PUT', `${address}/api/v1/trips/${id}`, {
		name: 'Week',
		place: '',
		site,
		weathers,
		stages: week,
		version: 1
	});
	const quantity = { value: 1, source: 'guide', state: 'has' };
	const guest = await guestOn(
		address,
		id,
		'Asked One',
		LITTLE.map((typeId) => ({ typeId, quantity }))
	);
	const context = await browser.newContext({
		...devices['Pixel 7'],
		serviceWorkers: 'block',
		locale: 'en-GB'
	});
	await context.addCookies(await visitOf(address, id, guest));
	const page = await context.newPage();
	await page.goto(`${address}/my`);
	const values = [];
	for (let i = 0; i < ANSWERS; i++) {
		await page.waitForSelector('.answers button', { timeout: 600_000 });
		await page.waitForTimeout(THINKS_MS);
		values.push(
			await page.evaluate(
				(at) =>
					new Promise((resolve) => {
						const before = document.querySelector('.question').textContent;
						const begun = performance.now();
						const look = () =>
							document.querySelector('.question')?.textContent === before
								? requestAnimationFrame(look)
								: resolve(performance.now() - begun);
						document.querySelectorAll('.answers button')[at].click();
						requestAnimationFrame(look);
					}),
				i % 3 === 1 ? 2 : 0
			)
		);
	}
	await context.close();
	return values;
}

/**
 * What somebody waits for, from the address typed to what is read.
 * @returns figures with their limits, as `npm run bench` prints them
 */
export async function pageTimes(address) {
	const browser = await chromium.launch({
		executablePath: programPath('chromium'),
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	const timed = async (url, seen, { phone = false, cookies } = {}) => {
		const context = await browser.newContext({
			...(phone ? devices['Pixel 7'] : {}),
			viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
			serviceWorkers: 'block'
		});
		await context.addCookies(cookies ?? (await demoCookies(address)));
		const page = await context.newPage();
		if (phone) {
			const session = await context.newCDPSession(page);
			await session.send('Emulation.setCPUThrottlingRate', { rate: SLOW_PHONE.cpu });
			await session.send('Network.emulateNetworkConditions', {
				offline: false,
				latency: SLOW_PHONE.latencyMs,
				downloadThroughput: SLOW_PHONE.bytesPerSecond,
				uploadThroughput: SLOW_PHONE.bytesPerSecond
			});
		}
		// What is looked for is seen in the frame after it has come. The time begins with the page's own.
		await page.addInitScript((selector) => {
			const look = () => {
				const found = document.querySelector(selector);
				if (found?.getClientRects().length) window.seenAtMs = performance.now();
				else requestAnimationFrame(look);
			};
			requestAnimationFrame(look);
		}, seen);
		// A browser that stands already: what it takes to open is not the page's.
		await page.waitForTimeout(800);
		await page.goto(address + url, { waitUntil: 'commit' });
		const ms = await (
			await page.waitForFunction(() => window.seenAtMs, null, { timeout: 60_000 })
		).jsonValue();
		await context.close();
		return ms;
	};
	const several = async (count, ...of) => {
		const values = [];
		for (let i = 0; i <= count; i++) values.push(await timed(...of));
		// The first one finds nothing warm on the server.
		return values.slice(1);
	};
	const allRight = '[role=status][aria-label$="all right?"]';
	const figures = [
		{ name: 'a page with nothing on it is read', values: await several(7, '/keys', 'main h1'), limit: 500 }
	];
	try {
		const stored = '/trips/demo-trip/plan/demo-runa';
		await (await fetchIn(`${address}/api/v1/trips/demo-trip/plans/demo-runa/plan`)).text();
		figures.push({ name: 'a stored plan is read', values: await several(7, stored, allRight), limit: 1000 });
		figures.push({
			name: 'a stored plan is read on a slow phone',
			values: await several(5, stored, allRight, { phone: true }),
			limit: 3000
		});
		const id = await groupTrip(address);
		figures.push({
			name: 'who of twelve clients is not all right, stored',
			values: await several(7, `/trips/${id}/group`, 'main table'),
			limit: 500
		});
		const client = (await demo(address)).clients.find((one) => one.id === 'demo-teo');
		const fresh = [];
		for (let i = 0; i < 5; i++) {
			const guest = await guestOn(address, id, `New ${i}`, client.things);
			fresh.push(await timed(`/trips/${id}/plan/${guest}`, allRight));
		}
		figures.push({ name: 'a new plan is read', values: fresh, limit: 3000 });
		const cookies = await visitOf(address, 'demo-trip', 'demo-teo');
		await timed('/my', LIST, { cookies });
		figures.push({
			name: 'a client’s page is read on a slow phone',
			values: await several(5, '/my', LIST, { phone: true, cookies }),
			limit: 3000
		});
		figures.push({
			name: 'the next question is there after an answer',
			values: await questionTimes(browser, address),
			limit: 300
		});
	} finally {
		await browser.close();
	}
	return figures;
}
