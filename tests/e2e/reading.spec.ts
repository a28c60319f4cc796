import { devices } from '@playwright/test';
import { expect, type Page, test } from './test';

/** What a page says before its scripts run, and what explains itself while one reads and types. */
const RUNA = '/trips/demo-trip/plan/demo-runa';
const PLANS = '/api/v1/trips/demo-trip/plans';
const verdict = (page: Page) => page.getByRole('status', { name: 'Is Runa all right?' });

test('a plan that is kept is read before any script runs, on the desk and on a phone', async ({
	browser,
	request,
	baseURL
}) => {
	expect((await request.get(`${PLANS}/demo-runa/plan`)).ok()).toBe(true);
	const address = `${baseURL}${RUNA}`;
	const desk = await browser.newContext({ javaScriptEnabled: false, locale: 'en-GB' });
	const onDesk = await desk.newPage();
	await onDesk.goto(address);
	await expect(verdict(onDesk)).toContainText(/^Runa is/);
	await expect(onDesk.getByRole('heading', { name: 'Say to Runa' })).toBeVisible();
	await expect(
		onDesk.getByRole('img', { name: /^What Runa wears against what each phase needs/ })
	).toBeVisible();
	await expect(onDesk.getByText('Sat 23 Jan', { exact: true })).toBeVisible();
	await desk.close();

	const phone = await browser.newContext({
		...devices['Pixel 7'],
		javaScriptEnabled: false,
		locale: 'en-US'
	});
	const onPhone = await phone.newPage();
	await onPhone.goto(address);
	await expect(verdict(onPhone)).toBeVisible();
	const day = onPhone.getByRole('region', { name: 'The day, phase by phase' });
	await expect(day.getByRole('heading', { name: 'Drive to the trailhead' })).toBeVisible();
	await expect(onPhone.getByText('Sat Jan 23', { exact: true })).toBeAttached();
	expect(await onPhone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(412);
	await phone.close();
});

test('on a phone one goes through the day by swiping, by a button, and by the list', async ({
	browser,
	request,
	baseURL
}) => {
	expect((await request.get(`${PLANS}/demo-runa/plan`)).ok()).toBe(true);
	const phone = await browser.newContext({
		...devices['Pixel 7'],
		viewport: { width: 390, height: 844 },
		serviceWorkers: 'block'
	});
	const page = await phone.newPage();
	await page.goto(`${baseURL}${RUNA}`);
	await page.waitForSelector('html[data-ready]', { state: 'attached' });
	const day = page.getByRole('region', { name: 'The day, phase by phase' });
	const heading = day.getByRole('heading', { level: 2 });
	await expect(heading).toHaveText('Drive to the trailhead');
	const swipe = (fromX: number, toX: number, dy = 0) =>
		day.evaluate(
			(element, [x, to, down]) => {
				const at = (clientX: number, clientY: number) =>
					new Touch({ identifier: 1, target: element, clientX, clientY });
				const start = at(x, 300);
				const end = at(to, 300 + down);
				element.dispatchEvent(
					new TouchEvent('touchstart', { bubbles: true, touches: [start], changedTouches: [start] })
				);
				element.dispatchEvent(
					new TouchEvent('touchend', { bubbles: true, touches: [], changedTouches: [end] })
				);
			},
			[fromX, toX, dy] as [number, number, number]
		);
	await swipe(300, 120);
	await expect(heading).toHaveText('Skins on at the car');
	await swipe(120, 300);
	await expect(heading).toHaveText('Drive to the trailhead');
	// Scrolling is no swipe, and neither is a touch that hardly moves; before the first phase there is none.
	await swipe(200, 120, 300);
	await swipe(200, 180);
	await swipe(100, 320);
	await expect(heading).toHaveText('Drive to the trailhead');
	await day.getByRole('button', { name: 'Next' }).click();
	await expect(heading).toHaveText('Skins on at the car');
	await day.getByLabel('Go to a phase').selectOption({ index: 4 });
	await expect(heading).toHaveText('Wait for the last on Tarn Saddle');
	for (let phase = 4; phase < 14; phase++) {
		expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThan(1500);
		if (phase < 13) await day.getByRole('button', { name: 'Next' }).click();
	}
	await expect(day.getByRole('button', { name: 'Next' })).toBeDisabled();
	await phone.close();
});

test('dates stand in the order of whoever reads', async ({ page }) => {
	await page.goto(RUNA);
	await expect(page.getByText('Sat 23 Jan', { exact: true })).toBeVisible();
	await page.getByRole('button', { name: /^Units/ }).click();
	await page.getByRole('radio', { name: 'Jan 23' }).check();
	await expect(page.getByText('Sat Jan 23', { exact: true })).toBeVisible();
	await page.goto('/trips/demo-trip/tomorrow?day=1');
	await expect(page.getByRole('heading', { name: /^Sat Jan 23, 2027/ })).toBeVisible();
});

test('a bed moves the next start, a pattern keeps what was typed, and a word explains itself', async ({
	page,
	request
}) => {
	const { trip } = (await (await request.get('/api/v1/trips/demo-trip')).json()) as {
		trip: { weathers: unknown[]; stages: Record<string, unknown>[]; site: unknown };
	};
	const { id } = (await (await request.post('/api/v1/trips', { data: { name: 'Beds' } })).json()) as {
		id: string;
	};
	const { weathers, stages, site } = trip;
	const data = { name: 'Beds', place: '', site, weathers, stages, version: 1 };
	expect((await request.put(`/api/v1/trips/${id}`, { data })).ok()).toBe(true);
	await page.goto(`/trips/${id}`);
	const days = page.getByRole('list', { name: 'Days' }).getByRole('listitem');
	await page.getByLabel('Bed, m').fill('1410');
	await page.getByLabel('Bed, m').blur();
	await days.nth(1).locator('button').click();
	await expect(page.getByLabel('Start, m')).toHaveValue('1410');
	// What is typed stays when a pattern is taken.
	await page.getByLabel('Start, m').fill('1425');
	await page.getByLabel('Start, m').blur();
	await page.getByRole('button', { name: 'Patterns and phases to add' }).click();
	await page
		.getByRole('list', { name: 'Patterns' })
		.getByRole('button', { name: /^Hut to hut/ })
		.click();
	await expect(page.getByLabel('Start, m')).toHaveValue('1425');
	// Words that need it.
	const lapse = page.getByLabel(/^Lapse/);
	await lapse.focus();
	const meaning = page.getByRole('tooltip').filter({ visible: true });
	await expect(meaning).toHaveCount(1);
	await expect(lapse).toHaveAttribute('aria-describedby', /-meaning/);
	await page.keyboard.press('Escape');
	await expect(meaning).toHaveCount(0);
	await expect(lapse).toBeFocused();
});

test('the first thing of a kit is typed without a key before it', async ({ page, request }) => {
	const made = await request.post('/api/v1/clients', { data: { name: 'First Thing' } });
	const { id } = (await made.json()) as { id: string };
	await page.goto(`/clients/${id}`);
	await expect(page.getByLabel('Describe a thing')).toBeFocused();
	await page.keyboard.type('fleece jacket');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/^Added: /)).toBeVisible();
	// Who has a kit is read first.
	await page.reload();
	await expect(page.getByLabel('Describe a thing')).toBeVisible();
	await expect(page.getByLabel('Describe a thing')).not.toBeFocused();
});
