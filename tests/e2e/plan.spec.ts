import { factorOf } from '../../src/lib/core/cloth/factors';
import { wearableThings } from '../../src/lib/core/cloth/things';
import type { Client, Trip } from '../../src/lib/core/document/types';
import { searchedIds, wardrobesOf } from '../../src/lib/core/plan/trip-days';
import { shortName } from '../../src/lib/words/labels';
import { longTrip, loopTrip } from '../fixtures/long-trip';
import { kitOf } from '../fixtures/make';
import { type APIRequestContext, expect, type Locator, type Page, test } from './test';
import { pacedWorker } from './paced-worker';

/** The plan of a whole trip, and what a guide does with it. */
const RUNA = '/trips/demo-trip/plan/demo-runa';
const planned = (page: Page) => page.getByRole('status', { name: /^Is .* all right\?$/ });
const chip = (page: Page, name: RegExp) => page.locator('[data-chip]').filter({ hasText: name }).first();
const home = (page: Page) => page.getByRole('group', { name: 'Stays at home' });
const along = (page: Page) => page.getByRole('group', { name: 'Comes along', exact: true });
const LONG = { timeout: 360_000 };

async function open(page: Page, url: string): Promise<void> {
	await page.goto(url);
	await expect(planned(page)).toBeVisible(LONG);
}
/** Wishes are folded away until somebody wants one; where there are some, they are unfolded. */
async function unfoldWishes(page: Page): Promise<void> {
	const summary = page.getByText(/^Change what .+ wears or takes/);
	await summary.waitFor();
	if ((await page.locator('details.wanted').getAttribute('open')) === null) await summary.click();
}
/** Takes all wishes back, and waits until that is saved: the next test opens the same plan. */
const takeAllBack = (page: Page) =>
	Promise.all([
		page.waitForResponse((answer) => answer.url().includes('/plans/') && answer.request().method() === 'PUT'),
		page.getByRole('button', { name: 'Take all back' }).press('Enter')
	]);

test('a wish has a price: left at home, pinned, liked, and taken back, by key', async ({ page }) => {
	test.slow();
	await open(page, RUNA);
	await unfoldWishes(page);
	await chip(page, /^Big coat/).focus();
	await page.keyboard.press('l');
	const price = page.getByRole('status', { name: 'Price of the wishes' });
	await expect(price).toContainText(/holds \d+ of \d+ min|cold from the start/, LONG);
	await expect(price).toContainText(/\d+ g lighter/);
	await expect(home(page).getByRole('button', { name: /^Big coat/ })).toBeVisible();

	await page.reload();
	await expect(price).toContainText(/lighter/, LONG);
	await page.getByRole('button', { name: /^Take back: Big coat/ }).press('Enter');
	await expect(page.getByRole('list', { name: 'Wishes' })).toHaveCount(0);
	await expect(along(page).getByRole('button', { name: /^Big coat/ })).toBeVisible(LONG);

	await chip(page, /^Goggles/).focus();
	await page.keyboard.press('p');
	await expect(along(page).getByRole('button', { name: /^Goggles/ })).toBeVisible(LONG);
	await expect(price).toContainText(/140 g heavier/);
	await takeAllBack(page);
	await expect(home(page).getByRole('button', { name: /^Goggles/ })).toBeVisible(LONG);
});

