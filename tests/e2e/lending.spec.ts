import type { Page } from '@playwright/test';
import { listXlsx } from '../../src/lib/server/files/list-files';
import { stageOf } from '../fixtures/make';
import { type APIRequestContext, axeOn, expect, test } from './test';

/** The house lends: what it has, who gets what, and lists that say so. */

async function make(request: APIRequestContext, url: string, data: object): Promise<string> {
	return ((await (await request.post(url, { data })).json()) as { id: string }).id;
}
/** A cold wait on a date, with clients who have no coat. */
async function coldTrip(
	request: APIRequestContext,
	name: string,
	guests: string[]
): Promise<{ id: string; clients: string[] }> {
	const id = await make(request, '/api/v1/trips', { name });
	const { trip } = (await (await request.get(`/api/v1/trips/${id}`)).json()) as {
		trip: { weathers: object[]; version: number };
	};
	const wait = stageOf(
		[
			['move', 60, 250, 'slope'],
			['stop', 40, 80, 'slope']
		],
		{ airTempC: -6, wind10mKmh: 10 },
		{ id: 'day', name: 'Up, and wait' }
	);
	const saved = await request.put(`/api/v1/trips/${id}`, {
		data: {
			name,
			place: '',
			site: null,
			weathers: trip.weathers.slice(0, 1),
			stages: [wait],
			version: trip.version
		}
	});
	expect(saved.ok()).toBe(true);
	const clients: string[] = [];
	for (const guest of guests) {
		const client = await make(request, '/api/v1/clients', { name: guest, tripId: id });
		const things = [
			'top-wool-mid',
			'trousers-soft-shell',
			'sock-mid',
			'boot-hiking',
			'hat-warm',
			'glove-winter'
		];
		await request.post(`/api/v1/clients/${client}/things/many`, {
			data: {
				things: things.map((typeId) => ({ typeId, quantity: { value: 2, source: 'client', state: 'has' } }))
			}
		});
		clients.push(client);
	}
	return { id, clients };
}
const isAccessible = async (page: Page): Promise<void> => {
	const { violations } = await axeOn(page).analyze();
	expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
};

test('the house says what it has, lends it to whom it helps, and not twice', async ({ page, request }) => {
	test.slow();
	const tag = `tag ${Date.now()}`;
	// In stock by a phrase, with a tag of its own.
	await page.goto('/house/stock');
	const tags = page.getByLabel(/^Tag of Big coat/);
	await expect(tags.first()).toBeVisible();
	const before = await tags.count();
	const say = page.getByLabel('Describe what the house has');
	await say.fill('1 big coat xl');
	await say.press('Enter');
	await expect(page.getByText(/^In stock: 1 × Big coat.*, size XL\.$/)).toBeVisible();
	await expect(tags).toHaveCount(before + 1);
	const tagField = tags.last();
	await tagField.fill(tag);
	await tagField.press('Tab');
	await expect(
		page.getByRole('button', { name: new RegExp(`^Take Big coat, size XL, ${tag} out$`) })
	).toBeVisible();
	await isAccessible(page);

	const [first, second] = [
		await coldTrip(request, `Cold wait ${Date.now()}`, ['Ada Frost', 'Bo Frost']),
		await coldTrip(request, `Cold wait as well ${Date.now()}`, ['Cy Chill'])
	];
	await page.goto(`/trips/${first.id}/lending`);
	const cell = (who: string) =>
		page.getByRole('button', { name: new RegExp(`^Big coat, size XL, ${tag} for ${who}: `) });
	// By hand: Bo is not to have it.
	await cell('Bo').click();
	await expect(cell('Bo')).toHaveAccessibleName(/: lent$/);
	await cell('Bo').click();
	await expect(cell('Bo')).toHaveAccessibleName(/: not to be lent$/);
	await page.getByRole('button', { name: 'Work out who gets what' }).click();
	const outcome = page.getByRole('region', { name: 'What comes of it' });
	await expect(outcome).toBeVisible({ timeout: 720_000 });
	await expect(outcome.getByRole('listitem').first()).toContainText(
		/^Ada gets .*big coat.*: 1 moment that is not right/
	);
	await isAccessible(page);
	await page.getByRole('button', { name: /^Lend all \d+ that (is|are) proposed$/ }).click();
	await expect(page.getByRole('button', { name: /for Ada: lent$/ }).first()).toBeVisible();
	await expect(cell('Bo')).toHaveAccessibleName(/: not to be lent$/);
	// Ada has it on this trip; whoever wants it on the same day is told who has it.
	if (!/: lent$/.test((await cell('Ada').getAttribute('aria-label'))!)) await cell('Ada').click();
	await expect(cell('Ada')).toHaveAccessibleName(/: lent$/);
	await page.goto(`/trips/${second.id}/lending`);
	await expect(page.getByRole('row', { name: new RegExp(tag) })).toContainText('0 of 1');
	await cell('Cy').click();
	await expect(page.getByRole('alert')).toContainText(/1 on “Cold wait \d+” at that time: 0 left, 1 wanted/);
	await expect(cell('Cy')).toHaveAccessibleName(/: open$/);

	await page.goto(`/trips/${first.id}/plan/${first.clients[0]}`);
	await expect(page.getByRole('status', { name: /all right/ })).toContainText('Ada is all right', {
		timeout: 240_000
	});
	await page.goto(`/trips/${first.id}/list/${first.clients[0]}`);
	await expect(page.getByRole('region', { name: 'To get' })).toContainText('we lend it');
});

