import type { Answer } from '$lib/core/kit/answers';
import { randomUUID } from 'node:crypto';
import { pool, rows, write } from '../pool';

/** How the questions that were asked on a trip were answered, by client and question. */
export async function allAnswersOn(
	tripId: string,
	clientId?: string
): Promise<Map<string, Map<string, Answer>>> {
	const found = await rows<{ client_id: string; question_id: string; answer: Answer }>(
		pool(),
		`SELECT client_id, question_id, answer FROM client_answers
		 WHERE trip_id = ?${clientId === undefined ? '' : ' AND client_id = ?'} ORDER BY question_id`,
		clientId === undefined ? [tripId] : [tripId, clientId]
	);
	const by = new Map<string, Map<string, Answer>>();
	for (const { client_id, question_id, answer } of found)
		by.set(client_id, (by.get(client_id) ?? new Map<string, Answer>()).set(question_id, answer));
	return by;
}
/** How one client answered. */
export const answersOf = async (tripId: string, clientId: string): Promise<Map<string, Answer>> =>
	(await allAnswersOn(tripId, clientId)).get(clientId) ?? new Map<string, Answer>();

/** What is being worked out is begun anew after so long: whoever was at it is gone, s. */
const GONE_AFTER_S = 600;

/** Questions as they are kept, JSON; null while there are none. @param fingerprint of what they depend on */
export async function keptQuestions(
	tripId: string,
	clientId: string,
	fingerprint: string
): Promise<string | null> {
	const [found] = await rows<{ questions: string | null }>(
		pool(),
		'SELECT questions FROM client_questions WHERE trip_id = ? AND client_id = ? AND fingerprint = ?',
		[tripId, clientId, fingerprint]
	);
	return found?.questions ?? null;
}

/** Who works questions out, and what was known before of what they depend on. */
export interface QuestionWork {
	claim: string;
	questions: string | null;
	memory: string | null;
}
/** Says that one works them out. @returns null when somebody else is at it */
export async function beginQuestions(
	tripId: string,
	clientId: string,
	fingerprint: string
): Promise<QuestionWork | null> {
	const claim = randomUUID();
	// What it was before decides of all: the fingerprint is changed last.
	const isOther = 'fingerprint <> VALUES(fingerprint)';
	const isFree = `${isOther} OR is_worked_out OR begun_at < UTC_TIMESTAMP(3) - INTERVAL ${GONE_AFTER_S} SECOND`;
	await write(
		pool(),
		`INSERT INTO client_questions (trip_id, client_id, fingerprint, claim) VALUES (?, ?, ?, ?)
		 ON DUPLICATE KEY UPDATE
			claim = IF(${isFree}, VALUES(claim), claim),
			begun_at = IF(claim = VALUES(claim), UTC_TIMESTAMP(3), begun_at),
			is_worked_out = IF(claim = VALUES(claim), FALSE, is_worked_out),
			questions = IF(${isOther}, NULL, questions),
			memory = IF(${isOther}, NULL, memory),
			fingerprint = VALUES(fingerprint)`,
		[tripId, clientId, fingerprint, claim]
	);
	const [found] = await rows<QuestionWork>(
		pool(),
		'SELECT claim, questions, memory FROM client_questions WHERE trip_id = ? AND client_id = ?',
		[tripId, clientId]
	);
	return found?.claim === claim ? found : null;
}

/** Keeps what is worked out so far; what another one has begun since stands. */
export const keepQuestions = async (
	tripId: string,
	clientId: string,
	{ claim, questions, memory }: QuestionWork,
	isWorkedOut: boolean
): Promise<void> =>
	void (await write(
		pool(),
		`UPDATE client_questions SET questions = ?, memory = ?, is_worked_out = ?
		 WHERE trip_id = ? AND client_id = ? AND claim = ?`,
		[questions, memory, isWorkedOut, tripId, clientId, claim]
	));
