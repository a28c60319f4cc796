import { isoTime, pool, rows, write } from '../pool';
import type { Who } from './sessions';

/** What somebody did, and by which way they came in. */
export interface Entry {
	id: number;
	/** ISO time */
	at: string;
	who: string;
	way: Who['way'] | 'client link';
	method: string;
	/** path that was written to */
	what: string;
}
const LONGEST = 300;

export const noteEntry = async (
	{ houseId, name, way }: { houseId: string; name: string; way: Entry['way'] },
	method: string,
	path: string
): Promise<void> =>
	void (await write(pool(), 'INSERT INTO entries (house_id, who, way, method, what) VALUES (?, ?, ?, ?, ?)', [
		houseId,
		name,
		way,
		method,
		path.slice(0, LONGEST)
	]));

/** Most that one page shows. */
export const ENTRIES_AT_ONCE = 100;
/** What was done in a house, the newest first. @param before id of an entry; those before it are given */
export async function entriesOf(houseId: string, before: number | null): Promise<Entry[]> {
	const found = await rows<Entry>(
		pool(),
		`SELECT id, at, who, way, method, what FROM entries WHERE house_id = ? AND id < ? ORDER BY id DESC LIMIT ${ENTRIES_AT_ONCE}`,
		[houseId, before ?? Number.MAX_SAFE_INTEGER]
	);
	return found.map((entry) => ({ ...entry, at: isoTime(entry.at)! }));
}
