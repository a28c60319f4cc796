import type { Caution } from '../core/rules/cautions';
import { CAUTION_MESSAGES } from './en/caution-messages';
import { format } from './message';
import type { Units } from './units';
import { valuesInWords } from './values';

/** A caution in words: what is read first, and the rest. */
export function cautionWords({ code, values }: Caution, units: Units): { lead: string; rest: string } {
	const { from, bed, more } = values;
	const all = {
		...valuesInWords(values, units),
		first: typeof from === 'object' && from.value === 0 ? 'atonce' : 'later',
		sleeps: typeof bed === 'object' ? 'high' : 'no',
		more: Number(more ?? 0)
	};
	return {
		lead: format(CAUTION_MESSAGES[`caution.${code}.lead`], all),
		rest: format(CAUTION_MESSAGES[`caution.${code}`], all)
	};
}
/** The same in one piece. */
export function cautionSentence(caution: Caution, units: Units): string {
	const { lead, rest } = cautionWords(caution, units);
	return `${lead} ${rest}`;
}
