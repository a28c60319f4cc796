import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { check, documentSchema } from '../../src/lib/formats/schema';
import {
	addThing, createClient, getClient, getDocument, listClients, saveClient, saveThing, setClientDeleted, setThingDeleted
} from '../../src/lib/server/db/clients'; // prettier-ignore
import { isEmpty, loadDemo } from '../../src/lib/server/db/demo';
import { migrate } from '../../src/lib/server/db/migrate';
import {
	ConflictError,
	NotFoundError,
	closePool,
	inTransaction,
	pool,
	rows,
	write
} from '../../src/lib/server/db/pool';
import {
	createTrip,
	getTrip,
	listTrips,
	saveTrip,
	setEnrolled,
	setTripDeleted
} from '../../src/lib/server/db/trips';
import { PLANNED, stageOf } from '../fixtures/make';

const migrations = process.env.SNUG_MIGRATIONS ?? 'db/migrations';
const edit = (version: number, name = 'Renamed') => ({
	name,
	place: 'there',
	weathers: [PLANNED],
	stages: [stageOf([['move', 60, 200, 'slope']])],
	version
});

beforeAll(async () => {
	if (!process.env.SNUG_DB_SOCKET) throw new Error('These tests need the database that `npm test` starts.');
	await migrate(migrations);
});
afterAll(closePool);

describe('migrations', () => {
	it('run once each, in order, and are recorded', async () => {
		expect(await migrate(migrations)).toEqual([]);
		const names = (
			await rows<{ name: string }>(pool(), 'SELECT name FROM migrations ORDER BY ran_at, name')
		).map(({ name }) => name);
		expect(names).toEqual([...names].sort());
		expect(names[0]).toBe('001_trips_clients_kit.sql');
	});
	it('run only the new ones later', async () => {
		const folder = await mkdtemp(path.join(os.tmpdir(), 'snug-migrations-'));
		await writeFile(
			path.join(folder, '900_probe.sql'),
			'-- a comment; with a semicolon\nCREATE TABLE probe (id INT);\nINSERT INTO probe VALUES (1);\n'
		);
		expect(await migrate(folder)).toEqual(['900_probe.sql']);
		expect(await migrate(folder)).toEqual([]);
		expect(await rows(pool(), 'SELECT * FROM probe')).toHaveLength(1);
		await pool().query('DROP TABLE probe');
		await write(pool(), 'DELETE FROM migrations WHERE name = ?', ['900_probe.sql']);
		await rm(folder, { recursive: true });
	});
	it('do not run twice when two processes start together', async () => {
		const folder = await mkdtemp(path.join(os.tmpdir(), 'snug-migrations-'));
		await writeFile(path.join(folder, '901_probe.sql'), 'CREATE TABLE probe_two (id INT);\n');
		const ran = await Promise.all([migrate(folder), migrate(folder)]);
		expect(ran.flat()).toEqual(['901_probe.sql']);
		await pool().query('DROP TABLE probe_two');
		await write(pool(), 'DELETE FROM migrations WHERE name = ?', ['901_probe.sql']);
		await rm(folder, { recursive: true });
	});
});

describe('a trip', () => {
	it('comes back as it was saved, with a new version', async () => {
		const id = await createTrip('Fresh', 'here');
		expect(await getTrip(id)).toMatchObject({
			name: 'Fresh',
			place: 'here',
			stages: [],
			version: 1,
			deletedAt: null
		});
		expect(await saveTrip(id, edit(1))).toBe(2);
		expect(await getTrip(id)).toEqual({ id, ...edit(2), version: 2, deletedAt: null });
	});
	it('is not overwritten by an edit of an older version', async () => {
		const id = await createTrip('Two editors', '');
		await saveTrip(id, edit(1, 'First'));
		await expect(saveTrip(id, edit(1, 'Second'))).rejects.toThrow(ConflictError);
		expect((await getTrip(id)).name).toBe('First');
	});
	it('is saved whole or not at all', async () => {
		const id = await createTrip('Whole', '');
		const stage = stageOf([]);
		await expect(saveTrip(id, { ...edit(1), stages: [stage, stage] })).rejects.toThrow();
		expect(await getTrip(id)).toMatchObject({ name: 'Whole', version: 1, stages: [] });
	});
	it('can be deleted, and brought back with its stages', async () => {
		const id = await createTrip('Back again', '');
		await saveTrip(id, edit(1));
		await setTripDeleted(id, true);
		await expect(getTrip(id)).rejects.toThrow(NotFoundError);
		expect((await listTrips()).some((trip) => trip.id === id)).toBe(false);
		await setTripDeleted(id, false);
		expect((await getTrip(id)).stages).toHaveLength(1);
	});
	it('takes text as text, quotes and all', async () => {
		const name = `Robert'); DROP TABLE trips; -- "☃"`;
		const id = await createTrip(name, '');
		expect((await getTrip(id)).name).toBe(name);
	});
	it('that does not exist is not found', async () => {
		await expect(getTrip('nowhere')).rejects.toThrow(NotFoundError);
		await expect(saveTrip('nowhere', edit(1))).rejects.toThrow(NotFoundError);
		await expect(setTripDeleted('nowhere', true)).rejects.toThrow(NotFoundError);
	});
});

