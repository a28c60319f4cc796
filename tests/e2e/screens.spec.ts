import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { type APIRequestContext, expect, type Page, test } from './test';

/** Each screen, empty and full, as its user meets it. */
async function make(request: APIRequestContext, url: string, data: object): Promise<string> {
	return ((await (await request.post(url, { data })).json()) as { id: string }).id;
}
async function tripWithClient(
	request: APIRequestContext,
	name: string
): Promise<{ trip: string; client: string }> {
	const trip = await make(request, '/api/v1/trips', { name });
	return { trip, client: await make(request, '/api/v1/clients', { name: `Guest of ${name}`, tripId: trip }) };
}
const why = (page: Page) => page.getByRole('complementary');

test('empty screens say what to do first, and offer it', async ({ page, request }) => {
	const { trip, client } = await tripWithClient(request, `Empty ${Date.now()}`);
	await page.goto(`/trips/${trip}/plan/${client}`);
	await page.getByRole('link', { name: 'Add the day and its phases' }).click();
	await page.getByRole('button', { name: 'Add the first day' }).click();
	await expect(page.getByText('What happens on this day?')).toBeVisible();
	await page
		.getByRole('group', { name: 'Add a phase' })
		.getByRole('button', { name: 'Rest', exact: true })
		.click();
	await expect(page.getByText(/All saved, /)).toBeVisible();
	await page.getByRole('link', { name: 'Layer plan' }).click();
	await page.getByRole('link', { name: /^Ask what / }).click();
	await expect(page.getByLabel('Describe a thing')).toBeVisible();
	await page.goto(`/trips/${trip}/list/${client}`);
	await expect(page.getByText(/Nothing is known of/)).toBeVisible();
});

test('a loop is shown round by round, and a day taken out comes back', async ({ page, request }) => {
	const { trip, client } = await tripWithClient(request, `Loops ${Date.now()}`);
	const stage = { ...DEMO_DOCUMENT.trip.stages[1]!, id: 'laps', name: 'Laps' };
	const [climb, rest] = [stage.sequence[1]!, stage.sequence[3]!];
	stage.sequence = [{ type: 'loop', id: 'lap', name: 'Lap', count: 3, sequence: [climb, rest] }];
	await request.put(`/api/v1/trips/${trip}`, {
		data: { name: 'Laps', place: '', weathers: DEMO_DOCUMENT.trip.weathers, stages: [stage], version: 1 }
	});
	for (const typeId of [
		'top-wool-mid',
		'fleece',
		'hard-shell',
		'trousers-soft-shell',
		'trousers-hard-shell',
		'boot-winter',
		'sock-mid',
		'glove-winter'
	]) {
		await request.post(`/api/v1/clients/${client}/things`, {
			data: { typeId, quantity: { value: 1, source: 'client', state: 'has' } }
		});
	}
	await page.goto(`/trips/${trip}/plan/${client}`);
	await expect(page.getByRole('group', { name: /^Rest behind the ruin.* 3$/ })).toBeVisible();
	await page.goto(`/trips/${trip}`);
	await page.getByRole('button', { name: 'Take this day out' }).click();
	const days = page.getByRole('list', { name: 'Days' }).getByRole('listitem');
	await expect(days).toHaveCount(0);
	await page.getByRole('button', { name: /^Undo/ }).click();
	await expect(days).toHaveCount(1);
	await page.getByRole('button', { name: 'no loop' }).click();
	await expect(page.getByLabel('Rounds')).toBeHidden();
	await expect(page.getByLabel('Minutes of Rest behind the ruin')).toHaveValue('20');
});

test('every kind of figure opens to its reason, marked by how sure it is', async ({ page }) => {
	await page.goto('/trips/demo-trip/plan/demo-runa');
	const opened: [what: string, name: RegExp, words: RegExp[]][] = [
		[
			'a felt temperature',
			/^Climb over open slopes: −9°, feels like −\d+°/,
			[/colder with height/, /published standard/, /shelter/]
		],
		[
			'a verdict',
			/^Climb over open slopes: Right/,
			[/runs through the day/, /our assumption/, /Too warm here from/]
		],
		[
			'a finding',
			/Runa stays warm for \d+ of 120 min in “What if: partner hurt/,
			[/runs through the day/, /our assumption/]
		],
		['a ladder cell', /^Eyes, Skins on at the car/, [/lens category/i, /EN ISO 12312-1/]],
		['what rides on top', /^On top of the pack in Climb through the forest/, [/Big coat/]]
	];
	// What stands under the drawing is loaded once somebody comes near it.
	await page.locator('[data-once-near]').first().scrollIntoViewIfNeeded();
	await page.getByRole('button', { name: 'Show all parts and the pack' }).click();
	for (const [what, name, words] of opened) {
		await page.getByRole('button', { name }).first().click();
		for (const word of words) await expect(why(page), what).toContainText(word);
		await page.getByRole('button', { name: 'Close the reasons' }).click();
		await expect(why(page), what).toBeHidden();
	}
	await page.goto('/trips/demo-trip');
	await page.getByRole('button', { name: /^Why Climb over open slopes feels like/ }).click();
	await expect(why(page)).toContainText('How cold bare skin feels in this wind.');
	await page.goto('/clients/demo-teo');
	await page.getByRole('button', { name: 'Fleece, jacket', exact: true }).click();
	await expect(why(page)).toContainText('ISO 7730 Table C.2, thick sweater 0.35 clo');
});

test('the finder goes by arrows and says when it finds nothing', async ({ page }) => {
	await page.goto('/');
	await page.keyboard.press('/');
	const box = page.getByRole('combobox', { name: 'Name of a client or trip' });
	await box.fill('zzz');
	await expect(page.getByText('Nothing of that name.')).toBeVisible();
	await box.fill('teo');
	await expect(page.getByRole('listbox', { name: 'Places' }).getByRole('option')).toHaveCount(2);
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Enter');
	await expect(page.getByLabel('Client', { exact: true })).toHaveValue('Teo Marsh');
	await page.keyboard.press('Escape');
});

test('leaving a trip saves it first, and asks when that cannot be done', async ({ page, request }) => {
	const trip = await make(request, '/api/v1/trips', { name: `Unsaved ${Date.now()}` });
	await page.goto(`/trips/${trip}`);
	await page.getByLabel('Where', { exact: true }).fill('somewhere');
	await page.getByRole('link', { name: 'Clients', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Clients and their kit' })).toBeVisible();
	await page.goto(`/trips/${trip}`);
	await expect(page.getByLabel('Where', { exact: true })).toHaveValue('somewhere');
	await page.getByLabel('Trip', { exact: true }).fill('');
	page.once('dialog', (dialog) => void dialog.dismiss());
	await page.getByRole('link', { name: 'Clients', exact: true }).click();
	await expect(page.locator('main').getByRole('alert')).toContainText('must not be empty');
	page.once('dialog', (dialog) => void dialog.accept());
	await page.getByRole('link', { name: 'Clients', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Clients and their kit' })).toBeVisible();
});

test('the list prints on one sheet of A4 and of Letter', async ({ page }) => {
	await page.goto('/trips/demo-trip/list/demo-runa');
	for (const format of ['A4', 'Letter']) {
		const pdf = (await page.pdf({ format })).toString('latin1');
		expect(pdf.match(/\/Type\s*\/Page\b/g), format).toHaveLength(1);
	}
});
