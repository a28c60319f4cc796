import type { MessagePort } from 'node:worker_threads';
import { schooled } from '$lib/core/conditions/person';
import type { Client, Document } from '$lib/core/document/types';
import { type DocumentWishes, documentPlan, plannedDays } from '$lib/core/plan/planner';
import { tripSummary, type TripSummary } from '$lib/core/plan/told/summary';
import { clientChanges, phasesAsPlanned } from '$lib/core/plan/verdict-changes';
import { finished } from '$lib/core/search/steps';
import { lending } from '$lib/core/remedy/lending/lending';
import { remedies } from '$lib/core/remedy/ladder';
import { type Foreseen, foreseeing } from '$lib/core/questions/ahead';
import type { Ground } from '$lib/core/questions/ground';
import { type Interview, interview } from '$lib/core/questions/interview';
import type { RememberedDay } from '$lib/core/remedy/trials';
import { lendingAnswer } from '$lib/formats/answers/lending-answer';
import { planAnswer } from '$lib/formats/answers/plan-answer';
import { questionsAnswer } from '$lib/formats/answers/questions-answer';
import { remediesAnswer } from '$lib/formats/answers/remedies-answer';
import type { LendingRequest } from '$lib/formats/schema/lending/lending';
import type { PlanRequest } from '$lib/formats/schema/plan';
import type { QuestionsRequest } from '$lib/formats/schema/people/questions';
import type { RemediesRequest } from '$lib/formats/schema/lending/remedies';
import { packedDays, unpackedDays } from '../plans/packed';
import { hittingSolver } from '../solver/hitting';
import {
	type ChangesAsked,
	changesAsked,
	lendingAsked,
	planAsked,
	questionsAsked,
	type Read,
	remediesAsked,
	tripEditAsked
} from './asked';

/**
 * What runs in the threads of the work pool: reading and checking what somebody sent, planning, and writing the answer. Nothing
 * here knows the database. What goes in and out is copied between threads.
 */

/** A plan as it is stored: what it comes to, and its days, packed. */
export interface WorkedPlan {
	summary: TripSummary;
	days: Uint8Array;
}
export interface PlanTask {
	document: Document;
	client: Client;
	asked: DocumentWishes;
	/** hears now and then how far the plan is */
	progress?: MessagePort;
}
export interface Progress {
	done: number;
	total: number;
}

/** Progress is told at most so often, ms: every time is a write to the database. */
const TELL_EVERY_MS = 250;

/** Works a plan out, whole. */
export async function plan({ document, client, asked, progress }: PlanTask): Promise<WorkedPlan> {
	const steps = documentPlan(document, client, asked);
	let told = Date.now();
	let step = steps.next();
	for (; !step.done; step = steps.next()) {
		if (!progress || Date.now() - told < TELL_EVERY_MS) continue;
		told = Date.now();
		const { done, total } = step.value;
		progress.postMessage({ done, total } satisfies Progress);
	}
	progress?.close();
	return {
		summary: tripSummary(step.value),
		days: await packedDays(finished(plannedDays(step.value)))
	};
}

/** The answer of the API to a plan that is known, as JSON text. */
export async function answerOf({
	document,
	client,
	days
}: {
	document: Document;
	client: Client;
	days: Uint8Array;
}): Promise<string> {
	return JSON.stringify(
		planAnswer(schooled(client, document), await unpackedDays(Buffer.from(days)), document.trip)
	);
}

/** The archive of all that a database holds, and what is in one. */
export { archiveOf, readArchive } from './archive';

/** Reads what was sent to be planned. */
export const readPlan = (text: string): Read<{ asked: PlanRequest; client: Client }> => planAsked(text);
/** Reads two documents that are to be compared. */
export const readChanges = (text: string): Read<ChangesAsked> => changesAsked(text);

/** Reads a document with candidates. */
export const readRemedies = (text: string): Read<{ asked: RemediesRequest; client: Client }> =>
	remediesAsked(text);

/** What to get for a client, as JSON text. */
export async function whatToGet({
	asked,
	client
}: {
	asked: RemediesRequest;
	client: Client;
}): Promise<string> {
	const found = finished(remedies(asked, client, asked.candidates, await hittingSolver()));
	return JSON.stringify(remediesAnswer(client.id, found));
}

/** Reads a document of whose client something is to be asked. */
export const readQuestions = (text: string): Read<{ asked: QuestionsRequest; client: Client }> =>
	questionsAsked(text);

/** What to ask a client, as JSON text. */
export const whatToAsk = ({ asked, client }: { asked: QuestionsRequest; client: Client }): string =>
	JSON.stringify(questionsAnswer(client.id, interview(asked, client, new Set(asked.asked))));

export interface ForeseeTask {
	document: Document;
	ground: Ground;
	/** what is known by what is told */
	known: Record<string, Interview>;
	/** what was worked out before on the same ground */
	memory: readonly RememberedDay[];
	/** hears each state as soon as it is known */
	progress?: MessagePort;
}
/** Works out ahead what to ask a client after each answer; all that comes of it is told on the way. */
export function foresee({ document, ground, known, memory, progress }: ForeseeTask): void {
	const steps = foreseeing(document, ground, new Map(Object.entries(known)), memory);
	for (const step of steps) progress?.postMessage(step satisfies Foreseen);
	progress?.close();
}

/** Reads a document with a stock. */
export const readLending = (text: string): Read<LendingRequest> => lendingAsked(text);

/** Who gets what of a stock, as JSON text. */
export const whoGetsWhat = (asked: LendingRequest): string =>
	JSON.stringify(lendingAnswer(finished(lending(asked, asked.stock, asked.settled))));

/** Whose verdicts change between two documents, as JSON text. */
export function changes({
	before,
	after,
	wishes,
	clientIds,
	weatherBefore,
	weatherAfter
}: ChangesAsked): string {
	const from = { document: before, weatherId: weatherBefore };
	const to = { document: after, weatherId: weatherAfter };
	return JSON.stringify({
		weatherBefore,
		weatherAfter,
		changes: clientIds.flatMap((clientId) =>
			finished(clientChanges(from, to, clientId, phasesAsPlanned(wishes[clientId]))).map((change) => ({
				clientId,
				...change
			}))
		)
	});
}

/** Reads and checks a trip that is to be saved. */
export const tripEdit = ({ text }: { text: string }): ReturnType<typeof tripEditAsked> => tripEditAsked(text);
