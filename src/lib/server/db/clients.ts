import { CLIENT_FACT_NAMES } from '$lib/core/document/client-facts';
import { client as clientSchema } from '$lib/formats/schema/client';
import type { NewThing } from '$lib/formats/schema/thing';
import { thingOfType } from '$lib/core/cloth/things';
import type { Client, Document, Fact, FactsOfClient, Thing } from '$lib/core/document/types';
import { DOCUMENT_FORMAT, DOCUMENT_VERSION } from '$lib/core/document/types';
import { NOTHING_KNOWN } from '$lib/core/document/nothing-known';
import { typeName } from '$lib/words/garments';
import { randomUUID } from 'node:crypto';
import { getHouse } from './house';
import { lentOn } from './lending/loans';
import { withSharing } from './packing/everybody';
import {
	ConflictError,
	type Db,
	inSnapshot,
	inTransaction,
	inTransactionOf,
	isoTime,
	NotFoundError,
	pool,
	rows,
	write
} from './pool';
import { checked, parsed } from './stored';
import { byComing } from './lists';
import { putWords } from './search';
import { chosen, getTrip, lock, roomFor } from './trips';

interface ClientRow {
	id: string;
	name: string;
	schools: string;
	version: number;
	deleted_at: string | null;
}
/** One thing that is known of a client beyond the name. */
interface FactRow {
	client_id: string;
	name: string;
	value: string;
	state: string;
	source: string;
}
interface ThingRow {
	id: string;
	client_id: string;
	type_id: string;
	name: string;
	quantity: string;
	in_pairs: number;
	facts: string;
	created_at: string;
	version: number;
	deleted_at: string | null;
}

const thingFrom = (row: ThingRow): unknown => ({
	id: row.id,
	typeId: row.type_id,
	name: row.name,
	quantity: parsed('thing', 'quantity', row.quantity),
	inPairs: row.in_pairs === 1,
	facts: parsed('thing', 'facts', row.facts),
	version: row.version,
	deletedAt: isoTime(row.deleted_at)
});

/** The parts of the body for which all is named are kept beside the facts, as one of them. */
const ANSWERED = 'answeredParts';

function clientFrom(row: ClientRow, facts: readonly FactRow[], things: readonly ThingRow[]): Client {
	const own = facts.filter(({ client_id }) => client_id === row.id);
	const valueOf = (fact: FactRow): unknown => parsed('client', fact.name, fact.value);
	const answered = own.find(({ name }) => name === ANSWERED);
	return checked<Client>('client', clientSchema, {
		id: row.id,
		name: row.name,
		...NOTHING_KNOWN,
		...Object.fromEntries(
			CLIENT_FACT_NAMES.flatMap((name) => {
				const fact = own.find((one) => one.name === name);
				return fact ? [[name, { value: valueOf(fact), source: fact.source, state: fact.state }]] : [];
			})
		),
		answeredParts: answered ? valueOf(answered) : [],
		...chosen('client', row.schools),
		things: things.filter(({ client_id }) => client_id === row.id).map(thingFrom),
		version: row.version,
		deletedAt: isoTime(row.deleted_at)
	});
}

/** Keeps what is known of a client: a row a fact, with when and by whom; what nobody asked is no row. */
async function putFacts(
	db: Db,
	clientId: string,
	client: Partial<FactsOfClient> & Pick<Client, 'answeredParts'>,
	by: string | null
): Promise<void> {
	const facts: [name: string, fact: Fact<unknown>][] = [
		...CLIENT_FACT_NAMES.flatMap((name): [string, Fact<unknown>][] => {
			const fact = client[name];
			return fact ? [[name, fact]] : [];
		}),
		[ANSWERED, { value: client.answeredParts, source: 'client', state: 'has' }]
	];
	for (const [name, { value, state, source }] of facts) {
		const isEmpty = state === 'not asked' || (Array.isArray(value) && value.length === 0);
		if (isEmpty) {
			await write(db, 'DELETE FROM client_facts WHERE client_id = ? AND name = ?', [clientId, name]);
			continue;
		}
		// When and by whom stay as long as the fact does.
		await write(
			db,
			`INSERT INTO client_facts (client_id, name, value, state, source, noted_by) VALUES (?, ?, ?, ?, ?, ?)
			 ON DUPLICATE KEY UPDATE
				noted_at = IF(value = VALUES(value) AND state = VALUES(state) AND source = VALUES(source), noted_at, NOW(3)),
				noted_by = IF(value = VALUES(value) AND state = VALUES(state) AND source = VALUES(source), noted_by, VALUES(noted_by)),
				value = VALUES(value), state = VALUES(state), source = VALUES(source)`,
			[clientId, name, JSON.stringify(value), state, source, by]
		);
	}
}

/**
 * One client with the kit.
 * @throws NotFoundError when there is none in this house, or it is deleted
 * @throws StoredDataError when what is stored is not what the app writes
 */
