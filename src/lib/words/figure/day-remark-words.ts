import type { DayRemark } from '../../core/patterns/day-remarks';
import { message } from '../message';

const wordsOf = (remark: DayRemark): string => {
	switch (remark.code) {
		case 'gap':
			return message('day.gap', { days: remark.days });
		case 'longDay':
			return message('day.longDay', { hours: Math.round(remark.hours) });
		default:
			return message(`day.${remark.code}`);
	}
};
/** What looks like a slip, by the field at which it is said. */
export const remarkWords = (remarks: readonly DayRemark[]): Partial<Record<DayRemark['field'], string>> =>
	Object.fromEntries(remarks.map((remark) => [remark.field, wordsOf(remark)]));
