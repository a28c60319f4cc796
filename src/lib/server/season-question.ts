import type { SeasonQuestion } from './db/season';

/** Trips on one page. */
export const PAGE_SIZE = 15;

/** What an address asks of the season. */
export function seasonQuestion(url: URL): SeasonQuestion {
	const page = Math.max(1, Math.floor(Number(url.searchParams.get('page') ?? 1)) || 1);
	return {
		search: (url.searchParams.get('q') ?? '').slice(0, 120),
		today: new Date().toISOString().slice(0, 10),
		when: url.searchParams.get('when') === 'past' ? 'past' : 'ahead',
		limit: PAGE_SIZE,
		offset: (page - 1) * PAGE_SIZE
	};
}
