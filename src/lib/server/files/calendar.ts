import { createEvents, type DateArray, type EventAttributes } from 'ics';

/** Dates of a trip as a calendar file (iCalendar, RFC 5545). */

export interface CalendarDay {
	/** the same for the same thing, so that a file that is opened again changes it and adds none */
	uid: string;
	title: string;
	note: string;
	/** ISO date of the first and the last day */
	from: string;
	to: string;
}

const DAY_MS = 86_400_000;
function parts(iso: string, later = 0): DateArray {
	const day = new Date(Date.parse(`${iso}T00:00:00Z`) + later * DAY_MS);
	return [day.getUTCFullYear(), day.getUTCMonth() + 1, day.getUTCDate()];
}

/** A calendar of whole days. @throws Error when a date is none */
export function calendarOf(days: readonly CalendarDay[]): string {
	const { error, value } = createEvents(
		days.map(({ uid, title, note, from, to }): EventAttributes => ({
			uid,
			title,
			description: note,
			start: parts(from),
			// The end of a whole day is the day after.
			end: parts(to, 1),
			productId: 'snug-summit',
			busyStatus: 'FREE',
			transp: 'TRANSPARENT'
		}))
	);
	if (error || !value) throw error ?? new Error('no calendar');
	return value;
}
