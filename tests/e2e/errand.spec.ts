import { expect, type Page, test } from './test';

/** Types into the field with a label, by keyboard. */
async function fill(page: Page, label: string | RegExp, value: string): Promise<void> {
	await page
		.getByLabel(label, { exact: typeof label === 'string' })
		.first()
		.focus();
	await page.keyboard.press('Control+A');
	await page.keyboard.type(value);
}
/** Presses a button or link by keyboard. */
async function press(page: Page, role: 'button' | 'link', name: string | RegExp): Promise<void> {
	await page.getByRole(role, { name }).first().focus();
	await page.keyboard.press('Enter');
}

test('a planner makes a trip of two days, adds a client with ten things, sees plan and gap, and prints the list, by keyboard', async ({
	page
}) => {
	const client = `Nils Testman ${Date.now()}`;
	await page.goto('/');
	await fill(page, 'What it is called', 'Snow walk to the Larch hut');
	await page.keyboard.press('Enter');
	await expect(page.getByLabel('Trip', { exact: true })).toHaveValue('Snow walk to the Larch hut');
	await fill(page, 'Where', 'Larch valley');

	for (const [day, airTempC] of [
		['Up to the hut', '-8'],
		['Back down', '-3']
	] as const) {
		await press(page, 'button', '+ Add a day');
		await fill(page, 'Day', day);
		await fill(page, 'Low at dawn, °C', airTempC);
		await fill(page, 'High by day, °C', airTempC);
		await fill(page, 'Wind at 10 m, km/h', '35');
		await page.getByLabel('Underfoot').focus();
		await page.keyboard.type('snow');
		for (const phase of ['Climb', 'Wait', 'Walk']) {
			const patterns = page.getByRole('button', { name: 'Patterns and phases to add' });
			if ((await patterns.getAttribute('aria-expanded')) === 'false')
				await press(page, 'button', 'Patterns and phases to add');
			await page
				.getByRole('group', { name: 'Add a phase' })
				.getByRole('button', { name: phase, exact: true })
				.focus();
			await page.keyboard.press('Enter');
		}
	}
	await page.getByLabel('Minutes of Wait').focus();
	await page.keyboard.press('Control+A');
	await page.keyboard.type('45');
	await expect(page.getByRole('button', { name: /Why Wait feels like/ })).toBeVisible();
	await expect(page.getByText(/All saved/)).toBeVisible();

	await fill(page, 'A new client', client);
	await page.keyboard.press('Enter');
	await expect(page.getByText(client, { exact: true }).first()).toBeVisible();

	await press(page, 'link', /Kit, 0 things/);
	const say = page.getByLabel('Describe a thing');
	await expect(say).toBeVisible();
	const things = [
		'wool top, mid',
		'fleece jacket',
		'hard shell jacket',
		'soft shell trousers',
		'long johns wool',
		'3 walking socks',
		'winter boots',
		'winter gloves',
		'beanie',
		'no big coat'
	];
	for (const thing of things) {
		await say.focus();
		await page.keyboard.type(thing.replace(',', ''));
		await page.keyboard.press('Enter');
		await expect(say).toHaveValue('');
		await expect(page.getByText(/^(Added|Noted): /)).toBeVisible();
	}
	// "No big coat" is said of both of them.
	await expect(page.getByLabel(/^How many of /)).toHaveCount(11);
	await expect(page.getByLabel('How many of Walking socks, pairs')).toHaveValue('3');
	await expect(page.getByLabel('Big coat, synthetic, 120 g/m²: has it?')).toHaveValue('has not');

	// The plan, from anywhere, by one key.
	await page.locator('h2').first().click();
	await page.keyboard.press('/');
	await page.keyboard.type(`${client} larch`);
	await page.keyboard.press('Enter');
	await page.waitForURL(/\/plan\//);
	// The focus goes back to the top of a page that has been reached: until then it takes no key.
	const first = page.getByRole('link', { name: /Up to the hut/ });
	await expect(async () => {
		await first.focus();
		await page.keyboard.press('Enter');
		await expect(page).toHaveURL(/day=1/, { timeout: 2000 });
	}).toPass();
	await expect(page.getByRole('status', { name: /all right/ })).toBeVisible({ timeout: 240_000 });

	await press(page, 'link', /Back down/);
	await page.waitForURL(/day=2/);
	await expect(page.getByRole('button', { name: /^Wait: .*stays warm for \d+ of 45 min/ })).toBeVisible({
		timeout: 480_000
	});
	await expect(page.getByText(/stays warm for \d+ of 45 min in “Wait”, then/)).toBeVisible();
	await press(page, 'button', /^Wait: .*stays warm for \d+ of 45 min/);
	const why = page.getByRole('complementary', { name: /Why: Wait/ });
	await expect(why).toContainText('our assumption');
	await page.keyboard.press('Escape');
	await expect(why).toBeHidden();

	await press(page, 'link', 'List to print');
	await expect(page.getByRole('heading', { name: `What ${client} brings` })).toBeVisible();
	await page.emulateMedia({ media: 'print' });
	const paper = page.locator('article');
	for (const thing of [
		'Wool top, mid weight',
		'Fleece, jacket',
		'Walking socks',
		'Lined winter boots',
		'Warm hat'
	])
		await expect(paper).toContainText(thing);
	await expect(paper.getByRole('heading', { name: 'Still to solve' })).toBeVisible();
	await expect(paper).toContainText(/for \d+ of 45 min in “Wait”/);
	await expect(paper).toContainText('Ask Nils: what is there for the eyes?');
	await expect(paper).not.toContainText(/\bclo\b/);
	await expect(page.getByRole('navigation', { name: 'Sections' })).toBeHidden();
	for (const format of ['A4', 'Letter']) expect((await page.pdf({ format })).length).toBeGreaterThan(5000);
});

test('a guide reads the demo: the stop holds with the coat, and for the second client it is short', async ({
	page
}) => {
	await page.goto('/trips/demo-trip/plan/demo-runa');
	// What is shown before the search has ended may say another figure.
	await expect(page.getByRole('status', { name: /all right/ })).toBeVisible({ timeout: 360_000 });
	await page.getByRole('button', { name: /^Wait for the last on Tarn Saddle: Right/ }).click();
	await expect(page.getByRole('complementary')).toContainText(
		/without Big coat\s*holds (3\d of 33 min|\d+ min, these 33 and more)/
	);
	await page.keyboard.press('Escape');
	await page.getByRole('link', { name: 'Teo Marsh' }).click();
	await expect(
		page.getByRole('button', { name: /^Wait for the last on Tarn Saddle: Teo stays warm for \d+ of 33 min/ })
	).toBeVisible();
	await expect(page.getByText(/There is nothing to put on over everything/).first()).toBeVisible();
	await expect(page.getByText(/cotton shirt next to the skin/).first()).toBeVisible();
	await page.getByRole('link', { name: /in wet snow/ }).click();
	await expect(page.getByText(/Teo gets soaked on the legs/).first()).toBeVisible();
});

test('the ladder is walked with arrows, and every cell opens its reason', async ({ page }) => {
	await page.goto('/trips/demo-trip/plan/demo-teo');
	await expect(page.getByRole('status', { name: /all right/ })).toBeVisible({ timeout: 360_000 });
	// What stands under the drawing is loaded once somebody comes near it.
	await page.locator('[data-once-near]').first().scrollIntoViewIfNeeded();
	// What is right everywhere is one line until it is asked for.
	await expect(page.getByText(/^All right: .*eyes/)).toBeVisible();
	await page.getByRole('button', { name: 'Show all parts and the pack' }).click();
	const eyes = page.getByRole('button', { name: /^Eyes, Drive to the trailhead/ });
	await eyes.focus();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('button', { name: /^Face, Climb through the forest.*missing/ })).toBeFocused();
	await page.keyboard.press('Enter');
	const why = page.getByRole('complementary');
	await expect(why).toContainText('From a felt −10 °C face, ears and neck are covered.');
	await expect(why).toContainText('common practice');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('button', { name: /^Face, Climb through the forest.*missing/ })).toBeFocused();
	await page.locator('svg path.cloth').first().dispatchEvent('click');
	await expect(page.getByRole('complementary')).toContainText('clo');
});
