import { IntlMessageFormat, type PrimitiveType } from 'intl-messageformat';
import { MESSAGES } from './en/messages';

/** Sentences from the catalogue of the language; English is the only one now. */
export type MessageId = keyof typeof MESSAGES;
export type MessageValues = Readonly<Record<string, string | number>>;

const LOCALE = 'en-GB';
/** A message is parsed once: that costs more than a hundred sentences. */
const parsed = new Map<unknown, IntlMessageFormat>();

/** A message of ICU syntax with its values; the build has parsed the catalogue already. @throws Error when a value is missing */
export const format = (text: string, values: MessageValues = {}): string => formatIn(LOCALE, text, values);

/** The same in the language of a catalogue, which knows its plurals. */
export function formatIn(locale: string, text: string, values: MessageValues = {}): string {
	// In the build a sentence with places for values is no longer a string; what is one is said as it stands.
	if (typeof text === 'string' && !text.includes('{')) return text;
	let made = parsed.get(text);
	if (!made) {
		made = new IntlMessageFormat(text, locale, undefined, { ignoreTag: true });
		parsed.set(text, made);
	}
	return String(made.format(values as Record<string, PrimitiveType>));
}

/** A sentence of the catalogue. @throws Error when a value is missing */
export const message = (id: MessageId, values: MessageValues = {}): string => format(MESSAGES[id], values);

/** Whether the catalogue has a message. */
export const hasMessage = (id: string): id is MessageId => id in MESSAGES;

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** Names inside a sentence begin small. */
export const small = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
/** "a, b and c". */
export function listed(words: readonly string[]): string {
	if (words.length <= 1) return words[0] ?? '';
	return message('list', { first: words.slice(0, -1).join(', '), last: words.at(-1)! });
}
