import { rolledOut } from '../document/sequence';
import type { Stage } from '../document/types';

/** What looks like a slip in a day: it can be meant, so that it is said at the field and nothing is refused. */
export type DayRemark =
	| { field: 'date'; code: 'gap' | 'before'; days: number }
	| { field: 'startM'; code: 'notFromBed'; bedM: number }
	| { field: 'highM'; code: 'highUnderStart' }
	| { field: 'lowM'; code: 'lowOverHigh' }
	| { field: 'startMin'; code: 'longDay'; hours: number };

/** A day longer than this is rarely meant, min (common practice, no source). */
const LONG_DAY_MIN = 16 * 60;
const DAY_MS = 86_400_000;

/**
 * What looks like a slip in a day.
 * @param before the day before it on the trip; null for the first one
 */
export function dayRemarks(stage: Stage, before: Pick<Stage, 'date' | 'route'> | null): DayRemark[] {
	const { startM, highM, lowM } = stage.route;
	const remarks: DayRemark[] = [];
	const days = before ? Math.round((Date.parse(stage.date) - Date.parse(before.date)) / DAY_MS) : 1;
	if (days > 1) remarks.push({ field: 'date', code: 'gap', days: days - 1 });
	if (days < 1) remarks.push({ field: 'date', code: 'before', days: -days });
	if (before && before.route.bedM !== startM)
		remarks.push({ field: 'startM', code: 'notFromBed', bedM: before.route.bedM });
	if (highM < startM) remarks.push({ field: 'highM', code: 'highUnderStart' });
	if (lowM > highM) remarks.push({ field: 'lowM', code: 'lowOverHigh' });
	const minutes = rolledOut(stage.sequence)
		.filter(({ phase: { kind } }) => kind !== 'sleep' && kind !== 'what-if')
		.reduce((sum, { phase }) => sum + phase.minutes, 0);
	if (minutes > LONG_DAY_MIN) remarks.push({ field: 'startMin', code: 'longDay', hours: minutes / 60 });
	return remarks;
}
