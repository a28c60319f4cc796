import { randomUUID } from 'node:crypto';
import { pool, rows, write } from '../pool';

/** Questions that were asked on a trip and answered with "I don't know": they are not asked again. */
export const unknownTo = async (tripId: string, clientId: string): Promise<string[]> =>
	(
		await rows<{ question_id: string }>(
			pool(),
			"SELECT question_id FROM client_answers WHERE trip_id = ? AND client_id = ? AND answer = 'unknown' ORDER BY question_id",
			[tripId, clientId]
		)
	).map(({ question_id }) => question_id);

/** What is being worked out is begun anew after so long: whoever was at it is gone, s. */
const GONE_AFTER_S = 600;

/** Questions as they are kept, JSON; null while they are worked out. @param fingerprint of what they depend on */
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

/** Says that one works them out. @returns whether nobody else is at it */
export async function beginQuestions(
	tripId: string,
	clientId: string,
	fingerprint: string
): Promise<boolean> {
	const claim = randomUUID();
	// What it was before decides of all: the fingerprint is changed last.
	const isFree = `fingerprint <> VALUES(fingerprint) OR (questions IS NULL AND begun_at < UTC_TIMESTAMP(3) - INTERVAL ${GONE_AFTER_S} SECOND)`;
	await write(
		pool(),
		`INSERT INTO client_questions (trip_id, client_id, fingerprint, claim) VALUES (?, ?, ?, ?)
		 ON DUPLICATE KEY UPDATE
			claim = IF(${isFree}, VALUES(claim), claim),
			begun_at = IF(claim = VALUES(claim), UTC_TIMESTAMP(3), begun_at),
			questions = IF(claim = VALUES(claim), NULL, questions),
			fingerprint = VALUES(fingerprint)`,
		[tripId, clientId, fingerprint, claim]
	);
	const [found] = await rows<{ claim: string }>(
		pool(),
		'SELECT claim FROM client_questions WHERE trip_id = ? AND client_id = ?',
		[tripId, clientId]
	);
	return found?.claim === claim;
}

export const keepQuestions = async (
	tripId: string,
	clientId: string,
	fingerprint: string,
	questions: string
): Promise<void> =>
	void (await write(
		pool(),
		'UPDATE client_questions SET questions = ? WHERE trip_id = ? AND client_id = ? AND fingerprint = ?',
		[questions, tripId, clientId, fingerprint]
	));
