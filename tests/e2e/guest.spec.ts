import { devices } from '@playwright/test';
import sharp from 'sharp';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { type APIRequestContext, axeOn, expect, type Page, test, weightOf } from './test';

/** The private link: sent by a planner, answered on a phone, with and without connection. */
const { defaultBrowserType: _, ...PHONE } = devices['Pixel 7'];
const ASKED = /^(Questions|Your guides also ask)$/;
const LONG = { timeout: 360_000 };

/** A trip like the demo's with one client of its own, and the link. */
async function guestWithLink(
	request: APIRequestContext,
	name: string
): Promise<{ trip: string; client: string; path: string }> {
	const json = async <T>(answer: Promise<{ json(): Promise<unknown> }>): Promise<T> =>
		(await (await answer).json()) as T;
	const { trip } = DEMO_DOCUMENT;
	const { id } = await json<{ id: string }>(
		request.post('/api/v1/trips', { data: { name: `Trip of ${name}`, place: 'Fell' } })
	);
	// One day in the usual weather: its plan and its questions come soon.
	const { stages, site } = trip;
	const weathers = trip.weathers.slice(0, 1);
	await request.put(`/api/v1/trips/${id}`, {
		data: { name: `Trip of ${name}`, place: 'Fell', site, weathers, stages: stages.slice(0, 1), version: 1 }
	});
	const made = await json<{ id: string }>(request.post('/api/v1/clients', { data: { name, tripId: id } }));
	// Nobody knows of a big coat yet: there is something to ask.
	const known = DEMO_DOCUMENT.clients[0]!.things.filter(({ typeId }) => !typeId.startsWith('coat-'));
	for (const { typeId, quantity } of known)
		await request.post(`/api/v1/clients/${made.id}/things`, { data: { typeId, quantity } });
	const { link } = await json<{ link: string }>(request.post(`/api/v1/trips/${id}/clients/${made.id}/link`));
	return { trip: id, client: made.id, path: new URL(link).pathname };
}
/** What is known of a client's things. */
const keptOf = async (
	request: APIRequestContext,
	client: string
): Promise<{ id: string; typeId: string; facts: Record<string, unknown> }[]> => {
	const text = await (await request.get(`/api/v1/clients/${client}`)).text();
	const answer = JSON.parse(text) as { client?: { things: [] }; things?: [] };
	return answer.things ?? answer.client!.things;
};
/** A photo as a phone takes it: large, and with a note of where it was taken. */
const withPlace = (): Promise<Buffer> =>
	sharp({ create: { width: 2400, height: 1800, channels: 3, background: '#5577aa' } })
		.withExif({ IFD0: { Copyright: 'Somewhere' } })
		.jpeg()
		.toBuffer();
const tick = (page: Page, name: RegExp) => page.getByRole('checkbox', { name });
const said = (page: Page) => page.locator('.sync');

