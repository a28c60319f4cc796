import { randomUUID } from 'node:crypto';
import type { Sequence, Stage, StageBase, Trip, Weather } from '$lib/core/document/types';
import { ConflictError, NotFoundError, inTransaction, isoTime, pool, rows, write, type Db } from './pool';

interface TripRow {
	id: string;
	name: string;
	place: string;
	weathers: string;
	version: number;
	deleted_at: string | null;
}
interface StageRow {
	id: string;
	trip_id: string;
	name: string;
	stage_date: string;
	start_min: number;
	base: string;
	sequence: string;
}

const stageFrom = (row: StageRow): Stage => ({
	id: row.id,
	name: row.name,
	date: row.stage_date,
	startMin: row.start_min,
	base: JSON.parse(row.base) as StageBase,
	sequence: JSON.parse(row.sequence) as Sequence
});

/** A trip in one line of a list. */
export interface TripLine {
	id: string;
	name: string;
	place: string;
	firstDate: string | null;
	lastDate: string | null;
	stages: number;
	clients: { id: string; name: string }[];
}

/** Trips that are not deleted, the next to leave first. */
export async function listTrips(): Promise<TripLine[]> {
	const trips = await rows<Omit<TripLine, 'clients'>>(
		pool(),
		`SELECT t.id, t.name, t.place, MIN(s.stage_date) AS firstDate, MAX(s.stage_date) AS lastDate, COUNT(s.id) AS stages
		 FROM trips t LEFT JOIN stages s ON s.trip_id = t.id
		 WHERE t.deleted_at IS NULL GROUP BY t.id ORDER BY COALESCE(MIN(s.stage_date), '9999-12-31'), t.name`
	);
	const enrolled = await rows<{ trip_id: string; id: string; name: string }>(
		pool(),
		`SELECT tc.trip_id, c.id, c.name FROM trip_clients tc
		 JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL ORDER BY tc.enrolled_at, c.name`
	);
	const byTrip = new Map<string, TripLine['clients']>();
	for (const { trip_id, id, name } of enrolled)
		byTrip.set(trip_id, [...(byTrip.get(trip_id) ?? []), { id, name }]);
	return trips.map((trip) => ({ ...trip, stages: Number(trip.stages), clients: byTrip.get(trip.id) ?? [] }));
}

/**
 * One trip with its stages.
 * @throws NotFoundError when there is none, or it is deleted
 */
export async function getTrip(id: string, db: Db = pool()): Promise<Trip> {
	const [row] = await rows<TripRow>(db, 'SELECT * FROM trips WHERE id = ? AND deleted_at IS NULL', [id]);
	if (!row) throw new NotFoundError('trip');
	const stages = await rows<StageRow>(db, 'SELECT * FROM stages WHERE trip_id = ? ORDER BY position', [id]);
	return {
		id: row.id,
		name: row.name,
		place: row.place,
		weathers: JSON.parse(row.weathers) as Weather[],
		stages: stages.map(stageFrom),
		version: row.version,
		deletedAt: isoTime(row.deleted_at)
	};
}

async function insertStages(db: Db, tripId: string, stages: readonly Stage[]): Promise<void> {
	for (const [position, stage] of stages.entries()) {
		await write(
			db,
			`INSERT INTO stages (trip_id, id, position, name, stage_date, start_min, base, sequence)
			 VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				tripId,
				stage.id,
				position,
				stage.name,
				stage.date,
				stage.startMin,
				JSON.stringify(stage.base),
				JSON.stringify(stage.sequence)
			]
		);
	}
}

/** Adds a whole trip, as it stands. */
export async function insertTrip(db: Db, trip: Omit<Trip, 'version' | 'deletedAt'>): Promise<void> {
	await write(db, 'INSERT INTO trips (id, name, place, weathers) VALUES (?, ?, ?, ?)', [
		trip.id,
		trip.name,
		trip.place,
		JSON.stringify(trip.weathers)
	]);
	await insertStages(db, trip.id, trip.stages);
}

export const PLANNED_WEATHER: Weather = { id: 'planned', name: 'Planned', tempOffsetK: 0, windFactor: 1 };

/** Adds an empty trip and returns its id. */
export async function createTrip(name: string, place: string): Promise<string> {
	const id = randomUUID();
	await inTransaction((db) => insertTrip(db, { id, name, place, weathers: [PLANNED_WEATHER], stages: [] }));
	return id;
}

export type TripEdit = Pick<Trip, 'name' | 'place' | 'weathers' | 'stages' | 'version'>;

/**
 * Saves a trip with its stages as one write and returns the new version.
 * @throws ConflictError when somebody saved after the version that was edited
 */
export async function saveTrip(id: string, edit: TripEdit): Promise<number> {
	return inTransaction(async (db) => {
		const touched = await write(
			db,
			'UPDATE trips SET name = ?, place = ?, weathers = ?, version = version + 1 WHERE id = ? AND version = ? AND deleted_at IS NULL',
			[edit.name, edit.place, JSON.stringify(edit.weathers), id, edit.version]
		);
		if (touched === 0) {
			await getTrip(id, db);
			throw new ConflictError('trip');
		}
		await write(db, 'DELETE FROM stages WHERE trip_id = ?', [id]);
		await insertStages(db, id, edit.stages);
		return edit.version + 1;
	});
}

/** Deletes a trip, or brings it back. @throws NotFoundError */
export async function setTripDeleted(id: string, deleted: boolean): Promise<void> {
	const touched = await write(pool(), 'UPDATE trips SET deleted_at = ?, version = version + 1 WHERE id = ?', [
		deleted ? new Date() : null,
		id
	]);
	if (touched === 0) throw new NotFoundError('trip');
}

/** Puts a client on a trip, or takes them off it; their kit stays as it is. */
export async function setEnrolled(tripId: string, clientId: string, enrolled: boolean): Promise<void> {
	const sql = enrolled
		? 'INSERT IGNORE INTO trip_clients (trip_id, client_id) VALUES (?, ?)'
		: 'DELETE FROM trip_clients WHERE trip_id = ? AND client_id = ?';
	await write(pool(), sql, [tripId, clientId]);
}
