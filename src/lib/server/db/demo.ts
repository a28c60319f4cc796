import { FIRST_HOUSE } from './house';
import type { Document } from '$lib/core/document/types';
import { DEMO_DOCUMENT } from '$lib/formats/demo';
import { COAST_DOCUMENT } from '$lib/formats/demo-coast';
import { DEMO_STOCK } from '$lib/formats/demo-stock';
import { insertClient } from './clients';
import { insertStock } from './lending/stock';
import { type Db, inTransaction, pool, rows, write } from './pool';
import { insertTrip } from './trips';

/** Whether nobody has put anything in yet, not even into the bin. */
export async function isEmpty(): Promise<boolean> {
	const [count] = await rows<{ n: number }>(
		pool(),
		'SELECT (SELECT COUNT(*) FROM trips) + (SELECT COUNT(*) FROM clients) AS n'
	);
	return Number(count!.n) === 0;
}

/** Loads the demo anew. Only what belongs to the demo is replaced; everything else stays. */
export async function loadDemo(): Promise<void> {
	await inTransaction(async (db) => {
		for (const document of [DEMO_DOCUMENT, COAST_DOCUMENT]) await loadDocument(db, document);
		for (const item of DEMO_STOCK) {
			await write(db, 'DELETE FROM stock WHERE id = ?', [item.id]);
			await insertStock(db, FIRST_HOUSE, item);
		}
	});
}

async function loadDocument(db: Db, { trip, clients }: Document): Promise<void> {
	await write(db, 'DELETE FROM trips WHERE id = ?', [trip.id]);
	for (const client of clients) await write(db, 'DELETE FROM clients WHERE id = ?', [client.id]);
	await insertTrip(db, FIRST_HOUSE, trip);
	for (const client of clients) {
		await insertClient(db, FIRST_HOUSE, client);
		await write(db, 'INSERT INTO trip_clients (trip_id, client_id) VALUES (?, ?)', [trip.id, client.id]);
	}
}
