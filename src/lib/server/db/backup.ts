import { ArchiveError } from '../errors';
import { archiveOf, type Everything, ORDER, type Row, type Rows } from '../work/archive';
import { erasedHashes, withoutErased } from './guests/kept';
import { putAllWords } from './search';
import {
	type Db,
	inSnapshot,
	inTransaction,
	isDuplicate,
	isoTime,
	NotFoundError,
	pool,
	quoted,
	rows,
	write
} from './pool';

/**
 * All rows of the database, out and in. Plans are left out: they are worked out anew. What is read is one moment, while the app
 * goes on.
 */

/**
 * Tables that are not kept: what follows from the others, what is about the database itself, and what opens a door. A link that
 * was ended since does not open again when a copy is put back.
 */
const LEFT_OUT: ReadonlySet<string> = new Set([
	'answers_looked',
	'client_links',
	'client_questions',
	'client_visits',
	'sessions',
	'sign_in_tries',
	'stored_plans',
	'plan_work',
	'search_words',
	'set_aside',
	'migrations',
	'migration_steps',
	'migration_claim'
]);

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

/** Who may come in stays as it is when a house takes a copy of itself, or puts one back. */
const PEOPLE: ReadonlySet<string> = new Set([
	'accounts',
	'password_links',
	'api_tokens',
	'entries',
	'erasures'
]);

/** Which rows of a table belong to one house; null where none do. */
function ofHouse(name: string, columns: readonly string[]): string | null {
	if (PEOPLE.has(name)) return null;
	if (name === 'houses') return 'id = ?';
	if (columns.includes('house_id')) return 'house_id = ?';
	if (columns.includes('trip_id')) return 'trip_id IN (SELECT id FROM trips WHERE house_id = ?)';
	if (columns.includes('client_id')) return 'client_id IN (SELECT id FROM clients WHERE house_id = ?)';
	return null;
}

const migrationsOf = async (db: Db): Promise<string[]> =>
	(await rows<{ name: string }>(db, 'SELECT name FROM migrations ORDER BY name')).map(({ name }) => name);

/**
 * @param lock keeps everybody else from changing anything until the transaction ends
 * @param houseId only what belongs to this house; everything where it is left out
 */
async function allRows(db: Db, lock: '' | ' FOR UPDATE', houseId?: string): Promise<Everything> {
	const tables: Rows = {};
	for (const { name, key, columns } of await tablesOf(db)) {
		const own = houseId === undefined ? '' : ofHouse(name, columns);
		if (own === null) continue;
		const where = own === '' ? '' : ` WHERE ${own}`;
		const order = key.length > 0 ? ` ORDER BY ${key.map(quoted).join(', ')}` : '';
		const found = await rows<Record<string, Row[string] | Buffer>>(
			db,
			`SELECT ${columns.map(quoted).join(', ')} FROM ${quoted(name)}${where}${order}${lock}`,
			houseId === undefined ? [] : [houseId]
		);
		// Bytes are text on the way: base64, which the archive keeps as a file.
		tables[name] = found.map((row): Row =>
			Object.fromEntries(
				Object.entries(row).map(([column, value]) => [
					column,
					Buffer.isBuffer(value) ? value.toString('base64') : value
				])
			)
		);
	}
	return { tables, migrations: await migrationsOf(db) };
}

/**
 * All rows of all tables that are kept, in the order of their keys, as they are at one moment.
 * @param houseId only what belongs to this house, without its people; everything where it is left out
 */
export const everything = (houseId?: string): Promise<Everything> =>
	inSnapshot((db) => allRows(db, '', houseId));

/** The archive of the database as it is now. */
export const archived = async (): Promise<Uint8Array> => archiveOf(await everything());

/** Rows that one statement writes. */
const AT_ONCE = 100;

/** A value as the database takes it: photos are bytes there. */
const valueIn = (table: string, column: string, value: Row[string]): Row[string] | Buffer =>
	table === 'client_photos' && column === 'image' ? Buffer.from(String(value), 'base64') : value;

/** @throws ArchiveError when the database has no such table or column */
async function putIn(db: Db, tables: Rows): Promise<number> {
	const known = new Map((await tablesOf(db)).map(({ name, columns }) => [name, new Set(columns)]));
	const names = Object.keys(tables).sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b));
	for (const table of names) {
		const own = known.get(table);
		if (!own) throw new ArchiveError(`The archive has a table ${table}, which this database does not have.`);
		const strange = tables[table]!.flatMap((row) => Object.keys(row)).find((column) => !own.has(column));
		if (strange)
			throw new ArchiveError(
				`The archive has a column ${strange} of ${table}, which this database does not have.`
			);
	}
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
				part.flatMap((row) => columns.map((column) => valueIn(table, column, row[column] ?? null)))
			);
			many += part.length;
		}
	}
	return many;
}

/**
 * Writes the rows of an archive into an empty database of the same schema: all of them, or none.
 * @throws ArchiveError when the database is not empty, or has no such table or column
 */
