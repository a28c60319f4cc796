// Puts the tests that mutation testing runs, and the changed code that they reach, into one file. A run of a change then
// loads one module instead of some hundred, each of which is asked for on its own: most of a run was that.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { build } from 'vite';

const out = '.data/mutated';
const rooms = (process.env.SNUG_MUTATED_ROOMS ?? 'body,cloth,weather,heat').split(',');
/** The tests of rooms that rest on the others are only run when these rooms are changed themselves. */
const RESTING = ['rules', 'outfit', 'judge'];
const isResting = rooms.some((room) => RESTING.includes(room));
/** Whole plans take most of the time, and notice least of what the tests beside the code do not. */
const WHOLE_PLANS = /tests\/reference\/(census|well-equipped|demo-day)\.test/;
/** The slowest ones come last: the run of a change ends at the first test that fails. */
const SLOW = [
	'iso-11079',
	'course',
	'ledger',
	'practice-days',
	'wetness',
	'simulation',
	'thresholds',
	'demo-day',
	'practice',
	'well-equipped',
	'garment-findings'
];
const rank = (file) => SLOW.findIndex((name) => file.includes(`/${name}.test`));

const wanted = ['body', 'cloth', 'weather', 'heat', 'conditions', ...(isResting ? RESTING : [])];
const testsIn = (folder) =>
	readdirSync(folder, { recursive: true })
		.filter((file) => file.endsWith('.test.ts'))
		.map((file) => path.posix.join(folder, file));
const files = [
	...wanted.flatMap((room) => testsIn(`src/lib/core/${room}`)),
	'src/lib/words/units.test.ts',
	...testsIn('tests/reference')
]
	.filter((file) => !file.includes('census.test') && (isResting || !WHOLE_PLANS.test(file)))
	.sort((a, b) => rank(a) - rank(b) || (a < b ? -1 : 1));
// The settings of TypeScript rest on what it writes.
spawnSync('node_modules/.bin/svelte-kit', ['sync'], { stdio: 'inherit' });
mkdirSync(out, { recursive: true });
const entry = path.join(out, 'all.ts');
writeFileSync(entry, files.map((file) => `import '../../${file}';\n`).join(''));

/**
 * Tests of two files may have one name: each begins with that of its file. And what no test notices is tried against every
 * random case: a fifth of them where a property states how many.
 */
const named = {
	name: 'tests-of-a-change',
	transform(code, id) {
		if (!/\.test\.ts$/.test(id)) return null;
		const file = path.basename(id, '.test.ts');
		return code
			.replace(/^describe((?:\.\w+)?)\((['"`])/gm, `describe$1($2${file}: `)
			.replace(/\bnumRuns: (\d+)/g, (_, runs) => `numRuns: ${Math.ceil(runs / 5)}`);
	}
};
await build({
	configFile: false,
	logLevel: 'error',
	plugins: [named],
	build: {
		ssr: entry,
		outDir: out,
		emptyOutDir: false,
		minify: false,
		rolldownOptions: { treeshake: false, output: { entryFileNames: 'all.test.js' } }
	}
});
