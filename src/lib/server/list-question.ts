import type { ClientsQuestion, SeasonQuestion } from './db/lists';

/** Trips on one page, and clients. */
const TRIPS = 15;
const CLIENTS = 30;

const searchIn = (url: URL): string => (url.searchParams.get('q') ?? '').slice(0, 120);
/** Where the page that an address asks for begins. */
function pageIn(url: URL, limit: number): { limit: number; offset: number } {
	const page = Math.max(1, Math.floor(Number(url.searchParams.get('page') ?? 1)) || 1);
	return { limit, offset: (page - 1) * limit };
}

/** What an address asks of the season: `?q=words&when=ahead|past&page=1`. */
export const seasonQuestion = (url: URL): SeasonQuestion => ({
	search: searchIn(url),
	today: new Date().toISOString().slice(0, 10),
	when: url.searchParams.get('when') === 'past' ? 'past' : 'ahead',
	...pageIn(url, TRIPS)
});

/** What an address asks of the clients: `?q=words&page=1`. */
export const clientsQuestion = (url: URL): ClientsQuestion => ({
	search: searchIn(url),
	...pageIn(url, CLIENTS)
});
