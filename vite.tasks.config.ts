import path from 'node:path';
import { defineConfig } from 'vite';
import { parsedMessages } from './scripts/lib/parsed-messages.mjs';

/** What runs in the threads of the work pool, as one file beside the build of the server. */
export default defineConfig({
	plugins: [parsedMessages()],
	resolve: { alias: { $lib: path.resolve('src/lib') } },
	build: {
		ssr: 'src/lib/server/work/tasks.ts',
		outDir: 'build/work',
		emptyOutDir: true,
		target: 'node20',
		rolldownOptions: { output: { entryFileNames: 'tasks.js' } }
	}
});
