import { listFileSchema } from '$lib/formats/schema/lending/lists';
import { listCsv, listXlsx } from '$lib/server/files/list-files';
import { api, file, param, queryOf, unitsOf } from '$lib/server/http';
import { clientList } from '$lib/server/plans/client-list';
import { listRows } from '$lib/words/remedy/list-story';

/** A client's list: as JSON, or as a file that a spreadsheet opens. */
export const GET = api(async (event) => {
	const { as } = queryOf<{ as: 'json' | 'csv' | 'xlsx' }>(event.url, listFileSchema);
	const list = await clientList(event.locals.houseId, param(event, 'id'), param(event, 'clientId'));
	const rows = listRows(
		{ ...list, stages: list.trip.stages, lentIds: new Set(list.lentIds) },
		unitsOf(event)
	);
	if (as === 'json') return { clientId: list.client.id, rows };
	const name = `${list.client.name} - ${list.trip.name}`;
	return as === 'csv'
		? file(listCsv(rows), `${name}.csv`, 'text/csv; charset=utf-8')
		: file(
				await listXlsx(list.client.name, rows),
				`${name}.xlsx`,
				'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
			);
});
