import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { StockItem } from '../../src/lib/core/remedy/lending/stock';
import { createClient, getDocument, ownDocument } from '../../src/lib/server/db/clients';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { getLoans, saveLoans, stockForTrip } from '../../src/lib/server/db/lending/loans';
import {
	addStock,
	getStock,
	type NewStock,
	saveStock,
	setStockDeleted
} from '../../src/lib/server/db/lending/stock';
import {
	closePool,
	ConflictError,
	NotFoundError,
	pool,
	TakenError,
	write
} from '../../src/lib/server/db/pool';
import { createTrip, setTripDeleted } from '../../src/lib/server/db/trips';
import { startWithEmptyHouse } from '../fixtures/empty-database';

beforeAll(startWithEmptyHouse);
afterAll(closePool);

const COAT: NewStock = {
	typeId: 'coat-down',
	label: 'red tag',
	facts: { size: { value: 'L', source: 'guide', state: 'has' } },
	pieces: 1,
	state: 'ready',
	backOn: null,
	cost: 0
};
const coats = (change: Partial<NewStock> = {}) => addStock(FIRST_HOUSE, { ...COAT, ...change });
/** A trip on some dates with a client of its own. */
async function tripOn(
	name: string,
	first: string | null,
	last = first
): Promise<{ id: string; clientId: string }> {
	const id = await createTrip(FIRST_HOUSE, { name, place: '' });
	await write(pool(), 'UPDATE trips SET first_date = ?, last_date = ? WHERE id = ?', [first, last, id]);
	return { id, clientId: await createClient(FIRST_HOUSE, `Guest of ${name}`, id) };
}
const lend = (
	{ id, clientId }: { id: string; clientId: string },
	stockId: string,
	value: boolean | null = true
) => saveLoans(FIRST_HOUSE, id, [{ clientId, stockId, lend: value }]);
const freeOf = async (tripId: string, stockId: string): Promise<number> =>
	(await stockForTrip(FIRST_HOUSE, tripId)).find(({ id }) => id === stockId)!.free;

describe('the stock of a house', () => {
	it('is kept, saved by version, taken out and brought back', async () => {
		const id = await coats();
		const [item] = (await getStock(FIRST_HOUSE)).filter((one) => one.id === id) as [StockItem];
		expect(item).toMatchObject({ ...COAT, version: 1, deletedAt: null });
		expect(item.name).toContain('down');
		const { id: _, deletedAt: __, ...edit } = item;
		expect(
			await saveStock(FIRST_HOUSE, id, {
				...edit,
				pieces: 4,
				state: 'mending',
				backOn: '2027-02-01',
				cost: 2.5
			})
		).toBe(2);
		await expect(saveStock(FIRST_HOUSE, id, edit)).rejects.toThrow(ConflictError);
		await expect(saveStock('another-house', id, { ...edit, version: 2 })).rejects.toThrow(NotFoundError);
		await setStockDeleted(FIRST_HOUSE, id, true);
		expect((await getStock(FIRST_HOUSE)).map((one) => one.id)).not.toContain(id);
		await setStockDeleted(FIRST_HOUSE, id, false);
		expect((await getStock(FIRST_HOUSE)).find((one) => one.id === id)).toMatchObject({
			pieces: 4,
			cost: 2.5,
			backOn: '2027-02-01'
		});
		await expect(setStockDeleted('another-house', id, true)).rejects.toThrow(NotFoundError);
	});
});

describe('a loan', () => {
	it('is part of the kit on its trip, and of no other', async () => {
		const [stockId, trip] = [await coats(), await tripOn('Loan', '2027-01-10', '2027-01-12')];
		await lend(trip, stockId);
		const [client] = (await getDocument(FIRST_HOUSE, trip.id)).clients;
		expect(client!.things).toMatchObject([{ id: `lent-${stockId}`, typeId: 'coat-down', facts: COAT.facts }]);
		expect((await ownDocument(FIRST_HOUSE, trip.id)).clients[0]!.things).toEqual([]);
		await lend(trip, stockId, false);
		expect((await getDocument(FIRST_HOUSE, trip.id)).clients[0]!.things).toEqual([]);
		expect(await getLoans(trip.id)).toEqual([{ clientId: trip.clientId, stockId, lend: false }]);
		await lend(trip, stockId, null);
		expect(await getLoans(trip.id)).toEqual([]);
	});
	it('of the same piece is not made to two trips at a time, with a day for drying between', async () => {
		const stockId = await coats();
		const [first, during, next, later] = [
			await tripOn('First', '2027-01-10', '2027-01-12'),
			await tripOn('During', '2027-01-12', '2027-01-14'),
			await tripOn('Next day', '2027-01-13', '2027-01-15'),
			await tripOn('Later', '2027-01-14', '2027-01-15')
		];
		await lend(first, stockId);
		expect(await freeOf(first.id, stockId)).toBe(1);
		expect([
			await freeOf(during.id, stockId),
			await freeOf(next.id, stockId),
			await freeOf(later.id, stockId)
		]).toEqual([0, 0, 1]);
		await expect(lend(during, stockId)).rejects.toThrow(/1 on “First” at that time: 0 left, 1 wanted/);
		await expect(lend(next, stockId)).rejects.toThrow(TakenError);
		await lend(later, stockId);
		// A trip that is deleted needs nothing; a loan that is not to be made takes nothing.
		await lend(later, stockId, null);
		await setTripDeleted(FIRST_HOUSE, first.id, true);
		await lend(during, stockId);
	});
	it('is made whole or not at all, and counts what all clients of the trip have', async () => {
		const [one, two] = [await coats({ pieces: 1 }), await coats({ pieces: 5 })];
		const trip = await tripOn('Whole', '2027-03-01');
		const other = await createClient(FIRST_HOUSE, 'Other', trip.id);
		const loans = [
			{ clientId: trip.clientId, stockId: two, lend: true },
			{ clientId: trip.clientId, stockId: one, lend: true },
			{ clientId: other, stockId: one, lend: true }
		];
		await expect(saveLoans(FIRST_HOUSE, trip.id, loans)).rejects.toThrow('There are 1 of');
		expect(await getLoans(trip.id)).toEqual([]);
		await saveLoans(FIRST_HOUSE, trip.id, loans.slice(0, 2));
		expect(await getLoans(trip.id)).toHaveLength(2);
		await expect(lend({ id: trip.id, clientId: 'nobody' }, two)).rejects.toThrow(NotFoundError);
		await expect(saveLoans('another-house', trip.id, loans.slice(0, 1))).rejects.toThrow(NotFoundError);
	});
	it('waits for what is at the mender’s', async () => {
		const [gone, back] = [
			await coats({ state: 'mending' }),
			await coats({ state: 'mending', backOn: '2027-04-01' })
		];
		const trip = await tripOn('Spring', '2027-04-01');
		await expect(lend(trip, gone)).rejects.toThrow('It is not ready before it is mended.');
		await lend(trip, back);
	});
	it('of the last piece goes to one of two planners, and the other is told', async () => {
		const stockId = await coats();
		const trips = [await tripOn('Left', '2027-05-01'), await tripOn('Right', '2027-05-01')];
		const done = await Promise.allSettled(trips.map((trip) => lend(trip, stockId)));
		expect(done.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
		const refused = done.find((one) => one.status === 'rejected') as PromiseRejectedResult;
		expect(refused.reason).toBeInstanceOf(TakenError);
		expect(String(refused.reason)).toMatch(/1 on “(Left|Right)” at that time: 0 left, 1 wanted/);
	});
});
