import { test as base, type Page } from '@playwright/test';

export { type APIRequestContext, expect, type Locator, type Page } from '@playwright/test';

/** Makes every way to a page wait until it answers keys and clicks, as a person would. */
function patient(page: Page): Page {
	const ready = (): Promise<unknown> => page.waitForSelector('html[data-ready]', { state: 'attached' });
	const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
	page.goto = async (...args) => {
		const response = await goto(...args);
		await ready();
		return response;
	};
	page.reload = async (...args) => {
		const response = await reload(...args);
		await ready();
		return response;
	};
	return page;
}

export const test = base.extend({
	page: async ({ page }, use) => use(patient(page)),
	context: async ({ context }, use) => {
		const newPage = context.newPage.bind(context);
		context.newPage = async () => patient(await newPage());
		await use(context);
	}
});
