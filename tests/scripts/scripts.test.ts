import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { freePort, isPortFree, programPath, sourceHash } from '../../scripts/lib/machine.mjs';
import { startMariadb } from '../../scripts/lib/mariadb.mjs';

let folder: string;
beforeEach(() => {
	folder = mkdtempSync(path.join(os.tmpdir(), 'snug-scripts-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Holds a port while something is tried. */
async function holding<T>(port: number, work: () => Promise<T> | T): Promise<T> {
	const server = net.createServer();
	await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
	try {
		return await work();
	} finally {
		await new Promise((resolve) => server.close(resolve));
	}
}
/** Runs npm start's script and gives back what it said. */
const start = (env: Record<string, string>, args: string[] = []): { status: number | null; said: string } => {
	const { status, stderr } = spawnSync(process.execPath, ['scripts/start.mjs', ...args], {
		env: { ...process.env, ...env },
		encoding: 'utf8',
		timeout: 600_000
	});
	return { status, said: stderr };
};

describe('a start that cannot be says what happened and what to do', () => {
	it('when the port is taken', async () => {
		const port = await freePort(5700);
		const { status, said } = await holding(port, () => start({ PORT: String(port) }));
		expect(status).toBe(1);
		expect(said).toContain(`Port ${port} is taken`);
		expect(said).toContain('What to do: stop that program, or use another port');
		expect(said).not.toContain('    at ');
	});
	it('when the port is no port', () => {
		const { status, said } = start({ PORT: 'harbour' });
		expect(status).toBe(1);
		expect(said).toContain('PORT is harbour, which is no port.');
	});
	it('when the packages cannot be installed', () => {
		const [machine, words] = ['machine', 'console'].map((name) => path.resolve(`scripts/lib/${name}.mjs`));
		const probe = path.join(folder, 'probe.mjs');
		writeFileSync(
			probe,
			`import { ensurePrograms } from '${machine}';
			import { fail } from '${words}';
			try { ensurePrograms(['mariadbd-of-the-moon']); } catch (error) { fail(error); }`
		);
		writeFileSync(
			path.join(folder, 'apt-get'),
			'#!/bin/sh\necho "E: Unable to fetch some archives" >&2\nexit 100\n',
			{ mode: 0o755 }
		);
		const { status, stderr } = spawnSync(process.execPath, [probe], {
			env: { PATH: folder },
			encoding: 'utf8'
		});
		expect(status).toBe(1);
		expect(stderr).toMatch(
			/could not be installed: E: Unable to fetch some archives|only root may install them/
		);
		expect(stderr).toMatch(/What to do: .*apt-get install -y --no-install-recommends mariadbd-of-the-moon/);
	});
	it('when the database does not start', async () => {
		const data = path.join(folder, 'data', 'mysql');
		mkdirSync(data, { recursive: true });
		writeFileSync(path.join(folder, 'data', 'ibdata1'), 'this is no tablespace');
		const trouble = (await startMariadb(folder, 5800).then(
			() => null,
			(error: unknown) => error
		)) as (Error & { todo: string }) | null;
		expect(trouble!.message).toContain('The database did not start');
		expect(trouble!.todo).toContain('mariadb.log');
	});
});

describe('the first start of a fresh copy', () => {
	it('can read the TypeScript of the project before anything was built', () => {
		for (const part of [
			'src',
			'scripts',
			'static',
			'package.json',
			'svelte.config.js',
			'vite.config.ts',
			'vite.tasks.config.ts',
			'tsconfig.json'
		])
			cpSync(part, path.join(folder, part), { recursive: true });
		symlinkSync(path.resolve('node_modules'), path.join(folder, 'node_modules'));
		const probe = path.join(folder, 'probe.mjs');
		writeFileSync(
			probe,
			`import { ensureSynced } from './scripts/lib/machine.mjs';
			ensureSynced('${folder}');
			const { loadTs } = await import('./scripts/lib/load-ts.mjs');
			console.log(Object.keys(await loadTs('src/lib/core/seeded.ts')).join());`
		);
		expect(existsSync(path.join(folder, '.svelte-kit'))).toBe(false);
		const { stdout, stderr } = spawnSync(process.execPath, [probe], { cwd: folder, encoding: 'utf8' });
		expect(stderr).toBe('');
		expect(stdout).toContain('seeded');
	});
});

describe('a start after a crash', () => {
	it('stops the database that was left behind, and keeps the data', async () => {
		const probe = path.join(folder, 'probe.mjs');
		const lib = path.resolve('scripts/lib/mariadb.mjs');
		writeFileSync(
			probe,
			`import { startMariadb } from '${lib}'; const { env } = await startMariadb('${folder}', 5850); console.log(JSON.stringify(env));`
		);
		const crashed = spawn(process.execPath, [probe], { stdio: ['ignore', 'pipe', 'ignore'] });
		const said: string = await new Promise((resolve) => {
			let text = '';
			crashed.stdout.on('data', (part: Buffer) => {
				text += part.toString();
				if (text.includes('}')) resolve(text);
			});
		});
		const first = JSON.parse(said.slice(said.indexOf('{'))) as Record<string, string>;
		crashed.kill('SIGKILL');
		await new Promise((resolve) => crashed.once('exit', resolve));
		const again = await startMariadb(folder, 5850);
		expect(again.env!.SNUG_DB_PASSWORD).toBe(first.SNUG_DB_PASSWORD);
		await expect(startMariadb(folder, 5850)).rejects.toThrow('in use by another start');
		expect(existsSync(again.env!.SNUG_DB_SOCKET!)).toBe(true);
		await again.stop();
	});
});

describe('ports and programs', () => {
	it('know what is free', async () => {
		const port = await freePort(5750);
		expect(await isPortFree(port)).toBe(true);
		await holding(port, async () => {
			expect(await isPortFree(port)).toBe(false);
			expect(await freePort(port)).toBeGreaterThan(port);
		});
	});
	it('know what is there', () => {
		expect(programPath('mariadbd')).toMatch(/mariadbd$/);
		expect(programPath('mariadbd-of-the-moon')).toBeNull();
	});
});

describe('the build stamp', () => {
	it('changes with the sources and with nothing else', () => {
		for (const part of [
			'static',
			'package-lock.json',
			'svelte.config.js',
			'vite.config.ts',
			'vite.tasks.config.ts',
			'tsconfig.json'
		])
			cpSync(part, path.join(folder, part), { recursive: true });
		mkdirSync(path.join(folder, 'src'));
		const page = path.join(folder, 'src/page.svelte');
		writeFileSync(page, 'one');
		const first = sourceHash(folder);
		writeFileSync(path.join(folder, 'README.md'), 'words');
		expect(sourceHash(folder)).toBe(first);
		writeFileSync(page, 'two');
		expect(sourceHash(folder)).not.toBe(first);
		writeFileSync(page, 'one');
		expect(sourceHash(folder)).toBe(first);
	});
});
