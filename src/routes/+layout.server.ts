import { unitsFrom } from '$lib/words/units';

/** What every page knows: the units of whoever reads it, from their own cookie. */
export function load({ cookies, depends, request }) {
	depends('app:units');
	return { units: unitsFrom(cookies.get('units'), request.headers.get('accept-language') ?? '') };
}
