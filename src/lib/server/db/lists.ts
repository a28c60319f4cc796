import { pool, rows } from './pool';
import { byName, clientsWith, type NamedRow, tripsWith, wordsOf } from './search';

/** A trip in one line of the season. */
export interface TripLine {
	id: string;
	name: string;
	place: string;
	firstDate: string | null;
	lastDate: string | null;
	stages: number;
	/** stages in which nothing happens yet */
	emptyStages: number;
	/** how many come along, and of how many nobody has asked yet what they own */
	clientCount: number;
	unaskedCount: number;
	/** the first of those of whom nobody has asked */
	unasked: { id: string; name: string } | null;
	/** some of them by name; "asked" is whether anything of their kit is known */
	clients: { id: string; name: string; asked: boolean }[];
}
/** Clients named on the list; the others are on the trip's own page. */
const NAMED = 3;

export interface SeasonQuestion {
	/** words that trip, place or a client must have, all of them */
	search: string;
	/** trips that end on this day or later; the others are past */
	today: string;
	when: 'ahead' | 'past';
	limit: number;
	offset: number;
}
type LineRow = Omit<TripLine, 'clients' | 'clientCount' | 'unaskedCount' | 'unasked'>;
const LINE = `t.id, t.name, t.place, t.first_date AS firstDate, t.last_date AS lastDate, t.stages,
	t.empty_stages AS emptyStages`;

/** A page of the trips that are ahead or over, in the order in which they are read, and how many there are. */
async function linesOf({ houseId, today, when, limit, offset }: SeasonQuestion & { houseId: string }) {
	const [index, fits, order] =
		when === 'ahead'
			? (['trips_ahead', 't.ends >= ?', 't.leaves, t.name'] as const)
			: (['trips_over', 't.last_date < ?', 't.last_date DESC, t.name'] as const);
	const from = `FROM trips t FORCE INDEX (${index}) WHERE t.house_id = ? AND t.deleted_at IS NULL AND ${fits}`;
	const [lines, [count]] = await Promise.all([
		rows<LineRow>(pool(), `SELECT ${LINE} ${from} ORDER BY ${order} LIMIT ? OFFSET ?`, [
			houseId,
			today,
			String(limit),
			String(offset)
		]),
		rows<{ total: number }>(pool(), `SELECT COUNT(*) AS total ${from}`, [houseId, today])
	]);
	return { lines, total: Number(count!.total) };
}

const compared = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
/** The same of those that have all words of a search. */
async function foundLines({
	houseId,
	today,
	when,
	limit,
	offset,
	words
}: SeasonQuestion & { houseId: string; words: readonly string[] }) {
	const isAhead = when === 'ahead';
	const found = (await tripsWith(houseId, words))
		.filter(({ ends }) => (isAhead ? ends >= today : ends < today))
		.sort((a, b) => (isAhead ? compared(a.leaves, b.leaves) : compared(b.ends, a.ends)) || byName(a, b));
	const ids = found.slice(offset, offset + limit).map(({ id }) => id);
	if (ids.length === 0) return { lines: [], total: found.length };
	const lines = await rows<LineRow>(
		pool(),
		`SELECT ${LINE} FROM trips t WHERE t.id IN (${ids.map(() => '?').join(', ')})`,
		ids
	);
	return { lines: lines.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id)), total: found.length };
}

/** Clients of a trip are told in the order in which they came. */
export const byComing = (
	a: { enrolledAt: string; name: string },
	b: { enrolledAt: string; name: string }
): number => compared(a.enrolledAt, b.enrolledAt) || byName(a, b);

interface EnrolledRow {
	tripId: string;
	id: string;
	name: string;
	enrolledAt: string;
	asked: number;
}
/** Clients of some trips, in the order in which they came. */
export async function enrolledIn(ids: readonly string[]): Promise<EnrolledRow[]> {
	if (ids.length === 0) return [];
	const enrolled = await rows<EnrolledRow>(
		pool(),
		`SELECT tc.trip_id AS tripId, c.id, c.name, tc.enrolled_at AS enrolledAt,
			EXISTS (SELECT 1 FROM things th WHERE th.client_id = c.id AND th.deleted_at IS NULL) AS asked
		 FROM trip_clients tc JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
		 WHERE tc.trip_id IN (${ids.map(() => '?').join(', ')})`,
		[...ids]
	);
	return enrolled.sort(byComing);
}

