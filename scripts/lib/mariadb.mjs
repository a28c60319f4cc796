// A private MariaDB under the project: its own folder, port and socket, on the loopback address only.
import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, openSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { Trouble, say } from './console.mjs';
import { lockFolder } from './lock.mjs';
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

/** Folders whose database this process has started. */
const started = new Set();

/** How long a server may take to stop by itself, tenths of a second. */
const STOPS_WITHIN = 300;

/** Stops a server on our data that outlived the script that started it: the lock of the folder is ours, so nobody uses it. */
async function stopOrphan(folder, data) {
	const pid = pidIn(path.join(folder, 'mariadb.pid'));
	if (!commandOf(pid).includes(`--datadir=${data}`)) return;
	say('stopping a database that an earlier start left behind');
	process.kill(pid, 'SIGTERM');
	for (let i = 0; i < STOPS_WITHIN && commandOf(pid) !== ''; i++)
		await new Promise((resolve) => setTimeout(resolve, 100));
	// InnoDB is made for that: what was acknowledged is in its log.
	if (commandOf(pid) !== '') process.kill(pid, 'SIGKILL');
}

/** Makes the data folder beside its place and moves it there: one that was cut off is never taken for a whole one. */
function install(folder, data, me) {
	say('making the database folder');
	const made = `${data}.new`;
	rmSync(made, { recursive: true, force: true });
	const { status, stderr, stdout } = spawnSync(
		programPath('mariadb-install-db'),
		[
			'--no-defaults',
			`--user=${me}`,
			`--datadir=${made}`,
			'--auth-root-authentication-method=socket',
			`--auth-root-socket-user=${me}`,
			'--skip-test-db'
		],
		{ encoding: 'utf8' }
	);
	if (status !== 0) {
		rmSync(made, { recursive: true, force: true });
		throw new Trouble(
			`The database folder could not be made: ${(stderr || stdout || 'no reason was given').trim().split('\n').pop()}`,
			`check that ${folder} can be written and that the disk is not full.`
		);
	}
	rmSync(data, { recursive: true, force: true });
	renameSync(made, data);
}

/** A secret of its own for an account, kept beside the data. */
function secretIn(folder, name) {
	const file = path.join(folder, name);
	if (!existsSync(file)) writeFileSync(file, randomBytes(18).toString('hex'), { mode: 0o600 });
	return readFileSync(file, 'utf8');
}

/** Two accounts: one reads and writes rows, for the app; one changes tables too, for migrations. */
const ACCOUNTS = [
	{ user: 'snug', file: 'password', rights: 'SELECT, INSERT, UPDATE, DELETE' },
	{ user: 'snug_schema', file: 'schema-password', rights: 'ALL' }
];
const setupSql = (folder) =>
	[
		'CREATE DATABASE IF NOT EXISTS snug CHARACTER SET utf8mb4;',
		...ACCOUNTS.flatMap(({ user, file, rights }) =>
			['localhost', '127.0.0.1'].flatMap((host) => [
				`CREATE USER IF NOT EXISTS '${user}'@'${host}';`,
				`ALTER USER '${user}'@'${host}' IDENTIFIED BY '${secretIn(folder, file)}';`,
				`REVOKE ALL PRIVILEGES, GRANT OPTION FROM '${user}'@'${host}';`,
				`GRANT ${rights} ON snug.* TO '${user}'@'${host}';`
			])
		)
	].join('\n') + '\n';

/** How the app connects to a database that runs on a folder already; null where none answers. */
export async function connectionTo(folder) {
	const socket = socketOf(folder);
	const secret = path.join(folder, ACCOUNTS[0].file);
	if (!existsSync(secret) || !(await canConnect(socket))) return null;
	return {
		SNUG_DB_SOCKET: socket,
		SNUG_DB_USER: ACCOUNTS[0].user,
		SNUG_DB_PASSWORD: secretIn(folder, ACCOUNTS[0].file),
		SNUG_DB_NAME: 'snug'
	};
}

/**
 * Starts the server on a data folder, which is made when it is not there. Gives back the environments that the app and the
 * migrations connect with, and `stop`.
 * @param taken port that is meant for the app
 * @param more settings of the server beside ours
 */
export async function startMariadb(folder, firstPort, taken = 0, more = []) {
	const me = os.userInfo().username;
	const data = path.join(folder, 'data');
	const log = path.join(folder, 'mariadb.log');
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	if (started.has(folder))
		throw new Trouble(`The database in ${folder} is in use by another start.`, 'use the one that runs.');
	lockFolder(folder);
	await stopOrphan(folder, data);
	if (!existsSync(path.join(data, 'mysql'))) install(folder, data, me);
	const setup = path.join(folder, 'setup.sql');
	writeFileSync(setup, setupSql(folder), { mode: 0o600 });
	const socket = socketOf(folder);
	const port = await freePort(firstPort, taken);
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
			// Who waits for another's row longer than that is told so, and asks again.
			'--innodb-lock-wait-timeout=3',
			'--skip-log-bin',
			'--skip-name-resolve',
			...more
		],
		{ stdio: ['ignore', out, out], detached: true }
	);
	let over = null;
	started.add(folder);
	ended.then((end) => {
		over = end;
		started.delete(folder);
	});
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
	const [app, schema] = ACCOUNTS.map(({ user, file }) => ({
		SNUG_DB_SOCKET: socket,
		SNUG_DB_USER: user,
		SNUG_DB_PASSWORD: secretIn(folder, file),
		SNUG_DB_NAME: 'snug'
	}));
	return {
		/** for the app */
		env: app,
		/** for migrations */
		schemaEnv: schema,
		port,
		pid: child.pid,
		ended,
		async stop() {
			child.kill('SIGTERM');
			await ended;
		}
	};
}
