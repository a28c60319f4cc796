import { inTransaction, isoTime, pool, rows, write, type Value } from '../pool';

/** What was deleted and can be brought back. */
export interface Deleted {
	kind: 'trip' | 'client' | 'thing' | 'pattern';
	id: string;
	name: string;
	/** of a thing: whose it is */
	of: string | null;
	/** ISO time */
	deletedAt: string;
}

/** Days for which the bin shows what was deleted. */
export const BIN_DAYS = 30;
/** Most that is shown of each kind. */
const MOST = 100;

const QUERY: Readonly<Record<Deleted['kind'], string>> = {
	trip: `SELECT id, name, NULL AS whose, deleted_at AS deletedAt FROM trips
		WHERE house_id = ? AND deleted_at >= ? ORDER BY deleted_at DESC LIMIT ${MOST}`,
	client: `SELECT id, name, NULL AS whose, deleted_at AS deletedAt FROM clients
		WHERE house_id = ? AND deleted_at >= ? ORDER BY deleted_at DESC LIMIT ${MOST}`,
	pattern: `SELECT id, name, NULL AS whose, deleted_at AS deletedAt FROM patterns
		WHERE house_id = ? AND deleted_at >= ? ORDER BY deleted_at DESC LIMIT ${MOST}`,
	// The things of a deleted client come back with the client.
	thing: `SELECT th.id, th.name, c.name AS whose, th.deleted_at AS deletedAt
		FROM things th JOIN clients c ON c.id = th.client_id AND c.house_id = ? AND c.deleted_at IS NULL
		WHERE th.deleted_at >= ? ORDER BY th.deleted_at DESC LIMIT ${MOST}`
};

const before = (now: Date): Date => new Date(now.getTime() - BIN_DAYS * 86_400_000);
/** Most that is emptied at one time, so that a bin of years locks nothing for long. */
const MOST_EMPTIED = 500;

/**
 * Deletes for good what has been in the bin of a house for longer than its days. What hangs on a trip or a client goes
 * with it; the words by which it is found have no key to it and are taken out here.
 * @param now time from which the days are counted back
 * @returns how many trips, clients, things and patterns went
 */
export const emptyBin = (houseId: string, now: Date): Promise<number> =>
	inTransaction(async (db) => {
		const until = before(now);
		let gone = 0;
		for (const [kind, table] of [
			['trip', 'trips'],
			['client', 'clients']
		] as const) {
			const old = await rows<{ id: string }>(
				db,
				`SELECT id FROM ${table} WHERE house_id = ? AND deleted_at < ? LIMIT ${MOST_EMPTIED} FOR UPDATE`,
				[houseId, until]
			);
			if (old.length === 0) continue;
			const ids = old.map(({ id }) => id);
			const marks = ids.map(() => '?').join(', ');
			await write(db, `DELETE FROM search_words WHERE kind = ? AND of_id IN (${marks})`, [kind, ...ids]);
			gone += await write(db, `DELETE FROM ${table} WHERE id IN (${marks})`, ids);
		}
		gone += await write(
			db,
			`DELETE FROM things WHERE deleted_at < ? AND client_id IN (SELECT id FROM clients WHERE house_id = ?) LIMIT ${MOST_EMPTIED}`,
			[until, houseId]
		);
		gone += await write(
			db,
			`DELETE FROM patterns WHERE house_id = ? AND deleted_at < ? LIMIT ${MOST_EMPTIED}`,
			[houseId, until]
		);
		return gone;
	});

/** What was deleted in a house in the last days, the newest first. @param now time from which the days are counted back */
export async function deletedIn(houseId: string, now: Date): Promise<Deleted[]> {
	const values: Value[] = [houseId, before(now)];
	const kinds = Object.keys(QUERY) as Deleted['kind'][];
	const found = await Promise.all(
		kinds.map(async (kind) => {
			const list = await rows<{ id: string; name: string; whose: string | null; deletedAt: string }>(
				pool(),
				QUERY[kind],
				values
			);
			return list.map(({ whose, deletedAt, ...rest }): Deleted => ({
				kind,
				...rest,
				of: whose,
				deletedAt: isoTime(deletedAt)!
			}));
		})
	);
	return found.flat().sort((a, b) => b.deletedAt.localeCompare(a.deletedAt));
}
