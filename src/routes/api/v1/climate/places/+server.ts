import { climate } from '$lib/server/climate';
import { api } from '$lib/server/http';

export const GET = api(async () => ({ service: climate.name, places: await climate.places() }));
