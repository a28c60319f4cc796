import { orNotFound } from '$lib/server/http';
import { answersOn } from '$lib/server/plans/answers-page';

export const load = ({ params, locals }) =>
	orNotFound(answersOn(locals.houseId, params.id, locals.who?.accountId ?? null));
