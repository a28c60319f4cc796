import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	bloodHeatWm2,
	extremityAfterC,
	extremityAfterHeatedC,
	extremityMarkC,
	followedEffortWm2,
	minutesUntilC,
	pocketsM2kw,
	settledTempC
} from './extremities';

describe('bloodHeatWm2', () => {
	it.each([
		['fingers', 70, 40, 40],
		['fingers', 120, 40, 84],
		['fingers', 290, 40, 200],
		['fingers', 290, 0, 300],
		['fingers', 290, -20, 300],
		['fingers', 290, 80, 100],
		['fingers', 290, 120, 100],
		['toes', 100, 40, 60],
		['toes', 290, 40, 120],
		['toes', 290, 60, 90]
	] as const)('%s at %d W/m², with a debt of %d Wh/m²: %d', (which, effort, debt, heat) => {
		expect(bloodHeatWm2(which, effort, debt, 1)).toBeCloseTo(heat, 9);
	});
	it('follows past effort, two thirds of the way in 20 minutes', () => {
		expect(followedEffortWm2(280, 80, 0)).toBe(280);
		expect(followedEffortWm2(280, 80, 20)).toBeCloseTo(80 + 200 / Math.E, 9);
	});
});

describe('the marks of fingers and toes', () => {
	it.each([
		['short', -10, 15],
		['short', 5, 15],
		['short', 8, 12],
		['cool', 5, 20],
		['fine', 5, 24]
	] as const)('%s in air of %d °C: %d °C', (mark, airTempC, limitC) => {
		expect(extremityMarkC(mark, airTempC)).toBe(limitC);
	});
	it.each([
		['short', 10],
		['cool', 12.5],
		['fine', 14.5]
	] as const)('%s ends where the air itself is as warm, at %d °C', (mark, airTempC) => {
		expect(extremityMarkC(mark, airTempC)).toBe(airTempC);
	});
});

describe('pockets', () => {
	it('warm hands without a task at rest, wet gloves less', () => {
		expect(pocketsM2kw(99, false)).toBeGreaterThan(0);
		expect(pocketsM2kw(100, false)).toBe(0);
		expect(pocketsM2kw(80, true)).toBe(0);
		expect(pocketsM2kw(80, false, 0.5)).toBeCloseTo(pocketsM2kw(80, false) / 2, 9);
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
