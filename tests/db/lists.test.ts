import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createClient } from '../../src/lib/server/db/clients';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { saveDecisions } from '../../src/lib/server/db/lending/decisions';
import { getEdits, getEverybody, saveEdit, saveEverybody } from '../../src/lib/server/db/packing/lists';
import { closePool, ConflictError, NotFoundError, pool, write } from '../../src/lib/server/db/pool';
import { createTrip } from '../../src/lib/server/db/trips';
import { dueInHouse, dueOnTrip } from '../../src/lib/server/plans/due';
import { startWithEmptyHouse } from '../fixtures/empty-database';

beforeAll(startWithEmptyHouse);
afterAll(closePool);

const TORCH = { id: 'torch', what: 'Head torch', typeId: 'torch', many: 1, why: 'dark at five' };
const PASS = { id: 'pass', what: 'Passport', typeId: null, many: 1, why: '' };

describe('the operator’s own list', () => {
	it('is saved whole, in its order, by version', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Everybody', place: '' });
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [], version: 0 });
		expect(await saveEverybody(FIRST_HOUSE, trip, { rows: [TORCH, PASS], version: 0 })).toBe(1);
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [TORCH, PASS], version: 1 });
		await expect(saveEverybody(FIRST_HOUSE, trip, { rows: [], version: 0 })).rejects.toThrow(ConflictError);
		// A row that cannot be kept leaves all as it was.
		const bad = { ...PASS, id: 'torch' };
		await expect(saveEverybody(FIRST_HOUSE, trip, { rows: [TORCH, bad], version: 1 })).rejects.toThrow();
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [TORCH, PASS], version: 1 });
		await saveEverybody(FIRST_HOUSE, trip, { rows: [PASS, TORCH], version: 1 });
		expect((await getEverybody(FIRST_HOUSE, trip)).rows.map(({ id }) => id)).toEqual(['pass', 'torch']);
		await expect(getEverybody('another-house', trip)).rejects.toThrow(NotFoundError);
	});
});

describe('a line changed by hand', () => {
	it('stays until the change is taken back', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'By hand', place: '' });
		const client = await createClient(FIRST_HOUSE, 'Ada', trip);
		const five = { lineId: 'fleece', what: null, many: 5, isOff: false };
		const own = { lineId: 'own-1', what: 'Playing cards', many: null, isOff: false };
		await saveEdit(FIRST_HOUSE, trip, client, five);
		await saveEdit(FIRST_HOUSE, trip, client, own);
		expect(await getEdits(trip, client)).toEqual([five, own]);
		await saveEdit(FIRST_HOUSE, trip, client, { ...five, many: null, isOff: true });
		await saveEdit(FIRST_HOUSE, trip, client, { ...own, what: null });
		expect(await getEdits(trip, client)).toEqual([{ ...five, many: null, isOff: true }]);
		await expect(saveEdit(FIRST_HOUSE, trip, 'nobody', five)).rejects.toThrow(NotFoundError);
		await expect(saveEdit('another-house', trip, client, five)).rejects.toThrow(NotFoundError);
	});
});

describe('what is due', () => {
	it('is told by date for a trip and for the house, until it is there', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Due', place: '' });
		await write(pool(), "UPDATE trips SET first_date = '2027-02-10', last_date = '2027-02-12' WHERE id = ?", [
			trip
		]);
		const client = await createClient(FIRST_HOUSE, 'Bo Lind', trip);
		const get = { decided: 'get', way: 'buy', refusal: null, cost: 10, because: '“Top”' } as const;
		await saveDecisions(FIRST_HOUSE, trip, client, [
			{ ...get, typeId: 'hat-warm', name: 'Warm hat', days: 1 },
			{ ...get, typeId: 'coat-down', name: 'Big coat, down', days: 5 },
			{
				...get,
				typeId: 'fleece',
				name: 'Fleece',
				days: 9,
				decided: 'decline',
				way: null,
				refusal: 'too dear'
			}
		]);
		const { due } = await dueOnTrip(FIRST_HOUSE, trip);
		expect(due.map(({ on, title }) => [on, title])).toEqual([
			['2027-02-05', 'Bo: big coat, buy'],
			['2027-02-09', 'Bo: warm hat, buy']
		]);
		expect(await dueInHouse(FIRST_HOUSE, '2027-01-01')).toEqual(due);
		expect(await dueInHouse(FIRST_HOUSE, '2027-02-11')).toEqual([]);
		await expect(dueOnTrip('another-house', trip)).rejects.toThrow(NotFoundError);
	});
});