export async function getClient(houseId: string, id: string, db?: Db): Promise<Client> {
	if (!db) return inSnapshot((snapshot) => getClient(houseId, id, snapshot));
	const [client] = await getClients(houseId, [id], db);
	if (!client) throw new NotFoundError('client');
	return client;
}

/** Ids of a trip's clients, in the order in which they were enrolled. */
export const clientIdsOf = async (tripId: string, db: Db = pool()): Promise<string[]> =>
	(
		await rows<{ id: string; name: string; enrolledAt: string }>(
			db,
			`SELECT c.id, c.name, tc.enrolled_at AS enrolledAt FROM trip_clients tc JOIN clients c ON c.id = tc.client_id
			 WHERE tc.trip_id = ? AND c.deleted_at IS NULL`,
			[tripId]
		)
	)
		.sort(byComing)
		.map(({ id }) => id);

/** Clients with their kits, in the order of the ids; three queries however many they are. */
async function getClients(houseId: string, ids: readonly string[], db: Db): Promise<Client[]> {
	if (ids.length === 0) return [];
	const marks = ids.map(() => '?').join(', ');
	const found = await rows<ClientRow>(
		db,
		`SELECT * FROM clients WHERE id IN (${marks}) AND house_id = ? AND deleted_at IS NULL`,
		[...ids, houseId]
	);
	const facts = await rows<FactRow>(
		db,
		`SELECT client_id, name, value, state, source FROM client_facts WHERE client_id IN (${marks})`,
		[...ids]
	);
	const things = await rows<ThingRow>(
		db,
		`SELECT * FROM things WHERE client_id IN (${marks}) AND deleted_at IS NULL`,
		[...ids]
	);
	const added = (row: ThingRow): string => `${row.created_at} ${row.id}`;
	things.sort((a, b) => (added(a) < added(b) ? -1 : 1));
	return ids.flatMap((id) => {
		const row = found.find((one) => one.id === id);
		return row ? [clientFrom(row, facts, things)] : [];
	});
}

/**
 * A trip, its clients and their kit, as one document, as it was at one moment. What the house lends on it is part of the kit.
 * @throws NotFoundError
 */
export async function getDocument(houseId: string, tripId: string, db?: Db): Promise<Document> {
	if (!db) return inSnapshot((snapshot) => getDocument(houseId, tripId, snapshot));
	const document = await ownDocument(houseId, tripId, db);
	const lent = await lentOn(tripId, db);
	if (lent.size === 0) return document;
	return {
		...document,
		clients: document.clients.map((client) => ({
			...client,
			things: [...client.things, ...(lent.get(client.id) ?? [])]
		}))
	};
}

/** The same without what the house lends. @throws NotFoundError */
export async function ownDocument(houseId: string, tripId: string, db?: Db): Promise<Document> {
	if (!db) return inSnapshot((snapshot) => ownDocument(houseId, tripId, snapshot));
	const trip = await getTrip(houseId, tripId, db);
	const house = await getHouse(houseId, db);
	return {
		format: DOCUMENT_FORMAT,
		formatVersion: DOCUMENT_VERSION,
		trip,
		clients: await withSharing(tripId, await getClients(houseId, await clientIdsOf(tripId, db), db), db),
		...(Object.keys(house.schools).length > 0 && { house: house.schools }),
		...(Object.keys(house.uses).length > 0 && { uses: house.uses })
	};
}

/** Adds a whole client with the kit, as it stands. */
export async function insertClient(
	db: Db,
	houseId: string,
	client: Omit<Client, 'version' | 'deletedAt'>,
	by: string | null = null
): Promise<void> {
	await write(db, 'INSERT INTO clients (id, house_id, name, schools) VALUES (?, ?, ?, ?)', [
		client.id,
		houseId,
		client.name,
		JSON.stringify(client.schools ?? {})
	]);
	await putWords(db, houseId, 'client', client.id, client.name);
	await putFacts(db, client.id, client, by);
	for (const thing of client.things) await insertThing(db, client.id, thing);
}

/** Adds a client, to a trip when one is given, and returns the id. */
export async function createClient(houseId: string, name: string, tripId?: string): Promise<string> {
	const id = randomUUID();
	await inTransaction(async (db) => {
		await insertClient(db, houseId, {
			id,
			name,
			...NOTHING_KNOWN,
			answeredParts: [],
			things: []
		});
		if (tripId) {
			await lock(db, 'trips', tripId);
			await getTrip(houseId, tripId, db);
			await roomFor(db, 'clients', tripId);
			await write(db, 'INSERT INTO trip_clients (trip_id, client_id) VALUES (?, ?)', [tripId, id]);
		}
	});
	return id;
}

/** Facts that are left out stay as they are. */
export type ClientEdit = Pick<Client, 'name' | 'answeredParts' | 'schools' | 'version'> &
	Partial<FactsOfClient>;

