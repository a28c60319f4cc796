import type { Decision, Refusal, Way } from '$lib/core/remedy/decision';
import { addThings, setThingDeleted } from '../clients';
import { type Db, inTransaction, NotFoundError, pool, rows, write } from '../pool';
import { lock } from '../trips';
import { mustBeOnTrip } from './on-trip';

/** What was decided of things that a client could get for a trip. */

interface DecisionRow {
	client_id: string;
	type_id: string;
	name: string;
	decided: 'get' | 'decline';
	way: Way | null;
	refusal: Refusal | null;
	cost: string;
	days: number;
	because: string;
	thing_id: string | null;
	is_there: number;
}

const decisionFrom = (row: DecisionRow): Decision => ({
	typeId: row.type_id,
	name: row.name,
	decided: row.decided,
	way: row.way,
	refusal: row.refusal,
	cost: Number(row.cost),
	days: row.days,
	because: row.because,
	thingId: row.thing_id,
	isThere: row.is_there === 1
});

/** Decisions of a trip by client, in the order in which they were made. */
export async function decisionsOfTrip(tripId: string, db: Db = pool()): Promise<Map<string, Decision[]>> {
	const found = await rows<DecisionRow>(
		db,
		'SELECT * FROM decisions WHERE trip_id = ? ORDER BY decided_at, type_id',
		[tripId]
	);
	const all = new Map<string, Decision[]>();
	for (const row of found) all.set(row.client_id, [...(all.get(row.client_id) ?? []), decisionFrom(row)]);
	return all;
}
export const decisionsOf = async (tripId: string, clientId: string): Promise<Decision[]> =>
	(await decisionsOfTrip(tripId)).get(clientId) ?? [];

export type NewDecision = Omit<Decision, 'thingId' | 'isThere'>;

/** Refuses whoever is not on the trip, and keeps others from deciding for the same client meanwhile. */
async function onTrip(db: Db, houseId: string, tripId: string, clientId: string): Promise<void> {
	await lock(db, 'clients', clientId);
	await mustBeOnTrip(houseId, tripId, clientId, db);
}

/**
 * Keeps decisions, all or none. What is to be got goes into the kit as assumed; what is declined comes out of it again.
 * @throws NotFoundError, RangeError
 */
export const saveDecisions = (
	houseId: string,
	tripId: string,
	clientId: string,
	list: readonly NewDecision[]
): Promise<void> =>
	inTransaction(async (db) => {
		await onTrip(db, houseId, tripId, clientId);
		for (const one of list) {
			const before = await oneDecision(db, tripId, clientId, one.typeId);
			let thingId = before?.thingId ?? null;
			if (one.decided === 'get' && thingId === null) {
				const quantity = { value: 1, source: 'guide', state: 'assumed' } as const;
				const [thing] = await addThings(
					houseId,
					clientId,
					[{ typeId: one.typeId, name: one.name, quantity }],
					db
				);
				thingId = thing!.id;
			}
			if (one.decided === 'decline' && thingId !== null) {
				await setThingDeleted(houseId, thingId, true, db);
				thingId = null;
			}
			await write(
				db,
				`INSERT INTO decisions (trip_id, client_id, type_id, name, decided, way, refusal, cost, days, because, thing_id)
				 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
				 ON DUPLICATE KEY UPDATE name = VALUES(name), decided = VALUES(decided), way = VALUES(way),
					refusal = VALUES(refusal), cost = VALUES(cost), days = VALUES(days), because = VALUES(because),
					thing_id = VALUES(thing_id), is_there = FALSE`,
				[
					tripId,
					clientId,
					one.typeId,
					one.name,
					one.decided,
					one.way,
					one.refusal,
					one.cost,
					one.days,
					one.because,
					thingId
				]
			);
		}
	});

async function oneDecision(
	db: Db,
	tripId: string,
	clientId: string,
	typeId: string
): Promise<Decision | null> {
	const [row] = await rows<DecisionRow>(
		db,
		'SELECT * FROM decisions WHERE trip_id = ? AND client_id = ? AND type_id = ?',
		[tripId, clientId, typeId]
	);
	return row ? decisionFrom(row) : null;
}

/** Says whether a thing that was to be got is there: then the client has it, and it is no longer assumed. @throws NotFoundError */
export const setThere = (
	houseId: string,
	tripId: string,
	clientId: string,
	typeId: string,
	isThere: boolean
): Promise<void> =>
	inTransaction(async (db) => {
		await onTrip(db, houseId, tripId, clientId);
		const one = await oneDecision(db, tripId, clientId, typeId);
		if (!one?.thingId) throw new NotFoundError('decision');
		await write(db, 'UPDATE decisions SET is_there = ? WHERE trip_id = ? AND client_id = ? AND type_id = ?', [
			isThere,
			tripId,
			clientId,
			typeId
		]);
		await write(
			db,
			"UPDATE things SET quantity = JSON_SET(quantity, '$.state', ?), version = version + 1 WHERE id = ? AND client_id = ?",
			[isThere ? 'has' : 'assumed', one.thingId, clientId]
		);
	});

/** Takes a decision back, and its thing out of the kit. @throws NotFoundError */
export const takeBack = (houseId: string, tripId: string, clientId: string, typeId: string): Promise<void> =>
	inTransaction(async (db) => {
		await onTrip(db, houseId, tripId, clientId);
		const one = await oneDecision(db, tripId, clientId, typeId);
		if (!one) throw new NotFoundError('decision');
		if (one.thingId) await setThingDeleted(houseId, one.thingId, true, db);
		await write(db, 'DELETE FROM decisions WHERE trip_id = ? AND client_id = ? AND type_id = ?', [
			tripId,
			clientId,
			typeId
		]);
	});
