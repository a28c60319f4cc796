import { dueOn } from '$lib/core/remedy/decision';
import { firstName, shortName } from '$lib/words/labels';
import { small } from '$lib/words/message';
import { WAY_WORDS } from '$lib/words/remedy/decision-words';
import { decisionsOfTrip } from '../db/lending/decisions';
import { datesOf, type TripDates } from '../db/lending/on-trip';
import { type Db, inSnapshot, rows } from '../db/pool';

/** Something that somebody has to see to by a date. */
export interface Due {
	tripId: string;
	trip: string;
	clientId: string;
	typeId: string;
	/** ISO date */
	on: string;
	title: string;
	note: string;
}

async function dueOf(trip: TripDates, db: Db): Promise<Due[]> {
	const names = new Map(
		(
			await rows<{ id: string; name: string }>(
				db,
				`SELECT c.id, c.name FROM clients c JOIN trip_clients tc ON tc.client_id = c.id
				 WHERE tc.trip_id = ? AND c.deleted_at IS NULL`,
				[trip.id]
			)
		).map(({ id, name }) => [id, name])
	);
	return [...(await decisionsOfTrip(trip.id, db))].flatMap(([clientId, decisions]) =>
		decisions.flatMap((one): Due[] => {
			const [on, name] = [dueOn(one, trip.firstDate), names.get(clientId)];
			if (one.decided !== 'get' || one.isThere || on === null || !name) return [];
			const how = one.way ? WAY_WORDS[one.way] : 'get it';
			return [
				{
					tripId: trip.id,
					trip: trip.name,
					clientId,
					typeId: one.typeId,
					on,
					title: `${firstName(name)}: ${small(shortName(one.name))}, ${how}`,
					note: one.because ? `For ${one.because}` : ''
				}
			];
		})
	);
}

/** What is due before a trip, the soonest first. @throws NotFoundError */
export const dueOnTrip = (houseId: string, tripId: string): Promise<{ trip: TripDates; due: Due[] }> =>
	inSnapshot(async (db) => {
		const trip = await datesOf(houseId, tripId, db);
		return { trip, due: (await dueOf(trip, db)).sort((a, b) => a.on.localeCompare(b.on)) };
	});

/** Trips ahead whose dues are read at once. */
const MOST_TRIPS = 200;
/** What is due in the house from a day on, the soonest first. @param today ISO date: trips that left before are left out */
export const dueInHouse = (houseId: string, today: string): Promise<Due[]> =>
	inSnapshot(async (db) => {
		const trips = await rows<TripDates>(
			db,
			`SELECT id, name, place, first_date AS firstDate, last_date AS lastDate FROM trips WHERE house_id = ? AND deleted_at IS NULL AND first_date >= ?
			 AND EXISTS (SELECT 1 FROM decisions d WHERE d.trip_id = trips.id AND d.decided = 'get' AND d.is_there = 0)
			 ORDER BY first_date LIMIT ${MOST_TRIPS}`,
			[houseId, today]
		);
		const due: Due[] = [];
		for (const trip of trips) due.push(...(await dueOf(trip, db)));
		return due.sort((a, b) => a.on.localeCompare(b.on));
	});
