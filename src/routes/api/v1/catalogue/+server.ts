import { api } from '$lib/server/http';
import { typeName } from '$lib/words/garments';
import { kitHits, understood } from '$lib/words/kit-search/kit-search';

/** Longest phrase that is read, characters. */
const MOST_CHARACTERS = 200;

/** Types of the catalogue that a phrase may mean, the likeliest first, and what was understood of it. */
export const GET = api(async ({ url }) => {
	const phrase = (url.searchParams.get('q') ?? '').slice(0, MOST_CHARACTERS);
	return {
		understood: understood(phrase),
		hits: kitHits(phrase).map(({ type, score, exact }) => ({
			typeId: type.id,
			name: typeName(type.id),
			group: type.group,
			exact,
			score: Math.round(score * 100) / 100
		}))
	};
});
