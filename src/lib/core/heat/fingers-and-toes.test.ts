import { describe, expect, it } from 'vitest';
import { cellOf } from '../../../../tests/fixtures/make';
import { METHOD_MAX_AIR_C } from '../body/heat-balance';
import { COOL_FINGER_C, SHORT_EXTREMITY_C, WARM_EXTREMITY_C } from './extremities';
import { localCourse } from './fingers-and-toes';

const rest = (minutes: number) => [{ minutes, inDebt: false }];
const stop = (airTempC: number, minutes = 60, marks: 'fiddly'[] = []) =>
	cellOf(['stop', minutes, 80, 'lee', { marks }], { airTempC });

describe('fingers and toes through one phase', () => {
	it('only get warmer in a heated place, and are right there', () => {
		const course = localCourse('fingers', cellOf(['indoors', 30, 70, 'in']), 12, 0.1, rest(30));
		expect(course.verdict).toBe('right');
		expect(course.holdsMinutes).toBeNull();
		expect(course.lowestC).toBe(12);
		expect(course.endC).toBeGreaterThan(12);
		expect(course.settledC).toBe(course.endC);
	});
	it('fall short in thin gloves, at a minute that does not depend on how long the phase is', () => {
		const hour = localCourse('fingers', stop(-10), WARM_EXTREMITY_C, 0.15, rest(60));
		expect(hour.verdict).toBe('short');
		expect(hour.lowestC).toBeLessThan(SHORT_EXTREMITY_C);
		expect(hour.lowestC).toBe(hour.endC);
		const half = localCourse('fingers', stop(-10, 30), WARM_EXTREMITY_C, 0.15, rest(30));
		expect(half.holdsMinutes!).toBeCloseTo(hour.holdsMinutes!, 6);
		expect(hour.holdsMinutes!).toBeLessThan(60);
		// A phase that ends before is right, and says when it would not be.
		const short = localCourse('fingers', stop(-10, 2), WARM_EXTREMITY_C, 0.15, rest(2));
		expect(short.verdict).toBe('right');
		expect(short.holdsMinutes!).toBeCloseTo(hour.holdsMinutes!, 6);
	});
	it('get less blood while the body is in debt, and the minute is counted from the start of the phase', () => {
		const warm = localCourse('fingers', stop(-10), WARM_EXTREMITY_C, 0.3, rest(60));
		const chilled = localCourse('fingers', stop(-10), WARM_EXTREMITY_C, 0.3, [
			{ minutes: 20, inDebt: false },
			{ minutes: 40, inDebt: true }
		]);
		expect(chilled.endC).toBeLessThan(warm.endC);
		expect(chilled.settledC).toBeLessThan(warm.settledC);
		expect(chilled.holdsMinutes!).toBeGreaterThan(20);
		const early = localCourse('fingers', stop(-10), WARM_EXTREMITY_C, 0.15, [
			{ minutes: 50, inDebt: false },
			{ minutes: 10, inDebt: true }
		]);
		// They were short before the debt came.
		expect(early.holdsMinutes!).toBeLessThan(50);
	});
	it('that come in cold and get warm again are cool, without a limit', () => {
		const back = localCourse('fingers', cellOf(['move', 60, 250, 'lee'], { airTempC: 0 }), 10, 0.3, rest(60));
		expect(back.endC).toBeGreaterThan(SHORT_EXTREMITY_C);
		expect(back.lowestC).toBeLessThan(SHORT_EXTREMITY_C);
		expect(back.verdict).toBe('cool');
		expect(back.holdsMinutes).toBeNull();
	});
	it('are cool for fine work below their mark, toes never, and fingers without fine work not', () => {
		const at = (extremity: 'fingers' | 'toes', marks: 'fiddly'[], minutes: number): string =>
			localCourse(extremity, stop(-2, minutes, marks), WARM_EXTREMITY_C, 0.25, rest(minutes)).verdict;
		const lowest = localCourse('fingers', stop(-2, 40), WARM_EXTREMITY_C, 0.25, rest(40)).lowestC;
		expect(lowest).toBeLessThan(COOL_FINGER_C);
		expect(lowest).toBeGreaterThan(SHORT_EXTREMITY_C);
		expect(at('fingers', ['fiddly'], 40)).toBe('cool');
		expect(at('fingers', [], 40)).toBe('right');
		expect(at('toes', ['fiddly'], 40)).toBe('right');
		expect(at('fingers', ['fiddly'], 1)).toBe('right');
	});
	it('are judged up to the limit of the method, and not above it', () => {
		const bare = (airTempC: number): string =>
			localCourse('fingers', stop(airTempC, 600), 5, 0.02, rest(600)).verdict;
		expect(bare(METHOD_MAX_AIR_C)).not.toBe('right');
		expect(bare(METHOD_MAX_AIR_C + 0.1)).toBe('right');
	});
});
