import { ownDocument } from '$lib/server/db/clients';
import { getLoans, stockForTrip } from '$lib/server/db/lending/loans';
import { inSnapshot } from '$lib/server/db/pool';
import { orNotFound } from '$lib/server/http';

export const load = ({ params, locals }) =>
	orNotFound(
		inSnapshot(async (db) => ({
			document: await ownDocument(locals.houseId, params.id, db),
			stock: await stockForTrip(locals.houseId, params.id, db),
			settled: await getLoans(params.id, db)
		}))
	);