test('why not mine, and a thing dragged onto a phase', async ({ page }) => {
	test.slow();
	await open(page, RUNA);
	await unfoldWishes(page);
	await chip(page, /^Goggles/).focus();
	await page.keyboard.press('n');
	const answer = page.getByRole('status', { name: 'What it would cost' });
	await expect(answer).toContainText(
		/^Worn instead, goggles fits? best in .+ on day [12]: |cannot be worn/,
		LONG
	);

	const target = page.getByRole('group', { name: 'Wear it in Tea below the boulder' });
	// Both in sight, as for somebody who drags.
	await target.evaluate((element) => element.scrollIntoView({ block: 'end' }));
	await chip(page, /^Goggles/).dragTo(target);
	await expect(page.getByRole('list', { name: 'Wishes' })).toContainText(/Goggles.*: worn, by wish/);
	// What stands under the drawing is loaded once somebody comes near it.
	await page.locator('[data-once-near]').first().scrollIntoViewIfNeeded();
	await page.getByRole('button', { name: 'Show all parts and the pack' }).click();
	const row = page.getByRole('button', { name: /Tea below the boulder/ });
	await expect(row.filter({ hasText: /goggles/i }).first()).toBeVisible(LONG);
	await takeAllBack(page);
	await expect(page.getByRole('list', { name: 'Wishes' })).toHaveCount(0);
});

test('few changes or a light pack, with the trade shown', async ({ page }) => {
	test.slow();
	await open(page, RUNA);
	await unfoldWishes(page);
	await page.getByRole('button', { name: 'Show what each one weighs' }).click();
	const setting = page.getByRole('group', { name: 'Few changes or a light pack' });
	await expect(setting.getByRole('button', { name: /light pack [\d.]+ changes, [\d.]+ kg/ })).toBeVisible(
		LONG
	);
	await setting.getByRole('button', { name: /^light pack/ }).click();
	await expect(setting.getByRole('button', { name: /^light pack/ })).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByText(/^(No plan is warmer|This is the best plan found in time)/)).toBeVisible(LONG);
	await setting.getByRole('button', { name: /^few changes/ }).click();
});

/** A trip of some stages for somebody who has these things, as the address of the plan. */
async function tripFor(
	request: APIRequestContext,
	{ weathers, stages }: Pick<Trip, 'weathers' | 'stages'>,
	typeIds: readonly string[]
): Promise<string> {
	const make = async (url: string, data: object): Promise<string> =>
		((await (await request.post(url, { data })).json()) as { id: string }).id;
	const trip = await make('/api/v1/trips', { name: `Tried ${Date.now()}` });
	const guest = await make('/api/v1/clients', { name: 'Big Kit', tripId: trip });
	const { trip: made } = (await (await request.get(`/api/v1/trips/${trip}`)).json()) as {
		trip: { version: number };
	};
	const saved = await request.put(`/api/v1/trips/${trip}`, {
		data: { name: 'Tried', place: '', site: null, weathers, stages, version: made.version }
	});
	expect(saved.ok()).toBe(true);
	for (const typeId of typeIds)
		expect((await request.post(`/api/v1/clients/${guest}/things`, { data: { typeId, quantity: { value: 1, source: 'client', state: 'has' } } })).ok()).toBe(true); // prettier-ignore
	return `/trips/${trip}/plan/${guest}`;
}

const typesOf = ({ things }: Client): string[] => things.map(({ typeId }) => typeId);

test('a long search is stopped, and the days that are planned stay', async ({ page, request }) => {
	test.slow();
	const { document, client } = longTrip(1);
	const goOn = await pacedWorker(page, 'plan-worker');
	await page.goto(await tripFor(request, document.trip, typesOf(client)));
	const [stop, again] = ['Stop and keep what is there', 'Work it out again'].map((name) =>
		page.getByRole('button', { name })
	) as [Locator, Locator];
	await expect(async () => {
		await goOn(1);
		await expect(page.getByText(/Planning, [1-9]\d* of 42 days/)).toBeVisible({ timeout: 100 });
	}).toPass();
	await stop.click();
	await goOn(1e9);
	await expect(page.getByText(/Stopped after \d+ of 42 days/)).toBeVisible(LONG);
	await expect(page.getByRole('region', { name: 'What to say to Big' })).toContainText(/start in/);
	// The button goes with what it ends, and no other one comes into its place.
	await expect(stop).toBeHidden();
	// By key: what stands below the plan comes while one presses, and moves the button away from under a click.
	await again.press('Enter');
	await expect(stop).toBeVisible(LONG);
	await expect(page.getByText(/Planning, \d+ of 42 days/)).toBeVisible(LONG);
});

