import { pool, rows } from './pool';

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
interface LineRow extends Omit<TripLine, 'clients' | 'clientCount' | 'unaskedCount' | 'unasked'> {
	total: number;
}

const liked = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** One page of the season: what leaves next first, or what came home last first. `total` counts all that fit. */
export async function seasonPage(
	houseId: string,
	question: SeasonQuestion
): Promise<{ trips: TripLine[]; total: number }> {
	const { search, today, when, limit, offset } = question;
	const words = search.split(/\s+/).filter((word) => word !== '');
	const fits = words.map(() => ' AND t.search_text LIKE ?').join('');
	const ahead = when === 'ahead';
	const lines = await rows<LineRow>(
		pool(),
		`SELECT t.id, t.name, t.place, t.first_date AS firstDate, t.last_date AS lastDate, t.stages,
			t.empty_stages AS emptyStages, COUNT(*) OVER () AS total
		 FROM trips t
		 WHERE t.house_id = ? AND t.deleted_at IS NULL AND ${ahead ? '(t.last_date IS NULL OR t.last_date >= ?)' : 't.last_date < ?'}${fits}
		 ORDER BY ${ahead ? 't.first_date IS NULL, t.first_date, t.name' : 't.last_date DESC, t.name'}
		 LIMIT ? OFFSET ?`,
		[houseId, today, ...words.map(liked), String(limit), String(offset)]
	);
	const ids = lines.map(({ id }) => id);
	const enrolled =
		ids.length === 0
			? []
			: await rows<{ tripId: string; clients: string }>(
					pool(),
					`SELECT tc.trip_id AS tripId, JSON_ARRAYAGG(JSON_ARRAY(c.id, c.name,
						EXISTS (SELECT 1 FROM things th WHERE th.client_id = c.id AND th.deleted_at IS NULL))
						ORDER BY tc.enrolled_at, c.name) AS clients
					 FROM trip_clients tc JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
					 WHERE tc.trip_id IN (${ids.map(() => '?').join(', ')}) GROUP BY tc.trip_id`,
					ids
				);
	const clientsOf = new Map(
		enrolled.map(({ tripId, clients }) => [
			tripId,
			(JSON.parse(clients) as [string, string, number][]).map(([id, name, asked]) => ({
				id,
				name,
				asked: asked > 0
			}))
		])
	);
	const trips = lines.map(({ total: _total, ...line }): TripLine => {
		const clients = clientsOf.get(line.id) ?? [];
		const unasked = clients.filter(({ asked }) => !asked);
		return {
			...line,
			clientCount: clients.length,
			unaskedCount: unasked.length,
			unasked: unasked[0] ? { id: unasked[0].id, name: unasked[0].name } : null,
			clients: clients.slice(0, NAMED)
		};
	});
	return { trips, total: Number(lines[0]?.total ?? 0) };
}

/** Trips from which another can start, the latest first. */
export const pastTrips = async (
	houseId: string,
	limit = 60
): Promise<{ id: string; name: string; firstDate: string }[]> =>
	rows(
		pool(),
		`SELECT id, name, first_date AS firstDate FROM trips
		 WHERE house_id = ? AND deleted_at IS NULL AND first_date IS NOT NULL ORDER BY first_date DESC LIMIT ?`,
		[houseId, String(limit)]
	);

export interface Found {
	kind: 'trip' | 'layer plan' | 'kit';
	name: string;
	/** a trip's or client's id; of a layer plan the client's */
	id: string;
	tripId: string | null;
}
/** Trips, layer plans and kits whose names have all the words: a plan by its client's name and its trip's. */
export async function find(houseId: string, search: string, limit = 12): Promise<Found[]> {
	const words = search.split(/\s+/).filter((word) => word !== '');
	const like = (column: string): string => words.map(() => ` AND ${column} LIKE ?`).join('');
	const values = [houseId, ...words.map(liked), String(limit)];
	const [trips, plans, kits] = await Promise.all([
		rows<{ id: string; name: string }>(
			pool(),
			`SELECT id, name FROM trips WHERE house_id = ? AND deleted_at IS NULL${like('name')} ORDER BY name LIMIT ?`,
			values
		),
		rows<{ id: string; name: string; tripId: string }>(
			pool(),
			`SELECT c.id, CONCAT(c.name, ', on ', t.name) AS name, t.id AS tripId FROM trip_clients tc
			 JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
			 JOIN trips t ON t.id = tc.trip_id AND t.deleted_at IS NULL
			 WHERE t.house_id = ?${like("CONCAT(c.name, ' ', t.name)")} ORDER BY c.name, t.name LIMIT ?`,
			values
		),
		rows<{ id: string; name: string }>(
			pool(),
			`SELECT id, name FROM clients WHERE house_id = ? AND deleted_at IS NULL${like('name')} ORDER BY name LIMIT ?`,
			values
		)
	]);
	return [
		...plans.map((plan): Found => ({ kind: 'layer plan', ...plan })),
		...kits.map((kit): Found => ({ kind: 'kit', ...kit, tripId: null })),
		...trips.map((trip): Found => ({ kind: 'trip', ...trip, tripId: trip.id }))
	];
}
