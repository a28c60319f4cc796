import { randomUUID } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import type { PoolConnection } from 'mysql2/promise';
import { pool, rows } from './pool';

/**
 * Brings the tables up to date: every migration of a folder that has not run yet, in the order of their names, a statement at a
 * time. Each statement is recorded, so that a migration that was cut off goes on where it stopped. One process migrates at a
 * time: whoever has written its name into the one row of `migration_claim`, for a minute, anew with every statement.
 */

/** The database is of a newer version than this program. */
export class NewerDatabaseError extends Error {
	constructor(readonly names: readonly string[]) {
		super(`The database was written by a newer version: it has the migration ${names.join(', ')}.`);
	}
}

const OWN_TABLES = [
	'CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(120) PRIMARY KEY, ran_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))',
	`CREATE TABLE IF NOT EXISTS migration_steps (name VARCHAR(120) NOT NULL, step SMALLINT UNSIGNED NOT NULL,
		state ENUM('begun', 'done') NOT NULL, PRIMARY KEY (name, step))`,
	'CREATE TABLE IF NOT EXISTS migration_claim (id TINYINT PRIMARY KEY, holder CHAR(36) NULL, until DATETIME(3) NULL)',
	'INSERT IGNORE INTO migration_claim (id) VALUES (1)'
];
const CLAIM_S = 60;

/** What a change of a table says that was made already: a statement that had begun when the process ended. */
const MADE_ALREADY = new Set([
	'ER_TABLE_EXISTS_ERROR',
	'ER_BAD_TABLE_ERROR',
	'ER_UNKNOWN_TABLE',
	'ER_DUP_FIELDNAME',
	'ER_DUP_KEYNAME',
	'ER_CANT_DROP_FIELD_OR_KEY',
	'ER_BAD_FIELD_ERROR',
	'ER_FK_DUP_NAME',
	'ER_NO_SUCH_TABLE'
]);

/** Statements of a migration; what changes rows and what changes tables is told apart by its first word. */
export const statementsOf = (sql: string): string[] =>
	sql
		.replace(/^--.*$/gm, '')
		.split(/;\s*$/m)
		.map((statement) => statement.trim())
		.filter((statement) => statement !== '');
const firstWord = (statement: string): string => /^\w+/.exec(statement)?.[0].toUpperCase() ?? '';
const CHANGES_ROWS = new Set(['INSERT', 'UPDATE', 'DELETE', 'REPLACE']);

async function claim(db: PoolConnection, holder: string): Promise<boolean> {
	const [result] = await db.execute<import('mysql2').ResultSetHeader>(
		`UPDATE migration_claim SET holder = ?, until = NOW(3) + INTERVAL ${CLAIM_S} SECOND
		 WHERE id = 1 AND (holder IS NULL OR holder = ? OR until < NOW(3))`,
		[holder, holder]
	);
	return result.affectedRows > 0;
}

/** Runs one statement of a migration and records it, unless that was done before. */
async function step(db: PoolConnection, name: string, at: number, statement: string): Promise<void> {
	const word = firstWord(statement);
	// What is said to the connection only is said every time.
	if (word === 'SET') return void (await db.query(statement));
	const [before] = await rows<{ state: string }>(
		db,
		'SELECT state FROM migration_steps WHERE name = ? AND step = ?',
		[name, at]
	);
	if (before?.state === 'done') return;
	const done = `INSERT INTO migration_steps (name, step, state) VALUES (?, ?, 'done') ON DUPLICATE KEY UPDATE state = 'done'`;
	if (CHANGES_ROWS.has(word)) {
		// Rows and the record of it are one write.
		await db.query('START TRANSACTION');
		try {
			await db.query(statement);
			await db.execute(done, [name, at]);
			await db.query('COMMIT');
		} catch (trouble) {
			await db.query('ROLLBACK').catch(() => undefined);
			throw trouble;
		}
		return;
	}
	await db.execute(`INSERT IGNORE INTO migration_steps (name, step, state) VALUES (?, ?, 'begun')`, [
		name,
		at
	]);
	try {
		await db.query(statement);
	} catch (trouble) {
		const code = String((trouble as { code?: string }).code ?? '');
		if (before?.state !== 'begun' || !MADE_ALREADY.has(code)) throw trouble;
	}
	await db.execute(done, [name, at]);
}

interface Asked {
	/** the last migration that runs; all run where this is left out */
	upTo?: string;
	/** called before the first statement where there is something to be done */
	before?: (pending: readonly string[]) => Promise<void>;
}

/**
 * Runs what has not run yet.
 * @returns names of the migrations that ran now
 * @throws NewerDatabaseError when the database has migrations that this version does not know
 */
export async function migrate(folder: string, { upTo, before }: Asked = {}): Promise<string[]> {
	const files = (await readdir(folder)).filter((file) => file.endsWith('.sql')).sort();
	const db = await pool().getConnection();
	const holder = randomUUID();
	try {
		for (const sql of OWN_TABLES) await db.query(sql);
		while (!(await claim(db, holder))) await setTimeout(200);
		const done = new Set(
			(await rows<{ name: string }>(db, 'SELECT name FROM migrations')).map(({ name }) => name)
		);
		const unknown = [...done].filter((name) => name > (files.at(-1) ?? ''));
		if (unknown.length > 0) throw new NewerDatabaseError(unknown);
		const pending = files.filter((name) => !done.has(name) && (upTo === undefined || name <= upTo));
		if (pending.length > 0) await before?.(pending);
		for (const file of pending) {
			const statements = statementsOf(await readFile(path.join(folder, file), 'utf8'));
			for (const [at, statement] of statements.entries()) {
				await claim(db, holder);
				await step(db, file, at, statement);
			}
			await db.execute('INSERT IGNORE INTO migrations (name) VALUES (?)', [file]);
			await db.execute('DELETE FROM migration_steps WHERE name = ?', [file]);
		}
		return pending;
	} finally {
		await db
			.execute('UPDATE migration_claim SET holder = NULL WHERE id = 1 AND holder = ?', [holder])
			.catch(() => undefined);
		db.release();
	}
}
