import type { ClientSays, Mark, Note, SaidMark } from '$lib/core/kit/answers';
import { randomUUID } from 'node:crypto';
import { mustBeOnTrip } from '../lending/on-trip';
import { type Db, inTransaction, isoTime, NotFoundError, pool, rows, write } from '../pool';
import type { Guest } from './links';
import { takeInTold, takeRestAsLikely } from './told';

/** A client's clock that is wrong does not put a word into the future, where nothing newer would hold against it. */
const notLater = (saidAt: string): Date => new Date(Math.min(Date.parse(saidAt), Date.now()));

type Whose = Pick<Guest, 'houseId' | 'tripId' | 'clientId'>;
/**
 * Keeps what is said of lines: by the line the newest word holds, in whatever order the words come in. One statement, since a
 * tick is what comes most and from all clients at once; it keeps nothing for a client who has just left the trip.
 */
async function takeInMarks(db: Db, guest: Whose, marks: readonly SaidMark[]): Promise<SaidMark[]> {
	const { houseId, tripId, clientId } = guest;
	const newest = new Map<string, SaidMark>();
	for (const one of marks)
		if ((newest.get(one.lineId)?.saidAt ?? '') <= one.saidAt) newest.set(one.lineId, one);
	const kept = await rows<MarkRow>(
		db,
		`INSERT INTO client_marks (trip_id, client_id, line_id, mark, said_at)
		 SELECT tc.trip_id, tc.client_id, said.line_id, said.mark, said.said_at
		 FROM (${[...newest].map(() => 'SELECT ? AS line_id, ? AS mark, CAST(? AS DATETIME(3)) AS said_at').join(' UNION ALL ')}) said
		 JOIN trip_clients tc ON tc.trip_id = ? AND tc.client_id = ?
		 JOIN trips t ON t.id = tc.trip_id AND t.house_id = ? AND t.deleted_at IS NULL
		 JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
		 ON DUPLICATE KEY UPDATE mark = IF(VALUES(said_at) >= client_marks.said_at, VALUES(mark), client_marks.mark),
			came_at = UTC_TIMESTAMP(3), said_at = GREATEST(client_marks.said_at, VALUES(said_at))
		 RETURNING line_id, mark, said_at`,
		[
			...[...newest.values()].flatMap(({ lineId, mark, saidAt }) => [lineId, mark, notLater(saidAt)]),
			tripId,
			clientId,
			houseId
		]
	);
	if (kept.length === 0) throw new NotFoundError('client of the trip');
	return kept.map(markFrom);
}
interface MarkRow {
	line_id: string;
	mark: Mark;
	said_at: string;
}
const markFrom = ({ line_id, mark, said_at }: MarkRow): SaidMark => ({
	lineId: line_id,
	mark,
	saidAt: isoTime(said_at)!
});

async function takeIn(db: Db, guest: Guest, one: Exclude<ClientSays, { kind: 'mark' }>): Promise<void> {
	const { tripId, clientId, name } = guest;
	switch (one.kind) {
		case 'note':
			await write(
				db,
				`INSERT IGNORE INTO client_notes (id, trip_id, client_id, said_by, who, about, text, said_at) VALUES (?, ?, ?, 'client', ?, ?, ?, ?)`,
				[one.id, tripId, clientId, name, one.about, one.text, notLater(one.saidAt)]
			);
			return;
		default:
			return takeInTold(db, guest, one, notLater(one.saidAt));
	}
}

/**
 * Takes in what a client says, all of it or nothing; what came in before counts once.
 * @returns the lines that something was said of, as they are then
 * @throws NotFoundError
 */
export async function takeInAll(guest: Guest, says: readonly ClientSays[]): Promise<SaidMark[]> {
	const marks = says.filter((one) => one.kind === 'mark');
	const others = says.filter((one) => one.kind !== 'mark');
	const marksIn = (db: Db): Promise<SaidMark[]> =>
		marks.length > 0 ? takeInMarks(db, guest, marks) : Promise.resolve([]);
	if (others.length === 0) return marksIn(pool());
	return inTransaction(async (db) => {
		await mustBeOnTrip(guest.houseId, guest.tripId, guest.clientId, db);
		const kept = await marksIn(db);
		for (const one of others) await takeIn(db, guest, one);
		if (others.some(({ kind }) => kind === 'answer')) await takeRestAsLikely(db, guest);
		return kept;
	});
}

