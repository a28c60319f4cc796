import { guestMessage, type Language } from '$lib/words/guest/guest-words';
import { firstName } from '$lib/words/labels';
import { invitation, reminder } from '$lib/words/guest/letters';
import { noteMail } from '../db/guests/mail';
import { makeLink } from '../db/guests/links';
import { NotFoundError } from '../db/pool';
import { answersOn } from '../plans/answers-page';
import { isSimulated, mustTakeMail, sendMail } from './send-mail';

/** Writes to a client of a trip, at the address that they gave. */

/** What stands in the list of what was sent in place of the link: only its hash is kept. */
const NOT_KEPT = '…';

interface Asked {
	houseId: string;
	tripId: string;
	clientId: string;
	by: string;
	/** where the app is reached */
	origin: string;
	kind: 'link' | 'reminder';
	language: Language;
}
/** @throws NotFoundError, RangeError when there is no address, BusyError when the mail server does not take it */
export async function writeToClient({
	houseId,
	tripId,
	clientId,
	by,
	origin,
	kind,
	language
}: Asked): Promise<void> {
	const { trip, clients } = await answersOn(houseId, tripId, null);
	const client = clients.find(({ id }) => id === clientId);
	if (!client) throw new NotFoundError('client');
	const to = client.mail;
	if (!to) throw new RangeError('This client has not said where you may write to.');
	const name = firstName(client.name);
	const subject = guestMessage(language, 'letter.subject', { trip: trip.name });
	if (kind === 'reminder' && !client.link) throw new RangeError('There is no link yet: send one first.');
	const textWith = (link: string): string =>
		kind === 'link'
			? invitation(language, name, trip.name, link)
			: reminder(language, name, trip.name, { ...client.link!, packed: client.packed, toGet: client.toGet });
	// The link before ends with the new one: only once it is known that there is somebody to take the mail.
	await mustTakeMail();
	const link =
		kind === 'link' ? `${origin}/c/${await makeLink(houseId, tripId, clientId, by)}?in=${language}` : '';
	await sendMail({ to, subject, text: textWith(link) });
	await noteMail(tripId, {
		clientId,
		sentTo: to,
		subject,
		text: textWith(`${origin}/c/${NOT_KEPT}`),
		madeBy: by,
		isSimulated: isSimulated()
	});
}
