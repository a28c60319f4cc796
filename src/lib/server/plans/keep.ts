import { setImmediate } from 'node:timers/promises';
import type { Client, Document } from '$lib/core/document/types';
import type { PlannedStage } from '$lib/core/kit/planned-day';
import { documentPlan, plannedDays, type DocumentWishes, type Planning } from '$lib/core/plan/planner';
import { tripSummary, type TripSummary } from '$lib/core/plan/told/summary';
import { keepPlan, planByFingerprint, storedPlan, type StoredPlan } from '../db/stored-plans';
import { fingerprintOf } from './fingerprint';
import { packedDays, unpackedDays } from './packed';

/** A plan as pages, lists and the API read it. */
export interface KeptPlan {
	summary: TripSummary;
	days: PlannedStage[];
}

/** Runs a search on the server a step at a time: other requests are answered in between. */
export async function inTurns<S, T>(
	steps: Generator<S, T, void>,
	hear?: (step: S) => Promise<void>
): Promise<T> {
	for (let step = steps.next(); ; step = steps.next()) {
		if (step.done) return step.value;
		await setImmediate();
		await hear?.(step.value);
	}
}

/** Works a plan out, whole. */
export async function workedOut(
	document: Document,
	client: Client,
	asked: DocumentWishes,
	hear?: (step: Planning) => Promise<void>
): Promise<KeptPlan> {
	const plan = await inTurns(documentPlan(document, client, asked), hear);
	return { summary: tripSummary(plan), days: await inTurns(plannedDays(plan)) };
}

export const toStore = async (fingerprint: string, { summary, days }: KeptPlan): Promise<StoredPlan> => ({
	fingerprint,
	summary,
	days: await packedDays(days)
});
const unpacked = async ({ summary, days }: StoredPlan): Promise<KeptPlan> => ({
	summary,
	days: await unpackedDays(days)
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

/** The plan of a client of a stored trip: read where it is there, else worked out and kept. */
export async function planOfClient(
	document: Document,
	client: Client,
	asked: DocumentWishes
): Promise<KeptPlan> {
	const fingerprint = fingerprintOf(document, client, asked);
	const stored = await storedPlan(document.trip.id, client.id, fingerprint);
	if (stored) return unpacked(stored);
	const plan = await workedOut(document, client, asked);
	await keepPlan(
		{ tripId: document.trip.id, clientId: client.id, claim: null },
		await toStore(fingerprint, plan)
	);
	return plan;
}

/** The plan of a document that somebody sent: read where the same question was answered, else worked out and not kept. */
export async function planOfDocument(
	document: Document,
	client: Client,
	asked: DocumentWishes
): Promise<KeptPlan> {
	const stored = await planByFingerprint(fingerprintOf(document, client, asked));
	return stored ? unpacked(stored) : workedOut(document, client, asked);
}
