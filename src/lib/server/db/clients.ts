import { catalogueType } from '$lib/core/cloth/catalogue';
import type { Part } from '$lib/core/document/parts';
import type { Client, Document, Fact, Thing } from '$lib/core/document/types';
import { DOCUMENT_FORMAT, DOCUMENT_VERSION } from '$lib/core/document/types';
import { typeName } from '$lib/words/garments';
import { randomUUID } from 'node:crypto';
import { getHouse } from './house';
import { ConflictError, type Db, NotFoundError, inTransaction, isoTime, pool, rows, write } from './pool';
import { refreshClientSearch, refreshTripSearch } from './search-text';
import { chosen, getTrip } from './trips';

interface ClientRow {
	id: string;
	name: string;
	offset_clo: string;
	careful: string;
	answered_parts: string;
	schools: string;
	version: number;
	deleted_at: string | null;
}
interface ThingRow {
	id: string;
	client_id: string;
	type_id: string;
	name: string;
	quantity: string;
	in_pairs: number;
	facts: string;
	version: number;
	deleted_at: string | null;
}

const thingFrom = (row: ThingRow): Thing => ({
	id: row.id,
	typeId: row.type_id,
	name: row.name,
	quantity: JSON.parse(row.quantity) as Fact<number>,
	inPairs: row.in_pairs === 1,
	facts: JSON.parse(row.facts) as Thing['facts'],
	version: row.version,
	deletedAt: isoTime(row.deleted_at)
});
const clientFrom = (row: ClientRow, things: Thing[]): Client => ({
	id: row.id,
	name: row.name,
	offsetClo: JSON.parse(row.offset_clo) as Fact<number>,
	careful: JSON.parse(row.careful) as Fact<boolean>,
	answeredParts: JSON.parse(row.answered_parts) as Part[],
	...chosen(row.schools),
	things,
	version: row.version,
	deletedAt: isoTime(row.deleted_at)
});

/** Clients that are not deleted, with the number of things in their kits. */
export async function listClients(): Promise<{ id: string; name: string; things: number }[]> {
	const found = await rows<{ id: string; name: string; things: number }>(
		pool(),
		`SELECT c.id, c.name, COUNT(t.id) AS things FROM clients c
		 LEFT JOIN things t ON t.client_id = c.id AND t.deleted_at IS NULL
		 WHERE c.deleted_at IS NULL GROUP BY c.id ORDER BY c.name`
	);
	return found.map((row) => ({ ...row, things: Number(row.things) }));
}

/**
 * One client with the kit.
 * @throws NotFoundError when there is none, or it is deleted
 */
export async function getClient(id: string, db: Db = pool()): Promise<Client> {
	const [row] = await rows<ClientRow>(db, 'SELECT * FROM clients WHERE id = ? AND deleted_at IS NULL', [id]);
	if (!row) throw new NotFoundError('client');
	const things = await rows<ThingRow>(
		db,
		'SELECT * FROM things WHERE client_id = ? AND deleted_at IS NULL ORDER BY created_at, id',
		[id]
	);
	return clientFrom(row, things.map(thingFrom));
}

/** Ids of a trip's clients, in the order in which they were enrolled. */
export const clientIdsOf = async (tripId: string): Promise<string[]> =>
	(
		await rows<{ id: string }>(
			pool(),
			`SELECT c.id FROM trip_clients tc JOIN clients c ON c.id = tc.client_id
			 WHERE tc.trip_id = ? AND c.deleted_at IS NULL ORDER BY tc.enrolled_at, c.name`,
			[tripId]
		)
	).map(({ id }) => id);

/** Clients with their kits, in the order of the ids; two queries however many they are. */
async function getClients(ids: readonly string[]): Promise<Client[]> {
	if (ids.length === 0) return [];
	const marks = ids.map(() => '?').join(', ');
	const [found, things] = await Promise.all([
		rows<ClientRow>(pool(), `SELECT * FROM clients WHERE id IN (${marks}) AND deleted_at IS NULL`, [...ids]),
		rows<ThingRow>(
			pool(),
			`SELECT * FROM things WHERE client_id IN (${marks}) AND deleted_at IS NULL ORDER BY created_at, id`,
			[...ids]
		)
	]);
	return ids.flatMap((id) => {
		const row = found.find((one) => one.id === id);
		return row ? [clientFrom(row, things.filter((thing) => thing.client_id === id).map(thingFrom))] : [];
	});
}

/** A trip, its clients and their kit, as one document. @throws NotFoundError */
export async function getDocument(tripId: string): Promise<Document> {
	const [trip, ids, house] = await Promise.all([getTrip(tripId), clientIdsOf(tripId), getHouse()]);
	return {
		format: DOCUMENT_FORMAT,
		formatVersion: DOCUMENT_VERSION,
		trip,
		clients: await getClients(ids),
		...(Object.keys(house.schools).length > 0 && { house: house.schools })
	};
}

const NOT_ASKED = { value: null, source: 'client', state: 'not asked' } as const;

