import { defineConfig } from 'vitest/config';

/** The tests that hold body, cloth, weather and heat: their own, those of the rooms beside, and the references. */
export default defineConfig({
	test: {
		include: [
			'src/lib/core/{body,cloth,weather,heat,conditions,rules,outfit}/**/*.test.ts',
			'src/lib/words/units.test.ts',
			'tests/reference/**/*.test.ts'
		],
		setupFiles: ['tests/setup.ts'],
		environment: 'node',
		testTimeout: 20_000
	}
});
