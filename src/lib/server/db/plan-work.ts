import { randomUUID } from 'node:crypto';
import { inTransaction, pool, rows, write, type Value } from './pool';

/**
 * The queue of plans to be worked out: one row a client of a trip, with the fingerprint of the question. Whoever takes one
 * writes a claim into it; what is told later counts only under that claim.
 */

export interface PlanJob {
	tripId: string;
	clientId: string;
	fingerprint: string;
	claim: string;
}

/** A plan that failed so often for the same question is not tried again until something changes. */
export const MOST_TRIES = 3;
/** A plan whose process has been silent for so long is worked out by another one, seconds. */
const SILENT_S = Number(process.env.SNUG_CLAIM_SECONDS ?? 60);

/**
 * Asks for plans: what is stored already for the same question is kept, what is being worked out goes on, and what failed
 * is tried again a few times.
 */
export const wantPlans = (tripId: string, wanted: ReadonlyMap<string, string>): Promise<void> =>
	inTransaction(async (db) => {
		for (const [clientId, fingerprint] of [...wanted].sort(([a], [b]) => (a < b ? -1 : 1))) {
			const [stored] = await rows(
				db,
				'SELECT client_id FROM stored_plans WHERE trip_id = ? AND client_id = ? AND fingerprint = ?',
				[tripId, clientId, fingerprint]
			);
			if (stored) {
				await write(db, 'DELETE FROM plan_work WHERE trip_id = ? AND client_id = ?', [tripId, clientId]);
				continue;
			}
			await write(
				db,
				`INSERT INTO plan_work (trip_id, client_id, fingerprint) VALUES (?, ?, ?)
				 ON DUPLICATE KEY UPDATE
					state = IF(fingerprint <> VALUES(fingerprint) OR (state = 'failed' AND tries < ?), 'wanted', state),
					tries = IF(fingerprint <> VALUES(fingerprint), 0, tries),
					claim = IF(fingerprint <> VALUES(fingerprint), NULL, claim),
					fingerprint = VALUES(fingerprint)`,
				[tripId, clientId, fingerprint, MOST_TRIES]
			);
		}
	});

interface WorkRow {
	trip_id: string;
	client_id: string;
	fingerprint: string;
}

/**
 * Takes one wanted plan for this process, past those that others are taking; null when there is none. The index leads to
 * the one row that is locked: a sort would lock them all. Who was quicker is told by the claim.
 */
export const claimPlan = (): Promise<PlanJob | null> =>
	inTransaction(async (db) => {
		const first = (where: string, values: Value[]): Promise<WorkRow[]> =>
			rows<WorkRow>(
				db,
				`SELECT trip_id, client_id, fingerprint FROM plan_work FORCE INDEX (work_wanted)
				 WHERE ${where} LIMIT 1 FOR UPDATE SKIP LOCKED`,
				values
			);
		const silent = `state = 'working' AND claimed_at < NOW(3) - INTERVAL ? SECOND`;
		const [job] = [...(await first(`state = 'wanted'`, [])), ...(await first(silent, [SILENT_S]))];
		if (!job) return null;
		const claim = randomUUID();
		await write(
			db,
			`UPDATE plan_work SET state = 'working', claim = ?, claimed_at = NOW(3), done = 0, total = 0
			 WHERE trip_id = ? AND client_id = ? AND (state = 'wanted' OR ${silent})`,
			[claim, job.trip_id, job.client_id, SILENT_S]
		);
		return { tripId: job.trip_id, clientId: job.client_id, fingerprint: job.fingerprint, claim };
	}, true);

/** Says how far a plan is; false when it is no longer this process's to work out. */
export const tellProgress = async (
	{ tripId, clientId, claim }: PlanJob,
	done: number,
	total: number
): Promise<boolean> =>
	(await write(
		pool(),
		`UPDATE plan_work SET done = ?, total = ?, claimed_at = NOW(3)
		 WHERE trip_id = ? AND client_id = ? AND claim = ?`,
		[done, total, tripId, clientId, claim]
	)) > 0;

/** Gives back what was taken, as if nobody had. */
export async function giveBack({ tripId, clientId, claim }: PlanJob): Promise<void> {
	await write(
		pool(),
		`UPDATE plan_work SET state = 'wanted', claim = NULL WHERE trip_id = ? AND client_id = ? AND claim = ?`,
		[tripId, clientId, claim]
	);
}

/** Says that a plan could not be worked out; it is tried again when it is asked for. */
export async function failPlan({ tripId, clientId, claim }: PlanJob): Promise<void> {
	await write(
		pool(),
		`UPDATE plan_work SET state = 'failed', tries = tries + 1, claim = NULL
		 WHERE trip_id = ? AND client_id = ? AND claim = ?`,
		[tripId, clientId, claim]
	);
}
