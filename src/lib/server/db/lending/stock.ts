import type { StockItem, StockState } from '$lib/core/remedy/lending/stock';
import { thingFacts } from '$lib/formats/schema/thing';
import { typeName } from '$lib/words/garments';
import { randomUUID } from 'node:crypto';
import { ConflictError, type Db, isoTime, NotFoundError, pool, rows, write } from '../pool';
import { checked, parsed } from '../stored';

/** What the house has to lend. */

interface StockRow {
	id: string;
	type_id: string;
	name: string;
	label: string;
	facts: string;
	pieces: number;
	state: StockState;
	back_on: string | null;
	cost: string;
	version: number;
	deleted_at: string | null;
}

const itemFrom = (row: StockRow): StockItem => ({
	id: row.id,
	typeId: row.type_id,
	name: row.name,
	label: row.label,
	facts: checked<StockItem['facts']>('stock', thingFacts, parsed('stock', 'facts', row.facts)),
	pieces: row.pieces,
	state: row.state,
	backOn: row.back_on,
	cost: Number(row.cost),
	version: row.version,
	deletedAt: isoTime(row.deleted_at)
});

/** The stock of a house, in the order in which it was entered. */
export const getStock = async (houseId: string, db: Db = pool()): Promise<StockItem[]> =>
	(
		await rows<StockRow>(
			db,
			'SELECT * FROM stock WHERE house_id = ? AND deleted_at IS NULL ORDER BY created_at, id',
			[houseId]
		)
	).map(itemFrom);

export type StockEdit = Omit<StockItem, 'id' | 'deletedAt'>;
export type NewStock = Omit<StockEdit, 'version' | 'name'> & { name?: string };

const valuesOf = ({
	typeId,
	name,
	label,
	facts,
	pieces,
	state,
	backOn,
	cost
}: Omit<StockEdit, 'version'>) => [typeId, name, label, JSON.stringify(facts), pieces, state, backOn, cost];

/** Puts something in stock as it stands. */
export const insertStock = async (
	db: Db,
	houseId: string,
	{ id, ...item }: Omit<StockEdit, 'version'> & { id: string }
): Promise<void> =>
	void (await write(
		db,
		`INSERT INTO stock (id, house_id, type_id, name, label, facts, pieces, state, back_on, cost)
		 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		[id, houseId, ...valuesOf(item)]
	));

/** Enters something that the house has, and returns its id. */
export async function addStock(houseId: string, item: NewStock): Promise<string> {
	const id = randomUUID();
	await insertStock(pool(), houseId, { ...item, id, name: item.name ?? typeName(item.typeId) });
	return id;
}

/** Saves what is known of a piece of stock and returns the new version. @throws ConflictError, NotFoundError */
export async function saveStock(houseId: string, id: string, edit: StockEdit): Promise<number> {
	const touched = await write(
		pool(),
		`UPDATE stock SET type_id = ?, name = ?, label = ?, facts = ?, pieces = ?, state = ?, back_on = ?, cost = ?,
		 version = version + 1 WHERE id = ? AND house_id = ? AND version = ? AND deleted_at IS NULL`,
		[...valuesOf(edit), id, houseId, edit.version]
	);
	if (touched > 0) return edit.version + 1;
	const now = (await getStock(houseId)).find((one) => one.id === id);
	throw now ? new ConflictError('stock', now) : new NotFoundError('stock');
}

/** Takes something out of stock, or brings it back; who has it keeps it. @throws NotFoundError */
export async function setStockDeleted(houseId: string, id: string, deleted: boolean): Promise<void> {
	const touched = await write(
		pool(),
		'UPDATE stock SET deleted_at = ?, version = version + 1 WHERE id = ? AND house_id = ?',
		[deleted ? new Date() : null, id, houseId]
	);
	if (touched === 0) throw new NotFoundError('stock');
}
