import { fail, redirect } from '@sveltejs/kit';
import { demoAccount, isSetUp } from '$lib/server/db/accounts/accounts';
import { enter, pathWanted, signIn } from '$lib/server/sign-in/enter';

export async function load({ locals, url }) {
	if (locals.who) redirect(303, pathWanted(url));
	const [isOwn, demo] = await Promise.all([isSetUp(), demoAccount()]);
	return { isSetUp: isOwn, hasDemo: demo !== null };
}

export const actions = {
	mine: async (event) => {
		const refused = await signIn(event);
		if (refused) return fail(refused.status, refused);
		redirect(303, pathWanted(event.url));
	},
	/** Everybody who reaches the app may look at the demo: it is made up. */
	demo: async (event) => {
		const demo = await demoAccount();
		if (demo) await enter(event, demo);
		redirect(303, pathWanted(event.url));
	}
};
