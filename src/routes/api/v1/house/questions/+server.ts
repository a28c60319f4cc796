import { houseQuestionSchema } from '$lib/formats/schema/people/answers';
import { addHouseQuestion, type HouseQuestion } from '$lib/server/db/guests/house-questions';
import { api, bodyOf } from '$lib/server/http';

/** One more question for all clients of the house. */
export const POST = api(async ({ request, locals }) => {
	const question = await bodyOf<Omit<HouseQuestion, 'id'>>(request, houseQuestionSchema);
	return { id: await addHouseQuestion(locals.houseId, question) };
}, 201);
