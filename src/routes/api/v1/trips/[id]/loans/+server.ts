import { loansEditSchema } from '$lib/formats/schema/lending/stock';
import { getLoans, type LoanChange, saveLoans } from '$lib/server/db/lending/loans';
import { getTrip } from '$lib/server/db/trips';
import { api, bodyOf, param } from '$lib/server/http';

/** Loans of a trip that are settled. */
export const GET = api(async (event) => {
	await getTrip(event.locals.houseId, param(event, 'id'));
	return getLoans(param(event, 'id'));
});
/** Settles some of them; the others stay as they are. */
export const PATCH = api(async (event) => {
	const { loans } = await bodyOf<{ loans: LoanChange[] }>(event.request, loansEditSchema);
	await saveLoans(event.locals.houseId, param(event, 'id'), loans);
});
