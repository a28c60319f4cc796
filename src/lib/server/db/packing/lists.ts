import type { EverybodyBrings, LineEdit } from '$lib/core/kit/own-lines';
import { ConflictError, type Db, inTransaction, NotFoundError, pool, rows, write } from '../pool';
import { clientIdsOf } from '../clients';
import { mustBeOnTrip } from '../lending/on-trip';
import { everybodyOf, insertEverybody } from './everybody';

/** What persons wrote into lists: the operator for everybody on a trip, a planner for one client. */

export interface Everybody {
	rows: EverybodyBrings[];
	version: number;
}

/** What everybody brings on a trip. @throws NotFoundError */
export async function getEverybody(houseId: string, tripId: string, db: Db = pool()): Promise<Everybody> {
	const [trip] = await rows<{ version: number }>(
		db,
		'SELECT everybody_version AS version FROM trips WHERE id = ? AND house_id = ? AND deleted_at IS NULL',
		[tripId, houseId]
	);
	if (!trip) throw new NotFoundError('trip');
	return { rows: await everybodyOf(tripId, db), version: trip.version };
}

/** Saves what everybody brings, whole, and returns the new version. @throws ConflictError, NotFoundError */
export const saveEverybody = (houseId: string, tripId: string, edit: Everybody): Promise<number> =>
	inTransaction(async (db) => {
		const touched = await write(
			db,
			`UPDATE trips SET everybody_version = everybody_version + 1
			 WHERE id = ? AND house_id = ? AND everybody_version = ? AND deleted_at IS NULL`,
			[tripId, houseId, edit.version]
		);
		if (touched === 0) throw new ConflictError('list', await getEverybody(houseId, tripId, db));
		const there = new Set(await clientIdsOf(tripId, db));
		const stranger = edit.rows
			.flatMap(({ broughtBy, forIds }) => [broughtBy ?? [], forIds].flat())
			.find((id) => !there.has(id));
		if (stranger !== undefined)
			throw new RangeError(`broughtBy or forIds has ${stranger}, allowed is who is on the trip`);
		await write(db, 'DELETE FROM everybody_brings WHERE trip_id = ?', [tripId]);
		await insertEverybody(db, tripId, edit.rows);
		return edit.version + 1;
	});
/** Lines of the lists of a trip that were changed or written by hand, by client, the oldest first. */
export async function editsOfTrip(tripId: string, db: Db = pool()): Promise<Map<string, LineEdit[]>> {
	const found = await rows<Omit<LineEdit, 'isOff'> & { clientId: string; isOff: number }>(
		db,
		`SELECT client_id AS clientId, line_id AS lineId, what, many, is_off AS isOff FROM list_edits
		 WHERE trip_id = ? ORDER BY edited_at, line_id`,
		[tripId]
	);
	const all = new Map<string, LineEdit[]>();
	for (const { clientId, isOff, ...line } of found)
		all.set(clientId, [...(all.get(clientId) ?? []), { ...line, isOff: isOff === 1 }]);
	return all;
}
export const getEdits = async (tripId: string, clientId: string): Promise<LineEdit[]> =>
	(await editsOfTrip(tripId)).get(clientId) ?? [];

/** Changes a line by hand; what changes nothing takes the change back. @throws NotFoundError */
export async function saveEdit(
	houseId: string,
	tripId: string,
	clientId: string,
	{ lineId, what, many, isOff }: LineEdit
): Promise<void> {
	await inTransaction(async (db) => {
		await mustBeOnTrip(houseId, tripId, clientId, db);
		if (what === null && many === null && !isOff)
			await write(db, 'DELETE FROM list_edits WHERE trip_id = ? AND client_id = ? AND line_id = ?', [
				tripId,
				clientId,
				lineId
			]);
		else await insertEdit(db, tripId, clientId, { lineId, what, many, isOff });
	});
}
/** Writes a line that was changed by hand, over what it was before. */
export const insertEdit = (
	db: Db,
	tripId: string,
	clientId: string,
	{ lineId, what, many, isOff }: LineEdit
): Promise<unknown> =>
	write(
		db,
		`INSERT INTO list_edits (trip_id, client_id, line_id, what, many, is_off) VALUES (?, ?, ?, ?, ?, ?)
		 ON DUPLICATE KEY UPDATE what = VALUES(what), many = VALUES(many), is_off = VALUES(is_off), edited_at = edited_at`,
		[tripId, clientId, lineId, what, many, isOff]
	);
