import { type Db, pool, rows, write } from './pool';

/**
 * Names are found by any part of their words, in an index: `search_words` has each word from each of its letters on, so that
 * what stands in the middle of a word is the beginning of a row. Whoever writes a name writes its words in the same transaction.
 */

export type Named = 'trip' | 'client';

/** Letters of a word that are kept. */
const MOST_LETTERS = 40;

const partsOf = (text: string): string =>
	`LEFT(SUBSTRING_INDEX(SUBSTRING(${text}, letter.seq), ' ', 1), ${MOST_LETTERS})`;
/** Each letter of a text that is no space. */
const lettersOf = (text: string): string =>
	`seq_1_to_241 letter ON letter.seq <= CHAR_LENGTH(${text}) WHERE SUBSTRING(${text}, letter.seq, 1) <> ' '`;
const TRIP_TEXT = `CONCAT(t.name, ' ', t.place)`;

/** The words of a trip's name and place, or of a client's name, in place of those that it had. */
export async function putWords(
	db: Db,
	houseId: string,
	kind: Named,
	id: string,
	text: string
): Promise<void> {
	await write(db, 'DELETE FROM search_words WHERE kind = ? AND of_id = ?', [kind, id]);
	await write(
		db,
		`INSERT IGNORE INTO search_words (house_id, kind, word, of_id)
		 SELECT ?, ?, ${partsOf('own.text')}, ? FROM (SELECT ? AS text) own JOIN ${lettersOf('own.text')}`,
		[houseId, kind, id, text]
	);
}

/** The words of all names, where they were written without them. */
export async function putAllWords(db: Db): Promise<void> {
	await write(
		db,
		`INSERT IGNORE INTO search_words (house_id, kind, word, of_id)
		 SELECT t.house_id, 'trip', ${partsOf(TRIP_TEXT)}, t.id FROM trips t JOIN ${lettersOf(TRIP_TEXT)}`
	);
	await write(
		db,
		`INSERT IGNORE INTO search_words (house_id, kind, word, of_id)
		 SELECT c.house_id, 'client', ${partsOf('c.name')}, c.id FROM clients c JOIN ${lettersOf('c.name')}`
	);
}

/** Words of a question, as they begin in the index. */
export const wordsOf = (search: string): string[] => [
	...new Set(search.split(/\s+/).filter((word) => word !== ''))
];
const beginning = (word: string): string =>
	`${[...word]
		.slice(0, MOST_LETTERS)
		.join('')
		.replace(/[\\%_]/g, '\\$&')}%`;

/** Names of one kind that have a word, in the house: an id each. */
const HAVE_WORD = `(SELECT DISTINCT of_id FROM search_words WHERE house_id = ? AND kind = ? AND word LIKE ?)`;
const valuesOf = (houseId: string, kind: Named, word: string): string[] => [houseId, kind, beginning(word)];

/** Rows that one word of several may find, and one word alone in the box for going somewhere: who finds more needs another letter. */
const MOST_FOUND = 5000;
const MOST_ALONE = 200;

export interface NamedRow {
	id: string;
	name: string;
}
export interface TripRow extends NamedRow {
	leaves: string;
	ends: string;
}

/** Layer plans whose client, or whose trip, has a word. */
const PLANS_WITH: Readonly<Record<Named, string>> = {
	client: `${HAVE_WORD} w JOIN clients c ON c.id = w.of_id AND c.deleted_at IS NULL
		JOIN trip_clients tc ON tc.client_id = c.id JOIN trips t ON t.id = tc.trip_id AND t.deleted_at IS NULL`,
	trip: `${HAVE_WORD} w JOIN trips t ON t.id = w.of_id AND t.deleted_at IS NULL
		JOIN trip_clients tc ON tc.trip_id = t.id JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL`
};
const TRIP = 't.id, t.name, t.leaves, t.ends';

const tripsNamed = (houseId: string, word: string, most: number): Promise<TripRow[]> =>
	rows(
		pool(),
		`SELECT ${TRIP} FROM ${HAVE_WORD} w JOIN trips t ON t.id = w.of_id AND t.deleted_at IS NULL LIMIT ${most}`,
		valuesOf(houseId, 'trip', word)
	);
const tripsOfClientsNamed = (houseId: string, word: string): Promise<TripRow[]> =>
	rows(
		pool(),
		// A trip whose clients all have the word comes once.
		`SELECT DISTINCT ${TRIP} FROM ${PLANS_WITH.client} LIMIT ${MOST_FOUND}`,
		valuesOf(houseId, 'client', word)
	);
const clientsNamed = (houseId: string, word: string, most: number): Promise<NamedRow[]> =>
	rows(
		pool(),
		`SELECT c.id, c.name FROM ${HAVE_WORD} w
		 JOIN clients c ON c.id = w.of_id AND c.deleted_at IS NULL LIMIT ${most}`,
		valuesOf(houseId, 'client', word)
	);

