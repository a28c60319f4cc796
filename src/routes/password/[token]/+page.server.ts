import { fail, redirect } from '@sveltejs/kit';
import { newPasswordSchema } from '$lib/formats/schema/people/account';
import { choosePassword, linkFor } from '$lib/server/db/accounts/accounts';
import { NotFoundError } from '$lib/server/db/pool';
import { enter, typedInto } from '$lib/server/sign-in/enter';
import { hashedPassword, LEAST_LETTERS } from '$lib/server/sign-in/password';

export async function load({ params }) {
	const account = await linkFor(params.token);
	return { person: account && { name: account.name, mail: account.mail }, leastLetters: LEAST_LETTERS };
}

export const actions = {
	default: async (event) => {
		const { typed, errors } = await typedInto<{ password: string }>(
			event.request,
			newPasswordSchema(LEAST_LETTERS)
		);
		if (errors) return fail(400, { errors });
		// Who has no link gives the server no work.
		if (!(await linkFor(event.params.token))) return fail(404, { errors: {} });
		try {
			const account = await choosePassword(event.params.token, await hashedPassword(typed.password));
			await enter(event, account.id);
		} catch (trouble) {
			if (!(trouble instanceof NotFoundError)) throw trouble;
			return fail(404, { errors: {} });
		}
		redirect(303, '/');
	}
};