test('a thing that was not searched is luggage at once, and then a use is looked for', async ({
	page,
	request
}) => {
	test.slow();
	const { document, client } = longTrip(1, 1);
	const trip = { ...document.trip, weathers: document.trip.weathers.slice(0, 1) };
	const plain = kitOf(typesOf(client));
	const searched = searchedIds(wardrobesOf(plain, new Set(), new Set(), trip).first);
	const unsearched = wearableThings(plain).filter(
		(cloth) => factorOf(cloth) === 'trunk' && cloth.slot !== 'support' && !searched.has(cloth.thingId)
	);
	const url = await tripFor(request, trip, typesOf(client));
	await page.goto(url);
	await expect(
		page.getByText(/Nothing better is possible|more than the best possible|is not known/)
	).toBeVisible(LONG);
	await unfoldWishes(page);
	// Which of them stays at home is the plan's to say: one that is found in less time may wear another.
	await expect(home(page).locator('[data-chip]').first()).toBeVisible(LONG);
	const left = await home(page).locator('[data-chip]').allInnerTexts();
	const out = unsearched.find((cloth) => left.some((text) => text.includes(shortName(cloth.name))))!;
	expect(out, `one of those that are not searched stays at home: ${left.join(', ')}`).toBeDefined();
	const chipIn = (list: Locator): Locator =>
		list
			.locator('[data-chip]')
			.filter({ hasText: shortName(out.name) })
			.first();
	await chipIn(home(page)).focus();
	await page.keyboard.press('p');
	const soFar = page.getByText(/Shown is the best so far/);
	await expect(soFar).toBeVisible(LONG);
	await expect(chipIn(along(page))).toBeVisible();
	await expect(soFar).toBeHidden(LONG);
	await expect(chipIn(along(page))).toBeVisible();
});

test('a day of lifts: what is done again in round after round is said once', async ({ page, request }) => {
	test.slow();
	const { trip } = loopTrip('lifts', 4).document;
	const one = { stages: trip.stages.slice(0, 1), weathers: trip.weathers.slice(0, 1) };
	const url = await tripFor(request, one, [
		'briefs', 'top-wool-mid', 'fleece', 'soft-shell', 'hard-shell', 'coat-synthetic', 'bottoms-wool', 'trousers-soft-shell', 'trousers-hard-shell', 'sock-mid', 'boot-hiking', 'glove-winter', 'mitten', 'hat-warm', 'neck-tube', 'pack-large'
	]); // prettier-ignore
	await open(page, url);
	const say = page.getByRole('region', { name: /^What to say to/ });
	await expect(
		say.getByText(/and each time up to round \d+: .*big coat on over everything/).first()
	).toBeVisible(LONG);
	// The start, and 22 phases in no more than half as many lines.
	expect(await say.getByRole('listitem').count()).toBeLessThanOrEqual(12);
	await page.setViewportSize({ width: 390, height: 844 });
	// On a phone one phase is on the screen, and a loop is one of them.
	const now = page.getByRole('region', { name: 'The day, phase by phase' });
	await expect(now.getByText(/^1 of \d+$/)).toBeVisible();
	await now.getByLabel('Go to a phase').selectOption({ index: 1 });
	await expect(now.getByRole('heading', { level: 2 })).toContainText(/rounds 1 to \d+/);
	await now.getByRole('button', { name: 'Next' }).click();
	await expect(now.getByText(/^3 of \d+$/)).toBeVisible();
	await now.getByRole('button', { name: 'Back' }).click();
	await expect(now.getByText(/^2 of \d+$/)).toBeVisible();
});

