import { randomUUID } from 'node:crypto';
import { isoTime, pool, rows, write } from '../pool';

/** Mail that went out to clients of a trip. */
export interface SentMail {
	id: string;
	clientId: string;
	sentTo: string;
	subject: string;
	text: string;
	madeBy: string;
	isSimulated: boolean;
	/** ISO time */
	sentAt: string;
}

export const noteMail = async (tripId: string, mail: Omit<SentMail, 'id' | 'sentAt'>): Promise<void> =>
	void (await write(
		pool(),
		`INSERT INTO client_mail (id, trip_id, client_id, sent_to, subject, text, made_by, is_simulated)
		 VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
		[randomUUID(), tripId, mail.clientId, mail.sentTo, mail.subject, mail.text, mail.madeBy, mail.isSimulated]
	));

/** The newest first. */
export async function mailOn(tripId: string): Promise<SentMail[]> {
	const found = await rows<Omit<SentMail, 'sentAt' | 'isSimulated'> & { at: string; simulated: number }>(
		pool(),
		`SELECT id, client_id AS clientId, sent_to AS sentTo, subject, text, made_by AS madeBy,
			is_simulated AS simulated, sent_at AS at
		 FROM client_mail WHERE trip_id = ? ORDER BY sent_at DESC, id`,
		[tripId]
	);
	return found.map(({ at, simulated, ...mail }) => ({
		...mail,
		isSimulated: simulated === 1,
		sentAt: isoTime(at)!
	}));
}
