import { PATTERNS } from '../../src/lib/core/patterns';
import { patternName, unfoldNamed } from '../../src/lib/words/patterns';
import { type BaseRow, stageOf } from '../fixtures/make';
import { type APIRequestContext, axeOn, expect, type Page, test } from './test';

/** From kit to reasons: a day of climbing and standing, and a day of sitting still. */
async function make(request: APIRequestContext, url: string, data: object): Promise<string> {
	return ((await (await request.post(url, { data })).json()) as { id: string }).id;
}
async function dayOf(request: APIRequestContext, patternId: string, base: BaseRow): Promise<string> {
	const id = await make(request, '/api/v1/trips', { name: `Clothes ${patternId} ${Date.now()}` });
	let made = 0;
	const pattern = PATTERNS.find((one) => one.id === patternId)!;
	const { ground, bed, ...rest } = unfoldNamed(pattern, 'guided', () => `p-${++made}`);
	const stage = {
		...stageOf([], { ...(ground && { ground }), ...base }, rest),
		id: 'day',
		name: patternName(pattern.id),
		bed: { kind: bed, washing: false, drying: 'nothing' }
	};
	const { trip } = (await (await request.get(`/api/v1/trips/${id}`)).json()) as {
		trip: { weathers: object[]; version: number };
	};
	const saved = await request.put(`/api/v1/trips/${id}`, {
		data: {
			name: patternName(pattern.id),
			place: '',
			site: null,
			weathers: trip.weathers,
			stages: [stage],
			version: trip.version
		}
	});
	expect(saved.ok()).toBe(true);
	return id;
}
async function add(page: Page, words: string): Promise<void> {
	const field = page.getByLabel('Describe a thing');
	await field.fill(words);
	await field.press('Enter');
	await expect(field).toHaveValue('');
}
const why = (page: Page) => page.getByRole('complementary');

test('a climb-and-stand day, from the kit to the reasons', async ({ page, request }) => {
	test.slow();
	const trip = await dayOf(request, 'ice-or-mixed-climb', { lowTempC: -12, highTempC: -8, ground: 'snow' });
	const client = await make(request, '/api/v1/clients', { name: 'Belay Guest', tripId: trip });
	await page.goto(`/clients/${client}`);
	for (const words of [
		'wool top, mid',
		'fleece, jacket',
		'rain jacket',
		'long underpants, wool',
		'soft shell trousers',
		'thick socks',
		'mountaineering boots',
		'light gloves',
		'warm hat'
	])
		// prettier-ignore
		await add(page, words);
	await page.getByRole('button', { name: 'What is known of Rain jacket' }).click();
	const facts = page.getByRole('group', { name: 'What is known of Rain jacket' });
	await facts.getByLabel('Its finish').selectOption('wets out');
	await expect(facts).toContainText('What was said here beats the catalogue');
	for (const box of await page.getByLabel('that is all they have here').all()) await box.check();
	const { violations } = await axeOn(page).analyze();
	expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);

	await page.goto(`/trips/${trip}/plan/${client}`);
	const told = page.getByRole('list', { name: /^What to say to/ });
	await expect(told).toContainText('it does not go under a helmet');
	await expect(told).toContainText('There is nothing to put on over everything');
	await told.getByRole('button', { name: /does not go under a helmet/ }).click();
	await expect(why(page)).toContainText('thin cap');
	await expect(why(page)).toContainText('common practice');
	await page.keyboard.press('Escape');

	const say = page.getByRole('region', { name: 'What to say to Belay' }).getByRole('listitem');
	await expect(say.first()).toContainText(/^\d\d:\d\d start in .*soft shell trousers/);
	for (const line of await say.allTextContents())
		expect(line.trim()).toMatch(
			/^\d\d:\d\d (start in .+|.+: .+ (on|off|instead of|over everything|closed|open|neck).*)\.?/
		);

	await page.getByText(/^The day minute by minute/).click();
	const moments = page.getByRole('list', { name: 'What goes wrong, and when' });
	await expect(moments.getByRole('button').first()).toContainText('the cold is not held off any more');
	await moments.getByRole('button').first().click();
	await expect(why(page)).toContainText('Gagge 1986');
	await page.keyboard.press('Escape');
	const strip = page.getByRole('slider', { name: 'The body through the day' });
	await strip.focus();
	const before = await strip.getAttribute('aria-valuetext');
	await page.keyboard.press('End');
	expect(await strip.getAttribute('aria-valuetext')).not.toBe(before);
	// What stands under the drawing is loaded once somebody comes near it.
	await page.locator('[data-once-near]').first().scrollIntoViewIfNeeded();
	await page.getByRole('button', { name: 'Show all parts and the pack' }).click();
	await page
		.getByRole('button', { name: /^The pack in / })
		.first()
		.click();
	await expect(why(page)).toContainText('water and food');
});

test('a sit-still day: the dry change, the quiet face, the school of the house', async ({
	page,
	request
}) => {
	test.slow();
	const trip = await dayOf(request, 'hide-or-wildlife-watch', { lowTempC: -2, highTempC: 4 });
	const client = await make(request, '/api/v1/clients', { name: 'Hide Guest', tripId: trip });
	await page.goto(`/clients/${client}`);
	for (const words of [
		'wool top, mid',
		'fleece, jacket',
		'hard shell, jacket',
		'big coat, down',
		'long underpants, wool',
		'trekking trousers',
		'thick socks',
		'pac boots',
		'mittens, insulated',
		'warm hat'
	])
		// prettier-ignore
		await add(page, words);
	const groups = await page.getByLabel('that is all they have here').all();
	for (const box of groups) await box.check();
	// Ticked faster than they are saved: who leaves by a link is taken on when all are.
	await page.getByRole('link', { name: 'Clients', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Clients and their kit' })).toBeVisible();
	await page.goto(`/clients/${client}`);
	for (const box of groups) await expect(box).toBeChecked();
	await page.goto(`/trips/${trip}/plan/${client}`);
	const told = page.getByRole('list', { name: /^What to say to/ });
	await expect(told).toContainText('no dry top and no dry socks to change into');
	const say = page.getByRole('region', { name: 'What to say to Hide' }).getByRole('listitem');
	await expect(say.filter({ hasText: /big coat on over everything/ }).first()).toBeVisible();
	await told.getByRole('button', { name: /it crackles in the cold/ }).click();
	await expect(why(page)).toContainText('brushed face');
	await page.keyboard.press('Escape');
	await expect(told).not.toContainText('synthetic only');

	await page.goto(`/clients/${client}`);
	await page.getByText('How Hide Guest does it').click();
	await page.getByLabel('Fill of warm layers').selectOption('synthetic only');
	await expect(page.getByText('in own ways')).toBeVisible();
	await page.goto(`/trips/${trip}/plan/${client}`);
	await expect(told).toContainText('synthetic only');

	await page.goto(`/trips/${trip}/list/${client}`);
	const many = page.getByRole('region', { name: 'To get' });
	await expect(many).toContainText('pair of gloves');
	await many.getByRole('button', { name: 'why' }).first().click();
	await expect(why(page)).toContainText('Days of wear over days before a wash');
});

test('the house says how it is done, and keeps it', async ({ page }) => {
	await page.goto('/house');
	await page.getByLabel('Ears').selectOption('free to hear');
	await expect(page.getByRole('status').first()).toContainText('Saved');
	await page.reload();
	await expect(page.getByLabel('Ears')).toHaveValue('free');
	await page.getByLabel('Ears').selectOption('');
	await expect(page.getByRole('status').first()).toContainText('Saved');
});
