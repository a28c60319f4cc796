import AxeBuilder from '@axe-core/playwright';
import { stageOf } from '../fixtures/make';
import { type APIRequestContext, expect, test } from './test';

/** From a verdict to an act: what to get, and the plan with it. */
async function make(request: APIRequestContext, url: string, data: object): Promise<string> {
	return ((await (await request.post(url, { data })).json()) as { id: string }).id;
}

test('a long wait without a coat: what to get is worked out, taken, and the plan is right', async ({
	page,
	request
}) => {
	test.slow();
	const trip = await make(request, '/api/v1/trips', { name: `A wait on the hill ${Date.now()}` });
	const { trip: made } = (await (await request.get(`/api/v1/trips/${trip}`)).json()) as {
		trip: { weathers: object[]; version: number };
	};
	const stage = {
		...stageOf(
			[
				['move', 60, 250, 'slope'],
				['stop', 40, 80, 'slope']
			],
			{ airTempC: -6, wind10mKmh: 10 }
		),
		id: 'day',
		name: 'Up, and wait'
	};
	const saved = await request.put(`/api/v1/trips/${trip}`, {
		data: {
			name: 'A wait on the hill',
			place: '',
			site: null,
			weathers: made.weathers.slice(0, 1),
			stages: [stage],
			version: made.version
		}
	});
	expect(saved.ok()).toBe(true);
	const client = await make(request, '/api/v1/clients', { name: 'Cold Guest', tripId: trip });
	await page.goto(`/clients/${client}`);
	const field = page.getByLabel('Describe a thing');
	// In the words that people use; the last one is said of every big coat.
	for (const words of [
		'merino 250',
		'softshell trousers',
		'hiking socks',
		'hiking boots',
		'beanie',
		'ski gloves',
		'no big coat'
	]) {
		await field.fill(words);
		await field.press('Enter');
		await expect(field).toHaveValue('');
	}
	await expect(page.getByText('Noted: no Big coat, synthetic', { exact: false })).toContainText(
		'no Big coat, down'
	);

	await page.goto(`/trips/${trip}/plan/${client}`);
	const right = page.getByRole('status', { name: /all right/ });
	await expect(right).toContainText('not', { timeout: 60_000 });
	await page.locator('[data-once-near]').last().scrollIntoViewIfNeeded();
	const get = page.getByRole('region', { name: 'What to get' });
	await get.getByRole('button', { name: 'Work out what to get' }).click();
	const take = get.getByRole('button', { name: /^Cold gets/ });
	await expect(take.first()).toBeVisible({ timeout: 180_000 });
	await expect(get.getByRole('listitem').first()).toContainText('Cold is all right in the usual weather');
	await get
		.getByText(/moments? that/)
		.first()
		.click();
	await expect(get).toContainText('short now');
	const { violations } = await new AxeBuilder({ page }).include('.get').analyze();
	expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);

	await take.first().click();
	await expect(right).toContainText('Cold is all right on every day', { timeout: 60_000 });
	await expect(get.getByText('Something has changed since')).toBeVisible();
});
