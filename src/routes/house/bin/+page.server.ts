import { BIN_DAYS, deletedIn } from '$lib/server/db/bin/deleted';

export const load = async ({ locals }) => ({
	days: BIN_DAYS,
	deleted: await deletedIn(locals.houseId, new Date())
});
