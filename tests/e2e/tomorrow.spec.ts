import { expect, test } from './test';

/** The evening before a day: what everybody does tonight, and one line for each tomorrow. */
test('the evening before is read on a page, on a phone and on the wall', async ({ page }) => {
	test.slow();
	await page.goto('/trips/demo-trip');
	await page.getByRole('link', { name: 'Tonight and tomorrow' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tonight and tomorrow');
	const people = page.getByRole('region', { name: /Over Tarn Saddle/ }).getByRole('listitem');
	await expect(people.first()).toContainText(/start in .+/, { timeout: 480_000 });
	await expect(people.filter({ hasText: 'Teo' })).toContainText(/Teo stays warm for \d+ of 33 min/, {
		timeout: 480_000
	});
	await expect(people.filter({ hasText: 'Teo' }).getByRole('img')).toHaveAttribute(
		'aria-label',
		/^Teo wears, from the skin out: .*soft shell/
	);
	// Before the first day one is at home; on the second one what got wet is dried.
	await expect(page.getByRole('heading', { name: 'The evening before, at home' })).toBeVisible();
	await page.getByRole('link', { name: /The hut ruin/ }).click();
	await expect(page.getByRole('heading', { name: 'Tonight', exact: true })).toBeVisible();
	await page.setViewportSize({ width: 390, height: 844 });
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('button', { name: 'Print it for the wall' })).toBeHidden();
	expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(5000);
});

test('a day without plans says that they are being worked out', async ({ page, request }) => {
	const { id } = (await (await request.post('/api/v1/trips', { data: { name: 'Nobody yet' } })).json()) as {
		id: string;
	};
	await page.goto(`/trips/${id}/tomorrow`);
	await expect(page.getByText('This trip has no days yet.')).toBeVisible();
	expect((await page.goto('/trips/nowhere/tomorrow'))?.status()).toBe(404);
});

test('what was deleted is in the bin after a reload, and comes back', async ({ page, request }) => {
	const name = `Deleted ${Date.now()}`;
	const { id } = (await (await request.post('/api/v1/trips', { data: { name } })).json()) as { id: string };
	expect((await request.delete(`/api/v1/trips/${id}`)).ok()).toBe(true);
	await page.goto('/house');
	await page.getByRole('link', { name: 'Bin' }).click();
	await page.waitForURL('/house/bin');
	await page.reload();
	await page.getByRole('button', { name: `Bring back ${name}` }).click();
	await expect(page.getByRole('status').filter({ hasText: `“${name}” is back.` })).toBeVisible();
	await expect(page.getByRole('button', { name: `Bring back ${name}` })).toHaveCount(0);
	await page.goto(`/trips/${id}`);
	await expect(page.getByLabel('Trip', { exact: true })).toHaveValue(name);
});

test('on the trip page a new client is a few keys away, and a slip is said at its field', async ({
	page,
	request
}) => {
	const trip = (await (await request.get('/api/v1/trips/demo-trip')).json()) as {
		trip: { name: string; stages: Record<string, unknown>[]; weathers: unknown[]; site: unknown };
	};
	const { id } = (await (await request.post('/api/v1/trips', { data: { name: 'Slips' } })).json()) as {
		id: string;
	};
	const [first, second] = trip.trip.stages;
	const stages = [
		{ ...first, date: '2027-01-23' },
		{ ...second, date: '2027-01-26', route: { startM: 900, highM: 500, lowM: 400, bedM: 900 } }
	];
	const { weathers, site } = trip.trip;
	const saved = await request.put(`/api/v1/trips/${id}`, {
		data: { name: 'Slips', place: '', site, weathers, stages, version: 1 }
	});
	expect(saved.ok()).toBe(true);
	await page.goto(`/trips/${id}`);
	const added = page.getByLabel('A new client');
	let tabs = 0;
	for (; tabs < 15; tabs++) {
		await page.keyboard.press('Tab');
		if (await page.evaluate(() => document.activeElement?.textContent?.includes('New client'))) break;
	}
	expect(tabs).toBeLessThan(15);
	await page.keyboard.press('Enter');
	await expect(added).toBeFocused();
	await page.getByRole('list', { name: 'Days' }).getByRole('listitem').nth(1).locator('button').click();
	await expect(page.getByText('2 days lie between the day before and this one.')).toBeVisible();
	await expect(page.getByText('The high point lies under the start.')).toBeVisible();
});
