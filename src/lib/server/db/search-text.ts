import { type Db, write } from './pool';

/**
 * What a search of the season looks through is kept with every trip: its name, its place and the names of its clients.
 * Whoever changes one of them calls this in the same transaction.
 */
const TEXT = `CONCAT_WS(' ', name, place, (
	SELECT GROUP_CONCAT(c.name SEPARATOR ' ') FROM trip_clients tc
	JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL WHERE tc.trip_id = trips.id
))`;

export const refreshTripSearch = (db: Db, tripId: string): Promise<number> =>
	write(db, `UPDATE trips SET search_text = ${TEXT} WHERE id = ?`, [tripId]);

export const refreshClientSearch = (db: Db, clientId: string): Promise<number> =>
	write(
		db,
		`UPDATE trips SET search_text = ${TEXT} WHERE id IN (SELECT trip_id FROM trip_clients WHERE client_id = ?)`,
		[clientId]
	);
