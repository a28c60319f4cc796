import type { EverybodyBrings } from '$lib/core/kit/own-lines';
import { type Db, rows } from '../pool';
import { parsed } from '../stored';

/**
 * The rows of what everybody brings on a trip. What somebody brought for others who is not on the trip any more, or for
 * nobody who still is, each brings again.
 */
export async function everybodyOf(tripId: string, db: Db): Promise<EverybodyBrings[]> {
	const found = await rows<Omit<EverybodyBrings, 'forIds' | 'litres'> & { forIds: string; litres: string }>(
		db,
		`SELECT id, what, type_id AS typeId, many, why, brought_by AS broughtBy, for_ids AS forIds, litres, mass_g AS massG
		 FROM everybody_brings WHERE trip_id = ? ORDER BY position`,
		[tripId]
	);
	const there = new Set(
		(
			await rows<{ id: string }>(
				db,
				`SELECT c.id FROM trip_clients tc JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
				 WHERE tc.trip_id = ?`,
				[tripId]
			)
		).map(({ id }) => id)
	);
	return found.map((row) => {
		const named = parsed('list', 'forIds', row.forIds) as string[];
		const forIds = named.filter((id) => there.has(id));
		const isBrought =
			row.broughtBy !== null && there.has(row.broughtBy) && (named.length === 0 || forIds.length > 0);
		return {
			...row,
			litres: Number(row.litres),
			broughtBy: isBrought ? row.broughtBy : null,
			forIds: isBrought ? forIds : []
		};
	});
}
