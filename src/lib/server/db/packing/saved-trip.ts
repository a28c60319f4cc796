import type { PackedBy, SavedTrip } from '$lib/formats/saved-trip';
import { isLent } from '$lib/core/remedy/lending/stock';
import { randomUUID } from 'node:crypto';
import { getDocument, insertClient } from '../clients';
import { decisionsOfTrip, insertDecision } from '../lending/decisions';
import { type Db, inSnapshot, inTransaction, write } from '../pool';
import { insertTrip } from '../trips';
import { insertEverybody } from './everybody';
import { editsOfTrip, getEverybody, insertEdit } from './lists';

/** A trip as one document with all that was written and decided beside it, as it is at one moment. @throws NotFoundError */
export const savedTrip = (houseId: string, tripId: string): Promise<SavedTrip> =>
	inSnapshot(async (db) => {
		const document = await getDocument(houseId, tripId, db);
		const decisions = await decisionsOfTrip(tripId, db);
		const { rows: everybody } = await getEverybody(houseId, tripId, db);
		const lines = await editsOfTrip(tripId, db);
		const clients = document.clients
			.map(({ id }): PackedBy => ({
				clientId: id,
				decisions: decisions.get(id) ?? [],
				lines: lines.get(id) ?? []
			}))
			.filter((own) => own.decisions.length + own.lines.length > 0);
		return everybody.length + clients.length > 0
			? { ...document, packing: { everybody, clients } }
			: document;
	});

/**
 * A saved trip as a new one of the house, with its clients, their kits and what was decided for them: all of it or nothing.
 * Everybody and everything gets an id of its own, so that nothing that is here is written over; what another house lent stays
 * there.
 * @returns the id of the trip
 */
export const openTrip = (houseId: string, { trip, clients, packing }: SavedTrip): Promise<string> =>
	inTransaction(async (db) => {
		const id = randomUUID();
		await insertTrip(db, houseId, { ...trip, id });
		const clientIds = new Map(clients.map((client) => [client.id, randomUUID()]));
		for (const client of clients) {
			const clientId = clientIds.get(client.id)!;
			const newIds = new Map<string, string>();
			const things = client.things
				.filter((thing) => thing.deletedAt === null && !isLent(thing))
				.map((thing) => {
					newIds.set(thing.id, randomUUID());
					return { ...thing, id: newIds.get(thing.id)! };
				});
			await insertClient(db, houseId, { ...client, id: clientId, things });
			await write(db, 'INSERT INTO trip_clients (trip_id, client_id) VALUES (?, ?)', [id, clientId]);
			await insertPacked(
				db,
				id,
				clientId,
				newIds,
				packing?.clients.find((one) => one.clientId === client.id)
			);
		}
		const everybody = (packing?.everybody ?? []).map((row) => ({
			...row,
			broughtBy: (row.broughtBy && clientIds.get(row.broughtBy)) ?? null,
			forIds: row.forIds.flatMap((one) => clientIds.get(one) ?? [])
		}));
		await insertEverybody(db, id, everybody);
		return id;
	});

/** What was written and decided for one client, about the things as they are called now. */
async function insertPacked(
	db: Db,
	tripId: string,
	clientId: string,
	newIds: ReadonlyMap<string, string>,
	packed: PackedBy | undefined
): Promise<void> {
	for (const one of packed?.decisions ?? [])
		await insertDecision(db, tripId, clientId, {
			...one,
			thingId: (one.thingId && newIds.get(one.thingId)) ?? null
		});
	for (const line of packed?.lines ?? [])
		await insertEdit(db, tripId, clientId, { ...line, lineId: newIds.get(line.lineId) ?? line.lineId });
}
