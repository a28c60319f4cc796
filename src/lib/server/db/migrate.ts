import { readFile, readdir } from 'node:fs/promises';
import path from 'node:path';
import { pool, rows } from './pool';

/**
 * Runs every migration of a folder that has not run yet, in the order of their names, once, and records each.
 * A named lock keeps two processes from migrating at the same time.
 * @returns names of those that ran now
 */
export async function migrate(folder: string): Promise<string[]> {
	const db = await pool().getConnection();
	try {
		await db.query("SELECT GET_LOCK('snug-migrate', 60)");
		await db.query(
			'CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(120) PRIMARY KEY, ran_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))'
		);
		const done = new Set(
			(await rows<{ name: string }>(db, 'SELECT name FROM migrations')).map(({ name }) => name)
		);
		const files = (await readdir(folder)).filter((file) => file.endsWith('.sql')).sort();
		const ran: string[] = [];
		for (const file of files.filter((name) => !done.has(name))) {
			const sql = (await readFile(path.join(folder, file), 'utf8')).replace(/^--.*$/gm, '');
			for (const statement of sql.split(/;\s*$/m)) if (statement.trim()) await db.query(statement);
			await db.execute('INSERT INTO migrations (name) VALUES (?)', [file]);
			ran.push(file);
		}
		return ran;
	} finally {
		await db.query("SELECT RELEASE_LOCK('snug-migrate')");
		db.release();
	}
}
