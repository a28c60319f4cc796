import { loopTrip } from '../fixtures/long-trip';
import { type APIRequestContext, expect, type Page, test } from './test';

/** The plan at a glance, at every width, for the fullest kit: nothing is too wide, too small, or on top of something else. */
const WIDTHS = [1280, 1024, 390] as const;
const KIT = ['briefs', 'top-wool-mid', 'top-wool-light', 'fleece-thin', 'fleece', 'sweater-wool', 'vest-insulated', 'soft-shell', 'rain-shell', 'hard-shell', 'coat-synthetic', 'coat-down', 'bottoms-wool', 'trousers-trek', 'trousers-soft-shell', 'trousers-hard-shell', 'overtrousers-warm', 'sock-mid', 'sock-heavy', 'sock-ski', 'boot-hiking', 'boot-winter', 'boot-ski', 'glove-liner', 'glove-winter', 'mitten', 'overmitt-shell', 'hat-warm', 'balaclava', 'neck-tube', 'goggles', 'sunglasses', 'helmet-ski']; // prettier-ignore

async function fullest(request: APIRequestContext): Promise<string> {
	const { trip } = loopTrip('lifts', 10).document;
	const make = async (url: string, data: object): Promise<string> =>
		((await (await request.post(url, { data })).json()) as { id: string }).id;
	const id = await make('/api/v1/trips', { name: 'A week of lifts with a name that goes on' });
	const guest = await make('/api/v1/clients', {
		name: 'Maximiliane Oberhollenzer-Vestergaarden',
		tripId: id
	});
	const data = {
		name: 'A week of lifts with a name that goes on',
		place: '',
		site: null,
		weathers: trip.weathers.slice(0, 1),
		stages: trip.stages.slice(0, 1),
		version: 1
	};
	expect((await request.put(`/api/v1/trips/${id}`, { data })).ok()).toBe(true);
	for (const typeId of KIT) {
		const quantity = { value: 1, source: 'client', state: 'has' };
		const name = `${typeId} from the box in grandmother’s attic`;
		const added = await request.post(`/api/v1/clients/${guest}/things`, { data: { typeId, quantity, name } });
		expect(added.ok()).toBe(true);
	}
	// Eleven more of whom nobody has asked anything.
	for (const name of [
		'Anna-Katharina',
		'Bartholomew',
		'Cornelius',
		'Dorothea',
		'Emmanuel',
		'Friederike'
	].flatMap((first) => [`${first} Featherstonehaugh-Ravensbourne`, `${first} Wintherhalter-Szczepanski`]))
		await make('/api/v1/clients', { name, tripId: id });
	return `/trips/${id}/plan/${guest}`;
}

/** What is wrong with the text of a page: smaller than 12 px, or names of the figure on top of each other. */
const textTroubles = (page: Page): Promise<string[]> =>
	page.evaluate(() => {
		const found: string[] = [];
		const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
		for (let node = walker.nextNode(); node; node = walker.nextNode()) {
			const parent = node.parentElement;
			if (
				!parent ||
				!node.textContent?.trim() ||
				parent.closest('.visually-hidden, script, style, title, noscript')
			)
				continue;
			const box = parent.getBoundingClientRect();
			if (box.width === 0 || box.height === 0) continue;
			const size = parseFloat(getComputedStyle(parent).fontSize);
			if (size < 12) found.push(`${size} px: ${node.textContent.trim().slice(0, 40)}`);
		}
		for (const svg of document.querySelectorAll('.readout svg')) {
			const boxes = [...svg.querySelectorAll('text')].map((text) => ({
				text: text.textContent,
				box: text.getBoundingClientRect()
			}));
			boxes.forEach((a, i) =>
				boxes.slice(i + 1).forEach((b) => {
					const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
					const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
					if (wide > 1 && high > 4) found.push(`“${a.text}” on “${b.text}”`);
				})
			);
		}
		return found;
	});

test('nothing overflows or is too small for the fullest kit, loops of ten rounds and long names', async ({
	page,
	request
}) => {
	test.setTimeout(1_200_000);
	const url = await fullest(request);
	for (const width of WIDTHS) {
		await page.setViewportSize({ width, height: 800 });
		await page.goto(url);
		await expect(page.getByRole('status', { name: /all right/ })).toBeVisible({ timeout: 800_000 });
		if (width > 760) {
			await expect(page.getByRole('group', { name: /, rounds \d+ to \d+$/ }).first()).toBeVisible();
			await expect(page.locator('.readout svg text').first()).toBeVisible();
		} else await expect(page.getByRole('region', { name: 'The day, phase by phase' })).toBeVisible();
		expect(
			await page.evaluate(() => document.documentElement.scrollWidth),
			String(width)
		).toBeLessThanOrEqual(width);
		expect(await textTroubles(page), String(width)).toEqual([]);
	}
	// On a phone a phase is told on less than two screens.
	const now = await page.getByRole('region', { name: 'The day, phase by phase' }).boundingBox();
	expect(now!.height).toBeLessThan(1500);
	// The pages of the whole group.
	const trip = url.slice(0, url.indexOf('/plan/'));
	for (const more of ['', '/group', '/tomorrow?day=1', '/lending'])
		for (const width of WIDTHS) {
			await page.setViewportSize({ width, height: 800 });
			await page.goto(trip + more);
			await page.waitForTimeout(1200);
			const where = `${more || 'trip'} at ${width}`;
			expect(await page.evaluate(() => document.documentElement.scrollWidth), where).toBeLessThanOrEqual(
				width
			);
			expect(await textTroubles(page), where).toEqual([]);
		}
});

test('nothing jumps while it gets colder five times', async ({ page, request }) => {
	// A trip of its own: the demo stays as it is.
	const { trip } = (await (await request.get('/api/v1/trips/demo-trip')).json()) as {
		trip: Record<string, unknown>;
	};
	const { id } = (await (await request.post('/api/v1/trips', { data: { name: 'Colder' } })).json()) as {
		id: string;
	};
	const { weathers, stages, site } = trip;
	const data = { name: 'Colder', place: '', site, weathers, stages, version: 1 };
	expect((await request.put(`/api/v1/trips/${id}`, { data })).ok()).toBe(true);
	await request.post('/api/v1/clients', { data: { name: 'Cold Guest', tripId: id } });
	await page.goto(`/trips/${id}`);
	const colder = page.getByRole('button', { name: 'colder' });
	await expect(colder).toBeVisible();
	await colder.scrollIntoViewIfNeeded();
	await page.waitForTimeout(1500);
	await page.evaluate(() => {
		const sum = window as unknown as { shifted: number };
		sum.shifted = 0;
		new PerformanceObserver((list) => {
			// Those that follow input count, too.
			for (const entry of list.getEntries()) sum.shifted += (entry as unknown as { value: number }).value;
		}).observe({ type: 'layout-shift', buffered: false });
	});
	for (let i = 0; i < 5; i++) {
		await colder.click();
		await page.waitForTimeout(400);
	}
	await page.waitForTimeout(1500);
	expect(await page.evaluate(() => (window as unknown as { shifted: number }).shifted)).toBeLessThan(0.05);
});