test('the operator asks for things of everybody, and a list is changed by hand', async ({
	page,
	request
}) => {
	test.slow();
	const { id, clients } = await coldTrip(request, `Lists ${Date.now()}`, ['Dee Frost']);
	await page.goto(`/trips/${id}/everybody`);
	await page.getByLabel('A line for each thing').fill('2 head torches, it is dark at five\npassport');
	await page.getByRole('button', { name: 'Add 2 lines' }).click();
	await expect(page.getByText('looked for as: Head torch')).toBeVisible();
	await page.getByRole('button', { name: 'Take Passport off' }).click();
	await expect(page.getByText('Passport is off the list.')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('button', { name: 'Take Passport off' })).toBeVisible();
	await isAccessible(page);

	await page.goto(`/trips/${id}/list/${clients[0]}`);
	const everybody = page.getByRole('region', { name: 'Everybody brings' });
	await expect(everybody).toContainText('2 × Head torches it is dark at five');
	await page.getByRole('button', { name: 'Change by hand' }).click();
	await page.getByLabel('A line of your own').fill('Playing cards');
	await page.getByRole('button', { name: 'Add the line' }).click();
	await expect(page.getByText('Playing cards', { exact: false }).first()).toBeVisible();
	await page.getByRole('button', { name: /^leave off ?: Warm hat/ }).click();
	const leave = page.getByRole('region', { name: 'Leave at home' });
	await expect(leave).toContainText('Warm hat left off by hand');
	await page.getByLabel('How many of Walking socks').fill('4');
	await page.getByLabel('How many of Walking socks').press('Tab');
	await expect(page.getByRole('listitem').filter({ hasText: 'Walking socks' }).first()).toContainText('4 ×');
	await isAccessible(page);
	// What is worked out anew keeps what was changed.
	await page.reload();
	await expect(leave).toContainText('Warm hat left off by hand');
	await leave.getByRole('button', { name: /^put back ?: Warm hat/ }).click();
	await expect(leave).toBeHidden();

	const address = `/api/v1/trips/${id}/plans/${clients[0]}/list`;
	const csv = await (await request.get(`${address}?as=csv`)).text();
	expect(csv).toContain('Playing cards');
	expect(csv).toContain('Everybody brings,Head torches,2,,it is dark at five');
	const sheet = await request.get(`${address}?as=xlsx`);
	expect((await sheet.body()).subarray(0, 2).toString()).toBe('PK');
	expect(sheet.headers()['content-disposition']).toContain('Dee%20Frost');
	expect(await (await request.get(`/api/v1/trips/${id}/dates`)).text()).toContain('BEGIN:VCALENDAR');
	expect((await request.get(`${address}?as=pdf`)).status()).toBe(400);
});