test('the call is answered in a few keys after the description', async ({ page }) => {
	test.slow();
	await open(page, RUNA);
	await page.keyboard.press('c');
	await expect(page.getByRole('combobox', { name: /^Describe the thing/ })).toBeFocused();
	await page.keyboard.type('cotton t-shirt');
	// Two keys: the first thing that fits, and whoever is on the page.
	await page.keyboard.press('Enter');
	await expect(page.getByRole('option', { name: /^Runa Fjellby, on Two days/ })).toBeVisible();
	await page.keyboard.press('Enter');
	const answer = page.getByRole('dialog', { name: 'Is this all right?' }).getByRole('status');
	await expect(answer).toContainText(/^(Yes|No|Bring it|It does no harm)\b.*/, LONG);
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the whole group: planned in the background, the worst first, one sentence each', async ({ page }) => {
	test.setTimeout(2_160_000);
	await page.goto('/trips/demo-coast/group');
	const told = page.getByText(/(is|are) not all right in the usual weather/);
	await expect(told).toBeVisible({ timeout: 2_000_000 });
	const people = page.getByRole('listitem');
	await expect(people.first()).toContainText(/gets soaked|stays warm for \d+ of \d+ min|No clothing keeps/);
	await expect(page.getByText(/Nobody has asked Kato yet/)).toBeVisible();
	await expect(people.filter({ hasText: 'Nobody has asked Kato yet' })).toContainText('not judged yet');
	// At a glance: by day and by part, what was not asked apart from what is not right; a cell opens its cause.
	const glance = page.getByRole('region', { name: 'At a glance' });
	await expect(glance.getByRole('row', { name: /^Kato/ })).toContainText('not asked yet');
	await expect(glance.getByRole('link', { name: /^Jonas, .*: short/ }).first()).toBeVisible();
	await glance.getByRole('button', { name: 'By part of the body' }).click();
	await glance.getByRole('link', { name: /^Jonas, Feet: / }).click();
	await expect(page).toHaveURL(/plan\/demo-jonas\?day=\d/);
	await page.goBack();
	// Asked again, nothing is worked out anew.
	await page.reload();
	await expect(told).toBeVisible();
});

test('trying it: what is moved is seen at once, and the link keeps it', async ({ page }) => {
	await page.goto('/try');
	const holds = page.getByRole('status', { name: 'What holds' });
	await expect(holds).toContainText('Right for these minutes');
	// It starts from a day and a person, and somebody stands there dressed.
	await page.getByRole('button', { name: 'Twelve minutes on a chairlift' }).click();
	await expect(page).toHaveURL(/m=12/);
	await expect(
		page.getByRole('img', { name: /^Whoever wears this wears, from the skin out: .*fleece/ })
	).toBeVisible();
	await page.getByLabel('Worn by').selectOption('somebody who feels cold');
	await expect(page).toHaveURL(/who=feels\+cold/);
	await page.getByRole('button', { name: 'Begin anew' }).click();
	const air = page.getByRole('slider', { name: /^Air/ });
	await air.focus();
	await page.keyboard.press('Home');
	await expect(holds).toContainText(/stays warm for \d+ of 25 min|No clothing keeps|is cold already/);
	await expect(page).toHaveURL(/t=-40/);
	await page.getByRole('button', { name: /^Big coat, down/ }).click();
	await expect(page).toHaveURL(/coat-down/);
	const before = await holds.textContent();
	await page.reload();
	await expect(holds).toHaveText(before!);
	await expect(page.getByRole('button', { name: /^Big coat, down/ })).toHaveAttribute('aria-pressed', 'true');
});

test('on a phone the plan is one column, and nothing is wider than the screen', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	for (const url of [RUNA, '/trips/demo-trip/list/demo-runa', '/try', '/trips/demo-coast/group']) {
		await page.goto(url, { waitUntil: 'networkidle' });
		if (url === RUNA) {
			await expect(planned(page)).toBeVisible(LONG);
			await expect(page.getByRole('region', { name: 'The day, phase by phase' })).toBeVisible();
		}
		expect(await page.evaluate(() => document.documentElement.scrollWidth), url).toBeLessThanOrEqual(390);
	}
});
