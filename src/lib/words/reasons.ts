import type { Reason, ReasonValue, RuleId } from '../core/document/reasons';
import { RULE_WORDS } from './en/rules';
import { VALUE_LABELS } from './en/values';
import {
	BED_WORDS,
	GROUND_WORDS,
	ORIGIN_SENTENCES,
	PACE_WORDS,
	PLACE_WORDS,
	PRECIPITATION_WORDS,
	TERRAIN_WORDS,
	clock
} from './labels';
import { format } from './message';
import { type Units, measureWords, valueInUnits } from './units';

/** Reasons in words: what a rule says, where it comes from, and the figures that went into it. */

/** What a rule says and where it comes from, in the units of the reader. */
export function ruleWords(
	rule: RuleId,
	units: Units
): { says: string; equation: string | null; source: string } {
	const { says, equation = null, source, values = {} } = RULE_WORDS[rule];
	const said = Object.fromEntries(
		Object.entries(values).map(([name, [value, unit]]) => [name, measureWords({ value, unit }, units)])
	);
	return { says: format(says, said), equation, source: format(source, said) };
}

/** Codes that stand in place of a figure. */
const CODES: Readonly<Record<string, string>> = {
	...BED_WORDS,
	...GROUND_WORDS,
	...PACE_WORDS,
	...TERRAIN_WORDS,
	...PLACE_WORDS,
	...PRECIPITATION_WORDS,
	...ORIGIN_SENTENCES
};

/** A value of a reason: its label, and the figure with its unit. */
export function reasonValueWords(
	{ name, value, unit, to, of }: ReasonValue,
	units: Units
): { label: string; figure: string } {
	const isOrigin = typeof value === 'string' && value in ORIGIN_SENTENCES;
	const about = typeof of === 'number' ? measureWords({ value: of, unit: 'm' }, units) : (of ?? '');
	const label = format(VALUE_LABELS[name], { of: about });
	if (typeof value === 'string') {
		const words = CODES[value] ?? value;
		return { label, figure: isOrigin && about ? `${words}: ${about}` : words };
	}
	if (unit === 'o’clock') return { label, figure: clock(value) };
	if (!unit) return { label, figure: String(value).replace('-', '−') };
	const shown = valueInUnits(value, unit, units);
	const upTo = to === undefined ? '' : `–${valueInUnits(to, unit, units).value}`;
	return { label, figure: `${String(shown.value).replace('-', '−')}${upTo} ${shown.unit}` };
}

/** A reason with its words beside it, as the API gives it out. */
export const reasonInWords = (reason: Reason, units: Units): Reason & { says: string; source: string } => {
	const { says, source } = ruleWords(reason.rule, units);
	return { ...reason, says, source };
};
