import type { Decision, Refusal, Way } from '../../core/remedy/decision';
import { longDate } from '../labels';
import type { Units } from '../units';

/** What was decided of things to get, in words. */

export const REFUSAL_WORDS: Readonly<Record<Refusal, string>> = {
	'has one': 'has one already',
	'does not want it': 'does not want it',
	'too dear': 'costs too much',
	'too late': 'comes too late'
};
export const WAY_WORDS: Readonly<Record<Way, string>> = {
	buy: 'buy',
	hire: 'hire',
	friend: 'ask a friend',
	repair: 'have it mended',
	own: 'bring your own',
	provided: 'the operator brings it'
};

/** How, by when and for what: "buy by Wed 20 Jan, for “Top” on day 1". */
export function getWords(
	{ way, because }: Pick<Decision, 'way' | 'because'>,
	due: string | null,
	order: Pick<Units, 'date'>
): string {
	const how = way ? WAY_WORDS[way] : 'get it';
	const by = due && way !== 'provided' && way !== 'own' ? ` by ${longDate(due, order)}` : '';
	return `${how}${by}${because ? `, for ${because}` : ''}`;
}
