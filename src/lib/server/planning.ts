import type { Document } from '$lib/core/document/types';
import { schooled } from '$lib/core/plan/day-report';
import { TripPlanner } from '$lib/core/plan/planner';
import { type PlanState, tripSummary } from '$lib/core/plan/told/summary';
import { createHash } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import { getDocument } from './db/clients';
import {
	claimPlan,
	failPlan,
	keepPlan,
	type PlanJob,
	planStates,
	type PlanWishes,
	tellProgress,
	wantPlans,
	wishesOfTrip
} from './db/plans';

/**
 * Plans of a whole group, worked out in the background: a step of the search at a time, so that the server answers in
 * between. What is wanted and who is at it stands in the database, so that several processes share the work.
 */

/** Grows when the same question would be answered otherwise. */
const CORE_EDITION = 2;

/** What a plan depends on, in one word: the trip without its name, the client's body and kit, schools and wishes. */
function fingerprintOf(document: Document, clientId: string, wishes: PlanWishes | undefined): string {
	const client = schooled(
		document.clients.find(({ id }) => id === clientId)!,
		document
	);
	const { weathers, stages, site } = document.trip;
	const { offsetClo, careful, answeredParts, things, schools } = client;
	return createHash('sha256')
		.update(
			JSON.stringify([
				CORE_EDITION,
				weathers,
				stages.map(({ name: _, origins: __, provided: ___, ...stage }) => stage),
				site,
				offsetClo.value,
				careful.value,
				answeredParts,
				things.map(({ version: _, ...thing }) => thing),
				schools,
				wishes?.wishes ?? [],
				wishes?.spareChanges ?? 0
			])
		)
		.digest('hex');
}

/** Asks for the plans of all clients of a trip: only what has changed since is worked out. */
export async function planGroup(tripId: string): Promise<PlanState[]> {
	const [document, wishes] = await Promise.all([getDocument(tripId), wishesOfTrip(tripId)]);
	if (document.trip.stages.length > 0)
		await wantPlans(
			tripId,
			new Map(document.clients.map(({ id }) => [id, fingerprintOf(document, id, wishes.get(id))]))
		);
	void work();
	const here = new Set(document.clients.map(({ id }) => id));
	return (await planStates(tripId)).filter(({ clientId }) => here.has(clientId));
}

/** Runs a search on the server a step at a time: other requests are answered in between. */
export async function inTurns<T>(steps: Generator<unknown, T, void>): Promise<T> {
	for (let step = steps.next(); ; step = steps.next()) {
		if (step.done) return step.value;
		await setImmediate();
	}
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
	const [document, wishes] = await Promise.all([getDocument(job.tripId), wishesOfTrip(job.tripId)]);
	const own = document.clients.find(({ id }) => id === job.clientId);
	if (!own) return failPlan(job);
	// What has changed since the plan was asked for is answered as it is now.
	const answered = fingerprintOf(document, own.id, wishes.get(own.id));
	const planner = new TripPlanner(document.trip, schooled(own, document));
	const asked = wishes.get(own.id);
	const steps = planner.plan(asked?.wishes ?? [], asked?.spareChanges ?? 0);
	let told = 0;
	for (let step = steps.next(); ; step = steps.next()) {
		if (step.done) return keepPlan(job, answered, tripSummary(step.value));
		await setImmediate();
		if (Date.now() - told < TELL_EVERY_MS) continue;
		told = Date.now();
		await tellProgress(job, step.value.done, step.value.total);
	}
}
