import { climate } from '$lib/server/climate';
import { seasonPage } from '$lib/server/db/lists';
import { seasonQuestion } from '$lib/server/list-question';

export async function load({ url, depends, locals }) {
	depends('app:season');
	const question = seasonQuestion(url);
	const [season, places] = await Promise.all([seasonPage(locals.houseId, question), climate.places()]);
	return { ...season, question, places };
}