/** One page of the season: what leaves next first, or what came home last first. `total` counts all that fit. */
export async function seasonPage(
	houseId: string,
	question: SeasonQuestion
): Promise<{ trips: TripLine[]; total: number }> {
	const words = wordsOf(question.search);
	const { lines, total } = await (words.length > 0
		? foundLines({ ...question, houseId, words })
		: linesOf({ ...question, houseId }));
	const enrolled = await enrolledIn(lines.map(({ id }) => id));
	const trips = lines.map((line): TripLine => {
		const clients = enrolled
			.filter(({ tripId }) => tripId === line.id)
			.map(({ id, name, asked }) => ({ id, name, asked: asked > 0 }));
		const unasked = clients.filter(({ asked }) => !asked);
		return {
			...line,
			clientCount: clients.length,
			unaskedCount: unasked.length,
			unasked: unasked[0] ? { id: unasked[0].id, name: unasked[0].name } : null,
			clients: clients.slice(0, NAMED)
		};
	});
	return { trips, total };
}

/** Trips from which another can start, the latest first. */
export const pastTrips = async (
	houseId: string,
	limit = 60
): Promise<{ id: string; name: string; firstDate: string }[]> =>
	rows(
		pool(),
		`SELECT id, name, first_date AS firstDate FROM trips FORCE INDEX (trips_ahead)
		 WHERE house_id = ? AND deleted_at IS NULL AND leaves < '9999-12-31' ORDER BY leaves DESC LIMIT ?`,
		[houseId, String(limit)]
	);

/** A client in one line, and how many things are known of the kit. */
export interface ClientLine {
	id: string;
	name: string;
	things: number;
}
export interface ClientsQuestion {
	/** words that the name must have, all of them */
	search: string;
	limit: number;
	offset: number;
}

/** One page of the clients of a house, by name. `total` counts all that fit. */
export async function clientPage(
	houseId: string,
	{ search, limit, offset }: ClientsQuestion
): Promise<{ clients: ClientLine[]; total: number }> {
	const words = wordsOf(search);
	const { named, total } = await (words.length > 0
		? foundClients(houseId, words, limit, offset)
		: firstClients(houseId, limit, offset));
	if (named.length === 0) return { clients: [], total };
	const things = await thingsOf(named.map(({ id }) => id));
	return { clients: named.map((one) => ({ ...one, things: things.get(one.id) ?? 0 })), total };
}
/** How many things are known of some clients, by id. */
async function thingsOf(ids: readonly string[]): Promise<Map<string, number>> {
	const counts = await rows<{ id: string; things: number }>(
		pool(),
		`SELECT client_id AS id, COUNT(*) AS things FROM things FORCE INDEX (things_live)
		 WHERE client_id IN (${ids.map(() => '?').join(', ')}) AND deleted_at IS NULL GROUP BY client_id`,
		[...ids]
	);
	return new Map(counts.map(({ id, things }) => [id, Number(things)]));
}
/** Clients of a trip in one line each, in the order in which they came. */
export async function clientsOfTrip(tripId: string): Promise<ClientLine[]> {
	const enrolled = await enrolledIn([tripId]);
	if (enrolled.length === 0) return [];
	const things = await thingsOf(enrolled.map(({ id }) => id));
	return enrolled.map(({ id, name }) => ({ id, name, things: things.get(id) ?? 0 }));
}
async function foundClients(houseId: string, words: readonly string[], limit: number, offset: number) {
	const found = await clientsWith(houseId, words);
	return { named: found.slice(offset, offset + limit), total: found.length };
}
async function firstClients(houseId: string, limit: number, offset: number) {
	const from = 'FROM clients FORCE INDEX (clients_live) WHERE house_id = ? AND deleted_at IS NULL';
	const [named, [count]] = await Promise.all([
		rows<NamedRow>(pool(), `SELECT id, name ${from} ORDER BY name LIMIT ? OFFSET ?`, [
			houseId,
			String(limit),
			String(offset)
		]),
		rows<{ total: number }>(pool(), `SELECT COUNT(*) AS total ${from}`, [houseId])
	]);
	return { named, total: Number(count!.total) };
}
