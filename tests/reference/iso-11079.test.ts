import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	balanceTerms,
	type Exposure,
	type Level,
	requiredInsulationM2kw
} from '../../src/lib/core/body/heat-balance';
import { demandOf } from '../../src/lib/core/heat/demand';
import { cloFromM2kw } from '../../src/lib/core/units';

/**
 * The equations of the standard once more, written out plainly with the surface temperature in the open, and solved by
 * a slow bisection. Nothing is shared with the code under test, yet both come from the same memory of the standard: this
 * holds the way in which they are solved, not the equations. The worked example below holds the figures.
 */
function slowIreqClo(
	level: Level,
	{ airTempC: ta, airVelocityMs, humidityPct, metabolicWm2: M }: Exposure
): number {
	const psat = (t: number): number => 0.1333 * Math.exp(18.6686 - 4030.183 / (t + 235));
	const v = Math.min(18, Math.max(0.4, airVelocityMs));
	const w = Math.min(1.2, Math.max(0, 0.0052 * (M - 58)));
	const ia = 0.092 * Math.exp(-0.15 * v - 0.22 * w) - 0.0045;
	const tsk = level === 'neutral' ? 35.7 - 0.0285 * M : 33.34 - 0.0354 * M;
	const wet = level === 'neutral' ? 0.001 * M : 0.06;
	const pa = (humidityPct / 100) * psat(ta);
	const tex = 29 + 0.2 * ta;
	const hres = 0.0173 * M * (psat(tex) - pa) + 0.0014 * M * (tex - ta);
	const imbalance = (ireq: number): number => {
		const fcl = 1 + 1.97 * ireq;
		const ret = (0.06 / 0.38) * (ia / fcl + ireq);
		const e = (wet * (psat(tsk) - pa)) / ret;
		const kept = M - e - hres;
		const tcl = tsk - ireq * kept;
		const hr = (5.67e-8 * 0.97 * 0.77 * ((tcl + 273.15) ** 4 - (ta + 273.15) ** 4)) / (tcl - ta);
		const hc = 1 / ia - hr;
		return fcl * hr * (tcl - ta) + fcl * hc * (tcl - ta) - kept;
	};
	if (imbalance(1e-6) <= 0) return 0;
	let low = 1e-6;
	let high = 2;
	for (let i = 0; i < 200; i++) {
		const middle = (low + high) / 2;
		if (imbalance(middle) > 0) low = middle;
		else high = middle;
	}
	return cloFromM2kw(high);
}

describe('ISO 11079 equations (from memory), against an independent slow bisection', () => {
	it('agrees within 0.02 clo on a grid of 1000 points', () => {
		let points = 0;
		let worst = 0;
		for (let i = 0; i < 10; i++)
			for (let j = 0; j < 10; j++)
				for (let k = 0; k < 10; k++) {
					const exposure = {
						airTempC: -40 + i * 5,
						airVelocityMs: 0.4 + j * 1.9,
						humidityPct: 60,
						metabolicWm2: 65 + k * 24
					};
					for (const level of ['neutral', 'minimal'] as const) {
						const own = cloFromM2kw(requiredInsulationM2kw(balanceTerms(exposure, level)));
						const slow = slowIreqClo(level, exposure);
						if (slow < 12.8) worst = Math.max(worst, Math.abs(own - slow));
					}
					points++;
				}
		expect(points).toBe(1000);
		expect(worst).toBeLessThan(0.02);
	});
});

const exposures = fc.record({
	airTempC: fc.double({ min: -40, max: 9, noNaN: true }),
	airVelocityMs: fc.double({ min: 0.4, max: 15, noNaN: true }),
	wind10mKmh: fc.constant(20),
	humidityPct: fc.constant(70),
	metabolicWm2: fc.double({ min: 60, max: 280, noNaN: true })
});

describe('limiting behaviour of ISO 11079 (from memory)', () => {
	it('asks for less with more effort', () => {
		fc.assert(
			fc.property(exposures, fc.double({ min: 0.5, max: 60, noNaN: true }), (at, more) => {
				const metabolicWm2 = Math.min(290, at.metabolicWm2 + more);
				const walkSpeedMs = 0.5;
				const busy = demandOf({ ...at, walkSpeedMs, metabolicWm2 });
				const calm = demandOf({ ...at, walkSpeedMs });
				expect(busy.ireqMinClo).toBeLessThanOrEqual(calm.ireqMinClo + 1e-9);
				expect(busy.ireqNeutralClo).toBeLessThanOrEqual(calm.ireqNeutralClo + 1e-9);
			})
		);
	});
	it('asks for more with cold, and with wind of the basic insulation', () => {
		fc.assert(
			fc.property(exposures, fc.double({ min: 0.1, max: 10, noNaN: true }), (at, more) => {
				const base = demandOf(at);
				expect(demandOf({ ...at, airTempC: at.airTempC - more }).ireqMinClo).toBeGreaterThanOrEqual(
					base.ireqMinClo - 1e-9
				);
				const windier = demandOf({ ...at, airVelocityMs: at.airVelocityMs + more / 5 });
				expect(windier.ireqMinClo).toBeGreaterThanOrEqual(base.ireqMinClo - 1e-9);
				expect(windier.requiredMinClo).toBeGreaterThanOrEqual(base.requiredMinClo - 1e-9);
			})
		);
	});
	it('asks for nothing in the warm', () => {
		const warm = demandOf({
			airTempC: 33,
			airVelocityMs: 0.4,
			wind10mKmh: 2,
			humidityPct: 50,
			metabolicWm2: 165
		});
		expect([warm.ireqMinClo, warm.ireqNeutralClo, warm.requiredMinClo]).toEqual([0, 0, 0]);
		expect(warm.withinStandard).toBe(false);
	});
	it('needs more for the neutral level than for the minimal one', () => {
		fc.assert(
			fc.property(exposures, (at) => {
				const { ireqMinClo, ireqNeutralClo } = demandOf(at);
				expect(ireqNeutralClo).toBeGreaterThanOrEqual(ireqMinClo);
			})
		);
	});
});

describe('worked example of the model: −12 °C, 9 m/s at the body, 95 W/m²', () => {
	const demand = demandOf({
		airTempC: -12,
		airVelocityMs: 9,
		wind10mKmh: 48.6,
		humidityPct: 70,
		metabolicWm2: 95,
		minutes: 18
	});
	it.each([
		['steady minimal', demand.ireqMinClo, 3.3, 0.05],
		['comfortable for 18 min', demand.needForMinutesClo!, 1.25, 0.02],
		['held for 18 min', demand.holdForMinutesClo!, 0.8, 0.02]
	])('%s: %f is near %f', (_, own, expected, within) => {
		expect(Math.abs(own - expected)).toBeLessThanOrEqual(within);
	});
	it('asks for over 6 clo in still air, which nobody owns', () => {
		expect(demand.requiredMinClo).toBeGreaterThan(6);
	});
});
