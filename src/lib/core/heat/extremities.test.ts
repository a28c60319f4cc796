import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellOf } from '../../../../tests/fixtures/make';
import {
	bloodHeatWm2,
	extremityAfterC,
	extremityAfterHeatedC,
	minutesUntilC,
	settledTempC
} from './extremities';
import { localCourse } from './fingers-and-toes';

describe('bloodHeatWm2', () => {
	it.each([
		['fingers', 70, false, 40],
		['fingers', 120, false, 84],
		['fingers', 290, false, 200],
		['fingers', 290, true, 100],
		['toes', 100, false, 60],
		['toes', 290, false, 120],
		['toes', 290, true, 60]
	] as const)('%s at %d W/m², in debt %s: %d', (which, effort, inDebt, heat) => {
		expect(bloodHeatWm2(which, effort, inDebt)).toBe(heat);
	});
});

describe('the course of a finger', () => {
	const courses = fc.record({
		start: fc.double({ min: 5, max: 33, noNaN: true }),
		air: fc.double({ min: -30, max: 9, noNaN: true }),
		insulation: fc.double({ min: 0.03, max: 0.5, noNaN: true }),
		minutes: fc.double({ min: 1, max: 240, noNaN: true })
	});
	it('goes from where it is towards where it settles, and no further', () => {
		fc.assert(
			fc.property(courses, ({ start, air, insulation, minutes }) => {
				const settled = settledTempC(air, 60, insulation);
				const end = extremityAfterC(start, settled, insulation, minutes);
				expect(end).toBeGreaterThanOrEqual(Math.min(start, settled) - 1e-9);
				expect(end).toBeLessThanOrEqual(Math.max(start, settled) + 1e-9);
			})
		);
	});
	it('is at the limit at the minute that is said', () => {
		fc.assert(
			fc.property(courses, ({ start, air, insulation }) => {
				const settled = settledTempC(air, 60, insulation);
				const minutes = minutesUntilC(start, settled, insulation, 15);
				if (start < 15) expect(minutes).toBe(0);
				else if (minutes === null) expect(settled).toBeGreaterThanOrEqual(15);
				else expect(extremityAfterC(start, settled, insulation, minutes)).toBeCloseTo(15, 6);
			})
		);
	});
	it.each([
		[10, 10, 21.5],
		[10, 20, 33],
		[10, 60, 33],
		[34, 60, 34]
	])('from %d °C, %d min in the warm bring it to %d °C', (start, minutes, end) => {
		expect(extremityAfterHeatedC(start, minutes)).toBe(end);
	});
	it('never gets warmer than 34 °C', () => {
		expect(settledTempC(9, 200, 0.5)).toBe(34);
	});
});

describe('localCourse', () => {
	const stand = cellOf(['stop', 30, 80, 'lee'], { airTempC: -8 });
	const whole = [{ minutes: 30, inDebt: false }];
	it('is worse with less insulation, from a colder start, and in debt', () => {
		const base = localCourse('fingers', stand, 30, 0.2, whole);
		expect(localCourse('fingers', stand, 30, 0.1, whole).endC).toBeLessThan(base.endC);
		expect(localCourse('fingers', stand, 20, 0.2, whole).endC).toBeLessThan(base.endC);
		expect(localCourse('fingers', stand, 30, 0.2, [{ minutes: 30, inDebt: true }]).endC).toBeLessThan(
			base.endC
		);
	});
	it('counts the minutes through a change of debt', () => {
		const spans = [
			{ minutes: 10, inDebt: false },
			{ minutes: 20, inDebt: true }
		];
		const course = localCourse('fingers', stand, 33, 0.12, spans);
		const cut = localCourse('fingers', { ...stand, minutes: 10 }, 33, 0.12, [spans[0]!]);
		const rest = localCourse('fingers', { ...stand, minutes: 20 }, cut.endC, 0.12, [spans[1]!]);
		expect(course.endC).toBeCloseTo(rest.endC, 9);
		expect(course.holdsMinutes).toBeCloseTo(10 + rest.holdsMinutes!, 6);
	});
	it.each([
		['fiddly work at 20 °C', ['fiddly'], 22, 'cool'],
		['no fine work at 20 °C', [], 22, 'right'],
		['a cold start', ['fiddly'], 14, 'short']
	] as const)('%s: %s from %d °C is %s', (_, marks, start, verdict) => {
		const cell = cellOf(['stop', 5, 80, 'lee', { marks: [...marks] }], { airTempC: -4 });
		expect(localCourse('fingers', cell, start, 0.25, [{ minutes: 5, inDebt: false }]).verdict).toBe(verdict);
	});
	it('calls it cool, not short, when the phase brings cold fingers back', () => {
		const climb = cellOf(['move', 60, 280, 'lee'], { airTempC: -4 });
		const course = localCourse('fingers', climb, 10, 0.2, [{ minutes: 60, inDebt: false }]);
		expect([course.verdict, course.holdsMinutes]).toEqual(['cool', null]);
		expect(course.endC).toBeGreaterThan(15);
	});
	it('gives no verdict above 10 °C', () => {
		const mild = cellOf(['stop', 300, 70, 'ridge'], { airTempC: 11, wind10mKmh: 60 });
		expect(localCourse('toes', mild, 16, 0.05, [{ minutes: 300, inDebt: true }]).verdict).toBe('right');
	});
});
