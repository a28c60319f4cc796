import { describe, expect, it } from 'vitest';
import { dueOn, stillDeclined } from './decision';

describe('what was decided', () => {
	it('is due as many days before the trip leaves as it takes', () => {
		expect(dueOn({ days: 3 }, '2027-01-02')).toBe('2026-12-30');
		expect(dueOn({ days: 0 }, '2027-03-01')).toBe('2027-03-01');
		expect(dueOn({ days: 1 }, '2028-03-01')).toBe('2028-02-29');
		expect(dueOn({ days: 3 }, null)).toBeNull();
	});
	it('is asked again when its reason is gone, and only then', () => {
		const now = { cost: 80, today: '2027-01-10', firstDate: '2027-01-15' };
		const of = (refusal: Parameters<typeof stillDeclined>[0]['refusal'], cost = 80, days = 6) =>
			stillDeclined({ refusal, cost, days }, now);
		expect([of('too dear'), of('too dear', 81), of('too dear', 79)]).toEqual([true, false, true]);
		expect([of('too late'), of('too late', 80, 5)]).toEqual([true, false]);
		expect(stillDeclined({ refusal: 'too late', cost: 80, days: 6 }, { ...now, firstDate: null })).toBe(
			false
		);
		expect([of('has one', 0, 0), of('does not want it', 0, 0)]).toEqual([true, true]);
	});
});
