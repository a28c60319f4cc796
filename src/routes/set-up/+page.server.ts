import { fail, redirect } from '@sveltejs/kit';
import { setUpSchema } from '$lib/formats/schema/people/account';
import { enteredInDemo, isSetUp, setUpHouse } from '$lib/server/db/accounts/accounts';
import { TakenError } from '$lib/server/db/pool';
import { enter, typedInto } from '$lib/server/sign-in/enter';
import { hashedPassword, LEAST_LETTERS } from '$lib/server/sign-in/password';

export async function load() {
	if (await isSetUp()) redirect(303, '/sign-in');
	return { leastLetters: LEAST_LETTERS, entered: await enteredInDemo() };
}

interface SetUp {
	house: string;
	name: string;
	mail: string;
	password: string;
	takesAlong?: 'on';
}

export const actions = {
	default: async (event) => {
		const { typed, errors } = await typedInto<SetUp>(event.request, setUpSchema(LEAST_LETTERS));
		if (errors) return fail(400, { typed, errors });
		const { house, name, mail, password, takesAlong } = typed;
		try {
			await enter(
				event,
				await setUpHouse(house, { name, mail }, await hashedPassword(password), takesAlong === 'on')
			);
		} catch (trouble) {
			if (!(trouble instanceof TakenError)) throw trouble;
			return fail(409, { typed: { house, name, mail }, errors: { house: trouble.message } });
		}
		redirect(303, '/');
	}
};
