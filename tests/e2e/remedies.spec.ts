import { stageOf } from '../fixtures/make';
import { type APIRequestContext, axeOn, expect, test } from './test';

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
	// A list as somebody sends it, in the words that people use.
	await page.getByText('Paste a whole list').click();
	await page
		.getByLabel('A message, a packing list or rows of a table')
		.fill(
			'I have:\n- merino 250\n- softshell trousers\n- 2 pairs of hiking socks\n- hiking boots\n- beanie\n- ski gloves size L\n- didgeridoo\n- fleece'
		);
	const list = page.getByRole('list', { name: 'What is added' });
	await expect(list.getByRole('listitem')).toHaveCount(8);
	await expect(page.getByText('7 of 8 are understood; one is left out', { exact: false })).toBeVisible();
	await expect(list.getByLabel('How many: 2 pairs of hiking socks')).toHaveValue('2');
	await list.getByLabel('What it is: fleece', { exact: true }).selectOption('leave it out');
	await list.getByLabel('How many: beanie').fill('x');
	await expect(list).toContainText('A whole number from 0 to 99.');
	await expect(page.getByRole('button', { name: /^Add these/ })).toBeDisabled();
	await list.getByLabel('How many: beanie').fill('1');
	const preview = await axeOn(page).include('details').analyze();
	expect(preview.violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
	await page.getByRole('button', { name: 'Add these 6 things' }).click();
	await expect(page.getByText('Added: 6 things.')).toBeVisible();
	await expect(page.getByLabel(/^How many of /)).toHaveCount(6);
	const field = page.getByLabel('Describe a thing');
	// What is said of big coats is said of all of them.
	await field.fill('no big coat');
	await field.press('Enter');
	await expect(page.getByText('Noted: no Big coat, synthetic', { exact: false })).toContainText(
		'no Big coat, down'
	);

	await page.goto(`/trips/${trip}/plan/${client}`);
	const right = page.getByRole('status', { name: /all right/ });
	await expect(right).toContainText('not', { timeout: 240_000 });
	await page.locator('[data-once-near]').last().scrollIntoViewIfNeeded();
	const get = page.getByRole('region', { name: 'What to get' });
	await get.getByRole('button', { name: 'Work out what to get' }).click();
	const take = get.getByRole('button', { name: /^Cold gets/ });
	await expect(take.first()).toBeVisible({ timeout: 720_000 });
	await expect(get.getByRole('listitem').first()).toContainText('Cold is all right in the usual weather');
	await get
		.getByText(/moments? that/)
		.first()
		.click();
	await expect(get).toContainText('short now');
	const { violations } = await axeOn(page).include('.get').analyze();
	expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);

	// Declined first, with a reason: it stays so, and the plan with what is taken instead is right.
	const refuse = get.getByLabel(/^Why not the /).first();
	// As short as tells it from the others there; among what was decided it stands by its name.
	const what = (await refuse.getAttribute('aria-label'))!.replace(/^Why not the (.*)\?$/, '$1');
	await refuse.selectOption('costs too much');
	const decided = get.getByRole('list', { name: 'What was decided' });
	await expect(decided).toContainText(/Not the .*: costs too much\./);
	await get.getByRole('button', { name: 'Work out what to get' }).click();
	await expect(take.first()).toBeVisible({ timeout: 720_000 });
	await expect(get.getByLabel(`Why not the ${what}?`)).toBeHidden();
	await take.first().click();
	await expect(right).toContainText('Cold is all right on every day', { timeout: 240_000 });
	await expect(decided).toContainText(/buy by .*, for “Phase 1”/);
	await expect(get.getByText('Something has changed since')).toBeVisible();
	await page.goto(`/trips/${trip}/list/${client}`);
	const toGet = page.getByRole('region', { name: 'To get' });
	await expect(toGet).toContainText(/buy by \w+ \d+ \w+ \d+, for “Phase 1”/);
});
