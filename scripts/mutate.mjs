// npm run mutate: mutation testing of body, cloth, weather and heat. `-- rules,outfit,judge` takes other rooms of the core.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensurePackages } from './lib/machine.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const rooms = process.argv[2] ?? 'body,cloth,weather,heat';
ensurePackages(root);
// A change that nothing notices is tried against every case: ten random ones of a property instead of a hundred.
const wanted = rooms
	.split(',')
	.map((room) => `src/lib/core/${room}/**/*.ts`)
	.concat('!src/lib/core/**/*.test.ts', '!src/lib/core/cloth/catalogue-rows.ts');
spawn(
	process.execPath,
	[path.join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', '--mutate', wanted.join(',')],
	{
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, SNUG_MUTATED_ROOMS: rooms, SNUG_RUNS: process.env.SNUG_RUNS ?? '10' }
	}
).on('exit', (code) => process.exit(code ?? 1));
