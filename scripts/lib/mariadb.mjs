// A private MariaDB under the project: its own folder, port and socket, on the loopback address only.
import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { Trouble, say } from './console.mjs';
import { freePort, programPath, run } from './machine.mjs';

const STARTED_WITHIN_MS = 60_000;

const lastLines = (file, n) =>
	existsSync(file) ? readFileSync(file, 'utf8').trim().split('\n').slice(-n).join('\n    ') : '';

function canConnect(socket) {
	return new Promise((resolve) => {
		const connection = net.connect(socket);
		connection.once('data', () => {
			connection.destroy();
			resolve(true);
		});
		connection.once('error', () => resolve(false));
		setTimeout(() => connection.destroy(), 1000).unref();
		connection.once('close', () => resolve(false));
	});
}

/** A socket path that fits into the 107 bytes that the system allows, the same for the same data folder. */
function socketOf(folder) {
	const near = path.join(folder, 'db.sock');
	if (Buffer.byteLength(near) <= 100) return near;
	const far = path.join(
		os.tmpdir(),
		`snug-${createHash('sha256').update(folder).digest('hex').slice(0, 12)}`
	);
	mkdirSync(far, { recursive: true, mode: 0o700 });
	return path.join(far, 'db.sock');
}

const pidIn = (file) => (existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0);
/** The command line of a running process; empty when there is none. */
const commandOf = (pid) =>
	pid && existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';

/**
 * Stops a server on our data that outlived the script that started it (after a crash or a kill), so that the next start
 * needs no help. One whose script still runs is left alone, and this start ends.
 */
async function stopOrphan(folder, data) {
	const pid = pidIn(path.join(folder, 'mariadb.pid'));
	const owner = pidIn(path.join(folder, 'owner.pid'));
	if (!commandOf(pid).includes(`--datadir=${data}`)) return;
	if (commandOf(owner).includes('node')) {
		throw new Trouble(
			`The database of this folder is in use by another start (process ${owner}).`,
			'use that one, or stop it first; a second copy needs a folder of its own.'
		);
	}
	say('stopping a database that an earlier start left behind');
	process.kill(pid, 'SIGTERM');
	for (let i = 0; i < 300 && commandOf(pid) !== ''; i++)
		await new Promise((resolve) => setTimeout(resolve, 100));
}

/**
 * Starts the server on a data folder, which is made when it is not there. Gives back the environment that the app
 * connects with, and `stop`.
 */
export async function startMariadb(folder, firstPort) {
	const me = os.userInfo().username;
	const data = path.join(folder, 'data');
	const log = path.join(folder, 'mariadb.log');
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	if (!existsSync(path.join(data, 'mysql'))) {
		say('making the database folder');
		rmSync(data, { recursive: true, force: true });
		const made = spawnSync(
			programPath('mariadb-install-db'),
			[
				'--no-defaults',
				`--user=${me}`,
				`--datadir=${data}`,
				'--auth-root-authentication-method=socket',
				`--auth-root-socket-user=${me}`,
				'--skip-test-db'
			],
			{ encoding: 'utf8' }
		);
		if (made.status !== 0) {
			rmSync(data, { recursive: true, force: true });
			throw new Trouble(
				`The database folder could not be made: ${(made.stderr || made.stdout).trim().split('\n').pop()}`,
				`check that ${folder} can be written and that the disk is not full.`
			);
		}
	}
	await stopOrphan(folder, data);
	writeFileSync(path.join(folder, 'owner.pid'), String(process.pid));
	const secret = path.join(folder, 'password');
	if (!existsSync(secret)) writeFileSync(secret, randomBytes(18).toString('hex'), { mode: 0o600 });
	const password = readFileSync(secret, 'utf8');
	const setup = path.join(folder, 'setup.sql');
	const user = `'snug'@'localhost'`;
	const remote = `'snug'@'127.0.0.1'`;
	writeFileSync(
		setup,
		[
			'CREATE DATABASE IF NOT EXISTS snug CHARACTER SET utf8mb4;',
			...[user, remote].flatMap((who) => [
				`CREATE USER IF NOT EXISTS ${who} IDENTIFIED BY '${password}';`,
				`ALTER USER ${who} IDENTIFIED BY '${password}';`,
				`GRANT ALL ON snug.* TO ${who};`
			])
		].join('\n') + '\n',
		{ mode: 0o600 }
	);
	const socket = socketOf(folder);
	const port = await freePort(firstPort);
	rmSync(socket, { force: true });
	const out = openSync(log, 'a');
	const { child, ended } = run(
		programPath('mariadbd'),
		[
			'--no-defaults',
			`--user=${me}`,
			`--datadir=${data}`,
			`--socket=${socket}`,
			`--port=${port}`,
			'--bind-address=127.0.0.1',
			`--pid-file=${path.join(folder, 'mariadb.pid')}`,
			`--init-file=${setup}`,
			'--character-set-server=utf8mb4',
			'--innodb-buffer-pool-size=64M',
			'--skip-log-bin',
			'--skip-name-resolve'
		],
		{ stdio: ['ignore', out, out], detached: true }
	);
	let over = null;
	ended.then((end) => (over = end));
	const until = Date.now() + STARTED_WITHIN_MS;
	while (!(await canConnect(socket))) {
		if (over || Date.now() > until) {
			child.kill('SIGTERM');
			throw new Trouble(
				`The database did not start${over ? '' : ` within ${STARTED_WITHIN_MS / 1000} s`}. Its last words:\n    ${lastLines(log, 4)}`,
				`is another start of this project still running? If not, look into ${log}; moving ${folder} away makes a new, empty database.`
			);
		}
		await new Promise((resolve) => setTimeout(resolve, 100));
	}
	return {
		env: { SNUG_DB_SOCKET: socket, SNUG_DB_USER: 'snug', SNUG_DB_PASSWORD: password, SNUG_DB_NAME: 'snug' },
		port,
		ended,
		async stop() {
			child.kill('SIGTERM');
			await ended;
		}
	};
}
