import type { Client, Document } from '$lib/core/document/types';
import type { PlanState } from '$lib/core/plan/told/summary';
import { getDocument } from '../db/clients';
import { claimPlan, failPlan, tellProgress, wantPlans, type PlanJob } from '../db/plan-work';
import { inSnapshot, rows, pool } from '../db/pool';
import { keepPlan, planStates } from '../db/stored-plans';
import { wishesOfTrip, type PlanWishes } from '../db/wishes';
import { fingerprintOf } from './fingerprint';
import { toStore, workedOut } from './keep';

/**
 * Plans of a whole group, worked out in the background: a step of the search at a time, so that the server answers in
 * between. What is wanted and who is at it stands in the database, so that several processes share the work.
 */

interface Question {
	document: Document;
	wishes: Map<string, PlanWishes>;
}
/** A trip, its clients and what is wished of their plans, as they were at one moment. */
const questionOf = (houseId: string, tripId: string): Promise<Question> =>
	inSnapshot(async (db) => ({
		document: await getDocument(houseId, tripId, db),
		wishes: await wishesOfTrip(tripId, db)
	}));
const fingerprintIn = ({ document, wishes }: Question, client: Client): string =>
	fingerprintOf(document, client, wishes.get(client.id));

/** Asks for the plans of all clients of a trip, or of some: only what has changed since is worked out. */
export async function planGroup(
	houseId: string,
	tripId: string,
	only?: readonly string[]
): Promise<PlanState[]> {
	const question = await questionOf(houseId, tripId);
	const { trip, clients } = question.document;
	if (trip.stages.length === 0) return [];
	const asked = new Map(
		clients
			.filter(({ id }) => !only || only.includes(id))
			.map((client) => [client.id, fingerprintIn(question, client)])
	);
	await wantPlans(tripId, asked);
	void work();
	return planStates(tripId, asked);
}

/** Progress is told at most so often, ms: every write is one more. */
const TELL_EVERY_MS = 250;

let working = false;
/** Works out wanted plans until there are none. One at a time in a process. */
async function work(): Promise<void> {
	if (working) return;
	working = true;
	try {
		for (let job = await claimPlan(); job; job = await claimPlan()) {
			try {
				await answer(job);
			} catch (trouble) {
				console.error(trouble);
				await failPlan(job);
			}
		}
	} catch (trouble) {
		console.error(trouble);
	} finally {
		working = false;
	}
}

async function answer(job: PlanJob): Promise<void> {
	const [owner] = await rows<{ house_id: string }>(pool(), 'SELECT house_id FROM trips WHERE id = ?', [
		job.tripId
	]);
	const question = await questionOf(owner?.house_id ?? '', job.tripId);
	const client = question.document.clients.find(({ id }) => id === job.clientId);
	if (!client) return failPlan(job);
	// What has changed since the plan was asked for is answered as it is now.
	const fingerprint = fingerprintIn(question, client);
	let told = 0;
	const plan = await workedOut(
		question.document,
		client,
		question.wishes.get(client.id) ?? {},
		async ({ done, total }) => {
			if (Date.now() - told < TELL_EVERY_MS) return;
			told = Date.now();
			await tellProgress(job, done, total);
		}
	);
	await keepPlan(job, await toStore(fingerprint, plan));
}
