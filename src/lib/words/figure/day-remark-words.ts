import type { DayRemark } from '../../core/patterns/day-remarks';
import { message } from '../message';
import { type Units, withUnit } from '../units';

const wordsOf = (remark: DayRemark, units: Units): string => {
	switch (remark.code) {
		case 'gap':
			return message('day.gap', { days: remark.days });
		case 'notFromBed':
			return message('day.notFromBed', { height: withUnit('height', remark.bedM, units, 0) });
		case 'longDay':
			return message('day.longDay', { hours: Math.round(remark.hours) });
		default:
			return message(`day.${remark.code}`);
	}
};
/** What looks like a slip, by the field at which it is said. */
export const remarkWords = (
	remarks: readonly DayRemark[],
	units: Units
): Partial<Record<DayRemark['field'], string>> =>
	Object.fromEntries(remarks.map((remark) => [remark.field, wordsOf(remark, units)]));
