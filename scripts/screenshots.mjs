// npm run screenshots: one current picture of each main view, from the demo, into docs/screenshots. Uses a database
// folder and port of its own.
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { startApp } from './lib/app.mjs';
import { fail, say } from './lib/console.mjs';
import { demoCookies } from './lib/demo-session.mjs';
import { loadTs, root } from './lib/load-ts.mjs';
import {
	checkNode,
	ensureBuild,
	ensurePackages,
	ensurePrograms,
	freePort,
	programPath
} from './lib/machine.mjs';
import { startMariadb } from './lib/mariadb.mjs';

/** Opens the reason of the first verdict whose words fit. */
const openWhy = (words) => (page) => page.getByRole('button', { name: words }).first().click();

/** Waits until the plan is there. */
const planned = async (page) => {
	await page.getByRole('status', { name: /all right/ }).waitFor({ timeout: 300_000 });
	// On a desk the ladder is loaded when somebody comes near it.
	if (page.viewportSize().width > 760) {
		await page.locator('[data-once-near]').first().scrollIntoViewIfNeeded();
		await page.getByRole('button', { name: 'Show all parts and the pack' }).waitFor({ timeout: 300_000 });
	}
	await page.evaluate(() => scrollTo(0, 0));
};

const VIEWS = [
	{ name: 'trips', url: '/' },
	{
		name: 'trip',
		url: '/trips/demo-trip',
		act: async (page) => {
			await page.getByRole('radio', { name: 'Cold snap' }).click();
			await page
				.getByText(/No change for|Nobody’s verdicts/)
				.waitFor({ timeout: 300_000 })
				.catch(() => {});
			await page.mouse.move(620, 330);
		}
	},
	{
		name: 'trip-whole',
		url: '/trips/demo-coast',
		act: (page) => page.getByRole('button', { name: 'Whole trip' }).click()
	},
	{ name: 'day', url: '/trips/demo-coast', whole: true },
	{
		name: 'who-changes',
		url: '/trips/demo-coast',
		act: async (page) => {
			await page.getByRole('radio', { name: 'Cold snap' }).click();
			await page.getByText(/^No change for/).waitFor({ timeout: 300_000 });
			await page
				.getByRole('heading', { name: 'Who changes' })
				.evaluate((heading) => window.scrollTo(0, heading.getBoundingClientRect().top + scrollY - 20));
		}
	},
	{
		name: 'plan-phone',
		url: '/trips/demo-trip/plan/demo-runa',
		phone: true,
		act: async (page) => {
			await planned(page);
			await page.getByLabel('Go to a phase').selectOption({ index: 4 });
			await page.getByRole('heading', { name: 'Wait for the last on Tarn Saddle' }).scrollIntoViewIfNeeded();
		}
	},
	{
		name: 'tomorrow',
		url: '/trips/demo-coast/tomorrow?day=3',
		act: (page) =>
			page
				.getByText(/^On top of the pack/)
				.first()
				.waitFor({ timeout: 240_000 })
	},
	{
		name: 'client-page',
		url: '/trips/demo-trip/answers',
		phone: true,
		act: async (page) => {
			await page.getByRole('button', { name: /^Make the private link\s+for Teo/ }).click();
			const text = await page.getByLabel('Message with the link for Teo Marsh').inputValue();
			await page.goto(/https?:\S+/.exec(text)[0]);
			// The list, and the question that is worth most.
			await page.getByText(/of \d+ packed/).waitFor({ timeout: 240_000 });
			await page.getByRole('button', { name: 'Yes, like this' }).waitFor({ timeout: 240_000 });
		}
	},
	{
		name: 'group',
		url: '/trips/demo-coast/group',
		act: (page) => page.getByText(/not all right in the usual weather/).waitFor({ timeout: 240_000 })
	},
	{
		name: 'lending',
		url: '/trips/demo-trip/lending',
		act: async (page) => {
			await page.getByRole('button', { name: 'Work out who gets what' }).click();
			await page.getByRole('heading', { name: 'What comes of it' }).waitFor({ timeout: 240_000 });
		}
	},
	{ name: 'try', url: '/try' },
	{
		name: 'call',
		url: '/trips/demo-trip/plan/demo-runa',
		act: async (page) => {
			await planned(page);
			await page.keyboard.press('c');
			await page.keyboard.type('cotton t-shirt');
			await page.keyboard.press('Enter');
			await page.getByRole('option', { name: /^Runa/ }).waitFor();
			await page.keyboard.press('Enter');
			await page
				.getByRole('dialog')
				.getByText(/^(Yes|No)/)
				.waitFor({ timeout: 300_000 });
		}
	},
	{
		name: 'kit',
		url: '/clients/demo-teo',
		act: (page) => page.getByRole('button', { name: 'What is known of Soft shell' }).first().click()
	},
	{ name: 'house', url: '/house' },
	{ name: 'plan', url: '/trips/demo-trip/plan/demo-runa', act: planned },
	{ name: 'plan-gaps', url: '/trips/demo-trip/plan/demo-teo', whole: true, act: planned },
	{
		name: 'why',
		url: '/trips/demo-trip/plan/demo-teo',
		act: async (page) => {
			await planned(page);
			await openWhy(/^Wait for the last on Tarn Saddle: /)(page);
		}
	},
	{
		name: 'what-to-get',
		url: '/trips/demo-trip/plan/demo-teo',
		act: async (page) => {
			await planned(page);
			await page.locator('[data-once-near]').last().scrollIntoViewIfNeeded();
			await page.getByRole('button', { name: 'Work out what to get' }).click();
			await page
				.getByRole('button', { name: /^Teo gets/ })
				.first()
				.waitFor({ timeout: 240_000 });
			await page.locator('#what-to-get').evaluate((head) => head.scrollIntoView());
		}
	},
	{ name: 'list', url: '/trips/demo-trip/list/demo-teo', whole: true }
];

async function main() {
	checkNode();
	ensurePrograms(['mariadbd', 'mariadb-install-db', 'chromium']);
	ensurePackages(root);
	const folder = path.join(root, '.data/screenshots');
	rmSync(folder, { recursive: true, force: true });
	const database = await startMariadb(folder, 5590);
	Object.assign(process.env, database.schemaEnv);
	const { prepareDatabase } = await loadTs('scripts/lib/prepare-database.ts');
	await prepareDatabase(path.join(root, 'db/migrations'), true);
	ensureBuild(root);
	const app = await startApp(root, await freePort(5380), database.env);
	const { chromium } = await import('@playwright/test');
	const browser = await chromium.launch({
		executablePath: programPath('chromium'),
		args: ['--no-sandbox', '--disable-gpu']
	});
	const out = path.join(root, 'docs/screenshots');
	mkdirSync(out, { recursive: true });
	try {
		// `-- client-page list` takes these alone.
		const wanted = process.argv.slice(2);
		for (const { name, url, act, whole, phone } of VIEWS) {
			if (wanted.length > 0 && !wanted.includes(name)) continue;
			const viewport = phone ? { width: 390, height: 844 } : { width: 1280, height: 800 };
			const page = await browser.newPage({ viewport, locale: 'en-GB' });
			await page.context().addCookies(await demoCookies(app.address));
			await page.goto(app.address + url, { waitUntil: 'networkidle' });
			await act?.(page);
			await page.screenshot({ path: path.join(out, `${name}.png`), fullPage: whole ?? false });
			await page.close();
			say(`docs/screenshots/${name}.png`);
		}
	} finally {
		await browser.close();
		await app.stop();
		await database.stop();
	}
}

main().catch(fail);
