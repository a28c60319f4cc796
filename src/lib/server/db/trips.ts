import { trip as tripSchema } from '$lib/formats/schema/trip';
import { LIMITS } from '$lib/formats/limits';
import { upgradeTrip } from '$lib/formats/upgrade';
import type { Site, Stage, Trip, Weather } from '$lib/core/document/types';
import { withNewIds } from '$lib/core/patterns/pattern';
import { usualWeathers } from '$lib/words/weathers';
import { randomUUID } from 'node:crypto';
import {
	ConflictError,
	type Db,
	inSnapshot,
	inTransaction,
	isoTime,
	NotFoundError,
	pool,
	rows,
	type Value,
	write
} from './pool';
import { checked, parsed } from './stored';
import { putWords } from './search';

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
interface ProvidedRow {
	stage_id: string;
	id: string;
	type_id: string | null;
	name: string;
	quantity: number;
}
/** What a stage knows beside its air and its phases; one JSON column. */
type Outline = Pick<
	Stage,
	'route' | 'bed' | 'groupLoadL' | 'terrain' | 'pace' | 'patternId' | 'foul' | 'origins'
>;

/** Schools that somebody chose; nothing while nobody did. */
export const chosen = (what: string, stored: string): { schools?: unknown } => {
	const schools = parsed(what, 'schools', stored) as object;
	return Object.keys(schools).length > 0 ? { schools } : {};
};

const stageFrom = (row: StageRow, provided: readonly ProvidedRow[]): unknown => ({
	id: row.id,
	name: row.name,
	date: row.stage_date,
	startMin: row.start_min,
	base: parsed('stage', 'base', row.base),
	...(parsed('stage', 'outline', row.outline) as object),
	provided: provided
		.filter(({ stage_id }) => stage_id === row.id)
		.map(({ id, name, type_id, quantity }) => ({ id, name, typeId: type_id, quantity })),
	sequence: parsed('stage', 'sequence', row.sequence)
});

/**
 * One trip with its stages.
 * @throws NotFoundError when there is none in this house, or it is deleted
 * @throws StoredDataError when what is stored is not what the app writes
 */
export async function getTrip(houseId: string, id: string, db?: Db): Promise<Trip> {
	if (!db) return inSnapshot((snapshot) => getTrip(houseId, id, snapshot));
	const [row] = await rows<TripRow>(
		db,
		'SELECT * FROM trips WHERE id = ? AND house_id = ? AND deleted_at IS NULL',
		[id, houseId]
	);
	if (!row) throw new NotFoundError('trip');
	const stages = await rows<StageRow>(db, 'SELECT * FROM stages WHERE trip_id = ? ORDER BY position', [id]);
	const provided = await rows<ProvidedRow>(
		db,
		'SELECT stage_id, id, type_id, name, quantity FROM provided_things WHERE trip_id = ? ORDER BY stage_id, position',
		[id]
	);
	return checked<Trip>(
		'trip',
		tripSchema,
		upgradeTrip({
			id: row.id,
			name: row.name,
			place: row.place,
			site: row.site === null ? null : parsed('trip', 'site', row.site),
			weathers: parsed('trip', 'weathers', row.weathers),
			stages: stages.map((stage) => stageFrom(stage, provided)),
			...chosen('trip', row.schools),
			version: row.version,
			deletedAt: isoTime(row.deleted_at)
		})
	);
}

/** Rows of a list by the ids that are left: what is no longer there goes. */
async function dropOthers(
	db: Db,
	table: 'stages' | 'provided_things',
	where: string,
	values: Value[],
	ids: readonly string[]
): Promise<void> {
	const others = ids.length > 0 ? ` AND id NOT IN (${ids.map(() => '?').join(', ')})` : '';
	await write(db, `DELETE FROM ${table} WHERE ${where}${others}`, [...values, ...ids]);
}