test('a planner sends the link, the client answers without connection, comes back, and it is seen', async ({
	page,
	request,
	browser
}) => {
	test.slow();
	const { trip, client, path } = await guestWithLink(request, 'Ada Wick');
	const context = await browser.newContext({
		...PHONE,
		storageState: { cookies: [], origins: [] },
		serviceWorkers: 'allow',
		locale: 'en-GB'
	});
	const phone = await context.newPage();
	await phone.goto(path);
	expect(new URL(phone.url()).pathname).toBe('/my');
	await expect(phone.getByRole('heading', { name: 'Ada, this is your trip' })).toBeVisible();
	await expect(phone.getByRole('heading', { name: 'My list' })).toBeVisible();
	await expect(phone.getByText(/\d+ of \d+ packed/)).toBeVisible(LONG);
	await expect(phone.getByRole('navigation', { name: 'Sections' }).getByRole('link')).toHaveCount(0);
	expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(412);
	for (const scheme of ['light', 'dark'] as const) {
		await phone.emulateMedia({ colorScheme: scheme });
		expect((await axeOn(phone).analyze()).violations).toEqual([]);
	}
	await tick(phone, /^Warm hat, packed$/).check();
	await expect(said(phone)).toHaveText('All saved');

	// The page is kept for reading without connection.
	await phone.evaluate(() => navigator.serviceWorker.ready);
	await expect
		.poll(() =>
			phone.evaluate(async () =>
				(await (await caches.open('pages')).keys()).map(({ url }) => new URL(url).pathname)
			)
		)
		.toContain('/my');
	await expect
		.poll(() => phone.evaluate(async () => (await (await caches.match(location.href))?.text()) ?? ''))
		.toMatch(/1 of \d+ packed/);
	await context.setOffline(true);
	await phone.reload();
	await expect(tick(phone, /^Warm hat, packed$/)).toBeVisible();
	await tick(phone, /^Neck tube, packed$/).check();
	await phone.getByRole('button', { name: 'More about Neck tube' }).click();
	await phone.getByRole('button', { name: 'Ask about it' }).click();
	await phone.getByLabel(/^Your question/).fill('Does a scarf do, too?');
	await phone.getByRole('button', { name: 'Send' }).click();
	await expect(said(phone)).toHaveText(/2 answers are kept on this device/);
	// The home test of a thing, its size and a photo wait as well.
	await phone.getByRole('button', { name: 'More about Soft shell, jacket' }).click();
	const zips = phone.getByRole('group', { name: 'Do all zips close? Soft shell, jacket' });
	await zips.getByRole('button', { name: 'Yes' }).click();
	const rolls = phone.getByRole('group', { name: 'Does water still roll off it? Soft shell, jacket' });
	await rolls.getByRole('button', { name: 'No', exact: true }).click();
	await expect(rolls.getByRole('button', { name: 'No', exact: true })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await phone.getByRole('textbox', { name: /^Size.*Soft shell, jacket$/ }).fill('L');
	await phone.getByRole('textbox', { name: /^Size.*Soft shell, jacket$/ }).press('Tab');
	const photo = phone.getByRole('button', { name: /^Add a photo.*Soft shell, jacket$/ });
	await photo.setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
	await expect(phone.getByText('This is no picture that can be read.')).toBeVisible();
	await photo.setInputFiles({ name: 'shell.jpg', mimeType: 'image/jpeg', buffer: await withPlace() });
	await expect(phone.getByText('is sent once there is a connection')).toBeVisible();
	expect((await axeOn(phone).analyze()).violations).toEqual([]);
	await phone.reload();
	await expect(said(phone)).toHaveText(/5 answers are kept/);
	await expect(tick(phone, /^Neck tube, packed$/)).toBeChecked();
	await context.setOffline(false);
	await expect(said(phone)).toHaveText('All saved');

	await page.goto(`/trips/${trip}/answers`);
	const row = page.getByRole('region', { name: 'Ada Wick' });
	await expect(row).toContainText('2 packed');
	await expect(row).toContainText('At home it did not work: Soft shell (water soaks in).');
	const image = row.getByRole('img', { name: 'Soft shell, sent by Ada' });
	await expect(image).toBeVisible(LONG);
	const kept = await (await request.get((await image.getAttribute('src'))!)).body();
	expect((await sharp(kept).metadata()).exif).toBeUndefined();
	expect(kept.includes('Somewhere')).toBe(false);
	const { facts } = (await keptOf(request, client)).find(({ typeId }) => typeId === 'soft-shell')!;
	expect(facts).toMatchObject({ size: { value: 'L' }, face: { value: 'worn out', source: 'measured' } });
	await expect(row).toContainText('Does a scarf do, too?');
	await expect(row).toContainText('about: Neck tube');
	await row.getByLabel('Answer for Ada Wick').fill('It does, tucked in.');
	await row.getByRole('button', { name: /^Say it/ }).click();
	await expect(row).toContainText('It does, tucked in.');
	await expect(page.getByText('No question waits for an answer.')).toBeVisible();
	expect((await axeOn(page).analyze()).violations).toEqual([]);
	// Somebody of the house ticks for the client, at the check of the kit.
	await page.goto(`/trips/${trip}/list/${client}`);
	await expect(tick(page, /^Warm hat, packed$/)).toBeChecked();
	await tick(page, /^Sunglasses, packed$/).check();
	await page.reload();
	await expect(tick(page, /^Sunglasses, packed$/)).toBeChecked();
	await phone.reload();
	await expect(phone.getByText('It does, tucked in.')).toBeVisible();
	await expect(tick(phone, /^Sunglasses, packed$/)).toBeChecked();

	// Something of one's own goes into the kit, as the client says.
	await phone.getByRole('heading', { name: 'Something else that you own' }).scrollIntoViewIfNeeded();
	await phone.getByRole('combobox', { name: 'Something else that you own' }).fill('thermos');
	await phone.getByRole('combobox', { name: 'Something else that you own' }).press('Enter');
	await expect(phone.getByText('Added: Vacuum flask, 0.75 litres.')).toBeVisible();
	await expect(said(phone)).toHaveText('All saved');
	const kit = (await (await request.get(`/api/v1/clients/${client}`)).json()) as {
		client?: { things: { typeId: string }[] };
		things?: { typeId: string }[];
	};
	expect(JSON.stringify(kit)).toContain('"flask"');

	// One question at a time, the one that is worth most; an answer is part of the kit, and in the end nothing is left to ask.
	const question = phone.getByRole('region', { name: ASKED });
	await question.getByRole('button', { name: 'Why we ask' }).click(LONG);
	await expect(question).toContainText(/\d+ moments? of your trip|It may decide/);
	for (let i = 0; i < 12 && !(await question.getByText('That is all we need').isVisible()); i++) {
		const no = question.getByRole('button', { name: 'No', exact: true });
		await expect(no.or(question.getByText('That is all we need'))).toBeVisible(LONG);
		if (await no.isVisible()) {
			await no.press('Enter');
			// What an answer did is said at once.
			await expect(question.getByRole('status')).toHaveText(/^Noted\./);
		}
		await expect(said(phone)).toHaveText('All saved');
	}
	await expect(question).toContainText('That is all we need', LONG);
	expect(await (await request.get(`/api/v1/clients/${client}`)).text()).toContain('"has not"');

	await phone.getByRole('button', { name: 'Deutsch' }).click();
	await expect(phone.getByRole('heading', { name: 'Ada, das ist deine Reise' })).toBeVisible();
	await expect(tick(phone, /^Warme Mütze, eingepackt$/)).toBeVisible(LONG);
	expect((await axeOn(phone).analyze()).violations).toEqual([]);
	await phone.getByRole('combobox', { name: 'Noch etwas, das du hast' }).fill('stöcke');
	await expect(phone.getByRole('option', { name: 'Wanderstöcke' })).toBeVisible();

	await phone.getByRole('button', { name: 'Diese Seite auf diesem Gerät vergessen' }).click();
	await expect(phone.getByRole('heading', { name: 'This device has forgotten the page' })).toBeVisible();
	expect(await phone.evaluate(async () => (await caches.keys()).length)).toBe(0);
	await phone.goto('/my');
	await expect(phone.getByRole('heading', { name: 'This link opens no more' })).toBeVisible();
	await context.close();
});

test('what is kept of a client is saved as a file by both, and erased once the name is typed', async ({
	page,
	request,
	browser
}) => {
	const { client, path } = await guestWithLink(request, 'Dee Rowan');
	const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
	const visitor = await context.newPage();
	await visitor.goto(path);
	const own = await visitor.request.get('/my/kept');
	expect(own.headers()['content-disposition']).toContain('attachment');
	expect(await own.text()).toContain('Dee Rowan');
	await page.goto(`/clients/${client}`);
	await page.getByRole('link', { name: 'What is kept' }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'things of the kit' })).toBeVisible();
	expect((await axeOn(page).analyze()).violations).toEqual([]);
	await page.getByLabel('Type the whole name').fill('Dee');
	await page.getByRole('button', { name: 'Erase for good' }).click();
	await expect(page.getByText('is not the name of this client')).toBeVisible();
	await page.getByLabel('Type the whole name').fill('Dee Rowan');
	await page.getByRole('button', { name: 'Erase for good' }).click();
	await expect(page.getByRole('heading', { name: 'Clients and their kit' })).toBeVisible();
	expect((await request.get(`/api/v1/clients/${client}`)).status()).toBe(404);
	expect((await visitor.request.get('/my', { maxRedirects: 0 })).status()).toBe(303);
	expect((await visitor.request.get('/my/kept')).status()).toBe(404);
	await context.close();
});

