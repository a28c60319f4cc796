import { describe, expect, it } from 'vitest';
import { cellOf, kitOf } from '../../../../tests/fixtures/make';
import { METHOD_MAX_AIR_C, requiredInsulationM2kw } from '../body/heat-balance';
import { personOf } from '../conditions/person';
import { cloFromM2kw } from '../units';
import {
	cellAir,
	debtCourse,
	debtEndWhm2,
	debtLeftWhm2,
	debtReachedWhm2,
	debtSpans,
	isWarmSide,
	LEDGER_MAX_AIR_C,
	MOST_DEBT_WHM2,
	WARM_MARGIN_CLO
} from './ledger';

const person = personOf(kitOf([]));
const stop = (airTempC: number, minutes = 60) => cellOf(['stop', minutes, 80, 'lee'], { airTempC });
const COLD = { neutralWm2: 60, minimalWm2: 40 };
const WARM = { neutralWm2: -30, minimalWm2: -50 };

describe('the ledger of a phase', () => {
	it('judges too warm by wetness in heated places and above the limit of the method, at it not yet', () => {
		expect(isWarmSide(cellOf(['indoors', 30, 70, 'in'], { airTempC: -5 }))).toBe(true);
		expect(isWarmSide(stop(METHOD_MAX_AIR_C))).toBe(false);
		expect(isWarmSide(stop(METHOD_MAX_AIR_C + 0.1))).toBe(true);
	});
	it('is too warm at work a little above neutral, and never at rest in the cold', () => {
		const work = cellOf(['move', 60, 250, 'slope'], { airTempC: -5 });
		const { balance, tooWarmAboveClo } = cellAir(work);
		expect(tooWarmAboveClo).toBeCloseTo(
			cloFromM2kw(requiredInsulationM2kw(balance.neutral)) + WARM_MARGIN_CLO,
			9
		);
		expect(cellAir(stop(-5)).tooWarmAboveClo).toBe(Infinity);
		// Worked out once for a cell.
		expect(cellAir(work)).toBe(cellAir(work));
	});
	it('knows like climates again, however many came between', () => {
		const lodge = (airTempC: number) => cellOf(['indoors', 60, 70, 'in'], { airTempC });
		const first = cellAir(lodge(-5)).tooWarmAboveClo;
		for (let i = 0; i < 5; i++) cellAir(stop(11 + i));
		expect(cellAir(lodge(-7)).tooWarmAboveClo).toBe(first);
		expect(cellAir(stop(18)).tooWarmAboveClo).not.toBe(first);
	});
	it('takes a debt away in a heated place, two a minute and never below none', () => {
		const hut = cellOf(['indoors', 10, 70, 'in']);
		expect(debtEndWhm2(hut, COLD, 50, person)).toBe(30);
		expect(debtEndWhm2(hut, COLD, 5, person)).toBe(0);
		expect(debtEndWhm2(hut, COLD, -7, person)).toBe(-7);
		expect(debtEndWhm2(hut, COLD, 50, person, 5)).toBe(40);
	});
	it('adds none while one works above the method, and lets it fall', () => {
		const run = cellOf(['move', 60, 400, 'slope'], { airTempC: -5 });
		expect(run.aboveMethod).toBe(true);
		expect(debtEndWhm2(run, COLD, 10, person)).toBe(10);
		expect(debtEndWhm2(run, WARM, 10, person)).toBeLessThan(10);
	});
	it('runs up no debt beyond what a body can, though the losses count on', () => {
		const long = stop(-10, 300);
		expect(debtReachedWhm2(long, COLD, 0, person)).toBeGreaterThan(MOST_DEBT_WHM2 + 50);
		expect(debtEndWhm2(long, COLD, 0, person)).toBe(MOST_DEBT_WHM2);
		expect(debtLeftWhm2(130, 500)).toBe(130);
		expect(debtLeftWhm2(0, 60)).toBe(60);
		expect(debtLeftWhm2(100, 90)).toBe(90);
	});
	it('has no limit in minutes where it is heated, above the method or too warm for it, and one elsewhere', () => {
		const held = (cell: ReturnType<typeof stop>, clo: number): number | null =>
			debtCourse(cell, cellAir(cell), clo, 0, person).holdsMinutes;
		expect(held(stop(-10), 1)).toBeGreaterThan(5);
		expect(held(cellOf(['indoors', 60, 60, 'in']), 0.1)).toBeNull();
		expect(held(cellOf(['move', 60, 400, 'slope'], { airTempC: -20 }), 0.1)).toBeNull();
		expect(held(stop(LEDGER_MAX_AIR_C), 0)).not.toBeNull();
		expect(held(stop(LEDGER_MAX_AIR_C + 0.1), 0)).toBeNull();
	});
	it('cuts a phase where the debt passes the comfortable mark', () => {
		const cell = stop(-10);
		const { rightWhm2 } = person.marks;
		expect(debtSpans(cell, WARM, 0, person)).toEqual([{ minutes: 60, inDebt: false }]);
		expect(debtSpans(cell, COLD, rightWhm2 + 5, person)).toEqual([{ minutes: 60, inDebt: true }]);
		const [before, after] = debtSpans(cell, COLD, 0, person);
		expect(before!.inDebt).toBe(false);
		expect(after!.inDebt).toBe(true);
		expect(before!.minutes + after!.minutes).toBeCloseTo(60, 6);
		expect(debtEndWhm2(cell, COLD, 0, person, before!.minutes)).toBeCloseTo(rightWhm2, 3);
		const [cold, better] = debtSpans(stop(-10, 120), WARM, rightWhm2 + 5, person);
		expect([cold!.inDebt, better!.inDebt]).toEqual([true, false]);
		// Just at the mark one is still comfortable.
		expect(debtSpans(cell, WARM, rightWhm2, person)).toEqual([{ minutes: 60, inDebt: false }]);
	});
});
