// What the machine must have: Debian packages, and the packages of the lock file. Built-ins only, so that it runs
// before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import { Trouble, say } from './console.mjs';

const OLDEST_NODE = [20, 19];

export function checkNode() {
	const [major, minor] = process.versions.node.split('.').map(Number);
	if (major > OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor >= OLDEST_NODE[1])) return;
	throw new Trouble(
		`Node ${process.versions.node} is too old.`,
		`install Node ${OLDEST_NODE.join('.')} or newer and start again.`
	);
}

const FOLDERS = [
	...(process.env.PATH ?? '').split(path.delimiter),
	'/usr/sbin',
	'/usr/bin',
	'/usr/local/bin'
];

/** Full path of a program, or null. */
export function programPath(name) {
	for (const folder of FOLDERS) {
		const file = path.join(folder, name);
		if (folder && existsSync(file)) return file;
	}
	return null;
}

const PACKAGE_OF = {
	mariadbd: 'mariadb-server-core',
	'mariadb-install-db': 'mariadb-server-core',
	chromium: 'chromium'
};

/** Installs the Debian packages of those programs that are missing. */
export function ensurePrograms(names) {
	const missing = [
		...new Set(names.filter((name) => !programPath(name)).map((name) => PACKAGE_OF[name] ?? name))
	];
	if (missing.length === 0) return;
	if (missing.includes('mariadb-server-core')) missing.push('mariadb-client-core');
	const byHand = `as root run: apt-get update && apt-get install -y --no-install-recommends ${missing.join(' ')}`;
	const apt = programPath('apt-get');
	if (!apt)
		throw new Trouble(
			`Missing: ${missing.join(', ')}, and this is no Debian system.`,
			'install these programs by hand, then start again.'
		);
	const isRoot = process.getuid?.() === 0;
	if (!isRoot && !programPath('sudo'))
		throw new Trouble(`Missing: ${missing.join(', ')}, and only root may install them.`, byHand);
	say(`installing ${missing.join(', ')}`);
	for (const args of [
		['update', '-qq'],
		['install', '-y', '-qq', '--no-install-recommends', ...missing]
	]) {
		const command = isRoot ? [apt, ...args] : ['sudo', '-n', apt, ...args];
		const { status, stderr } = spawnSync(command[0], command.slice(1), {
			env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
			stdio: ['ignore', 'ignore', 'pipe'],
			encoding: 'utf8'
		});
		if (status !== 0 && args[0] === 'install') {
			throw new Trouble(
				`The Debian packages could not be installed: ${stderr.trim().split('\n').pop()}`,
				`check the network, or ${byHand}`
			);
		}
	}
	const still = names.filter((name) => !programPath(name));
	if (still.length > 0)
		throw new Trouble(`Still missing after the installation: ${still.join(', ')}.`, byHand);
}

const hashOf = (...parts) =>
	parts.reduce((hash, part) => hash.update(part), createHash('sha256')).digest('hex');

/** Installs the packages of the lock file when they are not there, or not those of this lock file. */
export function ensurePackages(root) {
	const stamp = path.join(root, 'node_modules/.snug-lock');
	const wanted = hashOf(
		readFileSync(path.join(root, 'package-lock.json')),
		process.versions.node.split('.')[0]
	);
	if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== wanted) installPackages(root, stamp, wanted);
	ensureSynced(root);
}

/** Our compiler settings build on a file that SvelteKit writes: without it no TypeScript can be read. */
export function ensureSynced(root) {
	if (existsSync(path.join(root, '.svelte-kit/tsconfig.json'))) return;
	const { status, stderr } = spawnSync(path.join(root, 'node_modules/.bin/svelte-kit'), ['sync'], {
		cwd: root,
		encoding: 'utf8',
		stdio: ['ignore', 'ignore', 'pipe']
	});
	if (status !== 0) {
		throw new Trouble(
			`The settings of the compiler could not be written: ${stderr?.trim()}`,
			'remove the folder node_modules and start again.'
		);
	}
}

function installPackages(root, stamp, wanted) {
	say('installing packages (npm ci)');
	const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
		cwd: root,
		stdio: ['ignore', 'ignore', 'inherit']
	});
	if (status !== 0) {
		throw new Trouble(
			'The packages could not be installed (npm ci failed, see above).',
			'check the network and the free disk space, then start again.'
		);
	}
	writeFileSync(stamp, wanted);
}

function filesUnder(folder) {
	return readdirSync(folder, { withFileTypes: true })
		.sort((a, b) => (a.name < b.name ? -1 : 1))
		.flatMap((entry) => {
			const full = path.join(folder, entry.name);
			return entry.isDirectory() ? filesUnder(full) : [full];
		});
}

/** A hash of everything that the build is made from. */
export function sourceHash(root) {
	const files = ['src', 'static'].flatMap((folder) => filesUnder(path.join(root, folder)));
	const config = [
		'package-lock.json',
		'svelte.config.js',
		'vite.config.ts',
		'vite.tasks.config.ts',
		'tsconfig.json'
	].map((file) => path.join(root, file));
	return hashOf(
		...[...files, ...config]
			.filter((file) => statSync(file).isFile())
			.flatMap((file) => [file.slice(root.length), readFileSync(file)])
	);
}

/** Builds when the build is not of the sources as they are now. Returns whether it had to. */
export function ensureBuild(root) {
	const stamp = path.join(root, 'build/.snug-source');
	const wanted = sourceHash(root);
	if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return false;
	say('building');
	for (const config of [[], ['--config', 'vite.tasks.config.ts']]) {
		const { status, stdout, stderr } = spawnSync(
			process.execPath,
			[path.join(root, 'node_modules/vite/bin/vite.js'), 'build', ...config, '--logLevel', 'warn'],
			{
				cwd: root,
				encoding: 'utf8',
				// Loading a module through Vite leaves "development" in our environment; pages built so are slow.
				env: { ...process.env, NODE_ENV: 'production' }
			}
		);
		if (status !== 0) {
			throw new Trouble(
				`The build failed:\n${stdout}${stderr}`,
				'undo the last change to the sources, or mend what the build names.'
			);
		}
	}
	mkdirSync(path.dirname(stamp), { recursive: true });
	writeFileSync(stamp, wanted);
	return true;
}

/** Whether a port on the loopback address is free. */
export const isPortFree = (port) =>
	new Promise((resolve) => {
		const probe = net.createServer();
		probe.once('error', () => resolve(false));
		probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
	});

/** The first free port from a number on, other than one that is meant for something else. */
export async function freePort(from, taken = 0) {
	for (let port = from; port < from + 200; port++)
		if (port !== taken && (await isPortFree(port))) return port;
	throw new Trouble(
		`No free port between ${from} and ${from + 199}.`,
		'stop some of the programs that listen there.'
	);
}

/** Starts a program that ends with us, and gives back the process and a promise of its end. */
export function run(command, args, options) {
	const child = spawn(command, args, options);
	const ended = new Promise((resolve) => {
		child.once('error', (error) => resolve({ code: null, error }));
		child.once('exit', (code, signal) => resolve({ code, signal }));
	});
	return { child, ended };
}
