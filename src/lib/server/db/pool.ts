import {
	createPool,
	type Pool,
	type PoolConnection,
	type ResultSetHeader,
	type RowDataPacket
} from 'mysql2/promise';

/** What a statement can run on: the pool, or one connection inside a transaction. */
export type Db = Pool | PoolConnection;

let shared: Pool | null = null;

/**
 * The connection pool of this process, from the environment: SNUG_DB_SOCKET, or SNUG_DB_HOST and SNUG_DB_PORT, and
 * SNUG_DB_USER, SNUG_DB_PASSWORD, SNUG_DB_NAME. Nothing else is kept in the process.
 */
export function pool(): Pool {
	const env = process.env;
	shared ??= createPool({
		...(env.SNUG_DB_SOCKET
			? { socketPath: env.SNUG_DB_SOCKET }
			: { host: env.SNUG_DB_HOST ?? '127.0.0.1', port: Number(env.SNUG_DB_PORT ?? 3306) }),
		user: env.SNUG_DB_USER ?? 'snug',
		password: env.SNUG_DB_PASSWORD ?? '',
		database: env.SNUG_DB_NAME ?? 'snug',
		connectionLimit: 10,
		dateStrings: true,
		jsonStrings: true,
		timezone: 'Z',
		charset: 'utf8mb4'
	});
	return shared;
}

/** Closes the pool, for scripts and tests. */
export async function closePool(): Promise<void> {
	await shared?.end();
	shared = null;
}

export type Value = string | number | boolean | null | Date | Buffer;

/** Rows of a SELECT with placeholders. */
export async function rows<T>(db: Db, sql: string, values: Value[] = []): Promise<T[]> {
	const [found] = await db.execute<RowDataPacket[]>(sql, values);
	return found as T[];
}

/** Number of rows that a write with placeholders touched. */
export async function write(db: Db, sql: string, values: Value[] = []): Promise<number> {
	const [result] = await db.execute<ResultSetHeader>(sql, values);
	return result.affectedRows;
}

/**
 * Runs related writes as one: all of them, or none.
 * @param readCommitted locks only the rows that are found, not the gaps between them: for queues
 */
export async function inTransaction<T>(
	work: (db: PoolConnection) => Promise<T>,
	readCommitted = false
): Promise<T> {
	const connection = await pool().getConnection();
	try {
		if (readCommitted) await connection.query('SET TRANSACTION ISOLATION LEVEL READ COMMITTED');
		await connection.beginTransaction();
		const result = await work(connection);
		await connection.commit();
		return result;
	} catch (error) {
		// What went wrong first is what is told, whatever the rollback says.
		await connection.rollback().catch(() => undefined);
		throw error;
	} finally {
		connection.release();
	}
}

/** Reads that belong together see one moment: nobody's save falls between two of them. */
export async function inSnapshot<T>(work: (db: PoolConnection) => Promise<T>): Promise<T> {
	const connection = await pool().getConnection();
	try {
		await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
		await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
		try {
			return await work(connection);
		} finally {
			await connection.query('COMMIT');
		}
	} finally {
		connection.release();
	}
}

/** A stored time as ISO text; null stays null. */
export const isoTime = (stored: string | null): string | null => stored && stored.replace(' ', 'T') + 'Z';

/** The later of two edits: what was sent rests on a version that is no longer there. */
export class ConflictError extends Error {
	constructor(
		readonly what: string,
		/** what is there now */
		readonly current?: unknown
	) {
		super(`This ${what} was changed meanwhile by somebody else.`);
	}
}
export class NotFoundError extends Error {
	constructor(readonly what: string) {
		super(`This ${what} does not exist, or was deleted.`);
	}
}