export const restored = (
	{ tables }: Pick<Everything, 'tables'>,
	erased: ReadonlySet<string> = new Set()
): Promise<number> =>
	inTransaction(async (db) => {
		const known = new Set((await tablesOf(db)).map(({ name }) => name));
		for (const table of ['trips', 'clients', 'patterns'])
			if (known.has(table) && (await rows(db, `SELECT id FROM ${quoted(table)} LIMIT 1`)).length > 0)
				throw new ArchiveError('The database is not empty: nothing was restored.');
		// The house that a new database begins with gives way to that of the archive.
		await write(db, 'DELETE FROM houses');
		const since = (tables['erasures'] ?? []).map(({ client_hash }) => String(client_hash));
		const many = await putIn(db, withoutErased(tables, new Set([...erased, ...since])));
		// An older database has no words yet: the migration that makes their table writes them.
		const [words] = await rows(
			db,
			`SELECT 1 FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = 'search_words'`
		);
		if (words) await putAllWords(db);
		return many;
	});

/** Copies of what was there before another copy took its place, that are kept. */
const MOST_ASIDE = 5;
/** Bytes of one that fit into one statement, as the server is set. */
const MOST_ASIDE_BYTES = 15_000_000;

/** What an archive holds, counted. */
export interface Counted {
	trips: number;
	clients: number;
}
export const countedIn = ({ tables }: Pick<Everything, 'tables'>): Counted => {
	const there = (name: string): number =>
		(tables[name] ?? []).filter(({ deleted_at }) => (deleted_at ?? null) === null).length;
	return { trips: there('trips'), clients: there('clients') };
};

/** The rows of an archive as those of a house, whichever house they were copied from. */
function asOf(houseId: string, { tables }: Everything): Rows {
	const { houses: _, ...own } = tables;
	return Object.fromEntries(
		Object.entries(own)
			.filter(([name]) => !PEOPLE.has(name))
			.map(([name, list]) => [
				name,
				list.map((row) => ('house_id' in row ? { ...row, house_id: houseId } : row))
			])
	);
}

/**
 * Puts what an archive holds in the place of all that a house has, which is set aside as an archive too. Nobody saves anything in
 * between. Who may come in stays as it is.
 * @param pack makes an archive, in a thread
 * @returns id of what was set aside
 * @throws ArchiveError when it was written by another version of the app
 */
export const replacedBy = (
	houseId: string,
	wanted: Everything,
	pack: (all: Everything) => Promise<Uint8Array>
): Promise<number> =>
	inTransaction(async (db) => {
		const before = await allRows(db, ' FOR UPDATE', houseId);
		if (wanted.migrations.join() !== before.migrations.join())
			throw new ArchiveError(
				'This copy was written by another version of the app: bring it back with npm run restore.'
			);
		const archive = Buffer.from(await pack(before));
		if (archive.length > MOST_ASIDE_BYTES)
			throw new ArchiveError(
				'What is there is too much to be set aside here: bring the copy back with npm run restore.'
			);
		for (const table of ['search_words', 'trips', 'clients', 'patterns', 'stock', 'house_questions'])
			await write(db, `DELETE FROM ${table} WHERE house_id = ?`, [houseId]);
		const own = withoutErased(asOf(houseId, wanted), await erasedHashes(db, houseId));
		await putIn(db, own).catch((trouble: unknown) => {
			if (!isDuplicate(trouble)) throw trouble;
			throw new ArchiveError('This copy holds trips or clients that another house here has.');
		});
		const [house] = wanted.tables['houses'] ?? [];
		if (house)
			await write(db, 'UPDATE houses SET schools = ?, uses = ?, prices = ?, version = ? WHERE id = ?', [
				...['schools', 'uses', 'prices'].map((name) => house[name] ?? '{}'),
				house['version'] ?? 1,
				houseId
			]);
		await putAllWords(db);
		const { trips, clients } = countedIn(before);
		await write(db, 'INSERT INTO set_aside (house_id, trips, clients, archive) VALUES (?, ?, ?, ?)', [
			houseId,
			trips,
			clients,
			archive
		]);
		const kept = await rows<{ id: number }>(
			db,
			'SELECT id FROM set_aside WHERE house_id = ? ORDER BY id DESC',
			[houseId]
		);
		for (const { id } of kept.slice(MOST_ASIDE)) await write(db, 'DELETE FROM set_aside WHERE id = ?', [id]);
		return kept[0]!.id;
	});

/** What was set aside, and when. */
export interface SetAside extends Counted {
	id: number;
	at: string;
}
/** All that is set aside of a house, the newest first. */
export async function allSetAside(houseId: string): Promise<SetAside[]> {
	const found = await rows<Counted & { id: number; made_at: string }>(
		pool(),
		'SELECT id, made_at, trips, clients FROM set_aside WHERE house_id = ? ORDER BY id DESC',
		[houseId]
	);
	return found.map(({ id, made_at, trips, clients }) => ({ id, at: isoTime(made_at)!, trips, clients }));
}
/** The archive of something that was set aside. @throws NotFoundError */
export async function setAside(houseId: string, id: string): Promise<Buffer> {
	if (!/^\d{1,18}$/.test(id)) throw new NotFoundError('copy');
	const [found] = await rows<{ archive: Buffer }>(
		pool(),
		'SELECT archive FROM set_aside WHERE id = ? AND house_id = ?',
		[id, houseId]
	);
	if (!found) throw new NotFoundError('copy');
	return found.archive;
}
