import type { Client, Document } from '$lib/core/document/types';
import type { PlanState } from '$lib/core/plan/told/summary';
import { getDocument } from '../db/clients';
import { claimPlan, failPlan, giveBack, type PlanJob, tellProgress, wantPlans } from '../db/plan-work';
import { inSnapshot, rows, pool } from '../db/pool';
import { keepPlan, planStates } from '../db/stored-plans';
import { wishesOfTrip, type PlanWishes } from '../db/wishes';
import { fingerprintOf } from './fingerprint';
import { log } from '../log';
import { BACKGROUND_THREADS, inThread, isStopping } from '../work/workers';
import { plain } from './keep';

/**
 * Plans of a whole group, worked out in the background, in threads of their own. What is wanted and who is at it stands in the
 * database, so that several processes share the work.
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

/** A trip, and how far the plans of all its clients are, or of some: only what has changed since is worked out. */
export async function groupOf(
	houseId: string,
	tripId: string,
	only?: readonly string[]
): Promise<{ document: Document; plans: PlanState[] }> {
	const question = await questionOf(houseId, tripId);
	const { document } = question;
	const { trip, clients } = document;
	if (trip.stages.length === 0) return { document, plans: [] };
	const asked = new Map(
		clients
			.filter(({ id }) => !only || only.includes(id))
			.map((client) => [client.id, fingerprintIn(question, client)])
	);
	const before = await planStates(tripId, asked);
	// Most looks find everything there, and ask for nothing.
	if (before.every(({ isCurrent }) => isCurrent)) return { document, plans: before };
	await wantPlans(tripId, asked);
	makeRoom();
	work();
	return { document, plans: await planStates(tripId, asked) };
}
/** How far the plans of a trip's clients are, or of some; what is not there is begun. */
export const planGroup = async (...asked: Parameters<typeof groupOf>): Promise<PlanState[]> =>
	(await groupOf(...asked)).plans;

let working = 0;
/** Works out wanted plans until there are none, as many at a time as there are threads for it. */
function work(): void {
	while (working < BACKGROUND_THREADS) {
		working++;
		void workOne();
	}
}
/** Work that ends when its thread is needed for a plan. */
type LaterWork = (signal: AbortSignal) => Promise<void>;
/** What waits until no plan is wanted: it is done in the same threads, one after the other. */
const later: LaterWork[] = [];
let underway: AbortController | null = null;
/** Has something worked out in the background once no plan is wanted any more. */
export function whenNoPlanIsWanted(task: LaterWork): void {
	later.push(task);
	work();
}
/** Ends what can wait where a plan would have to wait for it. */
function makeRoom(): void {
	if (working >= BACKGROUND_THREADS) underway?.abort();
}
async function doLater(task: LaterWork): Promise<void> {
	underway = new AbortController();
	const { signal } = underway;
	try {
		await task(signal);
	} catch (trouble) {
		if (!signal.aborted) log.error({ err: trouble }, 'background work failed');
	} finally {
		underway = null;
	}
}
async function workOne(): Promise<void> {
	try {
		for (;;) {
			const job = await claimPlan();
			if (!job) {
				const task = underway ? undefined : later.shift();
				if (!task || isStopping()) return;
				await doLater(task);
				continue;
			}
			try {
				await answer(job);
			} catch (trouble) {
				// What the server was at when it was stopped is taken up by the next one.
				if (isStopping()) return await giveBack(job);
				log.error({ err: trouble, trip: job.tripId }, 'plan failed');
				await failPlan(job);
			}
		}
	} catch (trouble) {
		log.error({ err: trouble }, 'queue of plans');
	} finally {
		working--;
		// What came in while this one was on its way out.
		if (later.length > 0 && !underway && !isStopping()) work();
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
	const plan = await inThread(
		'plan',
		{ document: question.document, client, asked: plain(question.wishes.get(client.id) ?? {}) },
		{
			kind: 'background',
			hear: ({ done, total }) => void tellProgress(job, done, total).catch(() => undefined)
		}
	);
	await keepPlan(job, { fingerprint, summary: plan.summary, days: Buffer.from(plan.days) });
}