test('one of a pair brings what both use: it is on one list, with the name on the other, and in one pack', async ({
	page,
	request
}) => {
	test.slow();
	const { id, clients } = await coldTrip(request, `Rope of two ${Date.now()}`, ['Ada Rope', 'Bo Second']);
	await page.goto(`/trips/${id}/everybody`);
	await page.getByLabel('A line for each thing').fill('stove, for hot drinks');
	await page.getByRole('button', { name: 'Add 1 line' }).click();
	await page.getByRole('combobox', { name: 'Who brings Stove' }).selectOption('Ada Rope brings it');
	await expect(page.getByRole('checkbox', { name: 'Stove for Bo Second' })).toBeChecked();
	await page.getByLabel('Room that each of Stove takes, litres').fill('4');
	await page.getByLabel('Room that each of Stove takes, litres').press('Tab');
	await page.getByLabel('Weight of each of Stove, kg').fill('1.2');
	await page.getByLabel('Weight of each of Stove, kg').press('Tab');
	await isAccessible(page);
	const part = page.getByRole('region', { name: 'Everybody brings' });
	await page.goto(`/trips/${id}/list/${clients[0]}`);
	await expect(part).toContainText('for hot drinks · you bring it for everybody, 1.2 kg in your pack');
	await page.goto(`/trips/${id}/list/${clients[1]}`);
	await expect(part).toContainText('for hot drinks · Ada brings it');
	const csv = await (await request.get(`/api/v1/trips/${id}/plans/${clients[1]}/list?as=csv`)).text();
	expect(csv).toContain('Everybody brings,Stove,0,,"for hot drinks, Ada brings it"');
});

test('a kit from nothing: what a usual guest has, a thing of its own by three answers, a spreadsheet', async ({
	page,
	request
}) => {
	test.slow();
	const client = await make(request, '/api/v1/clients', { name: `From nothing ${Date.now()}` });
	await page.goto(`/clients/${client}`);
	await page.getByRole('button', { name: 'on touring skis' }).click();
	await expect(
		page
			.getByLabel('Hired touring boots: has it?')
			.or(page.getByLabel(/touring.*: has it\?$/i))
			.first()
	).toHaveValue('assumed');
	await expect(page.getByRole('button', { name: 'on touring skis' })).toBeHidden();
	const say = page.getByLabel('Describe a thing');
	await say.fill('grandmas zorblax');
	await page.getByLabel('What is it for?').selectOption('a warm layer on top');
	await page.getByLabel('How warm is it?').selectOption('very warm');
	await expect(page.getByRole('button', { name: 'Add “Grandmas zorblax”' })).toBeDisabled();
	await page.getByLabel('And in the rain?').selectOption('soaks through');
	await isAccessible(page);
	await page.getByRole('button', { name: 'Add “Grandmas zorblax”' }).click();
	await expect(page.getByLabel('How many of Grandmas zorblax')).toHaveValue('1');

	await page.getByText('Paste a whole list').click();
	const row = (thing: string, many: number) => ({ section: 'In the pack', thing, many, has: many, note: '' });
	const sheet = await listXlsx('List', [row('rain pants', 1), row('warm hat', 2), row('zorblax', 1)]);
	await page.setInputFiles('input[type=file]', {
		name: 'list.xlsx',
		mimeType: 'application/octet-stream',
		buffer: sheet
	});
	const list = page.getByRole('list', { name: 'What is added' });
	await expect(list.getByLabel('How many: 2 warm hat')).toHaveValue('2');
	await page.setInputFiles('input[type=file]', {
		name: 'broken.xlsx',
		mimeType: 'application/octet-stream',
		buffer: Buffer.from('no')
	});
	await expect(page.getByRole('alert')).toContainText('This is no spreadsheet that can be read');
});
