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

type EntryRow = [houseId: string, who: string, way: string, method: string, what: string];
/** Entries of one statement at most. */
const MOST_AT_ONCE = 200;
let waiting: EntryRow[] = [];
let writing: Promise<void> | null = null;
let next: Promise<void> | null = null;
/** Writes all entries that wait in one statement: many who save at the same moment do not wait for one another. */
async function writeWaiting(): Promise<void> {
	while (waiting.length > 0) {
		const rowsNow = waiting.slice(0, MOST_AT_ONCE);
		waiting = waiting.slice(MOST_AT_ONCE);
		await write(
			pool(),
			`INSERT INTO entries (house_id, who, way, method, what) VALUES ${rowsNow.map(() => '(?, ?, ?, ?, ?)').join(', ')}`,
			rowsNow.flat()
		);
	}
}

/** Keeps what somebody did; it is kept once this is done. */
export function noteEntry(
	{ houseId, name, way }: { houseId: string; name: string; way: Entry['way'] },
	method: string,
	path: string
): Promise<void> {
	waiting.push([houseId, name, way, method, path.slice(0, LONGEST)]);
	next ??= (writing ?? Promise.resolve())
		.catch(() => undefined)
		.then(() => {
			[writing, next] = [next, null];
			return writeWaiting();
		});
	return next;
}

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
