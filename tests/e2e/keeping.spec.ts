import { readFile } from 'node:fs/promises';
import { CATALOGUE } from '../../src/lib/core/cloth/catalogue';
import { expect, type Page, test } from './test';

/** Nothing that a person typed, and nothing that a person deleted by mistake, is lost. */
async function newTrip(request: import('./test').APIRequestContext, name: string): Promise<string> {
	const { id } = (await (await request.post('/api/v1/trips', { data: { name } })).json()) as { id: string };
	return id;
}

/** A phase of the extras, added to the day that is shown. */
async function addPhase(page: Page, name: string): Promise<void> {
	const patterns = page.getByRole('button', { name: 'Patterns and phases to add' });
	if ((await patterns.getAttribute('aria-expanded')) === 'false') await patterns.click();
	await page.getByRole('group', { name: 'Add a phase' }).getByRole('button', { name, exact: true }).click();
}

test('a figure out of range is named at its field, and everything typed stays', async ({ page, request }) => {
	const id = await newTrip(request, 'Out of range');
	await page.goto(`/trips/${id}`);
	await page.getByRole('button', { name: '+ Add a day' }).click();
	await page.getByLabel('Day', { exact: true }).fill('A hot one');
	await addPhase(page, 'Climb');
	await page.getByLabel('High by day, °C').fill('95');
	await page.getByLabel('Minutes of Climb').fill('');
	await expect(page.locator('main').getByRole('alert')).toContainText('2 fields need another look');
	const field = page.getByLabel('High by day, °C');
	await expect(field).toHaveAttribute('aria-invalid', 'true');
	await expect(page.locator('#base-highTempC-error')).toContainText('must be a number from −60 to 50');
	await expect(field).toHaveValue('95');
	await expect(page.getByLabel('Day', { exact: true })).toHaveValue('A hot one');
	await field.fill('-4');
	await page.getByLabel('Minutes of Climb').fill('50');
	await expect(page.getByText('must not be below the low')).toHaveCount(0);
	await page.getByLabel('Low at dawn, °C').fill('-9');
	await expect(page.getByText(/All saved, \d\d:\d\d/)).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('High by day, °C')).toHaveValue('-4');
});

test('the later of two editors is told what changed, keeps what was typed, and both edits stay', async ({
	page,
	context,
	request
}) => {
	const id = await newTrip(request, 'Two editors');
	await page.goto(`/trips/${id}`);
	await page.getByRole('button', { name: '+ Add a day' }).click();
	await expect(page.getByText(/All saved, /)).toBeVisible();
	const other = await context.newPage();
	await other.goto(`/trips/${id}`);
	await other.getByLabel('Wind at 10 m, km/h', { exact: true }).fill('55');
	await other.getByLabel('Where', { exact: true }).fill('north side');
	await expect(other.getByText(/All saved, /)).toBeVisible();

	await page.getByLabel('Low at dawn').fill('-12');
	await page.getByLabel('Where', { exact: true }).fill('south side');
	const told = page.locator('main').getByRole('alert');
	await expect(told).toContainText('Somebody else changed this trip meanwhile');
	await expect(told).toContainText('Day 1: wind 20 km/h → 55 km/h');
	await expect(told).toContainText('“” → “north side”');
	await expect(page.getByLabel('Where', { exact: true })).toHaveValue('south side');
	await page.getByLabel('High by day').fill('-3');
	await page.getByRole('button', { name: 'Keep mine, and take theirs in' }).click();
	await expect(page.getByText(/All saved/)).toBeVisible();
	await other.reload();
	await expect(other.getByLabel('Where', { exact: true })).toHaveValue('south side');
	await expect(other.getByLabel('Low at dawn')).toHaveValue('-12');
	await expect(other.getByLabel('High by day')).toHaveValue('-3');
	await expect(other.getByLabel('Wind at 10 m, km/h', { exact: true })).toHaveValue('55');

	await other.getByLabel('Wind at 10 m, km/h', { exact: true }).fill('60');
	await expect(other.getByText(/All saved, /)).toBeVisible();
	await page.getByLabel('Wind at 10 m, km/h', { exact: true }).fill('10');
	await expect(page.locator('main').getByRole('alert')).toContainText('wind 55 km/h → 60 km/h');
	await page.getByRole('button', { name: 'Take theirs, drop mine' }).click();
	await expect(page.getByLabel('Wind at 10 m, km/h', { exact: true })).toHaveValue('60');
	await page.getByRole('button', { name: /^Undo/ }).click();
	await expect(page.getByLabel('Wind at 10 m, km/h', { exact: true })).toHaveValue('10');
});

