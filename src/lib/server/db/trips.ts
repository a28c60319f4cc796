import type { SomeSchools } from '$lib/core/document/schools';
import type { Sequence, Site, Stage, StageBase, Trip, Weather } from '$lib/core/document/types';
import { withNewIds } from '$lib/core/patterns/pattern';
import { usualWeathers } from '$lib/words/weathers';
import { randomUUID } from 'node:crypto';
import { ConflictError, type Db, NotFoundError, inTransaction, isoTime, pool, rows, write } from './pool';
import { refreshTripSearch } from './search-text';

interface TripRow {
	id: string;
	name: string;
	place: string;
	site: string | null;
	weathers: string;
	schools: string;
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
	outline: string;
	sequence: string;
}
/** What a stage knows beside its air and its phases; one JSON column. */
type Outline = Pick<
	Stage,
	'route' | 'bed' | 'provided' | 'groupLoadL' | 'terrain' | 'pace' | 'patternId' | 'foul' | 'origins'
>;

/** Schools that somebody chose; nothing while nobody did. */
export const chosen = (stored: string): { schools?: SomeSchools } => {
	const schools = JSON.parse(stored) as SomeSchools;
	return Object.keys(schools).length > 0 ? { schools } : {};
};

const stageFrom = (row: StageRow): Stage => ({
	id: row.id,
	name: row.name,
	date: row.stage_date,
	startMin: row.start_min,
	base: JSON.parse(row.base) as StageBase,
	...(JSON.parse(row.outline) as Outline),
	sequence: JSON.parse(row.sequence) as Sequence
});

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
		site: row.site === null ? null : (JSON.parse(row.site) as Site | null),
		weathers: JSON.parse(row.weathers) as Weather[],
		stages: stages.map(stageFrom),
		...chosen(row.schools),
		version: row.version,
		deletedAt: isoTime(row.deleted_at)
	};
}

async function putStages(db: Db, tripId: string, stages: readonly Stage[]): Promise<void> {
	for (const [position, stage] of stages.entries()) {
		const { id, name, date, startMin, base, sequence, ...outline } = stage;
		await write(
			db,
			`INSERT INTO stages (trip_id, id, position, name, stage_date, start_min, base, outline, sequence)
			 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				tripId,
				id,
				position,
				name,
				date,
				startMin,
				JSON.stringify(base),
				JSON.stringify(outline satisfies Outline),
				JSON.stringify(sequence)
			]
		);
	}
	// What the list of the season shows is kept with the trip, so that it need not count.
	const dates = stages.map(({ date }) => date).sort();
	await write(
		db,
		'UPDATE trips SET first_date = ?, last_date = ?, stages = ?, empty_stages = ? WHERE id = ?',
		[
			dates[0] ?? null,
			dates.at(-1) ?? null,
			stages.length,
			stages.filter(({ sequence }) => sequence.length === 0).length,
			tripId
		]
	);
	await refreshTripSearch(db, tripId);
}

/** Adds a whole trip, as it stands. */
export async function insertTrip(db: Db, trip: Omit<Trip, 'version' | 'deletedAt'>): Promise<void> {
	await write(db, 'INSERT INTO trips (id, name, place, site, weathers, schools) VALUES (?, ?, ?, ?, ?, ?)', [
		trip.id,
		trip.name,
		trip.place,
		trip.site && JSON.stringify(trip.site),
		JSON.stringify(trip.weathers),
		JSON.stringify(trip.schools ?? {})
	]);
	await putStages(db, trip.id, trip.stages);
}

export interface NewTrip {
	name: string;
	place: string;
	site?: Site | null;
	weathers?: Weather[];
	/** take over the stages of this trip, */
	likeTripId?: string;
	/** so that the first one falls on this date */
	firstDate?: string;
}

const DAY_MS = 86_400_000;
const shifted = (date: string, days: number): string =>
	new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

/** Stages of another trip with ids of their own, as many days later as the first date says. */
function copiedStages(stages: readonly Stage[], from: string, firstDate?: string): Stage[] {
	const first = stages[0]?.date;
	const days =
		first && firstDate
			? Math.round((Date.parse(`${firstDate}T00:00:00Z`) - Date.parse(`${first}T00:00:00Z`)) / DAY_MS)
			: 0;
	return stages.map((stage) => ({
		...stage,
		id: randomUUID(),
		date: shifted(stage.date, days),
		sequence: withNewIds(stage.sequence, randomUUID),
		foul: stage.foul && { ...stage.foul, sequence: withNewIds(stage.foul.sequence, randomUUID) },
		origins: Object.fromEntries(
			Object.keys(stage.base).map((field) => [field, { from: 'copied', note: from }])
		)
	}));
}

/** Adds a trip, empty or after a past one, and returns its id. @throws NotFoundError when there is no such past trip */
export async function createTrip(trip: NewTrip): Promise<string> {
	const id = randomUUID();
	await inTransaction(async (db) => {
		const like = trip.likeTripId ? await getTrip(trip.likeTripId, db) : null;
		await insertTrip(db, {
			id,
			name: trip.name,
			place: trip.place || (like?.place ?? ''),
			site: trip.site ?? like?.site ?? null,
			weathers: trip.weathers ?? like?.weathers ?? usualWeathers(),
			stages: like ? copiedStages(like.stages, like.name, trip.firstDate) : [],
			schools: like?.schools ?? {}
		});
	});
	return id;
}

export type TripEdit = Pick<Trip, 'name' | 'place' | 'site' | 'weathers' | 'stages' | 'schools' | 'version'>;

/**
 * Saves a trip with its stages as one write and returns the new version.
 * @throws ConflictError, with the trip as it is now, when somebody saved after the version that was edited
 */
export async function saveTrip(id: string, edit: TripEdit): Promise<number> {
	return inTransaction(async (db) => {
		const touched = await write(
			db,
			'UPDATE trips SET name = ?, place = ?, site = ?, weathers = ?, schools = COALESCE(?, schools), version = version + 1 WHERE id = ? AND version = ? AND deleted_at IS NULL',
			[
				edit.name,
				edit.place,
				edit.site && JSON.stringify(edit.site),
				JSON.stringify(edit.weathers),
				edit.schools ? JSON.stringify(edit.schools) : null,
				id,
				edit.version
			]
		);
		if (touched === 0) throw new ConflictError('trip', await getTrip(id, db));
		await write(db, 'DELETE FROM stages WHERE trip_id = ?', [id]);
		await putStages(db, id, edit.stages);
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
	await inTransaction(async (db) => {
		await write(db, sql, [tripId, clientId]);
		await refreshTripSearch(db, tripId);
	});
}
