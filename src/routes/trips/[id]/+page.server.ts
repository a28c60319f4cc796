import { climate } from '$lib/server/climate';
import { getHouse } from '$lib/server/db/house';
import { clientsOfTrip } from '$lib/server/db/lists';
import { listPatterns } from '$lib/server/db/patterns';
import { getTrip } from '$lib/server/db/trips';
import { wishesOfTrip } from '$lib/server/db/wishes';
import { orNotFound } from '$lib/server/http';

export async function load({ params, depends, locals }) {
	depends('app:trip');
	const [trip, clients, house, patterns, places, wishes] = await Promise.all([
		orNotFound(getTrip(locals.houseId, params.id)),
		clientsOfTrip(params.id),
		getHouse(locals.houseId),
		listPatterns(locals.houseId),
		climate.places(),
		wishesOfTrip(params.id)
	]);
	return {
		trip,
		clients,
		house: house.schools,
		patterns,
		places,
		wishes: Object.fromEntries(wishes),
		climateName: climate.name
	};
}
