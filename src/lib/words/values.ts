import type { FindingValue } from '../core/document/finding';
import { measureWords, type Units } from './units';

/** Figures that are told as "12 of 18 min" or "5 to 10 min": the unit stands once, behind the second. */
const PAIRS = [
	['held', 'minutes'],
	['from', 'to']
] as const;

/** The values of a finding or a caution as they stand in its sentence. */
export function valuesInWords(
	values: Readonly<Record<string, FindingValue>>,
	units: Units
): Record<string, string> {
	const said = Object.fromEntries(
		Object.entries(values).map(([name, value]) => [
			name,
			typeof value === 'string' ? value : measureWords(value, units)
		])
	);
	for (const [first, second] of PAIRS) {
		const [a, b] = [values[first], values[second]];
		if (typeof a === 'object' && typeof b === 'object' && a.unit === b.unit)
			said[first] = String(Math.round(a.value));
	}
	return said;
}
