import type { Client, Document } from '$lib/core/document/types';
import type { PlannedStage } from '$lib/core/kit/planned-day';
import type { DocumentWishes } from '$lib/core/plan/planner';
import type { TripSummary } from '$lib/core/plan/told/summary';
import { keepPlan, planByFingerprint, storedPlan, type StoredPlan } from '../db/stored-plans';
import { inThread } from '../work/workers';
import { fingerprintOf } from './fingerprint';
import { unpackedDays } from './packed';

/** A plan as pages, lists and the API read it. */
export interface KeptPlan {
	summary: TripSummary;
	days: PlannedStage[];
}

const unpacked = async ({ summary, days }: StoredPlan): Promise<KeptPlan> => ({
	summary,
	days: await unpackedDays(days)
});

/** Works a plan out, whole, in a thread of its own. @param signal ends when nobody waits for it any more */
export async function workedOut(
	document: Document,
	client: Client,
	asked: DocumentWishes,
	signal?: AbortSignal
): Promise<StoredPlan> {
	const { summary, days } = await inThread('plan', { document, client, asked: plain(asked) }, { signal });
	return { fingerprint: fingerprintOf(document, client, asked), summary, days: Buffer.from(days) };
}
/** Wishes without what cannot be copied to a thread. */
export const plain = ({ fixed, wishes, spareChanges, last }: DocumentWishes): DocumentWishes => ({
	...(fixed ? { fixed } : {}),
	...(wishes ? { wishes } : {}),
	...(spareChanges ? { spareChanges } : {}),
	...(last ? { last } : {})
});

/** The stored plan of a client for what is asked now; null when it has to be worked out. */
export async function keptPlan(
	document: Document,
	client: Client,
	asked: DocumentWishes
): Promise<KeptPlan | null> {
	const stored = await storedPlan(document.trip.id, client.id, fingerprintOf(document, client, asked));
	return stored && unpacked(stored);
}

/** The plan of a client of a stored trip, packed: read where it is there, else worked out and kept. */
export async function packedPlanOfClient(
	document: Document,
	client: Client,
	asked: DocumentWishes,
	signal?: AbortSignal
): Promise<StoredPlan> {
	const fingerprint = fingerprintOf(document, client, asked);
	const stored = await storedPlan(document.trip.id, client.id, fingerprint);
	if (stored) return stored;
	const plan = await workedOut(document, client, asked, signal);
	await keepPlan({ tripId: document.trip.id, clientId: client.id, claim: null }, plan);
	return plan;
}
export const planOfClient = async (...asked: Parameters<typeof packedPlanOfClient>): Promise<KeptPlan> =>
	unpacked(await packedPlanOfClient(...asked));

/** The plan of a document that somebody sent: read where the same question was answered, else worked out and not kept. */
export const planOfDocument = async (
	document: Document,
	client: Client,
	asked: DocumentWishes,
	signal?: AbortSignal
): Promise<StoredPlan> =>
	// Without the database it is worked out all the same.
	(await planByFingerprint(fingerprintOf(document, client, asked)).catch(() => null)) ??
	workedOut(document, client, asked, signal);
