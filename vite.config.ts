import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { coreHash } from './scripts/lib/core-hash.mjs';
import { parsedMessages } from './scripts/lib/parsed-messages.mjs';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit(), parsedMessages()],
	// Plans that were worked out by another core are worked out anew.
	define: { __CORE_HASH__: JSON.stringify(coreHash()) },
	// Our parts have one class each: there is nothing in them to be merged.
	resolve: { alias: { 'tailwind-variants': 'tailwind-variants/lite' } },
	build: {
		chunkSizeWarningLimit: 900,
		rolldownOptions: {
			// The component library has one door for everything in it, and our own rooms do nothing when they are loaded: what a
			// page does not use is left out.
			treeshake: {
				moduleSideEffects: (id) =>
					!/\/flowbite-svelte\/|\/src\/lib\/(core|words|formats)\//.test(id) || id.includes('type=style')
			}
		}
	},
	test: {
		include: ['src/**/*.test.ts', 'tests/{reference,db,scripts}/**/*.test.ts'],
		setupFiles: ['tests/setup.ts'],
		environment: 'node',
		// Both cores: left to itself, the runner keeps one of two for itself, and uses a quarter of its time.
		maxWorkers: 2,
		testTimeout: 60_000
	}
});