/** Adds a whole client with the kit, as it stands. */
export async function insertClient(db: Db, client: Omit<Client, 'version' | 'deletedAt'>): Promise<void> {
	await write(
		db,
		'INSERT INTO clients (id, name, offset_clo, careful, answered_parts, schools) VALUES (?, ?, ?, ?, ?, ?)',
		[
			client.id,
			client.name,
			JSON.stringify(client.offsetClo),
			JSON.stringify(client.careful),
			JSON.stringify(client.answeredParts),
			JSON.stringify(client.schools ?? {})
		]
	);
	for (const thing of client.things) await insertThing(db, client.id, thing);
}

/** Adds a client, to a trip when one is given, and returns the id. */
export async function createClient(name: string, tripId?: string): Promise<string> {
	const id = randomUUID();
	await inTransaction(async (db) => {
		await insertClient(db, {
			id,
			name,
			offsetClo: NOT_ASKED,
			careful: NOT_ASKED,
			answeredParts: [],
			things: []
		});
		if (tripId) {
			await getTrip(tripId, db);
			await write(db, 'INSERT INTO trip_clients (trip_id, client_id) VALUES (?, ?)', [tripId, id]);
			await refreshTripSearch(db, tripId);
		}
	});
	return id;
}

export type ClientEdit = Pick<
	Client,
	'name' | 'offsetClo' | 'careful' | 'answeredParts' | 'schools' | 'version'
>;

/** Saves what is known of a client and returns the new version. @throws ConflictError, NotFoundError */
export async function saveClient(id: string, edit: ClientEdit): Promise<number> {
	return inTransaction(async (db) => {
		const touched = await write(
			db,
			`UPDATE clients SET name = ?, offset_clo = ?, careful = ?, answered_parts = ?, schools = COALESCE(?, schools),
			 version = version + 1
			 WHERE id = ? AND version = ? AND deleted_at IS NULL`,
			[
				edit.name,
				JSON.stringify(edit.offsetClo),
				JSON.stringify(edit.careful),
				JSON.stringify(edit.answeredParts),
				edit.schools ? JSON.stringify(edit.schools) : null,
				id,
				edit.version
			]
		);
		if (touched === 0) {
			await getClient(id, db);
			throw new ConflictError('client');
		}
		await refreshClientSearch(db, id);
		return edit.version + 1;
	});
}

/** Deletes a client, or brings one back. @throws NotFoundError */
export async function setClientDeleted(id: string, deleted: boolean): Promise<void> {
	await inTransaction(async (db) => {
		const touched = await write(db, 'UPDATE clients SET deleted_at = ?, version = version + 1 WHERE id = ?', [
			deleted ? new Date() : null,
			id
		]);
		if (touched === 0) throw new NotFoundError('client');
		await refreshClientSearch(db, id);
	});
}

async function insertThing(
	db: Db,
	clientId: string,
	thing: Omit<Thing, 'version' | 'deletedAt'>
): Promise<void> {
	await write(
		db,
		'INSERT INTO things (id, client_id, type_id, name, quantity, in_pairs, facts) VALUES (?, ?, ?, ?, ?, ?, ?)',
		[
			thing.id,
			clientId,
			thing.typeId,
			thing.name,
			JSON.stringify(thing.quantity),
			thing.inPairs,
			JSON.stringify(thing.facts)
		]
	);
}

/** Adds a thing of a catalogue type to a kit and returns it. @throws NotFoundError */
export async function addThing(
	clientId: string,
	typeId: string,
	quantity: Fact<number>,
	name?: string
): Promise<Thing> {
	const type = catalogueType(typeId);
	const thing = {
		id: randomUUID(),
		typeId,
		name: name ?? typeName(typeId),
		quantity,
		inPairs: type.inPairs,
		facts: {}
	};
	await inTransaction(async (db) => {
		await getClient(clientId, db);
		await insertThing(db, clientId, thing);
	});
	return { ...thing, version: 1, deletedAt: null };
}

export type ThingEdit = Omit<Thing, 'id' | 'deletedAt'>;

/** Saves a thing and returns the new version. @throws ConflictError, NotFoundError */
export async function saveThing(id: string, edit: ThingEdit): Promise<number> {
	const touched = await write(
		pool(),
		`UPDATE things SET type_id = ?, name = ?, quantity = ?, in_pairs = ?, facts = ?, version = version + 1
		 WHERE id = ? AND version = ? AND deleted_at IS NULL`,
		[
			edit.typeId,
			edit.name,
			JSON.stringify(edit.quantity),
			edit.inPairs,
			JSON.stringify(edit.facts),
			id,
			edit.version
		]
	);
	if (touched === 0) {
		const [there] = await rows(pool(), 'SELECT id FROM things WHERE id = ? AND deleted_at IS NULL', [id]);
		throw there ? new ConflictError('thing') : new NotFoundError('thing');
	}
	return edit.version + 1;
}

/** Takes a thing out of a kit, or puts it back. @throws NotFoundError */
export async function setThingDeleted(id: string, deleted: boolean): Promise<void> {
	const touched = await write(
		pool(),
		'UPDATE things SET deleted_at = ?, version = version + 1 WHERE id = ?',
		[deleted ? new Date() : null, id]
	);
	if (touched === 0) throw new NotFoundError('thing');
}