test('the last edits are undone and done again, and saved so', async ({ page, request }) => {
	const id = await newTrip(request, 'Undone');
	await page.goto(`/trips/${id}`);
	await page.getByRole('button', { name: '+ Add a day' }).click();
	await page.getByRole('button', { name: 'Ski tour' }).click();
	await expect(page.getByLabel('Minutes of Tea')).toHaveValue('20');
	await page.getByLabel('Minutes of Tea').fill('35');
	await page.getByRole('button', { name: 'Remove Skins on' }).click();
	await expect(page.getByLabel('Minutes of Skins on')).toBeHidden();
	await page.keyboard.press('Control+Z');
	await expect(page.getByLabel('Minutes of Skins on')).toBeVisible();
	await expect(page.getByRole('button', { name: /^Undo/ })).toHaveAttribute(
		'title',
		'Day 1: “Tea”: minutes 20 → 35'
	);
	await page.keyboard.press('Control+Z');
	await expect(page.getByLabel('Minutes of Tea')).toHaveValue('20');
	await page.keyboard.press('Control+Shift+Z');
	await expect(page.getByLabel('Minutes of Tea')).toHaveValue('35');
	await expect(page.getByText(/All saved, /)).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Minutes of Tea')).toHaveValue('35');
	await expect(page.getByLabel('Minutes of Skins on')).toBeVisible();
});

test('an edit is kept while the server does not answer, and saved when it does again', async ({
	page,
	request
}) => {
	const id = await newTrip(request, 'No answer');
	await page.goto(`/trips/${id}`);
	await page.route('**/api/v1/trips/*', (route) => route.abort());
	await page.getByLabel('Where', { exact: true }).fill('the far side');
	await expect(page.getByText(/The server does not answer/)).toBeVisible();
	await expect(page.getByLabel('Where', { exact: true })).toHaveValue('the far side');
	await page.unroute('**/api/v1/trips/*');
	await expect(page.getByText(/All saved, /)).toBeVisible({ timeout: 120_000 });
});

test('conditions are computed as one types, what is typed wins, and a loop repeats phases', async ({
	page,
	request
}) => {
	const id = await newTrip(request, 'Computed');
	await page.goto(`/trips/${id}`);
	await page.getByRole('button', { name: '+ Add a day' }).click();
	await page.getByLabel('Low at dawn').fill('-2');
	await page.getByLabel('High by day').fill('-2');
	await addPhase(page, 'Climb');
	await addPhase(page, 'Wait');
	await page.getByRole('button', { name: 'Open Climb' }).click();
	const air = page.getByLabel('Air temperature of Climb, typed');
	await expect(air).toHaveAttribute('placeholder', '−2');
	await page.getByLabel('Altitude of Climb').fill('2000');
	await expect(air).toHaveAttribute('placeholder', '−8.5');
	await page.getByLabel('Altitude of Climb').fill('');
	await page.getByLabel('High point, m').fill('1800');
	await expect(air).toHaveAttribute('placeholder', '−4.6');
	await air.fill('-15');
	await expect(page.getByRole('button', { name: /Why Climb feels like −2\d°/ })).toBeVisible();
	await page.getByRole('button', { name: 'Wait earlier' }).click();
	await page.getByRole('button', { name: '2 phases' }).click();
	await page.getByLabel('Rounds').fill('3');
	await expect(page.getByText(/All saved, /)).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Rounds')).toHaveValue('3');
	await page.getByRole('button', { name: 'Open Climb' }).click();
	await expect(page.getByLabel('Air temperature of Climb, typed')).toHaveValue('-15');
	const document = (await (await request.get(`/api/v1/trips/${id}`)).json()) as {
		trip: { stages: { sequence: { type: string; sequence: { name: string }[] }[] }[] };
	};
	expect(document.trip.stages[0]!.sequence[0]!.sequence.map(({ name }) => name)).toEqual(['Wait', 'Climb']);
});

