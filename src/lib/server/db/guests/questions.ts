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
export const beginQuestions = async (
	tripId: string,
	clientId: string,
	fingerprint: string
): Promise<boolean> =>
	(await write(
		pool(),
		`INSERT INTO client_questions (trip_id, client_id, fingerprint, begun_at) VALUES (?, ?, ?, UTC_TIMESTAMP(3))
		 ON DUPLICATE KEY UPDATE
			questions = IF(fingerprint <> VALUES(fingerprint), NULL, questions),
			begun_at = IF(fingerprint <> VALUES(fingerprint) OR begun_at < UTC_TIMESTAMP(3) - INTERVAL ${GONE_AFTER_S} SECOND, VALUES(begun_at), begun_at),
			fingerprint = VALUES(fingerprint)`,
		[tripId, clientId, fingerprint]
	)) > 0;

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
