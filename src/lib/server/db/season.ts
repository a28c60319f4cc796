import { pool, rows, type Value } from './pool';

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
	clients: { id: string; name: string; things: number }[];
}

export interface SeasonQuestion {
	/** words that trip, place or a client must have, all of them */
	search: string;
	/** trips that end on this day or later; the others are past */
	today: string;
	when: 'ahead' | 'past';
	limit: number;
	offset: number;
}
interface LineRow extends Omit<TripLine, 'clients'> {
	total: number;
}

const liked = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** Conditions that every word of a search sets. */
function searchSql(search: string): { sql: string; values: Value[] } {
	const words = search.split(/\s+/).filter((word) => word !== '');
	return {
		sql: words
			.map(
				() => ` AND (t.name LIKE ? OR t.place LIKE ? OR EXISTS (
					SELECT 1 FROM trip_clients tc JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
					WHERE tc.trip_id = t.id AND c.name LIKE ?))`
			)
			.join(''),
		values: words.flatMap((word) => [liked(word), liked(word), liked(word)])
	};
}

/** One page of the season: what leaves next first, or what came home last first. `total` counts all that fit. */
export async function seasonPage(question: SeasonQuestion): Promise<{ trips: TripLine[]; total: number }> {
	const { search, today, when, limit, offset } = question;
	const words = searchSql(search);
	const ahead = when === 'ahead';
	const lines = await rows<LineRow>(
		pool(),
		`SELECT t.id, t.name, t.place, s.firstDate, s.lastDate, COALESCE(s.stages, 0) AS stages,
			COALESCE(s.emptyStages, 0) AS emptyStages, COUNT(*) OVER () AS total
		 FROM trips t LEFT JOIN (
			SELECT trip_id, MIN(stage_date) AS firstDate, MAX(stage_date) AS lastDate, COUNT(*) AS stages,
				SUM(phases = 0) AS emptyStages FROM stages GROUP BY trip_id
		 ) s ON s.trip_id = t.id
		 WHERE t.deleted_at IS NULL AND ${ahead ? '(s.lastDate IS NULL OR s.lastDate >= ?)' : 's.lastDate < ?'}${words.sql}
		 ORDER BY ${ahead ? "COALESCE(s.firstDate, '9999-12-31'), t.name" : 's.lastDate DESC, t.name'}
		 LIMIT ? OFFSET ?`,
		[today, ...words.values, String(limit), String(offset)]
	);
	const ids = lines.map(({ id }) => id);
	const enrolled =
		ids.length === 0
			? []
			: await rows<{ tripId: string; id: string; name: string; things: number }>(
					pool(),
					`SELECT tc.trip_id AS tripId, c.id, c.name,
						(SELECT COUNT(*) FROM things th WHERE th.client_id = c.id AND th.deleted_at IS NULL) AS things
					 FROM trip_clients tc JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL
					 WHERE tc.trip_id IN (${ids.map(() => '?').join(', ')}) ORDER BY tc.enrolled_at, c.name`,
					ids
				);
	const trips = lines.map(({ total: _total, ...line }) => ({
		...line,
		stages: Number(line.stages),
		emptyStages: Number(line.emptyStages),
		clients: enrolled
			.filter(({ tripId }) => tripId === line.id)
			.map(({ id, name, things }) => ({ id, name, things: Number(things) }))
	}));
	return { trips, total: Number(lines[0]?.total ?? 0) };
}

/** Trips from which another can start, the latest first. */
export const pastTrips = async (limit = 60): Promise<{ id: string; name: string; firstDate: string }[]> =>
	rows(
		pool(),
		`SELECT t.id, t.name, MIN(s.stage_date) AS firstDate FROM trips t JOIN stages s ON s.trip_id = t.id
		 WHERE t.deleted_at IS NULL GROUP BY t.id, t.name ORDER BY firstDate DESC LIMIT ?`,
		[String(limit)]
	);

export interface Found {
	kind: 'trip' | 'client';
	id: string;
	name: string;
	/** for a client: one of their trips, so that the plan can be opened */
	tripId: string | null;
}
/** Trips and clients whose names have all the words, for the finder. */
export async function find(search: string, limit = 12): Promise<Found[]> {
	const words = search.split(/\s+/).filter((word) => word !== '');
	const like = words.map(() => ' AND name LIKE ?').join('');
	const values = words.map(liked);
	const [trips, clients] = await Promise.all([
		rows<{ id: string; name: string }>(
			pool(),
			`SELECT id, name FROM trips WHERE deleted_at IS NULL${like} ORDER BY name LIMIT ?`,
			[...values, String(limit)]
		),
		rows<{ id: string; name: string; tripId: string | null }>(
			pool(),
			`SELECT id, name, (SELECT MIN(tc.trip_id) FROM trip_clients tc JOIN trips t ON t.id = tc.trip_id AND t.deleted_at IS NULL
				WHERE tc.client_id = clients.id) AS tripId
			 FROM clients WHERE deleted_at IS NULL${like} ORDER BY name LIMIT ?`,
			[...values, String(limit)]
		)
	]);
	return [
		...clients.map((client): Found => ({ kind: 'client', ...client })),
		...trips.map((trip): Found => ({ kind: 'trip', ...trip, tripId: trip.id }))
	];
}
