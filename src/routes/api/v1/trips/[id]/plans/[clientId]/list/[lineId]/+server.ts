import type { LineEdit } from '$lib/core/kit/own-lines';
import { id } from '$lib/formats/schema/common';
import { lineEditSchema } from '$lib/formats/schema/lending/lists';
import { saveEdit } from '$lib/server/db/packing/lists';
import { api, bodyOf, param } from '$lib/server/http';

/** Changes a line of a client's list by hand; an empty change takes it back. */
export const PUT = api(async (event) => {
	const edit = await bodyOf<Omit<LineEdit, 'lineId'>>(event.request, lineEditSchema);
	const lineId = param(event, 'lineId');
	if (id.validate(lineId).error)
		throw new RangeError(`lineId is ${lineId}, allowed are letters, digits and dashes`);
	await saveEdit(event.locals.houseId, param(event, 'id'), param(event, 'clientId'), {
		lineId,
		...edit
	});
});
