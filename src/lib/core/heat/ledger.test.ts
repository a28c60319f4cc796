import { describe, expect, it } from 'vitest';
import { cellOf, kitOf } from '../../../../tests/fixtures/make';
import { requiredInsulationM2kw } from '../body/heat-balance';
import { personOf } from '../conditions/person';
import { cloFromM2kw } from '../units';
import {
	cellAir,
	debtCourse,
	debtEndWhm2,
	debtLeftWhm2,
	debtReachedWhm2,
	debtSteps,
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
	it('judges too warm by wetness in heated places and in air over 8 °C, at it not yet', () => {
		expect(isWarmSide(cellOf(['indoors', 30, 70, 'in'], { airTempC: -5 }))).toBe(true);
		expect(isWarmSide(stop(8))).toBe(false);
		expect(isWarmSide(stop(8.1))).toBe(true);
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
	it('counts the heat of work above the method, and the debt all the same', () => {
		const run = (metabolicWm2: number) =>
			cellAir(cellOf(['move', 60, metabolicWm2, 'slope'], { airTempC: -5 })).balance.neutral.metabolicWm2;
		expect(run(290)).toBe(290);
		expect(run(291)).toBeCloseTo(290.9, 9);
		expect(run(400)).toBeCloseTo(290 + 0.9 * 110, 9);
		const cell = cellOf(['move', 60, 400, 'slope'], { airTempC: -5 });
		expect(cell.aboveMethod).toBe(true);
		expect(debtEndWhm2(cell, COLD, 10, person)).toBeGreaterThan(10);
		expect(debtEndWhm2(cell, WARM, 10, person)).toBeLessThan(10);
	});
	it('never allows more clothes in warmer air, nor has a step on the way', () => {
		for (const effort of [120, 135, 160, 220, 290]) {
			const limits = Array.from(
				{ length: 61 },
				(_, i) => cellAir(cellOf(['move', 60, effort, 'slope'], { airTempC: 4 + i / 5 })).tooWarmAboveClo
			);
			limits.forEach((limit, i) => {
				if (i > 0 && limits[i - 1]! < Infinity) expect(limit).toBeLessThanOrEqual(limits[i - 1]! + 0.02);
			});
		}
	});
	it('calls hard work in the heat too warm in any clothes, and leaves a walk in a shirt alone', () => {
		const hot = cellOf(['move', 30, 600, 'lee'], { airTempC: 40 });
		expect(cellAir(hot).tooWarmAboveClo).toBeLessThan(0.3);
		const walk = cellOf(['move', 90, 175, 'slope'], { airTempC: 22 });
		expect(cellAir(walk).tooWarmAboveClo).toBeGreaterThan(0.3);
	});
	it('runs up no debt beyond what a body can, though the losses count on', () => {
		const long = stop(-10, 300);
		expect(debtReachedWhm2(long, COLD, 0, person)).toBeGreaterThan(MOST_DEBT_WHM2 + 50);
		expect(debtEndWhm2(long, COLD, 0, person)).toBe(MOST_DEBT_WHM2);
		expect(debtLeftWhm2(130, 500)).toBe(130);
		expect(debtLeftWhm2(0, 60)).toBe(60);
		expect(debtLeftWhm2(100, 90)).toBe(90);
	});
	it('has no limit in minutes where it is heated or too warm for the method, and one elsewhere', () => {
		const held = (cell: ReturnType<typeof stop>, clo: number): number | null =>
			debtCourse(cell, cellAir(cell), clo, 0, person).holdsMinutes;
		expect(held(stop(-10), 1)).toBeGreaterThan(5);
		expect(held(cellOf(['indoors', 60, 60, 'in']), 0.1)).toBeNull();
		expect(held(cellOf(['move', 60, 400, 'slope'], { airTempC: -20 }), 0.1)).not.toBeNull();
		expect(held(stop(LEDGER_MAX_AIR_C), 0)).not.toBeNull();
		expect(held(stop(LEDGER_MAX_AIR_C + 0.1), 0)).toBeNull();
	});
	it('tells the debt in the middle of each step of five minutes, and at the end', () => {
		const cell = stop(-10);
		const debts = debtSteps(cell, COLD, 0, person);
		expect(debts).toHaveLength(13);
		expect(debts[0]).toBe(debtEndWhm2(cell, COLD, 0, person, 2.5));
		expect(debts[11]).toBe(debtEndWhm2(cell, COLD, 0, person, 57.5));
		expect(debts[12]).toBe(debtEndWhm2(cell, COLD, 0, person));
		expect(debtSteps(stop(-10, 3), COLD, 0, person)).toHaveLength(2);
	});
});
