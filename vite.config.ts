import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	build: { chunkSizeWarningLimit: 900 },
	test: {
		include: ['src/**/*.test.ts', 'tests/{reference,db,scripts}/**/*.test.ts'],
		setupFiles: ['tests/setup.ts'],
		environment: 'node',
		testTimeout: 60_000
	}
});
