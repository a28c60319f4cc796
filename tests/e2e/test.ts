import { brotliCompressSync } from 'node:zlib';
import AxeBuilder from '@axe-core/playwright';
import { type Cookie, test as base, type Page } from '@playwright/test';
import { demoCookies } from '../../scripts/lib/demo-session.mjs';

export { type APIRequestContext, expect, type Locator, type Page } from '@playwright/test';

/**
 * Makes every way to a page wait until it answers keys and clicks, as a person would. What is being saved is saved before:
 * a browser asks who leaves meanwhile, and here nobody answers it.
 */
function patient(page: Page): Page {
	const is = (selector: string): Promise<unknown> => page.waitForSelector(selector, { state: 'attached' });
	const ready = (): Promise<unknown> => is('html[data-ready]');
	const saved = (): Promise<unknown> => is('html:not([data-saving])');
	const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
	page.goto = async (...args) => {
		await saved();
		const response = await goto(...args);
		await ready();
		return response;
	};
	page.reload = async (...args) => {
		await saved();
		const response = await reload(...args);
		await ready();
		return response;
	};
	return page;
}

/** How many times slower than it is the processor of a page shall be; a tool for finding what depends on speed. */
const SLOWER = Number(process.env.SNUG_SLOWER ?? 1);
async function slowed(page: Page): Promise<Page> {
	if (SLOWER > 1) {
		const session = await page.context().newCDPSession(page);
		await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
	}
	return page;
}

/** Who entered the demo: every page but the door needs somebody. Each app has a session of its own, entered once. */
const test = base.extend<{ isStranger: boolean }, { entered: Cookie[] }>({
	isStranger: [false, { option: true }],
	entered: [
		// eslint-disable-next-line no-empty-pattern -- fixtures are read from the pattern
		async ({}, use) => {
			const addresses = (process.env.SNUG_ADDRESSES ?? 'http://127.0.0.1:5180').split(' ');
			const address = addresses[Number(process.env.TEST_PARALLEL_INDEX ?? 0)]!;
			await use((await demoCookies(address)) as Cookie[]);
		},
		{ scope: 'worker' }
	],
	storageState: async ({ isStranger, entered }, use) =>
		use({ cookies: isStranger ? [] : entered, origins: [] }),
	page: async ({ page }, use) => use(patient(await slowed(page))),
	context: async ({ context }, use) => {
		const newPage = context.newPage.bind(context);
		context.newPage = async () => patient(await slowed(await newPage()));
		await use(context);
	}
});
/**
 * What is wrong with a page for somebody who reads it by ear, by keys or with weak eyes. Only faults are written out: all that
 * is right with where it stands takes five times as long. Our pages have no frames, so it is run in the page at once.
 */
export const axeOn = (page: Page): AxeBuilder =>
	new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });

/** Script and style that a page loads first, compressed, bytes; workers are counted apart. */
export async function weightOf(page: Page, url: string): Promise<{ js: number; css: number }> {
	const sizes = { js: 0, css: 0 };
	const read: Promise<void>[] = [];
	page.on('response', (response) => {
		const kind = /(?<!worker[^/]*)\.(js|css)$/.exec(new URL(response.url()).pathname)?.[1];
		if (kind !== 'js' && kind !== 'css') return;
		read.push(response.body().then((body) => void (sizes[kind] += brotliCompressSync(body).length)));
	});
	await page.goto(url, { waitUntil: 'networkidle' });
	await Promise.all(read);
	// A page brings most of its style with it.
	const own = await page.locator('head style').evaluateAll((all) => all.map((one) => one.textContent));
	return { ...sizes, css: sizes.css + brotliCompressSync(own.join('')).length };
}
export { test };
