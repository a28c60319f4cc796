import { setQuestionDeleted } from '$lib/server/db/guests/house-questions';
import { api, param } from '$lib/server/http';

/** Stops asking a question. */
export const DELETE = api((event) => setQuestionDeleted(event.locals.houseId, param(event, 'id'), true));
/** Asks it again. */
export const POST = api((event) => setQuestionDeleted(event.locals.houseId, param(event, 'id'), false));
