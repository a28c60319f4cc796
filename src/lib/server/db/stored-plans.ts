import type { PlanState, TripSummary } from '$lib/core/plan/told/summary';
import type { PlanJob } from './plan-work';
import { inTransaction, pool, rows, write, type Value } from './pool';

/** Plans as the server worked them out, whole, under the fingerprint of everything that they depend on. */

/** A stored plan: what it comes to, and its days, packed. */
export interface StoredPlan {
	fingerprint: string;
	summary: TripSummary;
	days: Buffer;
}

/** Keeps a plan, and takes its question off the queue unless another one is asked by now. */
export const keepPlan = (
	{ tripId, clientId, claim }: Pick<PlanJob, 'tripId' | 'clientId'> & { claim: string | null },
	{ fingerprint, summary, days }: StoredPlan
): Promise<void> =>
	inTransaction(async (db) => {
		await write(
			db,
			`INSERT INTO stored_plans (trip_id, client_id, fingerprint, summary, days) VALUES (?, ?, ?, ?, ?)
			 ON DUPLICATE KEY UPDATE fingerprint = VALUES(fingerprint), summary = VALUES(summary), days = VALUES(days),
				made_at = NOW(3)`,
			[tripId, clientId, fingerprint, JSON.stringify(summary), days]
		);
		await write(
			db,
			'DELETE FROM plan_work WHERE trip_id = ? AND client_id = ? AND (fingerprint = ? OR claim = ?)',
			[tripId, clientId, fingerprint, claim]
		);
	});

/** The plan that answers a question, among those of some rows; null when it is not there. */
async function planWhere(where: string, values: Value[], fingerprint: string): Promise<StoredPlan | null> {
	const [row] = await rows<{ summary: string; days: Buffer }>(
		pool(),
		`SELECT summary, days FROM stored_plans WHERE ${where}fingerprint = ? LIMIT 1`,
		[...values, fingerprint]
	);
	return row ? { fingerprint, summary: JSON.parse(row.summary) as TripSummary, days: row.days } : null;
}
/** The plan of a client of a trip that answers a question; null when it is not there. */
export const storedPlan = (
	tripId: string,
	clientId: string,
	fingerprint: string
): Promise<StoredPlan | null> =>
	planWhere('trip_id = ? AND client_id = ? AND ', [tripId, clientId], fingerprint);
/** Any plan that answers a question, whoever's it is. */
export const planByFingerprint = (fingerprint: string): Promise<StoredPlan | null> =>
	planWhere('', [], fingerprint);

/**
 * How far the plans of a trip are for what is asked now. An older plan is shown meanwhile, and never counts as the answer.
 * @param asked fingerprint by client
 */
export async function planStates(tripId: string, asked: ReadonlyMap<string, string>): Promise<PlanState[]> {
	const [stored, work] = await Promise.all([
		rows<{ client_id: string; fingerprint: string; summary: string }>(
			pool(),
			'SELECT client_id, fingerprint, summary FROM stored_plans WHERE trip_id = ?',
			[tripId]
		),
		rows<{
			client_id: string;
			state: 'wanted' | 'working' | 'failed';
			done: number;
			total: number;
		}>(pool(), 'SELECT client_id, state, done, total FROM plan_work WHERE trip_id = ?', [tripId])
	]);
	return [...asked].map(([clientId, fingerprint]): PlanState => {
		const plan = stored.find((one) => one.client_id === clientId);
		const job = work.find((one) => one.client_id === clientId);
		const isCurrent = plan?.fingerprint === fingerprint;
		return {
			clientId,
			state: isCurrent ? 'there' : (job?.state ?? 'wanted'),
			done: job?.done ?? 0,
			total: job?.total ?? 0,
			summary: plan ? (JSON.parse(plan.summary) as TripSummary) : null,
			isCurrent
		};
	});
}
