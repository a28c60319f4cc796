import { climate } from '$lib/server/climate';
import { getDocument, listClients } from '$lib/server/db/clients';
import { listPatterns } from '$lib/server/db/patterns';
import { orNotFound } from '$lib/server/http';

export async function load({ params, depends }) {
	depends('app:trip');
	const [document, everybody, patterns, places] = await Promise.all([
		orNotFound(getDocument(params.id)),
		listClients(),
		listPatterns(),
		climate.places()
	]);
	return { document, everybody, patterns, places, climateName: climate.name };
}
