/** On a phone its own drawing comes with the page, so that the server draws it, too. */
export async function load({ data }) {
	return {
		...data,
		PlanPhone: data.isPhone ? (await import('$lib/ui/plan/PlanPhone.svelte')).default : null
	};
}
