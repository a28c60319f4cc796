import { marksOn } from '$lib/server/db/guests/said';
import { clientList } from '$lib/server/plans/client-list';
import { orNotFound } from '$lib/server/http';

export async function load({ params: { id, clientId }, locals }) {
	const list = await orNotFound(clientList(locals.houseId, id, clientId));
	const marks = (await marksOn(id, clientId)).get(clientId) ?? [];
	return { ...list, marks: Object.fromEntries(marks.map(({ lineId, mark }) => [lineId, mark])) };
}
