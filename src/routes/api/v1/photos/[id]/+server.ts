import { housePhoto } from '$lib/server/db/guests/photos';
import { api, param, picture } from '$lib/server/http';

/** A photo that a client of the house sent. */
export const GET = api(async (event) => picture(await housePhoto(event.locals.houseId, param(event, 'id'))));
