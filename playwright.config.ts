import { defineConfig } from '@playwright/test';

// Each worker has an app with a database of its own: files run side by side and never see each other's trips.
const addresses = (process.env.SNUG_ADDRESSES ?? 'http://127.0.0.1:5180').split(' ');

export default defineConfig({
	testDir: 'tests/e2e',
	outputDir: '.data/test/browser',
	fullyParallel: false,
	workers: addresses.length,
	retries: 0,
	// A plan is worked out in the page: on a busy machine that takes a while.
	timeout: 720_000,
	expect: { timeout: 120_000 },
	reporter: [['list'], ['json']],
	use: {
		locale: 'en-GB',
		actionTimeout: 60_000,
		baseURL: addresses[Number(process.env.TEST_PARALLEL_INDEX ?? 0)],
		viewport: { width: 1280, height: 800 },
		// It would answer before what a test puts between page and server; its own tests let it in.
		serviceWorkers: 'block',
		launchOptions: {
			executablePath: process.env.SNUG_CHROMIUM ?? '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	}
});
