// npm run bench: the figures that the project promises, as medians of one run.
// The code is bundled first, as the server runs it.
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';
import { root } from './lib/load-ts.mjs';

const outDir = path.join(root, '.data/bench');
await build({
	root,
	configFile: false,
	logLevel: 'error',
	publicDir: false,
	build: {
		outDir,
		emptyOutDir: true,
		minify: false,
		ssr: path.join(root, 'bench/benchmarks.ts'),
		target: 'node20'
	}
});
const { benchmarks } = await import(pathToFileURL(path.join(outDir, 'benchmarks.js')).href);

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
let slow = 0;
for (const { name, run, unit, perRun, rounds, limit } of benchmarks()) {
	for (let i = 0; i < Math.max(3, rounds / 5); i++) run();
	const times = [];
	for (let i = 0; i < rounds; i++) {
		const begin = process.hrtime.bigint();
		run();
		times.push(Number(process.hrtime.bigint() - begin) / 1e3 / perRun);
	}
	const scale = unit === 'ms' ? 1e3 : 1;
	const middle = median(times) / scale;
	const kept = middle <= limit;
	if (!kept) slow++;
	console.log(
		`${kept ? '✓' : '✗'} ${name}: median ${middle.toFixed(1)} ${unit}, ${(Math.min(...times) / scale).toFixed(1)} to ${(Math.max(...times) / scale).toFixed(1)} (limit ${limit} ${unit})`
	);
}
process.exitCode = slow > 0 ? 1 : 0;
