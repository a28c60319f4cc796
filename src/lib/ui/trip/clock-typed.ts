/** "7:30", "0730", "7.30" and "7h30" are all half past seven; 24:00 is the end of the day. Null when it is no time. */
export function clockFrom(text: unknown): number | null {
	const [, hours, minutes] = /^\s*(\d{1,2})[:.h]?(\d\d)\s*$/.exec(String(text)) ?? [];
	const time = Number(hours) * 60 + Number(minutes);
	return Number(minutes) < 60 && time <= 1440 ? time : null;
}
