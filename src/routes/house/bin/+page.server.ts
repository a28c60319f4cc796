import { BIN_DAYS, deletedIn, emptyBin } from '$lib/server/db/bin/deleted';

/** The bin is emptied of what is older than its days when somebody looks into it: nobody could bring it back from here. */
export const load = async ({ locals }) => {
	const now = new Date();
	await emptyBin(locals.houseId, now);
	return { days: BIN_DAYS, deleted: await deletedIn(locals.houseId, now) };
};
