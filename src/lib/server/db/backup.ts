import { archiveOf, ArchiveError, type Everything, ORDER, type Row, type Rows } from '../work/archive';
import { putAllWords } from './search';
import { type Db, inSnapshot, inTransaction, pool, rows, write } from './pool';

/**
 * All rows of the database, out and in. Plans are left out: they are worked out anew. What is read is one moment, while the app
 * goes on.
 */

/** Tables that are not kept: what follows from the others, and what is about the database itself. */
const LEFT_OUT: ReadonlySet<string> = new Set([
	'stored_plans',
	'plan_work',
	'search_words',
	'migrations',
	'migration_steps',
	'migration_claim'
]);

/** A table's name as it stands in a statement; the names come from the database itself or from the list above. */
const quoted = (name: string): string => `\`${name.replaceAll('`', '``')}\``;

async function tablesOf(db: Db): Promise<{ name: string; key: string[]; columns: string[] }[]> {
	const found = await rows<{ name: string; key_columns: string | null; kept_columns: string }>(
		db,
		`SELECT t.table_name AS name, (
			SELECT GROUP_CONCAT(k.column_name ORDER BY k.ordinal_position) FROM information_schema.key_column_usage k
			WHERE k.table_schema = t.table_schema AND k.table_name = t.table_name AND k.constraint_name = 'PRIMARY'
		) AS key_columns, (
			SELECT GROUP_CONCAT(c.column_name ORDER BY c.ordinal_position) FROM information_schema.columns c
			WHERE c.table_schema = t.table_schema AND c.table_name = t.table_name AND c.is_generated = 'NEVER'
		) AS kept_columns
		FROM information_schema.tables t WHERE t.table_schema = DATABASE() AND t.table_type = 'BASE TABLE'
		ORDER BY t.table_name`
	);
	return found
		.filter(({ name }) => !LEFT_OUT.has(name))
		.map(({ name, key_columns, kept_columns }) => ({
			name,
			key: key_columns?.split(',') ?? [],
			columns: kept_columns.split(',')
		}));
}

const migrationsOf = async (db: Db): Promise<string[]> =>
	(await rows<{ name: string }>(db, 'SELECT name FROM migrations ORDER BY name')).map(({ name }) => name);

/** All rows of all tables that are kept, in the order of their keys, as they are at one moment. */
export const everything = (): Promise<Everything> =>
	inSnapshot(async (db) => {
		const tables: Rows = {};
		for (const { name, key, columns } of await tablesOf(db)) {
			const order = key.length > 0 ? ` ORDER BY ${key.map(quoted).join(', ')}` : '';
			tables[name] = await rows<Row>(
				db,
				`SELECT ${columns.map(quoted).join(', ')} FROM ${quoted(name)}${order}`
			);
		}
		return { tables, migrations: await migrationsOf(db) };
	});

/** The archive of the database as it is now. */
export const archived = async (): Promise<Uint8Array> => archiveOf(await everything());

/** Rows that one statement writes. */
const AT_ONCE = 100;

/**
 * Writes the rows of an archive into an empty database of the same schema: all of them, or none.
 * @throws ArchiveError when the database is not empty, or has no such table
 */
export async function restored({ tables }: Pick<Everything, 'tables'>): Promise<number> {
	const known = new Set((await tablesOf(pool())).map(({ name }) => name));
	const strange = Object.keys(tables).find((name) => !known.has(name));
	if (strange)
		throw new ArchiveError(`The archive has a table ${strange}, which this database does not have.`);
	const names = Object.keys(tables).sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b));
	return inTransaction(async (db) => {
		for (const table of ['trips', 'clients', 'patterns'])
			if (known.has(table) && (await rows(db, `SELECT id FROM ${quoted(table)} LIMIT 1`)).length > 0)
				throw new ArchiveError('The database is not empty: nothing was restored.');
		// The house that a new database begins with gives way to that of the archive.
		await write(db, 'DELETE FROM houses');
		let many = 0;
		for (const table of names) {
			const own = tables[table]!;
			for (let from = 0; from < own.length; from += AT_ONCE) {
				const part = own.slice(from, from + AT_ONCE);
				const columns = Object.keys(part[0]!);
				const marks = `(${columns.map(() => '?').join(', ')})`;
				await write(
					db,
					`INSERT INTO ${quoted(table)} (${columns.map(quoted).join(', ')}) VALUES ${part.map(() => marks).join(', ')}`,
					part.flatMap((row) => columns.map((column) => row[column] ?? null))
				);
				many += part.length;
			}
		}
		await putAllWords(db);
		return many;
	});
}
