import type { Client } from '$lib/core/document/types';
import { type EverybodyBrings, sharedWith } from '$lib/core/kit/own-lines';
import { type Db, rows, write } from '../pool';

interface RowOfAll extends Omit<EverybodyBrings, 'litres' | 'broughtBy' | 'forIds'> {
	litres: string;
	isForSome: number;
}

/**
 * The rows of what everybody brings on a trip. What somebody brought for others who is not on the trip any more, or for
 * nobody who still is, each brings again.
 */
export async function everybodyOf(tripId: string, db: Db): Promise<EverybodyBrings[]> {
	const found = await rows<RowOfAll>(
		db,
		`SELECT id, what, type_id AS typeId, many, why, litres, mass_g AS massG, is_for_some AS isForSome
		 FROM everybody_brings WHERE trip_id = ? ORDER BY position`,
		[tripId]
	);
	if (found.length === 0) return [];
	const named = await rows<{ rowId: string; clientId: string; brings: number }>(
		db,
		`SELECT b.row_id AS rowId, b.client_id AS clientId, b.brings FROM brought_for_others b
			JOIN trip_clients tc ON tc.trip_id = b.trip_id AND tc.client_id = b.client_id
			JOIN clients c ON c.id = b.client_id AND c.deleted_at IS NULL
		 WHERE b.trip_id = ? ORDER BY tc.enrolled_at, b.client_id`,
		[tripId]
	);
	return found.map(({ isForSome, litres, ...row }) => {
		const own = named.filter(({ rowId }) => rowId === row.id);
		const by = own.find(({ brings }) => brings === 1)?.clientId ?? null;
		const forIds = own.filter(({ brings }) => brings === 0).map(({ clientId }) => clientId);
		const isBrought = by !== null && (isForSome === 0 || forIds.length > 0);
		return {
			...row,
			litres: Number(litres),
			broughtBy: isBrought ? by : null,
			forIds: isBrought ? forIds : []
		};
	});
}

/** Clients of a trip with what each carries for others, and what others bring for each. */
export async function withSharing(tripId: string, clients: readonly Client[], db: Db): Promise<Client[]> {
	const everybody = await everybodyOf(tripId, db);
	return clients.map((client) => ({ ...client, ...sharedWith(client.id, everybody) }));
}

/** Writes what everybody brings on a trip that has no such list. */
export async function insertEverybody(
	db: Db,
	tripId: string,
	list: readonly EverybodyBrings[]
): Promise<void> {
	for (const [position, row] of list.entries()) {
		await write(
			db,
			`INSERT INTO everybody_brings
				(trip_id, id, position, what, type_id, many, why, is_for_some, litres, mass_g)
			 VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				tripId,
				row.id,
				position,
				row.what,
				row.typeId,
				row.many,
				row.why,
				row.forIds.length > 0,
				row.litres,
				row.massG
			]
		);
		if (row.broughtBy === null) continue;
		for (const clientId of new Set([row.broughtBy, ...row.forIds]))
			await write(
				db,
				'INSERT INTO brought_for_others (trip_id, row_id, client_id, brings) VALUES (?, ?, ?, ?)',
				[tripId, row.id, clientId, clientId === row.broughtBy]
			);
	}
}
