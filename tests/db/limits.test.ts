import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LIMITS } from '../../src/lib/formats/limits';
import {
	addThing,
	addThings,
	createClient,
	getClient,
	setClientDeleted,
	setThingDeleted
} from '../../src/lib/server/db/clients';
import { BusyError } from '../../src/lib/server/errors';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { closePool, inTransaction, NotFoundError, pool, rows, write } from '../../src/lib/server/db/pool';
import { createTrip, setEnrolled } from '../../src/lib/server/db/trips';
import { startWithEmptyHouse } from '../fixtures/empty-database';

const has = { value: 1, source: 'client', state: 'has' } as const;

beforeAll(startWithEmptyHouse);
afterAll(closePool);

describe('as many as a document holds', () => {
	it('things, and no more: the kit can always be read again', async () => {
		const client = await createClient(FIRST_HOUSE, 'Hoarder');
		const first = await addThing(FIRST_HOUSE, client, 'fleece', has);
		for (let i = 1; i < LIMITS.things; i++)
			await write(
				pool(),
				`INSERT INTO things (id, client_id, type_id, name, quantity, in_pairs, facts)
				 SELECT CONCAT('more-', ?), client_id, type_id, name, quantity, in_pairs, facts FROM things WHERE id = ?`,
				[`${client.slice(0, 8)}-${i}`, first.id]
			);
		await expect(addThing(FIRST_HOUSE, client, 'fleece', has)).rejects.toThrow(
			'things is 201, allowed are at most 200'
		);
		expect((await getClient(FIRST_HOUSE, client)).things).toHaveLength(LIMITS.things);
		// One that is taken out makes room, and cannot come back when that is used.
		await setThingDeleted(FIRST_HOUSE, first.id, true);
		await addThing(FIRST_HOUSE, client, 'fleece', has);
		await expect(setThingDeleted(FIRST_HOUSE, first.id, false)).rejects.toThrow('at most 200');
	});
	it('a whole list of things, or none of them', async () => {
		const client = await createClient(FIRST_HOUSE, 'Lister');
		const list = (many: number) => Array.from({ length: many }, () => ({ typeId: 'fleece', quantity: has }));
		await expect(addThings(FIRST_HOUSE, client, list(LIMITS.things + 1))).rejects.toThrow('at most 200');
		expect((await getClient(FIRST_HOUSE, client)).things).toEqual([]);
		const facts = { size: { value: 'L', source: 'client', state: 'has' } } as const;
		await addThings(FIRST_HOUSE, client, [...list(2), { typeId: 'mitten', quantity: has, facts }]);
		const { things } = await getClient(FIRST_HOUSE, client);
		expect(things.map(({ typeId }) => typeId).sort()).toEqual(['fleece', 'fleece', 'mitten']);
		expect(things.find(({ typeId }) => typeId === 'mitten')!.facts).toEqual(facts);
		await expect(addThings(FIRST_HOUSE, 'nobody', list(1))).rejects.toThrow(NotFoundError);
	});
	it('clients of a trip', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Crowd', place: '' });
		for (let i = 0; i < LIMITS.clients; i++) await createClient(FIRST_HOUSE, `Guest ${i}`, trip);
		await expect(createClient(FIRST_HOUSE, 'One more', trip)).rejects.toThrow('at most 60');
		const other = await createClient(FIRST_HOUSE, 'Another');
		await expect(setEnrolled(FIRST_HOUSE, trip, other, true)).rejects.toThrow('at most 60');
	});
});

describe('what belongs to a deleted client', () => {
	it('is not written', async () => {
		const client = await createClient(FIRST_HOUSE, 'Gone');
		const thing = await addThing(FIRST_HOUSE, client, 'fleece', has);
		const trip = await createTrip(FIRST_HOUSE, { name: 'Left', place: '' });
		await setClientDeleted(FIRST_HOUSE, client, true);
		await expect(addThing(FIRST_HOUSE, client, 'fleece', has)).rejects.toThrow(NotFoundError);
		await expect(setThingDeleted(FIRST_HOUSE, thing.id, true)).rejects.toThrow(NotFoundError);
		await expect(setEnrolled(FIRST_HOUSE, trip, client, true)).rejects.toThrow(NotFoundError);
	});
});

describe('two who are at the same rows', () => {
	it('both get through: the one that the database sends back is asked again', async () => {
		const [one, two] = [
			await createTrip(FIRST_HOUSE, { name: 'One', place: '' }),
			await createTrip(FIRST_HOUSE, { name: 'Two', place: '' })
		];
		const touch = (id: string, db: Parameters<Parameters<typeof inTransaction>[0]>[0]): Promise<number> =>
			write(db, 'UPDATE trips SET version = version + 1 WHERE id = ?', [id]);
		// Each has one row and wants the other's: a deadlock, until both had their turn.
		let met = 0;
		let turns = 0;
		const crosswise = (first: string, second: string): Promise<void> =>
			inTransaction(async (db) => {
				turns++;
				await touch(first, db);
				met++;
				while (met < 2) await new Promise((resolve) => setTimeout(resolve, 5));
				await touch(second, db);
			});
		await Promise.all([crosswise(one, two), crosswise(two, one)]);
		expect(turns).toBeGreaterThan(2);
		const versions = await rows<{ version: number }>(pool(), 'SELECT version FROM trips WHERE id IN (?, ?)', [
			one,
			two
		]);
		expect(versions.map(({ version }) => version)).toEqual([3, 3]);
	});
	it('say so when it never works, and leave nothing behind', async () => {
		let turns = 0;
		const trouble = Object.assign(new Error('deadlock'), { code: 'ER_LOCK_DEADLOCK' });
		await expect(
			inTransaction(async (db) => {
				turns++;
				await write(db, `INSERT INTO trips (id, house_id, name, weathers) VALUES ('half', ?, 'Half', '[]')`, [
					FIRST_HOUSE
				]);
				throw trouble;
			})
		).rejects.toThrow(BusyError);
		expect(turns).toBe(4);
		expect(await rows(pool(), `SELECT id FROM trips WHERE id = 'half'`)).toEqual([]);
	});
});
