import { dueInHouse } from '$lib/server/plans/due';

export const load = async ({ locals }) => {
	const today = new Date().toISOString().slice(0, 10);
	return { today, due: await dueInHouse(locals.houseId, today) };
};
