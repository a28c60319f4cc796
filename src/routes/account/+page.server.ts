import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { otherPasswordSchema } from '$lib/formats/schema/people/account';
import { changePassword, passwordHashOf } from '$lib/server/db/accounts/accounts';
import { endSession, endSessions } from '$lib/server/db/accounts/sessions';
import { mayTry } from '$lib/server/db/accounts/tries';
import { enter, TOO_MANY, typedInto } from '$lib/server/sign-in/enter';
import { SESSION_COOKIE } from '$lib/server/sign-in/guard';
import { hashedPassword, isPassword, LEAST_LETTERS } from '$lib/server/sign-in/password';

export const load = ({ url }) => ({
	leastLetters: LEAST_LETTERS,
	isTurnedAway: url.searchParams.has('not-yours'),
	isChanged: url.searchParams.has('changed')
});

function leave({ cookies }: RequestEvent): never {
	cookies.delete(SESSION_COOKIE, { path: '/' });
	redirect(303, '/sign-in');
}

export const actions = {
	out: async (event) => {
		const secret = event.cookies.get(SESSION_COOKIE);
		if (secret) await endSession(secret);
		return leave(event);
	},
	everywhere: async (event) => {
		const { who } = event.locals;
		// Others are in the demo by the same account.
		if (who?.accountId && !who.isDemo) await endSessions(who.accountId);
		return leave(event);
	},
	password: async (event) => {
		const id = event.locals.who?.accountId;
		const { typed, errors } = await typedInto<{ old: string; password: string }>(
			event.request,
			otherPasswordSchema(LEAST_LETTERS)
		);
		if (errors) return fail(400, { errors });
		if (!id || !(await mayTry(id, event.getClientAddress()))) return fail(429, { errors: { old: TOO_MANY } });
		if (!(await isPassword(typed.old, await passwordHashOf(id))))
			return fail(400, { errors: { old: 'This is not the password that you have.' } });
		await changePassword(id, await hashedPassword(typed.password));
		await enter(event, id);
		redirect(303, '/account?changed');
	}
};
