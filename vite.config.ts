import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import type { TestSequencer, TestSpecification } from 'vitest/node';
import { readFileSync } from 'node:fs';
import { coreHash } from './scripts/lib/core-hash.mjs';
import { parsedMessages } from './scripts/lib/parsed-messages.mjs';

const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };

/** Files of tests that take half a minute and more, longest first: begun first, so that no core waits for the other at the end. */
const LONG = [
	'one-planner.test',
	'one-planner.property',
	'lending.test',
	'census',
	'trip-solver',
	'dress-day',
	'demo-day',
	'planner.test'
];
const rank = ({ moduleId }: TestSpecification): number => {
	const at = LONG.findIndex((name) => moduleId.includes(`/${name}`));
	return at < 0 ? LONG.length : at;
};
/** Else by name, so that they run in one order everywhere. Types of the runner only: its code has no place in a build. */
class LongFirst implements TestSequencer {
	sort = (files: TestSpecification[]): TestSpecification[] =>
		[...files].sort((a, b) => rank(a) - rank(b) || (a.moduleId < b.moduleId ? -1 : 1));
	shard = (files: TestSpecification[]): TestSpecification[] => files;
}

export default defineConfig({
	plugins: [tailwindcss(), sveltekit(), parsedMessages()],
	// Plans that were worked out by another core are worked out anew.
	define: { __CORE_HASH__: JSON.stringify(coreHash()), __APP_VERSION__: JSON.stringify(version) },
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
		sequence: { sequencer: LongFirst },
		// A test waits for what it waits for: how long that takes is the machine's, and only what hangs is ended.
		testTimeout: 900_000,
		hookTimeout: 900_000
	}
});
