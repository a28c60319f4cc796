import { expect, test } from './test';

/** Nothing that a person typed, and nothing that a person deleted by mistake, is lost. */

async function newTrip(request: import('./test').APIRequestContext, name: string): Promise<string> {
	const { id } = (await (await request.post('/api/v1/trips', { data: { name } })).json()) as { id: string };
	return id;
}

test('a figure out of range is named at its field, and everything typed stays', async ({ page, request }) => {
	const id = await newTrip(request, 'Out of range');
	await page.goto(`/trips/${id}`);
	await page.getByRole('button', { name: '+ Add a day' }).click();
	await page.getByLabel('Day', { exact: true }).fill('A hot one');
	await page.getByLabel('Air, °C').fill('95');
	await page.getByRole('button', { name: 'Climb', exact: true }).click();
	await page.getByLabel('Minutes of Climb').fill('');
	await page.getByRole('button', { name: /^Save/ }).click();
	await expect(page.getByRole('alert')).toContainText('2 fields need another look');
	const field = page.getByLabel('Air, °C');
	await expect(field).toHaveAttribute('aria-invalid', 'true');
	await expect(page.locator('#base-temp-error')).toContainText('must be a number from −60 to 50');
	await expect(field).toHaveValue('95');
	await expect(page.getByLabel('Day', { exact: true })).toHaveValue('A hot one');
	await field.fill('-4');
	await page.getByLabel('Minutes of Climb').fill('50');
	await page.getByRole('button', { name: /^Save/ }).click();
	await expect(page.getByText('All saved')).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Air, °C')).toHaveValue('-4');
});

test('the later of two editors is told, keeps what was typed, and chooses', async ({
	page,
	context,
	request
}) => {
	const id = await newTrip(request, 'Two editors');
	await page.goto(`/trips/${id}`);
	const other = await context.newPage();
	await other.goto(`/trips/${id}`);
	await other.getByLabel('Where').fill('north side');
	await other.getByRole('button', { name: /^Save/ }).click();
	await expect(other.getByText('All saved')).toBeVisible();

	await page.getByLabel('Where').fill('south side');
	await page.getByRole('button', { name: /^Save/ }).click();
	await expect(page.getByRole('alert')).toContainText('changed meanwhile by somebody else');
	await expect(page.getByLabel('Where')).toHaveValue('south side');
	await page.getByRole('button', { name: 'Save mine over it' }).click();
	await expect(page.getByText('All saved')).toBeVisible();
	await other.reload();
	await expect(other.getByLabel('Where')).toHaveValue('south side');
});

test('conditions are computed as one types, what is typed wins, and a loop repeats phases', async ({
	page,
	request
}) => {
	const id = await newTrip(request, 'Computed');
	await page.goto(`/trips/${id}`);
	await page.getByRole('button', { name: '+ Add a day' }).click();
	await page.getByLabel('Air, °C').fill('-2');
	await page.getByRole('button', { name: 'Climb', exact: true }).click();
	await page.getByRole('button', { name: 'Wait', exact: true }).click();
	const air = page.getByLabel('Air temperature of Climb, typed');
	await expect(air).toHaveAttribute('placeholder', '−2.0');
	await page.getByLabel('Altitude of Climb').fill('2000');
	await expect(air).toHaveAttribute('placeholder', '−8.5');
	await air.fill('-15');
	await expect(page.getByRole('button', { name: /Why Climb feels like −2\d°/ })).toBeVisible();
	await page.getByRole('button', { name: 'Wait earlier' }).click();
	await page.getByRole('button', { name: '2 phases' }).click();
	await page.getByLabel('Rounds').fill('3');
	await page.getByRole('button', { name: /^Save/ }).click();
	await expect(page.getByText('All saved')).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Rounds')).toHaveValue('3');
	await expect(page.getByLabel('Air temperature of Climb, typed')).toHaveValue('-15');
	const document = (await (await request.get(`/api/v1/trips/${id}`)).json()) as {
		trip: { stages: { sequence: { type: string; sequence: { name: string }[] }[] }[] };
	};
	expect(document.trip.stages[0]!.sequence[0]!.sequence.map(({ name }) => name)).toEqual(['Wait', 'Climb']);
});

test('a deleted trip, client and thing come back', async ({ page, request }) => {
	const name = `Deleted by mistake ${Date.now()}`;
	await newTrip(request, name);
	await page.goto('/');
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
	).toHaveCount(6);
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
