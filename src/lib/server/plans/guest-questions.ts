import { schooled } from '$lib/core/conditions/person';
import type { Client, Document, Trip } from '$lib/core/document/types';
import { type Ground, groundKey, groundOf, type Told, toldKey, toldMore } from '$lib/core/questions/ground';
import type { Interview } from '$lib/core/questions/interview';
import type { RememberedDay } from '$lib/core/remedy/trials';
import { type ItDoes, whatItDoes } from '$lib/core/questions/moments';
import type { QuestionId } from '$lib/core/questions/questions';
import { beginQuestions, keepQuestions, keptQuestions } from '../db/guests/questions';
import { hashOf } from '../sign-in/secret';
import { inThread } from '../work/workers';
import { fingerprintOf } from './fingerprint';
import { whenNoPlanIsWanted } from './work';

/** What a client is asked on the page, and what will be asked after each answer to the first question, as far as it is known. */
export interface Asking {
	questions: readonly GuestQuestion[];
	nothingMore: boolean;
	after: { there: Asking | null; away: Asking | null } | null;
}
export interface GuestQuestion {
	id: QuestionId;
	/** moments of the trip that go otherwise with it */
	moments: number;
	does: ItDoes;
	/** whether it is taken as likely that one who does not know has it */
	isAssumed: boolean;
}
type States = Record<string, Interview>;

/** A page knows what is asked after so many answers more. */
const AHEAD = 3;
function askingFrom(states: States, ground: Ground, trip: Trip, told: Told, ahead = AHEAD): Asking | null {
	const interview = states[toldKey(told)];
	if (!interview) return null;
	const placeOf = (id: QuestionId): number => ground.asked.findIndex(({ question }) => question.id === id);
	const [first] = interview.questions;
	const after = (isThere: boolean): Asking | null =>
		askingFrom(states, ground, trip, toldMore(told, placeOf(first!.id), isThere), ahead - 1);
	return {
		questions: interview.questions.map(({ id, changes }) => ({
			id,
			moments: changes.length,
			does: whatItDoes(changes, trip),
			isAssumed: ground.asked[placeOf(id)]!.isAssumed
		})),
		nothingMore: interview.isEnough,
		after: first && ahead > 0 ? { there: after(true), away: after(false) } : null
	};
}
/** Whether somebody who answers now knows at once what comes next. */
const isAhead = ({ questions, after }: Asking): boolean =>
	questions.length === 0 || (after?.there != null && after.away != null);

/**
 * What to ask a client: null while it is worked out, which begins with the first look.
 * @param client of the document, as it stands there
 * @param answers that were given on this trip, by question
 */
export async function askingOf(
	document: Document,
	client: Client,
	answers: ReadonlyMap<string, string>
): Promise<Asking | null> {
	const { trip } = document;
	const unknown = new Set([...answers].filter(([, answer]) => answer === 'unknown').map(([id]) => id));
	const own = schooled(client, document);
	const ground = groundOf(document, own, unknown, true);
	const fingerprint = hashOf(fingerprintOf(document, { ...client, things: [] }) + groundKey(ground));
	const kept = await keptQuestions(trip.id, client.id, fingerprint);
	const asking = kept === null ? null : askingFrom(JSON.parse(kept) as States, ground, trip, ground.told);
	if (asking === null || !isAhead(asking)) await work(document, ground, fingerprint);
	return asking;
}

async function work(document: Document, ground: Ground, fingerprint: string): Promise<void> {
	const [tripId, clientId] = [document.trip.id, ground.base.id];
	const begun = await beginQuestions(tripId, clientId, fingerprint);
	if (!begun) return;
	const states = JSON.parse(begun.questions ?? '{}') as States;
	const memory = JSON.parse(begun.memory ?? '[]') as RememberedDay[];
	const keep = (isDone: boolean): Promise<void> =>
		keepQuestions(
			tripId,
			clientId,
			{
				claim: begun.claim,
				questions: JSON.stringify(states),
				// Of some weight: it is written once, at the end.
				memory: isDone ? JSON.stringify(memory) : begun.memory
			},
			isDone
		);
	whenNoPlanIsWanted(async (signal) => {
		// Each state is kept as soon as it is known, one after the other: somebody may wait for it.
		let keeping = Promise.resolve();
		try {
			await inThread(
				'foresee',
				{ document: { ...document, clients: [] }, ground, known: states, memory },
				{
					kind: 'background',
					signal,
					hear: ({ key, interview, days }) => {
						states[key] = interview;
						memory.push(...days);
						keeping = keeping.then(() => keep(false)).catch(() => undefined);
					}
				}
			);
		} finally {
			await keeping;
			await keep(true);
		}
	});
}
