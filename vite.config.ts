import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { coreHash } from './scripts/lib/core-hash.mjs';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	// Plans that were worked out by another core are worked out anew.
	define: { __CORE_HASH__: JSON.stringify(coreHash()) },
	build: { chunkSizeWarningLimit: 900 },
	test: {
		include: ['src/**/*.test.ts', 'tests/{reference,db,scripts}/**/*.test.ts'],
		setupFiles: ['tests/setup.ts'],
		environment: 'node',
		testTimeout: 60_000
	}
});