/**
 * The stages of a trip as they are now: those that were there are updated where they stand, by their ids.
 * @throws RangeError when two have the same id
 */
async function putStages(db: Db, tripId: string, stages: readonly Stage[]): Promise<void> {
	const ids = stages.map(({ id }) => id);
	const twice = ids.find((id, i) => ids.indexOf(id) < i);
	if (twice) throw new RangeError(`stages is ${twice} twice, allowed are stages with ids of their own`);
	await dropOthers(db, 'stages', 'trip_id = ?', [tripId], ids);
	for (const [position, stage] of stages.entries()) {
		const { id, name, date, startMin, base, sequence, provided, ...outline } = stage;
		await write(
			db,
			`INSERT INTO stages (trip_id, id, position, name, stage_date, start_min, base, outline, sequence)
			 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
			 ON DUPLICATE KEY UPDATE position = VALUES(position), name = VALUES(name), stage_date = VALUES(stage_date),
				start_min = VALUES(start_min), base = VALUES(base), outline = VALUES(outline), sequence = VALUES(sequence)`,
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
		await dropOthers(
			db,
			'provided_things',
			'trip_id = ? AND stage_id = ?',
			[tripId, id],
			provided.map((one) => one.id)
		);
		for (const [at, one] of provided.entries())
			await write(
				db,
				`INSERT INTO provided_things (trip_id, stage_id, id, position, type_id, name, quantity)
				 VALUES (?, ?, ?, ?, ?, ?, ?)
				 ON DUPLICATE KEY UPDATE position = VALUES(position), type_id = VALUES(type_id), name = VALUES(name),
					quantity = VALUES(quantity)`,
				[tripId, id, one.id, at, one.typeId, one.name, one.quantity]
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
}

/** Adds a whole trip, as it stands. */
export async function insertTrip(
	db: Db,
	houseId: string,
	trip: Omit<Trip, 'version' | 'deletedAt'>
): Promise<void> {
	await write(
		db,
		'INSERT INTO trips (id, house_id, name, place, site, weathers, schools) VALUES (?, ?, ?, ?, ?, ?, ?)',
		[
			trip.id,
			houseId,
			trip.name,
			trip.place,
			trip.site && JSON.stringify(trip.site),
			JSON.stringify(trip.weathers),
			JSON.stringify(trip.schools ?? {})
		]
	);
	await putWords(db, houseId, 'trip', trip.id, textOf(trip));
	await putStages(db, trip.id, trip.stages);
}
/** What a trip is found by. */
const textOf = ({ name, place }: Pick<Trip, 'name' | 'place'>): string => `${name} ${place}`;

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
export async function createTrip(houseId: string, trip: NewTrip): Promise<string> {
	const id = randomUUID();
	await inTransaction(async (db) => {
		const like = trip.likeTripId ? await getTrip(houseId, trip.likeTripId, db) : null;
		await insertTrip(db, houseId, {
			id,
			name: trip.name,
			place: trip.place || (like?.place ?? ''),
			site: trip.site ?? like?.site ?? null,
			weathers: trip.weathers ?? like?.weathers ?? usualWeathers(),
			stages: like ? copiedStages(like.stages, like.name, trip.firstDate) : [],
			schools: like?.schools ?? {}
		});
		// What everybody brings is asked of the next guests as well.
		if (like)
			await write(
				db,
				`INSERT INTO everybody_brings (trip_id, id, position, what, type_id, many, why, litres, mass_g)
				 SELECT ?, id, position, what, type_id, many, why, litres, mass_g FROM everybody_brings WHERE trip_id = ?`,
				[id, like.id]
			);
	});
	return id;
}

export type TripEdit = Pick<Trip, 'name' | 'place' | 'site' | 'weathers' | 'stages' | 'schools' | 'version'>;

/**
 * Saves a trip with its stages as one write and returns the new version.
 * @throws ConflictError, with the trip as it is now, when somebody saved after the version that was edited
 */
export async function saveTrip(houseId: string, id: string, edit: TripEdit): Promise<number> {
	return inTransaction(async (db) => {
		const [before] = await rows<{ name: string; place: string }>(
			db,
			'SELECT name, place FROM trips WHERE id = ? FOR UPDATE',
			[id]
		);
		const touched = await write(
			db,
			'UPDATE trips SET name = ?, place = ?, site = ?, weathers = ?, schools = COALESCE(?, schools), version = version + 1 WHERE id = ? AND house_id = ? AND version = ? AND deleted_at IS NULL',
			[
				edit.name,
				edit.place,
				edit.site && JSON.stringify(edit.site),
				JSON.stringify(edit.weathers),
				edit.schools ? JSON.stringify(edit.schools) : null,
				id,
				houseId,
				edit.version
			]
		);
		if (touched === 0) throw new ConflictError('trip', await getTrip(houseId, id, db));
		if (before && textOf(before) !== textOf(edit)) await putWords(db, houseId, 'trip', id, textOf(edit));
		await putStages(db, id, edit.stages);
		return edit.version + 1;
	});
}

/** Deletes a trip, or brings it back. @throws NotFoundError */
export async function setTripDeleted(houseId: string, id: string, deleted: boolean): Promise<void> {
	const touched = await write(
		pool(),
		'UPDATE trips SET deleted_at = ?, version = version + 1 WHERE id = ? AND house_id = ?',
		[deleted ? new Date() : null, id, houseId]
	);
	if (touched === 0) throw new NotFoundError('trip');
}

/** @throws NotFoundError when a trip or client is of another house, or of none */
export async function belongs(table: 'trips' | 'clients', houseId: string, id: string): Promise<void> {
	const [row] = await rows(
		pool(),
		`SELECT id FROM ${table} WHERE id = ? AND house_id = ? AND deleted_at IS NULL`,
		[id, houseId]
	);
	if (!row) throw new NotFoundError(table === 'trips' ? 'trip' : 'client');
}

/** Has those wait who add to the same client or trip. */
export const lock = async (db: Db, table: 'clients' | 'trips', id: string): Promise<void> =>
	void (await rows(db, `SELECT id FROM ${table} WHERE id = ? FOR UPDATE`, [id]));

/**
 * Refuses one more where there are as many as a document holds: it could not be read again.
 * @param but one that may be among them already
 * @throws RangeError
 */
export async function roomFor(
	db: Db,
	what: 'things' | 'clients',
	ofId: string,
	but: string | null = null
): Promise<void> {
	const sql =
		what === 'things'
			? 'SELECT COUNT(*) AS many FROM things WHERE client_id = ? AND NOT id <=> ? AND deleted_at IS NULL'
			: `SELECT COUNT(*) AS many FROM trip_clients tc JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
			   WHERE tc.trip_id = ? AND NOT c.id <=> ?`;
	const [count] = await rows<{ many: number }>(db, sql, [ofId, but]);
	const many = Number(count!.many) + 1;
	if (many > LIMITS[what]) throw new RangeError(`${what} is ${many}, allowed are at most ${LIMITS[what]}`);
}

/** Puts a client on a trip, or takes them off it; their kit stays as it is. */
export async function setEnrolled(
	houseId: string,
	tripId: string,
	clientId: string,
	enrolled: boolean
): Promise<void> {
	await Promise.all([belongs('trips', houseId, tripId), belongs('clients', houseId, clientId)]);
	const sql = enrolled
		? 'INSERT IGNORE INTO trip_clients (trip_id, client_id) VALUES (?, ?)'
		: 'DELETE FROM trip_clients WHERE trip_id = ? AND client_id = ?';
	await inTransaction(async (db) => {
		await lock(db, 'trips', tripId);
		if (enrolled) await roomFor(db, 'clients', tripId, clientId);
		await write(db, sql, [tripId, clientId]);
	});
}
