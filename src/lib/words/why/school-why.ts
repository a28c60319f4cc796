import type { SchoolId } from '../../core/document/schools';
import { SCHOOL_WHYS } from '../en/school-whys';
import { format } from '../message';
import { measureWords, METRIC, type Units } from '../units';

/** Why our default is what it is, in the units of the reader. */
export function schoolWhy(id: SchoolId, units: Units = METRIC): string {
	const { why, valuesC = {} } = SCHOOL_WHYS[id];
	const said = Object.entries(valuesC).map(([name, value]) => [
		name,
		measureWords({ value, unit: '°C' }, units)
	]);
	return format(why, Object.fromEntries(said) as Record<string, string>);
}
