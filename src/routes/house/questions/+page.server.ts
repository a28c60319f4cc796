import { houseQuestions } from '$lib/server/db/guests/house-questions';

export const load = async ({ locals }) => ({
	questions: await houseQuestions(locals.houseId),
	taken: await houseQuestions(locals.houseId, true)
});
