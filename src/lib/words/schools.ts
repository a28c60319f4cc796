import type { SchoolId } from '../core/document/schools';
import { SCHOOL_WORDS } from './en/schools';
import { format } from './message';
import { measureWords, METRIC, type Units } from './units';

/** What the schools are called, and what may be chosen. */
export const schoolQuestion = (id: string): string => SCHOOL_WORDS[id as SchoolId]?.question ?? id;
/** Why our default is what it is, in the units of the reader. */
export function schoolWhy(id: SchoolId, units: Units = METRIC): string {
	const { why, valuesC = {} } = SCHOOL_WORDS[id];
	const said = Object.entries(valuesC).map(([name, value]) => [
		name,
		measureWords({ value, unit: '°C' }, units)
	]);
	return format(why, Object.fromEntries(said) as Record<string, string>);
}
export const choiceWords = (id: string, choice: string): string =>
	SCHOOL_WORDS[id as SchoolId]?.choices[choice] ?? choice;
