import { canBeLent, DAYS_BETWEEN, lentThing, type StockItem } from '$lib/core/remedy/lending/stock';
import type { Thing } from '$lib/core/document/types';
import { thingFacts } from '$lib/formats/schema/thing';
import { type Db, inTransaction, NotFoundError, pool, rows, TakenError, write } from '../pool';
import { checked, parsed } from '../stored';
import { datesOf, type TripDates } from './on-trip';
import { getStock } from './stock';

/** Who gets what of the stock on a trip. */

/** A loan that somebody has settled: made, or not to be made. */
export interface SettledOnTrip {
	clientId: string;
	stockId: string;
	lend: boolean;
}
/** What is to be settled; null opens it again. */
export interface LoanChange extends Omit<SettledOnTrip, 'lend'> {
	lend: boolean | null;
}

/** Clients who are on the trip of a loan. */
const ON_TRIP = `JOIN trip_clients tc ON tc.trip_id = l.trip_id AND tc.client_id = l.client_id
	JOIN clients c ON c.id = l.client_id AND c.deleted_at IS NULL`;

/** What is settled on a trip, of clients who are on it. */
export const getLoans = async (tripId: string, db: Db = pool()): Promise<SettledOnTrip[]> =>
	(
		await rows<{ clientId: string; stockId: string; lend: number }>(
			db,
			`SELECT l.client_id AS clientId, l.stock_id AS stockId, l.lend FROM loans l ${ON_TRIP}
			 WHERE l.trip_id = ? ORDER BY l.client_id, l.stock_id`,
			[tripId]
		)
	).map((row) => ({ ...row, lend: row.lend === 1 }));

/** Things that the house lends on a trip, by client: part of the kit there. */
export async function lentOn(tripId: string, db: Db): Promise<Map<string, Thing[]>> {
	const found = await rows<{ clientId: string; id: string; typeId: string; name: string; facts: string }>(
		db,
		`SELECT l.client_id AS clientId, s.id, s.type_id AS typeId, s.name, s.facts
		 FROM loans l JOIN stock s ON s.id = l.stock_id WHERE l.trip_id = ? AND l.lend = 1 ORDER BY l.client_id, l.stock_id`,
		[tripId]
	);
	const things = new Map<string, Thing[]>();
	for (const { clientId, facts, ...item } of found) {
		const known = checked<Thing['facts']>('stock', thingFacts, parsed('stock', 'facts', facts));
		things.set(clientId, [...(things.get(clientId) ?? []), lentThing({ ...item, facts: known })]);
	}
	return things;
}

/** Other trips that have some of the stock while a trip is on, or so close to it that nothing dries in between. */
const elsewhere = async (
	houseId: string,
	tripId: string,
	{ firstDate, lastDate }: TripDates,
	db: Db
): Promise<{ stockId: string; trip: string; many: number }[]> =>
	firstDate === null || lastDate === null
		? []
		: rows(
				db,
				`SELECT l.stock_id AS stockId, t.name AS trip, CAST(COUNT(*) AS SIGNED) AS many
				 FROM loans l JOIN trips t ON t.id = l.trip_id AND t.deleted_at IS NULL ${ON_TRIP}
				 WHERE l.lend = 1 AND t.house_id = ? AND t.id <> ?
				 AND t.first_date <= DATE_ADD(?, INTERVAL ? DAY) AND t.last_date >= DATE_SUB(?, INTERVAL ? DAY)
				 GROUP BY l.stock_id, t.id, t.name ORDER BY t.name`,
				[houseId, tripId, lastDate, DAYS_BETWEEN, firstDate, DAYS_BETWEEN]
			);

/** The stock as a trip can have it. */
export interface StockForTrip extends StockItem {
	/** how many of it no other trip has, and are ready when this one leaves */
	free: number;
	/** who else has it then */
	elsewhere: { trip: string; many: number }[];
}

/** The stock of a house as a trip can have it. @throws NotFoundError */
export async function stockForTrip(
	houseId: string,
	tripId: string,
	db: Db = pool()
): Promise<StockForTrip[]> {
	const dates = await datesOf(houseId, tripId, db);
	const others = await elsewhere(houseId, tripId, dates, db);
	return (await getStock(houseId, db)).map((item) => {
		const own = others.filter(({ stockId }) => stockId === item.id);
		const away = own.reduce((sum, { many }) => sum + many, 0);
		return {
			...item,
			free: canBeLent(item, dates.firstDate) ? item.pieces - away : 0,
			elsewhere: own.map(({ trip, many }) => ({ trip, many }))
		};
	});
}

/**
 * Settles loans of a trip, all or none. Two planners at the last piece: whoever comes second is told who has it.
 * @throws NotFoundError when trip, client or stock is not there
 * @throws TakenError when there is not enough
 */
export async function saveLoans(
	houseId: string,
	tripId: string,
	changes: readonly LoanChange[]
): Promise<void> {
	await inTransaction(async (db) => {
		// What is lent is locked before anything is counted, in one order for all who come.
		const stockIds = [...new Set(changes.map(({ stockId }) => stockId))].sort();
		for (const id of stockIds) {
			const [found] = await rows(db, 'SELECT id FROM stock WHERE id = ? AND house_id = ? FOR UPDATE', [
				id,
				houseId
			]);
			if (!found) throw new NotFoundError('stock');
		}
		const enrolled = await rows<{ client_id: string }>(
			db,
			'SELECT client_id FROM trip_clients WHERE trip_id = ?',
			[tripId]
		);
		for (const { clientId, stockId, lend } of changes) {
			if (!enrolled.some(({ client_id }) => client_id === clientId))
				throw new NotFoundError('client of the trip');
			if (lend === null)
				await write(db, 'DELETE FROM loans WHERE trip_id = ? AND client_id = ? AND stock_id = ?', [
					tripId,
					clientId,
					stockId
				]);
			else
				await write(
					db,
					`INSERT INTO loans (trip_id, client_id, stock_id, lend) VALUES (?, ?, ?, ?)
					 ON DUPLICATE KEY UPDATE lend = VALUES(lend)`,
					[tripId, clientId, stockId, lend]
				);
		}
		const stock = await stockForTrip(houseId, tripId, db);
		const settled = await getLoans(tripId, db);
		for (const id of stockIds) {
			if (!changes.some((one) => one.stockId === id && one.lend)) continue;
			const item = stock.find((one) => one.id === id);
			if (!item) throw new NotFoundError('stock');
			const many = settled.filter((one) => one.stockId === id && one.lend).length;
			if (many > item.free) throw new TakenError(takenWords(item, many));
		}
	});
}

/** Why there is not enough of something, in words. */
function takenWords(
	{ name, label, pieces, free, state, backOn, elsewhere: away }: StockForTrip,
	many: number
): string {
	const what = label === '' ? name : `${name} (${label})`;
	const others = away.map(({ trip, many: own }) => `${own} on “${trip}”`).join(', ');
	const mending =
		state === 'mending' || backOn !== null ? ` It is not ready before ${backOn ?? 'it is mended'}.` : '';
	return others !== ''
		? `There are ${pieces} of ${what}, ${others} at that time: ${Math.max(0, free)} left, ${many} wanted.`
		: `There are ${Math.max(0, free)} of ${what}, ${many} wanted.${mending}`;
}
