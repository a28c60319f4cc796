import type { Wish } from '$lib/core/document/wish';
import type { PlanState, TripSummary } from '$lib/core/plan/told/summary';
import { ConflictError, inTransaction, pool, rows, type Value, write } from './pool';

/** What a guide wishes of one plan. */
export interface PlanWishes {
	wishes: Wish[];
	/** changes more a day for a lighter pack */
	spareChanges: number;
	version: number;
}

const NO_WISHES: PlanWishes = { wishes: [], spareChanges: 0, version: 0 };

interface WishRow {
	client_id: string;
	wishes: string;
	spare_changes: number;
	version: number;
}
const wishesFrom = (row: WishRow): PlanWishes => ({
	wishes: JSON.parse(row.wishes) as Wish[],
	spareChanges: row.spare_changes,
	version: row.version
});

/** Wishes of all clients of a trip, by client; who has none is not in it. */
export async function wishesOfTrip(tripId: string): Promise<Map<string, PlanWishes>> {
	const found = await rows<WishRow>(
		pool(),
		'SELECT client_id, wishes, spare_changes, version FROM trip_plans WHERE trip_id = ?',
		[tripId]
	);
	return new Map(found.map((row) => [row.client_id, wishesFrom(row)]));
}

export const getWishes = async (tripId: string, clientId: string): Promise<PlanWishes> =>
	(await wishesOfTrip(tripId)).get(clientId) ?? NO_WISHES;

/** Saves wishes and returns the new version. @throws ConflictError when somebody saved meanwhile */
export const saveWishes = (
	tripId: string,
	clientId: string,
	{ wishes, spareChanges, version }: PlanWishes
): Promise<number> =>
	inTransaction(async (db) => {
		await write(db, 'INSERT IGNORE INTO trip_plans (trip_id, client_id, version) VALUES (?, ?, 0)', [
			tripId,
			clientId
		]);
		const touched = await write(
			db,
			`UPDATE trip_plans SET wishes = ?, spare_changes = ?, version = version + 1
			 WHERE trip_id = ? AND client_id = ? AND version = ?`,
			[JSON.stringify(wishes), spareChanges, tripId, clientId, version]
		);
		if (touched === 0) throw new ConflictError('wishes');
		return version + 1;
	});

/** Asks for plans: what is there already for the same question is kept, and what is being worked out goes on. */
export const wantPlans = (tripId: string, wanted: ReadonlyMap<string, string>): Promise<void> =>
	inTransaction(async (db) => {
		for (const [clientId, fingerprint] of wanted) {
			await write(
				db,
				`INSERT INTO trip_plans (trip_id, client_id, version, wanted, state) VALUES (?, ?, 0, ?, 'wanted')
				 ON DUPLICATE KEY UPDATE
					state = IF(answered = VALUES(wanted), 'there',
						IF(wanted = VALUES(wanted) AND state <> 'none', state, 'wanted')),
					wanted = VALUES(wanted)`,
				[tripId, clientId, fingerprint]
			);
		}
	});

/** How far the plans of a trip are, as they were last asked for. */
export async function planStates(tripId: string): Promise<PlanState[]> {
	const found = await rows<{
		client_id: string;
		state: PlanState['state'];
		done: number;
		total: number;
		summary: string | null;
		is_current: number;
	}>(
		pool(),
		`SELECT client_id, state, done, total, summary, answered <=> wanted AS is_current FROM trip_plans
		 WHERE trip_id = ? AND wanted IS NOT NULL`,
		[tripId]
	);
	return found.map((row) => ({
		clientId: row.client_id,
		state: row.state,
		done: row.done,
		total: row.total,
		summary: row.summary === null ? null : (JSON.parse(row.summary) as TripSummary),
		isCurrent: row.is_current === 1
	}));
}

export interface PlanJob {
	tripId: string;
	clientId: string;
	wanted: string;
}

interface PlanRow {
	trip_id: string;
	client_id: string;
	wanted: string;
}

/** A plan whose process has been silent for so long is worked out by another one, seconds. */
const SILENT_S = 60;

/**
 * Takes one wanted plan for this process, past those that others are taking; null when there is none. The index leads to
 * the one row that is locked: a sort would lock them all.
 */
export const claimPlan = (): Promise<PlanJob | null> =>
	inTransaction(async (db) => {
		const first = (where: string, values: Value[]): Promise<PlanRow[]> =>
			rows<PlanRow>(
				db,
				`SELECT trip_id, client_id, wanted FROM trip_plans FORCE INDEX (plans_wanted)
				 WHERE ${where} LIMIT 1 FOR UPDATE SKIP LOCKED`,
				values
			);
		const [job] = [
			...(await first(`state = 'wanted'`, [])),
			...(await first(`state = 'working' AND claimed_at < NOW(3) - INTERVAL ? SECOND`, [SILENT_S]))
		];
		if (!job) return null;
		await write(
			db,
			`UPDATE trip_plans SET state = 'working', claimed_at = NOW(3), done = 0, total = 0
			 WHERE trip_id = ? AND client_id = ?`,
			[job.trip_id, job.client_id]
		);
		return { tripId: job.trip_id, clientId: job.client_id, wanted: job.wanted };
	}, true);

/** Says how far a plan is; false when it is no longer wanted as it was claimed. */
export const tellProgress = async (
	{ tripId, clientId, wanted }: PlanJob,
	done: number,
	total: number
): Promise<boolean> =>
	(await write(
		pool(),
		`UPDATE trip_plans SET done = ?, total = ?, claimed_at = NOW(3)
		 WHERE trip_id = ? AND client_id = ? AND wanted = ?`,
		[done, total, tripId, clientId, wanted]
	)) > 0;

/**
 * Keeps a plan that was worked out. When another one is wanted by now, that is still to do.
 * @param answered fingerprint of what was really answered
 */
export async function keepPlan(
	{ tripId, clientId, wanted }: PlanJob,
	answered: string,
	summary: TripSummary
): Promise<void> {
	await write(
		pool(),
		`UPDATE trip_plans SET answered = ?, summary = ?, state = IF(wanted = ?, 'there', 'wanted'),
			wanted = IF(wanted = ?, ?, wanted)
		 WHERE trip_id = ? AND client_id = ?`,
		[answered, JSON.stringify(summary), wanted, wanted, answered, tripId, clientId]
	);
}
/** Says that a plan could not be worked out. */
export async function failPlan({ tripId, clientId, wanted }: PlanJob): Promise<void> {
	await write(
		pool(),
		`UPDATE trip_plans SET state = 'failed' WHERE trip_id = ? AND client_id = ? AND wanted = ?`,
		[tripId, clientId, wanted]
	);
}
