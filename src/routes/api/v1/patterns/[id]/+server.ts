import { setPatternDeleted } from '$lib/server/db/patterns';
import { api, param } from '$lib/server/http';

export const DELETE = api(async (event) => setPatternDeleted(param(event, 'id'), true));