test('a link that was ended, guessed, or is another client’s shows nothing', async ({ request, browser }) => {
	const first = await guestWithLink(request, 'Bo Fell');
	const second = await guestWithLink(request, 'Cy Moor');
	const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
	const visitor = await context.newPage();
	const guess = await visitor.request.get('/c/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA');
	expect(guess.status()).toBe(404);
	expect(guess.headers()).toMatchObject({ 'referrer-policy': 'no-referrer', 'x-robots-tag': 'noindex' });
	const weight = await weightOf(visitor, first.path);
	expect(weight.js).toBeGreaterThan(30_000);
	expect(weight.js).toBeLessThanOrEqual(150_000);
	await expect(visitor.getByRole('heading', { name: 'Bo, this is your trip' })).toBeVisible();
	// Nothing else is reached by it: no page of the house, no other client, no other trip.
	for (const url of [
		`/api/v1/trips/${first.trip}`,
		`/api/v1/clients/${second.client}`,
		'/api/v1/clients',
		`/trips/${first.trip}/list/${first.client}`
	]) {
		const answer = await visitor.request.get(url, { maxRedirects: 0 });
		expect([303, 401], url).toContain(answer.status());
	}
	expect(await (await visitor.request.get('/my')).text()).not.toContain('Cy Moor');
	for (const bad of [
		{ says: [{ kind: 'mark', id: 'x', lineId: 'a', mark: 'packed', saidAt: 'yesterday' }] },
		{ says: [{ kind: 'steal', id: '3f0f1fd2-2c39-4d0f-9a43-6b3f9d6a1c11', saidAt: '2026-03-01T10:00:00Z' }] },
		{ says: 'all' }
	])
		expect((await visitor.request.post('/api/v1/my/answers', { data: bad })).status()).toBe(400);

	// A photo is read as a picture or not at all, is of a thing of one's own, and is shown as nothing but a picture.
	const [thing] = await keptOf(request, first.client);
	const [other] = await keptOf(request, second.client);
	const photo = (id: string, of: string, data: Buffer) =>
		visitor.request.post(`/api/v1/my/photos?id=${id}&thing=${of}`, {
			headers: { 'content-type': 'application/octet-stream' },
			data
		});
	const id = crypto.randomUUID();
	const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>');
	expect((await photo(id, thing!.id, svg)).status()).toBe(400);
	expect((await photo(id, other!.id, await withPlace())).status()).toBe(404);
	expect((await photo('../../x', thing!.id, await withPlace())).status()).toBe(400);
	expect((await photo(id, thing!.id, await withPlace())).status()).toBe(201);
	const shown = await visitor.request.get(`/api/v1/my/photos/${id}`);
	expect(shown.headers()).toMatchObject({
		'content-type': 'image/jpeg',
		'x-content-type-options': 'nosniff',
		'content-security-policy': "default-src 'none'; sandbox"
	});
	expect((await visitor.request.get(`/api/v1/photos/${id}`)).status()).toBe(401);

	expect((await request.delete(`/api/v1/trips/${first.trip}/clients/${first.client}/link`)).ok()).toBe(true);
	await visitor.goto('/my');
	await expect(visitor.getByRole('heading', { name: 'This link opens no more' })).toBeVisible();
	expect((await visitor.request.post('/api/v1/my/answers', { data: { says: [] } })).status()).toBe(401);
	expect((await visitor.request.get(first.path, { maxRedirects: 0 })).status()).toBe(404);
	await context.close();
});