/** The rows that are in every list, once each. */
function inAll<Row extends { id: string }>(lists: readonly (readonly Row[])[]): Row[] {
	const [first, ...others] = lists.map((list) => new Map(list.map((row) => [row.id, row])));
	return [...(first?.values() ?? [])].filter(({ id }) => others.every((own) => own.has(id)));
}
/** Made once: without it each comparison makes its own. */
const { compare } = new Intl.Collator();
export const byName = (a: { name: string }, b: { name: string }): number => compare(a.name, b.name);

/** Trips with all words in their name, their place or the names of their clients, each word anywhere. */
export const tripsWith = async (houseId: string, words: readonly string[]): Promise<TripRow[]> =>
	inAll(
		await Promise.all(
			words.map(async (word) => [
				...(await tripsNamed(houseId, word, MOST_FOUND)),
				...(await tripsOfClientsNamed(houseId, word))
			])
		)
	);
/** Clients with all words in their name, in the order of the names. */
export const clientsWith = async (houseId: string, words: readonly string[]): Promise<NamedRow[]> =>
	inAll(await Promise.all(words.map((word) => clientsNamed(houseId, word, MOST_FOUND)))).sort(byName);

interface PlanRow extends NamedRow {
	tripId: string;
}
const PLAN = `c.id, CONCAT(c.name, ', on ', t.name) AS name, t.id AS tripId`;
/** Layer plans with a word in their client's name, or in their trip's name or place. */
const plansNamed = async (houseId: string, word: string, most: number): Promise<PlanRow[]> =>
	(
		await Promise.all(
			(['client', 'trip'] as const).map((kind) =>
				rows<PlanRow>(
					pool(),
					`SELECT ${PLAN} FROM ${PLANS_WITH[kind]} LIMIT ${most}`,
					valuesOf(houseId, kind, word)
				)
			)
		)
	).flat();

/** Plans, kits and trips with all of some words. Of plans those are read that have the rarest word, and the others looked up. */
async function foundByWords(
	houseId: string,
	words: readonly string[]
): Promise<[PlanRow[], NamedRow[], NamedRow[]]> {
	const most = words.length === 1 ? MOST_ALONE : MOST_FOUND;
	const named = await Promise.all(
		words.map(async (word) => {
			const [clients, trips] = await Promise.all([
				clientsNamed(houseId, word, most),
				tripsNamed(houseId, word, most)
			]);
			const idsOf = (list: readonly NamedRow[]): Set<string> => new Set(list.map(({ id }) => id));
			return { word, clients, trips, clientIds: idsOf(clients), tripIds: idsOf(trips) };
		})
	);
	const kits = inAll(named.map(({ clients }) => clients));
	const trips = inAll(named.map((one) => one.trips));
	const [rarest, ...others] = named.sort(
		(a, b) => a.clients.length + a.trips.length - b.clients.length - b.trips.length
	);
	const plans = (await plansNamed(houseId, rarest!.word, most)).filter(({ id, tripId }) =>
		others.every(({ clientIds, tripIds }) => clientIds.has(id) || tripIds.has(tripId))
	);
	const unlike = new Map(plans.map((plan) => [`${plan.id} ${plan.tripId}`, plan]));
	return [[...unlike.values()], kits, trips];
}

/** Where nothing is asked yet: the first by name. */
async function firstByName(houseId: string, limit: number): Promise<[PlanRow[], NamedRow[], NamedRow[]]> {
	const values = [houseId, String(limit)];
	const named = (table: 'clients' | 'trips'): Promise<NamedRow[]> =>
		rows(
			pool(),
			`SELECT id, name FROM ${table} FORCE INDEX (${table}_live)
			 WHERE house_id = ? AND deleted_at IS NULL ORDER BY name LIMIT ?`,
			values
		);
	const plans = rows<PlanRow>(
		pool(),
		`SELECT STRAIGHT_JOIN ${PLAN} FROM clients c FORCE INDEX (clients_live)
		 JOIN trip_clients tc ON tc.client_id = c.id JOIN trips t ON t.id = tc.trip_id AND t.deleted_at IS NULL
		 WHERE c.house_id = ? AND c.deleted_at IS NULL ORDER BY c.name LIMIT ?`,
		values
	);
	return Promise.all([plans, named('clients'), named('trips')]);
}

export interface Found {
	kind: 'trip' | 'layer plan' | 'kit';
	name: string;
	/** a trip's or client's id; of a layer plan the client's */
	id: string;
	tripId: string | null;
}

/** Trips, layer plans and kits that have all the words in their names: a plan by its client's and its trip's. */
export async function find(houseId: string, search: string, limit = 12): Promise<Found[]> {
	const words = wordsOf(search);
	const [plans, kits, trips] = await (words.length === 0
		? firstByName(houseId, limit)
		: foundByWords(houseId, words));
	const first = <Row extends NamedRow>(list: readonly Row[]): Row[] => [...list].sort(byName).slice(0, limit);
	return [
		...first(plans).map(({ id, name, tripId }): Found => ({ kind: 'layer plan', id, name, tripId })),
		...first(kits).map(({ id, name }): Found => ({ kind: 'kit', id, name, tripId: null })),
		...first(trips).map(({ id, name }): Found => ({ kind: 'trip', id, name, tripId: id }))
	];
}
