import { dropPhoto, ownPhoto } from '$lib/server/db/guests/photos';
import { api, param, picture } from '$lib/server/http';

export const GET = api(async (event) => picture(await ownPhoto(event.locals.guest!, param(event, 'id'))));

export const DELETE = api((event) => dropPhoto(event.locals.guest!, param(event, 'id')));