test('questions of the house are asked after the others, and mail goes to the address that the client gave', async ({
	page,
	request,
	browser
}) => {
	test.slow();
	const { trip, path } = await guestWithLink(request, 'Eve Moss');
	await page.goto('/house/questions');
	await page.getByRole('button', { name: 'Ask every client' }).click();
	await expect(page.getByText('Write the question first.')).toBeVisible();
	// One that nobody asked before.
	const words = `Do you snore, Eve? <b>really</b> ${Date.now()}`;
	await page.getByLabel('Question', { exact: true }).fill(words);
	await page.getByRole('button', { name: 'Ask every client' }).click();
	const asked = page.getByRole('listitem').filter({ hasText: words });
	await expect(asked).toBeVisible();
	expect((await axeOn(page).analyze()).violations).toEqual([]);

	const context = await browser.newContext({ ...PHONE, storageState: { cookies: [], origins: [] } });
	const phone = await context.newPage();
	await phone.goto(path);
	const questions = phone.getByRole('region', { name: ASKED });
	const unknown = questions.getByRole('button', { name: 'I do not know' });
	for (let i = 0; i < 15 && !(await questions.getByText(words).isVisible()); i++) {
		await unknown.press('Enter', LONG);
		await expect(questions.getByRole('status')).not.toBeEmpty();
	}
	await expect(questions.getByText(words)).toBeVisible(LONG);
	await questions.getByRole('button', { name: 'No', exact: true }).click();
	await expect(said(phone)).toHaveText('All saved');
	await phone.getByRole('heading', { name: 'Where we may write to you' }).scrollIntoViewIfNeeded();
	const mail = phone.getByLabel('Mail address');
	await mail.fill('eve at home');
	await phone.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(phone.getByText('This is no mail address.')).toBeVisible();
	await mail.fill('eve@mail.example');
	await phone.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(phone.getByText('Saved.')).toBeVisible();

	// Everything on at once, one thing after the other; what was put off comes back later.
	await phone.getByRole('heading', { name: 'Something else that you own' }).scrollIntoViewIfNeeded();
	const home = phone.getByRole('region', { name: 'Try it on at home' });
	await home.getByRole('button', { name: 'Begin' }).click(LONG);
	await home.getByRole('button', { name: 'Later' }).click();
	await home.getByRole('button', { name: 'Yes', exact: true }).click();
	await home.getByRole('button', { name: 'No', exact: true }).click();
	await expect(home).toContainText(/2 of \d+ tried/);
	await expect(said(phone)).toHaveText('All saved');

	await page.goto(`/trips/${trip}/answers`);
	const row = page.getByRole('region', { name: 'Eve Moss' });
	await expect(row).toContainText('2 parts of the home test done');
	await expect(row).toContainText('At home it did not work:');
	await row.getByText('What happened when').click();
	await expect(row.getByText('link opened')).toBeVisible();
	await expect(row.getByText(words)).toBeVisible();
	await page.getByLabel('Letters and pages begin in').selectOption('German');
	await row.getByRole('button', { name: /^Mail the reminder/ }).click();
	await expect(row.getByText('Kept in the outbox: no mail server is set.')).toBeVisible();
	await row.getByText(/^One mail, the last/).click();
	await expect(row.getByText(/^Hallo Eve, deine Liste .* wartet/)).toBeVisible();
	await row.getByRole('button', { name: /^Mail a link/ }).click();
	await row.getByText(/^2 mails, the last/).waitFor();
	// The secret of the new link stands in the mail only, and the one before opens no more.
	expect(await row.innerText()).not.toMatch(/\/c\/[\w-]{20}/);
	expect((await phone.request.get('/my', { maxRedirects: 0 })).status()).toBe(303);
	await page.goto('/house/questions');
	const noMore = asked.getByRole('button', { name: /^Ask no more/ });
	await noMore.click();
	await page.getByRole('button', { name: 'Undo' }).click();
	await noMore.click();
	await expect(noMore).toHaveCount(0);
	await page.getByText(/^Asked before/).click();
	await expect(asked.getByRole('button', { name: /^Ask again/ })).toBeVisible();
	await context.close();
});
