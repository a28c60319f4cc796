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
			const isOtherWay = before && (before.way === 'repair') !== (one.way === 'repair');
			if (before && (one.decided === 'decline' || isOtherWay)) {
				await takeOut(db, houseId, before);
				thingId = null;
			}
			if (one.decided === 'get' && one.way === 'repair' && thingId === null)
				thingId = await mend(db, clientId, one.typeId);
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
			await insertDecision(db, tripId, clientId, { ...one, thingId, isThere: false });
		}
	});

/** Writes a decision, over what was decided of the same type before. */
export const insertDecision = (
	db: Db,
	tripId: string,
	clientId: string,
	{ typeId, name, decided, way, refusal, cost, days, because, thingId, isThere }: Decision
): Promise<unknown> =>
	write(
		db,
		`INSERT INTO decisions
			(trip_id, client_id, type_id, name, decided, way, refusal, cost, days, because, thing_id, is_there)
		 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
		 ON DUPLICATE KEY UPDATE name = VALUES(name), decided = VALUES(decided), way = VALUES(way),
			refusal = VALUES(refusal), cost = VALUES(cost), days = VALUES(days), because = VALUES(because),
			thing_id = VALUES(thing_id), is_there = VALUES(is_there)`,
		[tripId, clientId, typeId, name, decided, way, refusal, cost, days, because, thingId, isThere]
	);

/** A face that will be proofed again, as a thing holds it until it is back. */
const TO_BE_PROOFED = { value: 'fresh', source: 'guide', state: 'assumed' } as const;
const setFace = (db: Db, thingId: string, face: object) =>
	write(
		db,
		"UPDATE things SET facts = JSON_SET(facts, '$.face', JSON_EXTRACT(?, '$')), version = version + 1 WHERE id = ?",
		[JSON.stringify(face), thingId]
	);
/** Takes a thing of the kit whose face has worn out as proofed again. @returns its id; null where there is none */
async function mend(db: Db, clientId: string, typeId: string): Promise<string | null> {
	const [worn] = await rows<{ id: string }>(
		db,
		`SELECT id FROM things WHERE client_id = ? AND type_id = ? AND deleted_at IS NULL
			AND JSON_VALUE(facts, '$.face.value') = 'worn out' ORDER BY created_at, id LIMIT 1`,
		[clientId, typeId]
	);
	if (!worn) return null;
	await setFace(db, worn.id, TO_BE_PROOFED);
	return worn.id;
}
/** Whether what a decision brought is a thing that the client had before, to be mended. */
async function isMended(db: Db, { way, thingId }: Pick<Decision, 'way' | 'thingId'>): Promise<boolean> {
	if (way !== 'repair') return false;
	const found = await rows(
		db,
		"SELECT id FROM things WHERE id = ? AND JSON_VALUE(facts, '$.face.source') = 'guide'",
		[thingId]
	);
	return found.length > 0;
}
/** Takes what a decision brought out of the kit; what was to be mended stays, as worn out as it was. */
async function takeOut(db: Db, houseId: string, decision: Decision): Promise<void> {
	if (decision.thingId === null) return;
	if (await isMended(db, decision))
		await setFace(db, decision.thingId, { value: 'worn out', source: 'client', state: 'has' });
	else await setThingDeleted(houseId, decision.thingId, true, db);
}

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
		const state = isThere ? 'has' : 'assumed';
		if (await isMended(db, one)) await setFace(db, one.thingId, { ...TO_BE_PROOFED, state });
		else
			await write(
				db,
				"UPDATE things SET quantity = JSON_SET(quantity, '$.state', ?), version = version + 1 WHERE id = ? AND client_id = ?",
				[state, one.thingId, clientId]
			);
	});

/** Takes a decision back, and its thing out of the kit. @throws NotFoundError */
export const takeBack = (houseId: string, tripId: string, clientId: string, typeId: string): Promise<void> =>
	inTransaction(async (db) => {
		await onTrip(db, houseId, tripId, clientId);
		const one = await oneDecision(db, tripId, clientId, typeId);
		if (!one) throw new NotFoundError('decision');
		await takeOut(db, houseId, one);
		await write(db, 'DELETE FROM decisions WHERE trip_id = ? AND client_id = ? AND type_id = ?', [
			tripId,
			clientId,
			typeId
		]);
	});
