import { unitsOf } from '$lib/server/http';

/** What every page knows: the units of whoever reads it, from their own cookie. */
export function load({ cookies, depends, request }) {
	depends('app:units');
	return { units: unitsOf({ cookies, request }) };
}
