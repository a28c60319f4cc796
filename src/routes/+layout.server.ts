import { unitsOf } from '$lib/server/http';

/** What every page knows: who reads it, and in which units, from their own cookie. */
export function load({ cookies, depends, request, locals }) {
	depends('app:units');
	const { who } = locals;
	return {
		units: unitsOf({ cookies, request }),
		who: who && { name: who.name, role: who.role, house: who.house, isDemo: who.isDemo }
	};
}
