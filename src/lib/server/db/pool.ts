import {
	createPool,
	type Pool,
	type PoolConnection,
	type ResultSetHeader,
	type RowDataPacket
} from 'mysql2/promise';
import { channel } from 'node:diagnostics_channel';
import { setTimeout } from 'node:timers/promises';
import { BusyError, DatabaseDownError, DiskFullError } from '../errors';

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
		connectTimeout: QUERY_MS,
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

/** A statement is given up after so long, ms: a database that hangs is one that does not answer. */
const QUERY_MS = 5000;

/** What the driver says when the database is gone, hangs, or is on its way down. */
const DOWN = new Set([
	'ECONNREFUSED',
	'ECONNRESET',
	'ENOENT',
	'EPIPE',
	'ETIMEDOUT',
	'PROTOCOL_CONNECTION_LOST',
	'PROTOCOL_SEQUENCE_TIMEOUT',
	'ER_SERVER_SHUTDOWN',
	'ER_CON_COUNT_ERROR',
	'ER_CONNECTION_KILLED',
	'POOL_TIMEOUT'
]);
/** Somebody else was at the same rows: asked again, the same goes through. */
const MET_ANOTHER = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
/** What the database says when there is no room to write: 28 is what the system calls that. */
const isFull = (code: string, trouble: unknown): boolean =>
	code === 'ER_DISK_FULL' ||
	code === 'ER_RECORD_FILE_FULL' ||
	(code === 'ER_GET_ERRNO' && /\b28\b/.test(String((trouble as Error).message)));
const codeOf = (trouble: unknown): string => String((trouble as { code?: unknown } | null)?.code ?? '');

/** A connection of the pool, within the time that a statement gets. */
async function connection(): Promise<PoolConnection> {
	const wanted = pool().getConnection();
	let late: NodeJS.Timeout | undefined;
	const limit = new Promise<never>((_, reject) => {
		late = globalThis.setTimeout(
			() => reject(Object.assign(new Error('no connection'), { code: 'POOL_TIMEOUT' })),
			QUERY_MS
		);
	});
	try {
		return await Promise.race([wanted, limit]);
	} catch (trouble) {
		// One that comes too late goes back.
		wanted.then((own) => own.release()).catch(() => undefined);
		throw trouble;
	} finally {
		clearTimeout(late);
	}
}

/** Times that a write is tried again when somebody else was at the same rows. */
const MOST_RETRIES = 3;

/**
 * Runs work on a connection of its own. One that has hung is thrown away.
 * @throws DatabaseDownError when the database does not answer
 * @throws BusyError when somebody else was at the same rows time and again
 */
async function onConnection<T>(work: (db: PoolConnection) => Promise<T>): Promise<T> {
	for (let turn = 0; ; turn++) {
		let own: PoolConnection | null = null;
		let isGone = false;
		try {
			own = await connection();
			return await work(own);
		} catch (trouble) {
			const code = codeOf(trouble);
			if (DOWN.has(code)) {
				isGone = true;
				throw new DatabaseDownError(trouble);
			}
			if (isFull(code, trouble)) throw new DiskFullError(trouble);
			if (!MET_ANOTHER.has(code)) throw trouble;
			if (turn >= MOST_RETRIES) throw new BusyError('Others are saving the same just now.');
		} finally {
			if (isGone) own?.destroy();
			else own?.release();
		}
		await setTimeout(10 + Math.random() * 30 * 2 ** turn);
	}
}

const isPool = (db: Db): db is Pool => !('connection' in db);

/** Tells every statement to whoever listens: `{ sql, values }`. */
const statements = channel('snug.sql');

/** Rows of a SELECT with placeholders. */
export async function rows<T>(db: Db, sql: string, values: Value[] = []): Promise<T[]> {
	if (isPool(db)) return onConnection((own) => rows<T>(own, sql, values));
	statements.publish({ sql, values });
	const [found] = await db.execute<RowDataPacket[]>({ sql, values, timeout: QUERY_MS });
	return found as T[];
}

/** Number of rows that a write with placeholders touched. */
export async function write(db: Db, sql: string, values: Value[] = []): Promise<number> {
	if (isPool(db)) return onConnection((own) => write(own, sql, values));
	statements.publish({ sql, values });
	const [result] = await db.execute<ResultSetHeader>({ sql, values, timeout: QUERY_MS });
	return result.affectedRows;
}

const say = (db: PoolConnection, sql: string): Promise<unknown> => db.query({ sql, timeout: QUERY_MS });

/**
 * Runs related writes as one: all of them, or none. Where somebody else was at the same rows, all of it is done again: the work
 * does nothing but read and write the database.
 * @param readCommitted locks only the rows that are found, not the gaps between them: for queues
 */
export const inTransaction = <T>(
	work: (db: PoolConnection) => Promise<T>,
	readCommitted = false
): Promise<T> =>
	onConnection(async (db) => {
		if (readCommitted) await say(db, 'SET TRANSACTION ISOLATION LEVEL READ COMMITTED');
		await say(db, 'START TRANSACTION');
		try {
			const result = await work(db);
			await say(db, 'COMMIT');
			return result;
		} catch (error) {
			// What went wrong first is what is told, whatever the rollback says.
			await say(db, 'ROLLBACK').catch(() => undefined);
			throw error;
		}
	});

/** Runs related writes as part of a transaction that is underway, or as one of their own. */
export const inTransactionOf = <T>(within: Db | undefined, work: (db: Db) => Promise<T>): Promise<T> =>
	within ? work(within) : inTransaction(work);

/** Reads that belong together see one moment: nobody's save falls between two of them. */
export const inSnapshot = <T>(work: (db: PoolConnection) => Promise<T>): Promise<T> =>
	onConnection(async (db) => {
		await say(db, 'SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
		await say(db, 'START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
		try {
			return await work(db);
		} finally {
			await say(db, 'COMMIT').catch(() => undefined);
		}
	});

/** A stored time as ISO text; null stays null. */
export const isoTime = (stored: string | null): string | null => stored && stored.replace(' ', 'T') + 'Z';

/** A table's or column's name as it stands in a statement; such names come from the database itself or from a list of ours. */
export const quoted = (name: string): string => `\`${name.replaceAll('`', '``')}\``;
/** Whether a write failed since such a row is there already. */
export const isDuplicate = (trouble: unknown): boolean => codeOf(trouble) === 'ER_DUP_ENTRY';

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
/** Somebody else has what was to be taken; says who, in words. */
export class TakenError extends Error {}
export class NotFoundError extends Error {
	constructor(readonly what: string) {
		super(`This ${what} does not exist, or was deleted.`);
	}
}
