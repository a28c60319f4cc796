import { describe, expect, it } from 'vitest';
import { cellOf } from '../../../../tests/fixtures/make';
import type { Cell } from '../conditions/cells';
import { type Extremity, EXTREMITY_MARKS_C, WARM_EXTREMITY_C } from './extremities';
import { bloodSteps, effortsFollowed, localCourse, type LocalCourse, stepsOf } from './fingers-and-toes';

const stop = (airTempC: number, minutes = 60, marks: 'fiddly'[] = []) =>
	cellOf(['stop', minutes, 80, 'lee', { marks }], { airTempC });
/** A phase at one debt of the body, 40 Wh/m² where nothing else is said: there the blood brings its usual heat. */
function course(
	extremity: Extremity,
	cell: Cell,
	startC: number,
	totalM2kw: number,
	debtWhm2: number | number[] = 40
): LocalCourse {
	const many = stepsOf(cell.minutes);
	const debts = typeof debtWhm2 === 'number' ? Array.from({ length: many + 1 }, () => debtWhm2) : debtWhm2;
	const blood = bloodSteps(extremity, cell, cell.metabolicWm2, debts, 1);
	return localCourse(extremity, cell, startC, { totalM2kw, aroundC: cell.airTempC }, blood);
}

describe('fingers and toes through one phase', () => {
	it('only get warmer in a heated place, and are right there', () => {
		const warm = course('fingers', cellOf(['indoors', 30, 70, 'in']), 12, 0.1);
		expect([warm.verdict, warm.holdsMinutes, warm.lowestC]).toEqual(['right', null, 12]);
		expect(warm.endC).toBeGreaterThan(12);
		expect(warm.settledC).toBe(warm.endC);
	});
	it('fall short in thin gloves, at a minute that does not depend on how long the phase is', () => {
		const hour = course('fingers', stop(-10), WARM_EXTREMITY_C, 0.15);
		expect(hour.verdict).toBe('short');
		expect(hour.lowestC).toBe(hour.endC);
		expect(hour.holdsMinutes!).toBeLessThan(60);
		const half = course('fingers', stop(-10, 30), WARM_EXTREMITY_C, 0.15);
		expect(half.holdsMinutes!).toBeCloseTo(hour.holdsMinutes!, 6);
		// A phase that ends before is right, and says when it would not be.
		const short = course('fingers', stop(-10, 2), WARM_EXTREMITY_C, 0.15);
		expect(short.verdict).toBe('right');
		expect(short.holdsMinutes!).toBeCloseTo(hour.holdsMinutes!, 6);
	});
	it('are worse with less insulation, from a colder start, and the deeper the body is in debt', () => {
		const base = course('fingers', stop(-8, 30), 30, 0.2).endC;
		expect(course('fingers', stop(-8, 30), 30, 0.1).endC).toBeLessThan(base);
		expect(course('fingers', stop(-8, 30), 20, 0.2).endC).toBeLessThan(base);
		expect(course('fingers', stop(-8, 30), 30, 0.2, 70).endC).toBeLessThan(base);
		expect(course('fingers', stop(-8, 30), 30, 0.2, 0).endC).toBeGreaterThan(base);
	});
	it('get less blood from the minute on at which the debt comes', () => {
		const late = [...Array.from({ length: 10 }, () => 0), 100, 100, 100];
		const early = course('fingers', stop(-10), WARM_EXTREMITY_C, 0.15, late);
		expect(early.holdsMinutes!).toBeCloseTo(
			course('fingers', stop(-10), WARM_EXTREMITY_C, 0.15, 0).holdsMinutes!,
			6
		);
		const toes = course('toes', stop(-10), WARM_EXTREMITY_C, 0.3, late);
		expect(toes.endC).toBeLessThan(course('toes', stop(-10), WARM_EXTREMITY_C, 0.3, 0).endC);
	});
	it('are followed in steps of five minutes as well as in steps of one, to 0.3 K', () => {
		const walk = cellOf(['stop', 60, 80, 'lee'], { airTempC: -10 });
		const at = (many: number): number => {
			const debts = Array.from({ length: many + 1 }, (_, i) => (60 * Math.min(i + 0.5, many)) / many);
			const cover = { totalM2kw: 0.2, aroundC: -10 };
			return localCourse('toes', walk, 33, cover, bloodSteps('toes', walk, 280, debts, 1)).endC;
		};
		expect(Math.abs(at(12) - at(60))).toBeLessThan(0.3);
	});
	it('that come in cold and get warm again are cool, without a limit', () => {
		const back = course('fingers', cellOf(['move', 60, 250, 'lee'], { airTempC: 0 }), 10, 0.3);
		expect(back.endC).toBeGreaterThan(EXTREMITY_MARKS_C.short);
		expect([back.verdict, back.holdsMinutes]).toEqual(['cool', null]);
	});
	it.each([
		['fingers', ['fiddly'], 22, 'cool'],
		['fingers', [], 22, 'right'],
		['fingers', [], 19.5, 'cool'],
		['toes', ['fiddly'], 22, 'right'],
		['toes', [], 19.5, 'cool'],
		['toes', [], 14, 'short']
	] as const)('%s with work %j from %d °C are %s', (extremity, marks, start, verdict) => {
		expect(course(extremity, stop(-2, 1, [...marks]), start, 0.35).verdict).toBe(verdict);
	});
	it('are judged the less the warmer the air is, and not at all where nobody freezes', () => {
		const wind = (airTempC: number) => cellOf(['stop', 300, 70, 'ridge'], { airTempC, wind10mKmh: 60 });
		expect(course('toes', wind(4), 33, 0.03).verdict).toBe('short');
		expect(course('toes', wind(9.5), 33, 0.05).verdict).not.toBe('short');
		expect(course('toes', wind(13), 33, 0.02).verdict).toBe('right');
	});
	it('know the effort of before, but not on a new day', () => {
		const [walk, rest] = [cellOf(['move', 60, 250, 'lee']), cellOf(['stop', 60, 80, 'lee'])];
		const day = [
			{ ...walk, fresh: true },
			{ ...rest, fresh: false },
			{ ...rest, fresh: true }
		];
		const [first, second, third] = effortsFollowed(day);
		expect([first, second, third]).toEqual([250, 250, 80]);
		expect(effortsFollowed([{ ...rest, fresh: false }], 250)[0]).toBe(250);
	});
});