test('a deleted trip, client and thing come back', async ({ page, request }) => {
	const name = `Deleted by mistake ${Date.now()}`;
	await newTrip(request, name);
	await page.goto(`/?q=${encodeURIComponent(name)}`);
	await page.getByRole('button', { name: `delete ${name}` }).click();
	await expect(page.getByRole('link', { name })).toBeHidden();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await expect(page.getByRole('link', { name })).toBeVisible();

	await page.goto('/clients');
	await page.getByLabel('Name of a new client').fill(`Una Undone ${name}`);
	await page.getByRole('button', { name: 'Add the client' }).click();
	await page.getByLabel('Describe a thing').fill('2 scarf');
	await page.keyboard.press('Enter');
	await expect(page.getByLabel('How many of Scarf')).toHaveValue('2');
	await page.getByRole('button', { name: 'Take Scarf out' }).click();
	await expect(page.getByLabel('How many of Scarf')).toBeHidden();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await expect(page.getByLabel('How many of Scarf')).toHaveValue('2');

	await page.goto('/clients');
	await page.getByRole('button', { name: `delete Una Undone ${name}` }).click();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await expect(page.getByRole('link', { name: `Una Undone ${name}` })).toBeVisible();
});

test('what is known of a client is kept with its state', async ({ page, request }) => {
	const { id } = (await (await request.post('/api/v1/clients', { data: { name: 'Kit Keeper' } })).json()) as {
		id: string;
	};
	await page.goto(`/clients/${id}`);
	await page.getByRole('radio', { name: 'Hands' }).check({ force: true });
	await expect(
		page.getByRole('listbox', { name: 'Things of the catalogue' }).getByRole('option')
	).toHaveCount(CATALOGUE.filter(({ group }) => group === 'hands').length);
	await page.getByLabel('Describe a thing').press('Enter');
	await page.getByLabel('Liner gloves: has it?').selectOption('assumed');
	await page.getByText('that is all they have here').nth(2).click();
	await page.getByLabel('Warm or cold by nature').selectOption('feels the cold');
	await page.getByText('One level more careful').click();
	await page.getByLabel('Client', { exact: true }).fill('Kit Keeper the Second');
	await page.keyboard.press('Tab');
	await expect(page.getByRole('heading', { name: 'The kit, head to toe' })).toBeVisible();
	await expect
		.poll(async () => {
			const client = (await (await request.get(`/api/v1/clients/${id}`)).json()) as Record<string, never>;
			const { name, answeredParts, careful, offsetClo, things } = client as unknown as {
				name: string;
				answeredParts: string[];
				careful: { value: boolean };
				offsetClo: { value: number };
				things: { quantity: { state: string } }[];
			};
			return [name, answeredParts, careful.value, offsetClo.value, things[0]?.quantity.state];
		})
		.toEqual(['Kit Keeper the Second', ['hands'], true, 0.15, 'assumed']);
});

test('a copy of the house is put back by a button, and that can be undone', async ({ page, request }) => {
	const kept = await newTrip(request, 'In the copy');
	await page.goto('/house');
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page
			.getByRole('button', { name: 'Take a copy' })
			.or(page.getByRole('link', { name: 'Take a copy' }))
			.click()
	]);
	const copy = await download.path();
	expect((await request.delete(`/api/v1/trips/${kept}`)).ok()).toBe(true);
	const later = await newTrip(request, 'After the copy');
	const isThere = async (id: string) => (await request.get(`/api/v1/trips/${id}`)).ok();
	// What is no copy changes nothing, and is told so.
	const chooser = page.getByLabel('Put a copy back');
	await chooser.setInputFiles({
		name: 'holiday.zip',
		mimeType: 'application/zip',
		buffer: Buffer.from('no')
	});
	await expect(page.locator('main').getByRole('alert')).toContainText('This is no archive, or it was cut');
	await chooser.setInputFiles({
		name: 'house.zip',
		mimeType: 'application/zip',
		buffer: await readFile(copy)
	});
	const asked = page.getByRole('dialog', { name: 'Put this copy back?' });
	await expect(asked).toContainText(/house\.zip holds \d+ trips and \d+ clients/);
	await asked.getByRole('button', { name: 'Put it back' }).click();
	await expect(page.getByText(/^The copy with \d+ trips .* is here now/)).toBeVisible({ timeout: 120_000 });
	expect([await isThere(kept), await isThere(later)]).toEqual([true, false]);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('button', { name: /^Bring back what was set aside/ })).toHaveCount(2);
	expect([await isThere(kept), await isThere(later)]).toEqual([false, true]);
});
