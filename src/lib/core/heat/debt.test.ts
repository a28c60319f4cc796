import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CAREFUL_MARKS } from '../conditions/person';
import {
	balancePair,
	bandOf,
	debtAfterHeatedWhm2,
	debtAfterWhm2,
	lossOf,
	type LossPair,
	minutesUntilDebt
} from './debt';

const losses = fc
	.record({
		minimalWm2: fc.double({ min: -120, max: 250, noNaN: true }),
		gap: fc.double({ min: 0.5, max: 40, noNaN: true })
	})
	.map(({ minimalWm2, gap }): LossPair => ({ minimalWm2, neutralWm2: minimalWm2 + gap }));
const debts = fc.double({ min: -20, max: 120, noNaN: true });
const lengths = fc.double({ min: 1, max: 240, noNaN: true });

/** The differential equation walked in small steps. */
function walked(start: number, { neutralWm2, minimalWm2 }: LossPair, minutes: number): number {
	const dt = 0.002;
	let debt = start;
	for (let t = 0; t < minutes; t += dt) {
		const share = Math.min(1, Math.max(0, debt / 30));
		debt += ((neutralWm2 + (minimalWm2 - neutralWm2) * share) * Math.min(dt, minutes - t)) / 60;
	}
	return debt;
}

describe('debtAfterWhm2', () => {
	it('equals the differential equation walked in small steps', () => {
		fc.assert(
			fc.property(debts, losses, fc.double({ min: 1, max: 60, noNaN: true }), (start, loss, minutes) => {
				expect(debtAfterWhm2(start, loss, minutes, -1e9)).toBeCloseTo(walked(start, loss, minutes), 1);
			}),
			{ numRuns: 60 }
		);
	});
	it('never falls when the debt before, or the loss, rises', () => {
		fc.assert(
			fc.property(
				debts,
				losses,
				lengths,
				fc.double({ min: 0, max: 50, noNaN: true }),
				(start, loss, minutes, more) => {
					const base = debtAfterWhm2(start, loss, minutes, -20);
					expect(debtAfterWhm2(start + more, loss, minutes, -20)).toBeGreaterThanOrEqual(base - 1e-9);
					const colder = { neutralWm2: loss.neutralWm2 + more, minimalWm2: loss.minimalWm2 + more };
					expect(debtAfterWhm2(start, colder, minutes, -20)).toBeGreaterThanOrEqual(base - 1e-9);
				}
			)
		);
	});
	it('keeps to its floor', () => {
		expect(debtAfterWhm2(0, { neutralWm2: -100, minimalWm2: -120 }, 600, -20)).toBe(-20);
		expect(debtAfterWhm2(0, { neutralWm2: -100, minimalWm2: -120 }, 600, CAREFUL_MARKS.floorWhm2)).toBe(0);
	});
	it('settles between the levels in work: neutral loses, minimal gains', () => {
		expect(debtAfterWhm2(0, { neutralWm2: 10, minimalWm2: -10 }, 6000, -20)).toBeCloseTo(15, 6);
	});
});

describe('minutesUntilDebt', () => {
	it('is the moment at which the debt stands at the limit', () => {
		fc.assert(
			fc.property(debts, losses, fc.constantFrom(40, 70), (start, loss, limit) => {
				const minutes = minutesUntilDebt(start, loss, limit);
				if (start > limit) expect(minutes).toBe(0);
				else if (minutes !== null) expect(debtAfterWhm2(start, loss, minutes, -20)).toBeCloseTo(limit, 3);
			})
		);
	});
	it('is null when the debt never gets there', () => {
		expect(minutesUntilDebt(0, { neutralWm2: 5, minimalWm2: -5 }, 40)).toBeNull();
	});
});

describe('debtAfterHeatedWhm2', () => {
	it.each([
		[50, 10, 30],
		[50, 60, 0],
		[-12, 60, -12],
		[0, 5, 0]
	])('%d Wh/m² after %d min in the warm is %d', (start, minutes, after) => {
		expect(debtAfterHeatedWhm2(start, minutes)).toBe(after);
	});
});

const exposures = fc.record({
	airTempC: fc.double({ min: -35, max: 9, noNaN: true }),
	airVelocityMs: fc.double({ min: 0.4, max: 12, noNaN: true }),
	humidityPct: fc.constant(70),
	metabolicWm2: fc.double({ min: 65, max: 280, noNaN: true })
});

describe('bandOf', () => {
	it('orders its lines: hold ≤ need ≤ neutral, and never NaN', () => {
		fc.assert(
			fc.property(exposures, debts, lengths, (at, start, minutes) => {
				const band = bandOf(balancePair(at), start, minutes);
				expect(band.holdClo).toBeLessThanOrEqual(band.needClo + 1e-6);
				expect(band.needClo).toBeLessThanOrEqual(band.neutralClo + 1e-6);
				for (const value of Object.values(band)) expect(Number.isFinite(value)).toBe(true);
			})
		);
	});
	it('never needs less with more wind or longer', () => {
		fc.assert(
			fc.property(exposures, lengths, fc.double({ min: 0.1, max: 6, noNaN: true }), (at, minutes, more) => {
				const base = bandOf(balancePair(at), 0, minutes);
				const windier = bandOf(balancePair({ ...at, airVelocityMs: at.airVelocityMs + more }), 0, minutes);
				const longer = bandOf(balancePair(at), 0, minutes + more * 10);
				for (const other of [windier, longer]) {
					expect(other.holdClo).toBeGreaterThanOrEqual(base.holdClo - 1e-6);
					expect(other.needClo).toBeGreaterThanOrEqual(base.needClo - 1e-6);
				}
			})
		);
	});
	it('holds with what it asks for', () => {
		fc.assert(
			fc.property(exposures, fc.double({ min: -20, max: 30, noNaN: true }), lengths, (at, start, minutes) => {
				const balance = balancePair(at);
				const { holdClo } = bandOf(balance, start, minutes);
				expect(debtAfterWhm2(start, lossOf(balance, holdClo), minutes, -20)).toBeLessThan(70.01);
			})
		);
	});
	it('moves as a whole with the person', () => {
		const balance = balancePair({ airTempC: -8, airVelocityMs: 3, humidityPct: 70, metabolicWm2: 90 });
		const [usual, cold] = [bandOf(balance, 0, 30), bandOf(balance, 0, 30, undefined, 0.2)];
		expect(cold.needClo - usual.needClo).toBeCloseTo(0.2, 6);
		expect(cold.neutralClo - usual.neutralClo).toBeCloseTo(0.2, 6);
	});
	it('asks a careful person for more', () => {
		const balance = balancePair({ airTempC: -8, airVelocityMs: 3, humidityPct: 70, metabolicWm2: 90 });
		expect(bandOf(balance, 0, 30, CAREFUL_MARKS).holdClo).toBeGreaterThan(bandOf(balance, 0, 30).holdClo);
	});
});