describe('a client', () => {
	it('starts with nothing asked, and keeps facts with their source', async () => {
		const id = await createClient('Ada');
		expect(await getClient(id)).toMatchObject({
			offsetClo: { value: null, state: 'not asked' },
			things: [],
			answeredParts: []
		});
		const offsetClo = { value: 0.15, source: 'client', state: 'has' } as const;
		await saveClient(id, {
			name: 'Ada',
			offsetClo,
			careful: { value: true, source: 'guide', state: 'has' },
			answeredParts: ['hands'],
			version: 1
		});
		expect(await getClient(id)).toMatchObject({ offsetClo, answeredParts: ['hands'], version: 2 });
		await expect(saveClient(id, { ...(await getClient(id)), version: 1 })).rejects.toThrow(ConflictError);
	});
	it('keeps things in the order in which they were added, and gets back what was taken out', async () => {
		const id = await createClient('Bo');
		const has = (value: number) => ({ value, source: 'client', state: 'has' }) as const;
		const fleece = await addThing(id, 'fleece', has(1));
		await addThing(id, 'sock-mid', has(3), 'My socks');
		expect((await getClient(id)).things.map(({ name, inPairs }) => [name, inPairs])).toEqual([
			['Fleece, jacket', false],
			['My socks', true]
		]);
		await saveThing(fleece.id, {
			...fleece,
			facts: { massG: { value: 555, source: 'measured', state: 'has' } }
		});
		await expect(saveThing(fleece.id, fleece)).rejects.toThrow(ConflictError);
		await setThingDeleted(fleece.id, true);
		expect((await getClient(id)).things).toHaveLength(1);
		await setThingDeleted(fleece.id, false);
		expect((await getClient(id)).things[0]).toMatchObject({ facts: { massG: { value: 555 } }, version: 4 });
		await expect(addThing(id, 'cape', has(1))).rejects.toThrow(RangeError);
		await expect(saveThing('nothing', fleece)).rejects.toThrow(NotFoundError);
	});
	it('is put on a trip and taken off it, once', async () => {
		const trip = await createTrip('With Cy', '');
		const id = await createClient('Cy', trip);
		await setEnrolled(trip, id, true);
		expect((await getDocument(trip)).clients.map(({ name }) => name)).toEqual(['Cy']);
		await setEnrolled(trip, id, false);
		expect((await getDocument(trip)).clients).toEqual([]);
		await expect(createClient('Nobody', 'nowhere')).rejects.toThrow(NotFoundError);
		expect((await listClients()).some(({ name }) => name === 'Nobody')).toBe(false);
	});
	it('that is deleted is off all lists, until brought back', async () => {
		const trip = await createTrip('With Di', '');
		const id = await createClient('Di', trip);
		await setClientDeleted(id, true);
		expect((await getDocument(trip)).clients).toEqual([]);
		await setClientDeleted(id, false);
		expect((await getDocument(trip)).clients).toHaveLength(1);
	});
});

describe('the demo', () => {
	it('is stored and read back unchanged, as a document that the schema takes', async () => {
		await loadDemo();
		const stored = await getDocument(DEMO_DOCUMENT.trip.id);
		expect(stored).toEqual(DEMO_DOCUMENT);
		expect(check(documentSchema, stored).errors).toBeNull();
		expect(await isEmpty()).toBe(false);
	});
	it('loaded anew replaces itself and nothing else', async () => {
		const id = await createTrip('Mine', '');
		await saveTrip(DEMO_DOCUMENT.trip.id, edit(1));
		await loadDemo();
		expect((await getTrip(DEMO_DOCUMENT.trip.id)).name).toBe(DEMO_DOCUMENT.trip.name);
		expect((await getTrip(id)).name).toBe('Mine');
	});
});

describe('inTransaction', () => {
	it('undoes everything when something fails', async () => {
		const before = (await listClients()).length;
		await expect(
			inTransaction(async (db) => {
				await write(
					db,
					"INSERT INTO clients (id, name, offset_clo, careful, answered_parts) VALUES (?, 'X', '{}', '{}', '[]')",
					['rolled-back']
				);
				throw new Error('no');
			})
		).rejects.toThrow('no');
		expect(await listClients()).toHaveLength(before);
	});
});
