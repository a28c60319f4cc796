import { axeOn, expect, test, weightOf } from './test';

const PAGES = [
	['trips', '/'],
	['trips that are over', '/?when=past'],
	['trip', '/trips/demo-trip'],
	['coast trip', '/trips/demo-coast'],
	['keys', '/keys'],
	['house', '/house'],
	['clients', '/clients'],
	['kit', '/clients/demo-teo'],
	['layer plan', '/trips/demo-trip/plan/demo-teo'],
	['layer plan, second day', '/trips/demo-trip/plan/demo-runa?day=2'],
	['layer plan in foul weather', '/trips/demo-coast/plan/demo-isa?day=2&weather=mild-wet&foul=1'],
	['list', '/trips/demo-trip/list/demo-teo'],
	['who gets what', '/trips/demo-coast/lending'],
	['everybody brings', '/trips/demo-trip/everybody'],
	['what we lend', '/house/stock'],
	['what things cost', '/house/prices'],
	['what is due', '/house/due'],
	['bin', '/house/bin'],
	['who comes in', '/house/people'],
	['who changed what', '/house/entries'],
	['one’s own account', '/account'],
	['what the clients say', '/trips/demo-coast/answers'],
	['try it', '/try'],
	['group', '/trips/demo-trip/group'],
	['tonight and tomorrow', '/trips/demo-trip/tomorrow?day=2']
] as const;

for (const [name, url] of PAGES) {
	test(`${name}: accessible, without errors, nothing from outside, not too wide`, async ({
		page,
		baseURL
	}) => {
		const problems: string[] = [];
		page.on('console', (message) => message.type() === 'error' && problems.push(message.text()));
		page.on('pageerror', (error) => problems.push(error.message));
		page.on(
			'request',
			(request) =>
				!request.url().startsWith(baseURL!) &&
				!request.url().startsWith('data:') &&
				problems.push(request.url())
		);
		await page.goto(url, { waitUntil: 'networkidle' });
		if (url.includes('/plan/'))
			await expect(page.getByRole('status', { name: /all right/ })).toBeVisible({ timeout: 360_000 });
		const { violations } = await axeOn(page).analyze();
		expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
		await page.evaluate(() => document.documentElement.classList.add('dark'));
		// A colour on its way from the one to the other is neither.
		await page.evaluate(() => {
			const ending = document
				.getAnimations()
				.filter(({ effect }) => effect?.getComputedTiming().endTime !== Infinity);
			return Promise.allSettled(ending.map(({ finished }) => finished));
		});
		const night = await axeOn(page).withRules(['color-contrast']).analyze();
		expect(
			night.violations.map(
				({ id, nodes }) => `by night, ${id}: ${nodes[0]?.html} ${nodes[0]?.failureSummary}`
			)
		).toEqual([]);
		expect(problems).toEqual([]);
		expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);
		const small = await page.evaluate(() =>
			[...document.querySelectorAll('body *')]
				.filter(
					(element) =>
						element.childNodes.length > 0 &&
						[...element.childNodes].some((node) => node.nodeType === 3 && node.textContent!.trim())
				)
				.filter((element) => parseFloat(getComputedStyle(element).fontSize) < 12)
				.map((element) => element.textContent)
		);
		expect(small).toEqual([]);
		// A page at 200 % has half as much room: nothing gets lost, or needs to be moved sideways.
		await page.setViewportSize({ width: 640, height: 400 });
		await page.evaluate(() => document.documentElement.classList.remove('dark'));
		if (url.includes('/plan/'))
			await expect(page.getByRole('region', { name: 'The day, phase by phase' })).toBeVisible();
		// Colours are the same as before.
		const twice = await axeOn(page).disableRules(['color-contrast']).analyze();
		expect(twice.violations.map(({ id, nodes }) => `at 200 %, ${id}: ${nodes[0]?.html}`)).toEqual([]);
		expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(640);
	});
}

test('the reason panel is accessible', async ({ page }) => {
	await page.goto('/trips/demo-trip/plan/demo-runa');
	await page
		.getByRole('button', { name: /^Wait for the last/ })
		.first()
		.click();
	await expect(page.getByRole('complementary')).toBeVisible();
	const { violations } = await axeOn(page).include('aside').analyze();
	expect(violations).toEqual([]);
});

test('an address that leads nowhere says so, in words', async ({ page }) => {
	for (const url of ['/nowhere', '/trips/nowhere', '/clients/nobody', '/trips/demo-trip/plan/nobody']) {
		const response = await page.goto(url);
		expect(response!.status()).toBe(404);
		await expect(page.locator('main')).not.toContainText(/node_modules|\.js:/);
		await expect(page.getByRole('link', { name: 'All trips' })).toBeVisible();
	}
});

test.describe('what a page loads first, as it is sent', () => {
	const KB = 1000;
	for (const [name, url, script] of [
		['trips', '/', 150],
		['trip', '/trips/demo-trip', 150],
		['layer plan', '/trips/demo-trip/plan/demo-runa', 120]
	] as const)
		test(`${name}: at most ${script} kB of script and 15 kB of style`, async ({ page }) => {
			const sizes = await weightOf(page, url);
			expect(sizes.css).toBeGreaterThan(KB);
			expect(sizes.js).toBeGreaterThan(30 * KB);
			expect(sizes.js).toBeLessThanOrEqual(script * KB);
			expect(sizes.css).toBeLessThanOrEqual(15 * KB);
		});
});
