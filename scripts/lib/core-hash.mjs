// A hash of everything that works plans out: the code and data of the core, and the version of the one package it uses.
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** Files of a folder, by name, tests apart. */
const filesIn = (folder) =>
	readdirSync(folder, { withFileTypes: true, recursive: true })
		.filter((entry) => entry.isFile() && entry.name.endsWith('.ts') && !entry.name.endsWith('.test.ts'))
		.map((entry) => path.join(entry.parentPath ?? entry.path, entry.name))
		.sort();

export function coreHash(core = path.join(root, 'src/lib/core')) {
	const hash = createHash('sha256');
	for (const file of filesIn(core))
		hash
			.update(`${path.relative(core, file)}\0`)
			.update(readFileSync(file))
			.update('\0');
	const { packages } = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));
	return hash
		.update(packages['node_modules/suncalc']?.version ?? '')
		.digest('hex')
		.slice(0, 16);
}
