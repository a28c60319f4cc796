import type { Wish } from '$lib/core/document/wish';
import { wishList } from '$lib/formats/schema/wish';
import { ConflictError, type Db, inTransaction, pool, rows, type Value, write } from './pool';
import { checked, parsed } from './stored';

/** What a guide wishes of one plan. */
export interface PlanWishes {
	wishes: Wish[];
	/** changes more a day for a lighter pack */
	spareChanges: number;
	version: number;
}

const NO_WISHES: PlanWishes = { wishes: [], spareChanges: 0, version: 0 };

interface WishRow {
	client_id: string;
	wishes: string;
	spare_changes: number;
	version: number;
}

/** Wishes of all clients of a trip, by client; who has none is not in it. */
export async function wishesOfTrip(tripId: string, db: Db = pool()): Promise<Map<string, PlanWishes>> {
	const found = await rows<WishRow>(
		db,
		'SELECT client_id, wishes, spare_changes, version FROM plan_wishes WHERE trip_id = ?',
		[tripId]
	);
	return new Map(
		found.map((row) => [
			row.client_id,
			{
				wishes: checked<Wish[]>('wishes', wishList, parsed('wishes', 'wishes', row.wishes)),
				spareChanges: row.spare_changes,
				version: row.version
			}
		])
	);
}

export const getWishes = async (tripId: string, clientId: string): Promise<PlanWishes> =>
	(await wishesOfTrip(tripId)).get(clientId) ?? NO_WISHES;

/** Saves wishes and returns the new version. @throws ConflictError when somebody saved meanwhile */
export const saveWishes = (
	tripId: string,
	clientId: string,
	{ wishes, spareChanges, version }: PlanWishes
): Promise<number> =>
	inTransaction(async (db) => {
		const said: Value[] = [JSON.stringify(wishes), spareChanges, tripId, clientId];
		// The first wishes add a row, unless somebody was quicker; all others change the one that is there.
		const touched =
			version === 0
				? await write(
						db,
						`INSERT IGNORE INTO plan_wishes (wishes, spare_changes, trip_id, client_id, version) VALUES (?, ?, ?, ?, 1)`,
						said
					)
				: await write(
						db,
						`UPDATE plan_wishes SET wishes = ?, spare_changes = ?, version = version + 1
						 WHERE trip_id = ? AND client_id = ? AND version = ?`,
						[...said, version]
					);
		if (touched === 0) throw new ConflictError('wishes');
		return version + 1;
	});
