import { LANGUAGES } from '../../core/document/client-facts';
import { catalogueType } from '../../core/cloth/catalogue';
import { GARMENTS as GERMAN_GARMENTS } from '../de/garments';
import { GUEST_MESSAGES as GERMAN } from '../de/guest-messages';
import { GARMENTS } from '../en/garments';
import { GUEST_MESSAGES as ENGLISH } from '../en/guest-messages';
import { formatIn, type MessageValues } from '../message';
import { type Units, withUnit } from '../units';

/** What a client reads, in the language that they chose. */
export type Language = (typeof LANGUAGES)[number];
export type GuestMessageId = keyof typeof ENGLISH;

interface Catalogue {
	locale: string;
	messages: Readonly<Record<GuestMessageId, string>>;
	garment: (typeId: string) => string | undefined;
}
/** Another language is a line here and the files that it names. */
const CATALOGUES: Readonly<Record<Language, Catalogue>> = {
	en: { locale: 'en-GB', messages: ENGLISH, garment: (id) => GARMENTS[id]?.name },
	de: { locale: 'de-DE', messages: GERMAN, garment: (id) => GERMAN_GARMENTS[id] }
};

export const isLanguage = (text: string | undefined): text is Language =>
	(LANGUAGES as readonly string[]).includes(text ?? '');
/** The first language that a browser asks for and that we speak. @param accepted as in `de-CH,de;q=0.9,en;q=0.8` */
export const languageFor = (accepted: string): Language =>
	accepted
		.split(',')
		.map((one) => one.trim().slice(0, 2).toLowerCase())
		.find(isLanguage) ?? 'en';

/** @throws Error when a value is missing */
export function guestMessage(language: Language, id: GuestMessageId, values: MessageValues = {}): string {
	const { locale, messages } = CATALOGUES[language];
	return formatIn(locale, messages[id], values);
}

/** A type of the catalogue, in the language and units of a reader. @throws RangeError when there is none */
export function guestTypeName(language: Language, typeId: string, units: Units): string {
	const { id, properties } = catalogueType(typeId);
	const comfortC = properties.comfortTempC;
	const comfort = `${comfortC > 0 && units.temp === 'C' ? '+' : ''}${withUnit('temp', comfortC, units)}`;
	return (CATALOGUES[language].garment(id) ?? id).replace('{comfort}', comfort);
}

/** A day as it is said: "Sat 5 December". @param iso date as in `2027-01-23` */
export const guestDate = (language: Language, iso: string): string =>
	new Intl.DateTimeFormat(CATALOGUES[language].locale, {
		weekday: 'short',
		day: 'numeric',
		month: 'long',
		timeZone: 'UTC'
	}).format(new Date(`${iso}T12:00:00Z`));

/** Some words in a row, as they are said: "in the evenings and at night". */
export const guestListed = (language: Language, words: readonly string[]): string =>
	new Intl.ListFormat(CATALOGUES[language].locale, { type: 'conjunction' }).format(words);

/** Where and when a trip is: " · Vessel valley · Sat 23 January – Sun 24 January". @param dates ISO dates, the earliest first */
export const guestPlace = (language: Language, place: string, dates: readonly string[]): string =>
	[
		place,
		[...new Set([dates[0], dates.at(-1)])]
			.flatMap((date) => (date ? [guestDate(language, date)] : []))
			.join(' – ')
	]
		.filter(Boolean)
		.map((words) => ` · ${words}`)
		.join('');
