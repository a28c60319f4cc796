import { expect, test } from './test';

/** Without connection: what was opened can be read, and what is edited outlives a reload and is saved later. */
test.use({ serviceWorkers: 'allow' });

test('a trip is edited without connection, loaded again, and saved once there is one', async ({
	page,
	context,
	request
}) => {
	const { id } = (await (await request.post('/api/v1/trips', { data: { name: 'Far out' } })).json()) as {
		id: string;
	};
	const address = `/trips/${id}`;
	const isKept = () =>
		page.evaluate(
			async (url) => (await caches.match(new URL(url, location.href).href)) !== undefined,
			address
		);
	await page.goto(address);
	// The first visit brings the worker, the second one goes through it.
	await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
	await page.reload();
	await expect.poll(isKept, { timeout: 120_000 }).toBe(true);

	await context.setOffline(true);
	await page.getByLabel('Where', { exact: true }).fill('the far side');
	await expect(page.getByText(/The server does not answer/)).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Trip', { exact: true })).toHaveValue('Far out');
	await expect(page.getByLabel('Where', { exact: true })).toHaveValue('the far side');

	await context.setOffline(false);
	await expect(page.getByText(/All saved, /)).toBeVisible({ timeout: 120_000 });
	const saved = (await (await request.get(`/api/v1${address}`)).json()) as { trip: { place: string } };
	expect(saved.trip.place).toBe('the far side');
	await page.reload();
	await expect(page.getByLabel('Where', { exact: true })).toHaveValue('the far side');
	expect(await page.evaluate(() => localStorage.getItem('unsaved-trips'))).toBeNull();
});

test('the plan last opened is read without connection', async ({ page, context }) => {
	test.slow();
	const address = '/trips/demo-trip/plan/demo-runa';
	await page.goto(address);
	await page.evaluate(() => navigator.serviceWorker.ready.then(() => true));
	await page.reload();
	const verdict = page.getByRole('status', { name: /all right/ });
	await expect(verdict).toBeVisible({ timeout: 480_000 });
	await expect
		.poll(
			() =>
				page.evaluate(
					async (url) => (await caches.match(new URL(url, location.href).href)) !== undefined,
					address
				),
			{ timeout: 120_000 }
		)
		.toBe(true);
	await context.setOffline(true);
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Runa Fjellby' })).toBeVisible();
	await context.setOffline(false);
});

test('edits of two people that do not touch each other are both kept without a question', async ({
	page,
	context,
	request
}) => {
	const { id } = (await (await request.post('/api/v1/trips', { data: { name: 'Two tabs' } })).json()) as {
		id: string;
	};
	await page.goto(`/trips/${id}`);
	const other = await context.newPage();
	await other.goto(`/trips/${id}`);
	await other.getByLabel('Where', { exact: true }).fill('north side');
	await expect(other.getByText(/All saved, /)).toBeVisible();
	await page.getByLabel('Trip', { exact: true }).fill('Two tabs, one trip');
	await expect(page.getByText(/All saved, /)).toBeVisible();
	await expect(page.getByLabel('Where', { exact: true })).toHaveValue('north side');
	await expect(page.getByText(/Somebody else changed/)).toHaveCount(0);
});
