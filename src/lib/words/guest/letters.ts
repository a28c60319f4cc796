import { shortName } from '../labels';
import { guestDate, guestListed, guestMessage, type Language } from './guest-words';

/** What is written to a client, ready to be sent: by hand, or by mail. */

/** With the private link. */
export const invitation = (language: Language, name: string, trip: string, link: string): string =>
	guestMessage(language, 'letter.link', { name, trip, link });

export interface HowFar {
	/** ISO time; null while the list was not opened */
	openedAt: string | null;
	/** ISO time */
	madeAt: string;
	packed: number;
	/** names of things that the client still has to get */
	toGet: readonly string[];
}
/** Things that a reminder names. */
const MOST_NAMED = 4;
/** Without the link, which is told once only. */
export function reminder(
	language: Language,
	name: string,
	trip: string,
	{ openedAt, madeAt, packed, toGet }: HowFar
): string {
	const begin =
		openedAt === null
			? guestMessage(language, 'letter.notOpened', {
					name,
					trip,
					day: guestDate(language, madeAt.slice(0, 10))
				})
			: packed > 0
				? guestMessage(language, 'letter.ticked', { name, trip, many: packed })
				: guestMessage(language, 'letter.noTick', { name, trip });
	const missing =
		toGet.length > 0
			? [
					guestMessage(language, 'letter.toGet', {
						things: guestListed(language, toGet.slice(0, MOST_NAMED).map(shortName))
					})
				]
			: [];
	return [begin, ...missing, guestMessage(language, 'letter.end')].join(' ');
}
