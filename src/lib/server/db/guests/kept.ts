import { hashOf } from '../../sign-in/secret';
import { type Db, inSnapshot, inTransaction, NotFoundError, pool, quoted, rows, write } from '../pool';

/** What is kept of one client, all of it: rows by table. */
export type KeptRows = Record<string, Record<string, unknown>[]>;

/** Columns that open a door, or hold what was worked out and not told. */
const NOT_TOLD = /token_hash|fingerprint|claim|^days$|^summary$|^memory$/;

/** Tables whose rows belong to a client, whatever they are called: one that comes later is not forgotten here. */
async function tablesOfClients(db: Db): Promise<{ name: string; columns: string[] }[]> {
	const found = await rows<{ name: string; columns: string }>(
		db,
		`SELECT c.table_name AS name, GROUP_CONCAT(c.column_name ORDER BY c.ordinal_position) AS columns
		 FROM information_schema.columns c JOIN information_schema.tables t
			ON t.table_schema = c.table_schema AND t.table_name = c.table_name AND t.table_type = 'BASE TABLE'
		 WHERE c.table_schema = DATABASE()
		 GROUP BY c.table_name HAVING SUM(c.column_name = 'client_id') > 0 ORDER BY c.table_name`
	);
	return found.map(({ name, columns }) => ({
		name,
		columns: columns.split(',').filter((column) => !NOT_TOLD.test(column))
	}));
}

/** A photo as text: base64. */
const withText = (row: Record<string, unknown>): Record<string, unknown> =>
	Object.fromEntries(
		Object.entries(row).map(([name, value]) => [
			name,
			Buffer.isBuffer(value) ? value.toString('base64') : value
		])
	);

/** Everything that is kept of a client, deleted or not. @throws NotFoundError */
export const keptOf = (houseId: string, clientId: string): Promise<KeptRows> =>
	inSnapshot(async (db) => {
		const clients = await rows(db, 'SELECT * FROM clients WHERE id = ? AND house_id = ?', [
			clientId,
			houseId
		]);
		if (clients.length === 0) throw new NotFoundError('client');
		const kept: KeptRows = { clients: clients as Record<string, unknown>[] };
		for (const { name, columns } of await tablesOfClients(db))
			kept[name] = (
				await rows<Record<string, unknown>>(
					db,
					`SELECT ${columns.map(quoted).join(', ')} FROM ${quoted(name)} WHERE client_id = ?`,
					[clientId]
				)
			).map(withText);
		return kept;
	});

/**
 * Erases a client for good, with all that hangs on them and what was worked out for them. Copies that were set aside in the
 * database go, too, since they may hold the client; a copy that is put back later leaves the client out.
 * @throws NotFoundError
 */
export const eraseClient = (houseId: string, clientId: string): Promise<void> =>
	inTransaction(async (db) => {
		const [found] = await rows<{ name: string }>(
			db,
			'SELECT name FROM clients WHERE id = ? AND house_id = ? FOR UPDATE',
			[clientId, houseId]
		);
		if (!found) throw new NotFoundError('client');
		await write(db, 'INSERT IGNORE INTO erasures (client_hash, house_id) VALUES (?, ?)', [
			hashOf(clientId),
			houseId
		]);
		await write(db, `DELETE FROM search_words WHERE kind = 'client' AND of_id = ?`, [clientId]);
		await write(
			db,
			`UPDATE entries SET who = 'an erased client' WHERE house_id = ? AND way = 'client link' AND who = ?`,
			[houseId, found.name]
		);
		await write(db, 'UPDATE entries SET what = REPLACE(what, ?, ?) WHERE house_id = ? AND what LIKE ?', [
			clientId,
			'erased',
			houseId,
			`%${clientId}%`
		]);
		await write(db, 'DELETE FROM set_aside WHERE house_id = ?', [houseId]);
		await write(db, 'DELETE FROM clients WHERE id = ?', [clientId]);
	});

/** Hashes of the clients who were erased. @param houseId of all houses, where it is left out */
export async function erasedHashes(db: Db = pool(), houseId?: string): Promise<Set<string>> {
	const found = await rows<{ client_hash: string }>(
		db,
		`SELECT client_hash FROM erasures${houseId === undefined ? '' : ' WHERE house_id = ?'}`,
		houseId === undefined ? [] : [houseId]
	);
	return new Set(found.map(({ client_hash }) => client_hash));
}

/** Rows of an archive without those of clients who were erased since. */
export const withoutErased = <Row extends Record<string, unknown>>(
	tables: Record<string, Row[]>,
	erased: ReadonlySet<string>
): Record<string, Row[]> =>
	erased.size === 0
		? tables
		: Object.fromEntries(
				Object.entries(tables).map(([name, list]) => [
					name,
					list.filter((row) => {
						const id = name === 'clients' ? row['id'] : row['client_id'];
						return id === undefined || id === null || !erased.has(hashOf(String(id)));
					})
				])
			);
