import { climate } from '$lib/server/climate';
import { getDocument, listClients } from '$lib/server/db/clients';
import { listPatterns } from '$lib/server/db/patterns';
import { wishesOfTrip } from '$lib/server/db/plans';
import { orNotFound } from '$lib/server/http';

export async function load({ params, depends }) {
	depends('app:trip');
	const [document, everybody, patterns, places, wishes] = await Promise.all([
		orNotFound(getDocument(params.id)),
		listClients(),
		listPatterns(),
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
