import { clientPage } from '$lib/server/db/lists';
import { clientsQuestion } from '$lib/server/list-question';

export async function load({ url, depends, locals }) {
	depends('app:clients');
	const question = clientsQuestion(url);
	return { ...(await clientPage(locals.houseId, question)), question };
}