/** Saves what is known of a client and returns the new version. @throws ConflictError, NotFoundError */
export async function saveClient(
	houseId: string,
	id: string,
	edit: ClientEdit,
	by: string | null = null
): Promise<number> {
	return inTransaction(async (db) => {
		const [before] = await rows<{ name: string }>(db, 'SELECT name FROM clients WHERE id = ? FOR UPDATE', [
			id
		]);
		const touched = await write(
			db,
			`UPDATE clients SET name = ?, schools = COALESCE(?, schools), version = version + 1
			 WHERE id = ? AND house_id = ? AND version = ? AND deleted_at IS NULL`,
			[edit.name, edit.schools ? JSON.stringify(edit.schools) : null, id, houseId, edit.version]
		);
		if (touched === 0) {
			await getClient(houseId, id, db);
			throw new ConflictError('client');
		}
		await putFacts(db, id, edit, by);
		if (before && before.name !== edit.name) await putWords(db, houseId, 'client', id, edit.name);
		return edit.version + 1;
	});
}

/** Deletes a client, or brings one back. @throws NotFoundError */
export async function setClientDeleted(houseId: string, id: string, deleted: boolean): Promise<void> {
	await inTransaction(async (db) => {
		const touched = await write(
			db,
			'UPDATE clients SET deleted_at = ?, version = version + 1 WHERE id = ? AND house_id = ?',
			[deleted ? new Date() : null, id, houseId]
		);
		if (touched === 0) throw new NotFoundError('client');
	});
}

/** Things belong to the house of their client; those of a deleted one are not written. */
const OF_HOUSE = 'client_id IN (SELECT c.id FROM clients c WHERE c.house_id = ? AND c.deleted_at IS NULL)';

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

/** Adds things of catalogue types to a kit, all or none of them, and returns them. @throws NotFoundError, RangeError */
export async function addThings(
	houseId: string,
	clientId: string,
	list: readonly NewThing[],
	within?: Db
): Promise<Thing[]> {
	const things = list.map(({ id = randomUUID(), typeId, quantity, name, facts = {} }) => ({
		...thingOfType(id, typeId, name ?? typeName(typeId), quantity),
		facts
	}));
	await inTransactionOf(within, async (db) => {
		await lock(db, 'clients', clientId);
		await getClient(houseId, clientId, db);
		for (const thing of things) {
			await roomFor(db, 'things', clientId);
			await insertThing(db, clientId, thing);
		}
	});
	return things;
}

/** Adds a thing of a catalogue type to a kit and returns it. @throws NotFoundError, RangeError */
export const addThing = async (
	houseId: string,
	clientId: string,
	typeId: string,
	quantity: Fact<number>,
	name = typeName(typeId)
): Promise<Thing> => (await addThings(houseId, clientId, [{ typeId, quantity, name }]))[0]!;

export type ThingEdit = Omit<Thing, 'id' | 'deletedAt'>;

/** Saves a thing and returns the new version. @throws ConflictError, NotFoundError */
export async function saveThing(houseId: string, id: string, edit: ThingEdit): Promise<number> {
	const touched = await write(
		pool(),
		`UPDATE things SET type_id = ?, name = ?, quantity = ?, in_pairs = ?, facts = ?, version = version + 1
		 WHERE id = ? AND version = ? AND deleted_at IS NULL AND ${OF_HOUSE}`,
		[
			edit.typeId,
			edit.name,
			JSON.stringify(edit.quantity),
			edit.inPairs,
			JSON.stringify(edit.facts),
			id,
			edit.version,
			houseId
		]
	);
	if (touched === 0) {
		const [there] = await rows(
			pool(),
			`SELECT id FROM things WHERE id = ? AND deleted_at IS NULL AND ${OF_HOUSE}`,
			[id, houseId]
		);
		throw there ? new ConflictError('thing') : new NotFoundError('thing');
	}
	return edit.version + 1;
}

/** Takes a thing out of a kit, or puts it back. @throws NotFoundError */
export async function setThingDeleted(
	houseId: string,
	id: string,
	deleted: boolean,
	within?: Db
): Promise<void> {
	await inTransactionOf(within, async (db) => {
		const [thing] = await rows<{ client_id: string; deleted_at: string | null }>(
			db,
			`SELECT client_id, deleted_at FROM things WHERE id = ? AND ${OF_HOUSE}`,
			[id, houseId]
		);
		if (!thing) throw new NotFoundError('thing');
		await lock(db, 'clients', thing.client_id);
		if (!deleted && thing.deleted_at !== null) await roomFor(db, 'things', thing.client_id);
		await write(db, 'UPDATE things SET deleted_at = ?, version = version + 1 WHERE id = ?', [
			deleted ? new Date() : null,
			id
		]);
	});
}
