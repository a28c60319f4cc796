import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addThing, createClient, setClientDeleted, setThingDeleted } from '../../src/lib/server/db/clients';
import { deletedIn, emptyBin } from '../../src/lib/server/db/bin/deleted';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { closePool, pool, rows } from '../../src/lib/server/db/pool';
import { createTrip, setTripDeleted } from '../../src/lib/server/db/trips';
import { startWithEmptyHouse } from '../fixtures/empty-database';

beforeAll(startWithEmptyHouse);
afterAll(closePool);

const DAY_MS = 86_400_000;
const namesNow = async (at = new Date()): Promise<string[]> =>
	(await deletedIn(FIRST_HOUSE, at)).map(({ kind, name, of }) => `${kind} ${name}${of ? ` of ${of}` : ''}`);

describe('the bin', () => {
	it('shows what was deleted for thirty days, and no longer what is back', async () => {
		expect(await namesNow()).toEqual([]);
		const trip = await createTrip(FIRST_HOUSE, { name: 'Old hut', place: '' });
		const client = await createClient(FIRST_HOUSE, 'Ada Wick');
		const { id: thing } = await addThing(FIRST_HOUSE, client, 'fleece', {
			value: 1,
			source: 'client',
			state: 'has'
		});
		await setTripDeleted(FIRST_HOUSE, trip, true);
		await setThingDeleted(FIRST_HOUSE, thing, true);
		expect((await namesNow()).sort()).toEqual(['thing Fleece, jacket of Ada Wick', 'trip Old hut']);
		expect(await namesNow(new Date(Date.now() + 29 * DAY_MS))).toHaveLength(2);
		expect(await namesNow(new Date(Date.now() + 31 * DAY_MS))).toEqual([]);
		// A thing of a deleted client comes back with the client.
		await setClientDeleted(FIRST_HOUSE, client, true);
		expect((await namesNow()).sort()).toEqual(['client Ada Wick', 'trip Old hut']);
		await setClientDeleted(FIRST_HOUSE, client, false);
		await setTripDeleted(FIRST_HOUSE, trip, false);
		await setThingDeleted(FIRST_HOUSE, thing, false);
		expect(await namesNow()).toEqual([]);
	});
	it('is emptied of what is older, with all that belongs to it, and of nothing else', async () => {
		const [trip, kept] = [
			await createTrip(FIRST_HOUSE, { name: 'Long gone', place: '' }),
			await createTrip(FIRST_HOUSE, { name: 'Kept', place: '' })
		];
		const client = await createClient(FIRST_HOUSE, 'Bel Moor');
		await addThing(FIRST_HOUSE, client, 'fleece', { value: 1, source: 'client', state: 'has' });
		await setTripDeleted(FIRST_HOUSE, trip, true);
		await setClientDeleted(FIRST_HOUSE, client, true);
		const count = async (sql: string, id: string): Promise<number> =>
			(await rows<{ n: number }>(pool(), sql, [id]))[0]!.n;
		expect(await emptyBin(FIRST_HOUSE, new Date(Date.now() + 29 * DAY_MS))).toBe(0);
		expect(await emptyBin('another-house', new Date(Date.now() + 31 * DAY_MS))).toBe(0);
		expect(await namesNow()).toHaveLength(2);
		expect(await emptyBin(FIRST_HOUSE, new Date(Date.now() + 31 * DAY_MS))).toBe(2);
		expect(await namesNow()).toEqual([]);
		expect(await count('SELECT COUNT(*) AS n FROM things WHERE client_id = ?', client)).toBe(0);
		expect(await count('SELECT COUNT(*) AS n FROM search_words WHERE of_id = ?', client)).toBe(0);
		expect(await count('SELECT COUNT(*) AS n FROM trips WHERE id = ?', kept)).toBe(1);
		await setTripDeleted(FIRST_HOUSE, kept, true);
		expect(await namesNow()).toEqual(['trip Kept']);
		await setTripDeleted(FIRST_HOUSE, kept, false);
	});
	it('shows nothing of another house, and finds it by an index', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Gone', place: '' });
		await setTripDeleted(FIRST_HOUSE, trip, true);
		expect(await deletedIn('another-house', new Date())).toEqual([]);
		const [plan] = await rows<{ possible_keys: string }>(
			pool(),
			'EXPLAIN SELECT id FROM trips WHERE house_id = ? AND deleted_at >= ? ORDER BY deleted_at DESC LIMIT 100',
			[FIRST_HOUSE, '2026-01-01 00:00:00']
		);
		expect(plan!.possible_keys).toContain('trips_deleted');
	});
});
