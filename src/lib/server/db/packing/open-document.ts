import type { Document } from '$lib/core/document/types';
import { isLent } from '$lib/core/remedy/lending/stock';
import { randomUUID } from 'node:crypto';
import { insertClient } from '../clients';
import { inTransaction, write } from '../pool';
import { insertTrip } from '../trips';

/**
 * A document as a new trip of the house, with its clients and their kits: all of it or nothing. Everybody and everything gets an
 * id of its own, so that nothing that is here is written over; what another house lent stays there.
 * @returns the id of the trip
 */
export const openDocument = (houseId: string, { trip, clients }: Document): Promise<string> =>
	inTransaction(async (db) => {
		const id = randomUUID();
		await insertTrip(db, houseId, { ...trip, id });
		for (const client of clients) {
			const clientId = randomUUID();
			const things = client.things
				.filter((thing) => thing.deletedAt === null && !isLent(thing))
				.map((thing) => ({ ...thing, id: randomUUID() }));
			await insertClient(db, houseId, { ...client, id: clientId, things });
			await write(db, 'INSERT INTO trip_clients (trip_id, client_id) VALUES (?, ?)', [id, clientId]);
		}
		return id;
	});
