import { isThereSchema } from '$lib/formats/schema/lending/decision';
import { setThere, takeBack } from '$lib/server/db/lending/decisions';
import { api, bodyOf, param } from '$lib/server/http';

export const PATCH = api(async (event) => {
	const { isThere } = await bodyOf<{ isThere: boolean }>(event.request, isThereSchema);
	const [tripId, clientId, typeId] = [param(event, 'id'), param(event, 'clientId'), param(event, 'typeId')];
	await setThere(event.locals.houseId, tripId, clientId, typeId, isThere);
});
export const DELETE = api(async (event) =>
	takeBack(event.locals.houseId, param(event, 'id'), param(event, 'clientId'), param(event, 'typeId'))
);
