import { climate } from '$lib/server/climate';
import { pastTrips, seasonPage } from '$lib/server/db/season';
import { seasonQuestion } from '$lib/server/season-question';

export async function load({ url, depends }) {
	depends('app:season');
	const question = seasonQuestion(url);
	const [season, past, places] = await Promise.all([seasonPage(question), pastTrips(), climate.places()]);
	return { ...season, question, past, places };
}
