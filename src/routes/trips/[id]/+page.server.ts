import { climate } from '$lib/server/climate';
import { getDocument, listClients } from '$lib/server/db/clients';
import { listPatterns } from '$lib/server/db/patterns';
import { wishesOfTrip } from '$lib/server/db/wishes';
import { orNotFound } from '$lib/server/http';

export async function load({ params, depends, locals }) {
	depends('app:trip');
	const [document, everybody, patterns, places, wishes] = await Promise.all([
		orNotFound(getDocument(locals.houseId, params.id)),
		listClients(locals.houseId),
		listPatterns(locals.houseId),
		climate.places(),
		wishesOfTrip(params.id)
	]);
	return {
		document,
		everybody,
		patterns,
		places,
		wishes: Object.fromEntries(wishes),
		climateName: climate.name
	};
}
