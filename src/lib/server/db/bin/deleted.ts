import { isoTime, pool, rows, type Value } from '../pool';

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

/** What was deleted in a house in the last days, the newest first. @param now time from which the days are counted back */
export async function deletedIn(houseId: string, now: Date): Promise<Deleted[]> {
	const since = new Date(now.getTime() - BIN_DAYS * 86_400_000);
	const values: Value[] = [houseId, since];
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
