import { type Db, NotFoundError, rows } from '../pool';

/** A trip as loans and dues see it. */
export interface TripDates {
	id: string;
	name: string;
	place: string;
	/** ISO dates; null while the trip has no days */
	firstDate: string | null;
	lastDate: string | null;
}

/** When a trip of a house is. @throws NotFoundError */
export async function datesOf(houseId: string, tripId: string, db: Db): Promise<TripDates> {
	const [trip] = await rows<TripDates>(
		db,
		`SELECT id, name, place, first_date AS firstDate, last_date AS lastDate FROM trips
		 WHERE id = ? AND house_id = ? AND deleted_at IS NULL`,
		[tripId, houseId]
	);
	if (!trip) throw new NotFoundError('trip');
	return trip;
}

/** Refuses a client who is not on a trip of the house. @throws NotFoundError */
export async function mustBeOnTrip(houseId: string, tripId: string, clientId: string, db: Db): Promise<void> {
	const [found] = await rows(
		db,
		`SELECT 1 FROM trip_clients tc JOIN trips t ON t.id = tc.trip_id JOIN clients c ON c.id = tc.client_id
		 WHERE tc.trip_id = ? AND tc.client_id = ? AND t.house_id = ? AND c.house_id = t.house_id
		 AND t.deleted_at IS NULL AND c.deleted_at IS NULL`,
		[tripId, clientId, houseId]
	);
	if (!found) throw new NotFoundError('client of the trip');
}
