import { defineConfig } from 'vitest/config';

/**
 * The tests that hold body, cloth, weather, heat, rules, outfit and judge: their own, those of the rooms beside, and the
 * references, put into one file by scripts/lib/mutated-tests.mjs.
 */
export default defineConfig({
	test: {
		include: ['.data/mutated/all.test.js'],
		setupFiles: ['tests/setup.ts'],
		environment: 'node',
		testTimeout: 20_000,
		isolate: false
	}
});
