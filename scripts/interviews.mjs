// npm run interviews [days] [guests]: draws guests by how likely they own what is asked, lets them answer truthfully, and counts
// of how many the verdict words after ten answers are those of all answers. Prints how long the next question takes, too.
import { rmSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';
import { root } from './lib/load-ts.mjs';
import { ensurePackages, ensureSynced } from './lib/machine.mjs';

ensurePackages(root);
ensureSynced(root);
const [days = 2, guests = 100] = process.argv.slice(2).map(Number);
const MOST_ANSWERS = 10;

const outDir = path.join(root, '.data/interviews');
await build({
	root,
	configFile: false,
	logLevel: 'error',
	publicDir: false,
	define: { __CORE_HASH__: '""', __APP_VERSION__: '""' },
	resolve: { alias: { $lib: path.join(root, 'src/lib') } },
	build: {
		outDir,
		emptyOutDir: true,
		minify: false,
		ssr: path.join(root, 'tests/fixtures/interviews.ts')
	}
});
const { interviewerFor, readiness, timesOf } = await import(
	pathToFileURL(path.join(outDir, 'interviews.js')).href
);

const interviewer = interviewerFor(days);
console.log(
	`${interviewer.ground.asked.length} open facts, ${days} day${days > 1 ? 's' : ''} in three weathers, ${guests} guests`
);
const begun = performance.now();
let last;
for (const tally of readiness(interviewer, guests, MOST_ANSWERS)) {
	last = tally;
	if (tally.guests % 10 === 0)
		console.log(
			`  ${tally.guests}: ${tally.ready} ready, ${tally.asked.toFixed(1)} answers, ${Math.round((performance.now() - begun) / 1000)} s`
		);
}
const share = last.ready / last.guests;
console.log(
	`${share >= 0.9 ? '✓' : '✗'} ready after ${MOST_ANSWERS} answers: ${last.ready} of ${last.guests} (limit nine of ten)`
);
const { first, there, away } = timesOf(days);
console.log(
	`first question ${first} ms; after yes ${there} ms, after no ${away} ms, in the background and ahead of the answer`
);
rmSync(outDir, { recursive: true, force: true });
