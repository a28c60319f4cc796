import { keptOf } from '$lib/server/db/guests/kept';
import { orNotFound } from '$lib/server/http';

export async function load({ params, locals }) {
	const kept = await orNotFound(keptOf(locals.houseId, params.id));
	return {
		id: params.id,
		name: String(kept['clients']![0]!['name']),
		counts: Object.entries(kept)
			.filter(([name, list]) => name !== 'clients' && list.length > 0)
			.map(([name, list]) => ({ name, many: list.length }))
	};
}