/** Somebody of the house ticks a line for a client; a later word of the client holds against it. @throws NotFoundError */
export const tickFor = async (
	houseId: string,
	tripId: string,
	clientId: string,
	lineId: string,
	mark: Mark
): Promise<void> =>
	void (await takeInMarks(pool(), { houseId, tripId, clientId }, [
		{ lineId, mark, saidAt: new Date().toISOString() }
	]));

/** What is said, by client. */
function byClient<Row extends { client_id: string }, Said>(
	found: readonly Row[],
	saidIn: (row: Row) => Said
): Map<string, Said[]> {
	const by = new Map<string, Said[]>();
	for (const row of found) {
		const own = by.get(row.client_id) ?? [];
		by.set(row.client_id, own);
		own.push(saidIn(row));
	}
	return by;
}
/** Of a trip, or of one client on it. */
const where = (clientId: string | undefined): string =>
	`trip_id = ?${clientId === undefined ? '' : ' AND client_id = ?'}`;
const whereValues = (tripId: string, clientId: string | undefined): string[] =>
	clientId === undefined ? [tripId] : [tripId, clientId];

/** A mark, and when it reached the server: ISO time. */
export type CameMark = SaidMark & { cameAt: string };
/** What clients of a trip say of their lines, by client; marks that were taken away are left out. */
export async function marksOn(tripId: string, clientId?: string): Promise<Map<string, CameMark[]>> {
	const found = await rows<MarkRow & { client_id: string; came_at: string }>(
		pool(),
		`SELECT client_id, line_id, mark, said_at, came_at FROM client_marks
		 WHERE ${where(clientId)} AND mark <> 'none' ORDER BY came_at`,
		whereValues(tripId, clientId)
	);
	return byClient(found, (row) => ({ ...markFrom(row), cameAt: isoTime(row.came_at)! }));
}

/** Questions and answers on a trip, by client, the oldest first. */
export async function notesOn(tripId: string, clientId?: string): Promise<Map<string, Note[]>> {
	const found = await rows<{
		client_id: string;
		id: string;
		said_by: Note['saidBy'];
		who: string;
		about: string;
		text: string;
		said_at: string;
	}>(
		pool(),
		`SELECT client_id, id, said_by, who, about, text, said_at FROM client_notes
		 WHERE ${where(clientId)} ORDER BY said_at, id`,
		whereValues(tripId, clientId)
	);
	return byClient(found, ({ client_id: _, said_by, said_at, ...note }) => ({
		...note,
		saidBy: said_by,
		saidAt: isoTime(said_at)!
	}));
}

/** The house answers a client. @throws NotFoundError */
export const answerClient = (
	houseId: string,
	tripId: string,
	clientId: string,
	who: string,
	text: string
): Promise<void> =>
	inTransaction(async (db) => {
		await mustBeOnTrip(houseId, tripId, clientId, db);
		await write(
			db,
			`INSERT INTO client_notes (id, trip_id, client_id, said_by, who, text) VALUES (?, ?, ?, 'house', ?, ?)`,
			[randomUUID(), tripId, clientId, who, text]
		);
	});

/** When somebody looked at the answers of a trip before, and that they do now. @returns ISO time; null the first time */
export const lookAgain = (tripId: string, accountId: string): Promise<string | null> =>
	inTransaction(async (db) => {
		const [before] = await rows<{ looked_at: string }>(
			db,
			'SELECT looked_at FROM answers_looked WHERE trip_id = ? AND account_id = ? FOR UPDATE',
			[tripId, accountId]
		);
		await write(
			db,
			`INSERT INTO answers_looked (trip_id, account_id, looked_at) VALUES (?, ?, UTC_TIMESTAMP(3))
			 ON DUPLICATE KEY UPDATE looked_at = VALUES(looked_at)`,
			[tripId, accountId]
		);
		return isoTime(before?.looked_at ?? null);
	});
