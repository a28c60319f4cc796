import { describe, expect, it } from 'vitest';
import {
	MET_WM2,
	comfortableWettedness,
	standardEffectiveTempC,
	steadyWettedness,
	tooWetAboveClo
} from '../../src/lib/core/body/two-node';

/**
 * ASHRAE 55, table for checking a SET program (as in the editions of 2010 to 2020, from memory), in the variant without
 * the term of activity in the convection of the person. In the rows of air temperature only the air changes.
 */
const SET_TABLE: [ta: number, tr: number, v: number, rh: number, met: number, clo: number, set: number][] = [
	[25, 25, 0.15, 50, 1, 0.5, 23.8],
	[0, 25, 0.15, 50, 1, 0.5, 12.3],
	[10, 25, 0.15, 50, 1, 0.5, 17.0],
	[15, 25, 0.15, 50, 1, 0.5, 19.3],
	[20, 25, 0.15, 50, 1, 0.5, 21.6],
	[30, 25, 0.15, 50, 1, 0.5, 26.4],
	[40, 25, 0.15, 50, 1, 0.5, 34.3],
	[25, 25, 0.15, 10, 1, 0.5, 23.3],
	[25, 25, 0.15, 90, 1, 0.5, 24.9],
	[25, 25, 0.1, 50, 1, 0.5, 24.0],
	[25, 25, 0.6, 50, 1, 0.5, 21.4],
	[25, 25, 1.1, 50, 1, 0.5, 20.3],
	[25, 25, 3, 50, 1, 0.5, 18.8],
	[25, 10, 0.15, 50, 1, 0.5, 15.2],
	[25, 40, 0.15, 50, 1, 0.5, 31.8],
	[25, 25, 0.15, 50, 1, 0.1, 20.7],
	[25, 25, 0.15, 50, 1, 1, 27.3],
	[25, 25, 0.15, 50, 1, 2, 32.5],
	[25, 25, 0.15, 50, 1, 4, 37.7],
	[25, 25, 0.15, 50, 0.8, 0.5, 23.3],
	[25, 25, 0.15, 50, 2, 0.5, 29.7],
	[25, 25, 0.15, 50, 4, 0.5, 36.0]
];

describe('two-node body against the SET table of ASHRAE 55 (from memory)', () => {
	it.each(SET_TABLE)(
		'air %d, walls %d °C, %d m/s, %d %%, %d met, %d clo: %d °C',
		(ta, tr, v, rh, met, clo, set) => {
			const own = standardEffectiveTempC({
				airTempC: ta,
				radiantTempC: tr,
				airVelocityMs: v,
				humidityPct: rh,
				metabolicWm2: met * MET_WM2,
				insulationClo: clo
			});
			expect(Math.abs(own - set)).toBeLessThanOrEqual(0.1);
		}
	);
});

describe('too warm by wettedness (limit of Nishi & Gagge 1977, from memory)', () => {
	const plain = { airTempC: 30, airVelocityMs: 2, humidityPct: 50, metabolicWm2: 105 };
	it('lets more on at rest than at work, in wind than in calm, in the cool than in the heat', () => {
		const limit = (change: Partial<typeof plain>): number => tooWetAboveClo({ ...plain, ...change });
		expect(limit({ metabolicWm2: 230 })).toBeLessThan(limit({}));
		expect(limit({ airVelocityMs: 0.3 })).toBeLessThan(limit({}));
		expect(limit({ airTempC: 18 })).toBeGreaterThan(limit({}));
		expect(limit({ airTempC: 39, humidityPct: 80, metabolicWm2: 230 })).toBe(0);
		expect(limit({ airTempC: -30, metabolicWm2: 65 })).toBe(Infinity);
	});
	it('grows with every layer until skin can be no wetter', () => {
		const wet = [0, 0.3, 0.6, 1, 2, 4].map((insulationClo) => steadyWettedness({ ...plain, insulationClo }));
		expect(wet).toEqual([...wet].sort((a, b) => a - b));
		expect(Math.max(...wet)).toBeLessThanOrEqual(1);
	});
	it('is 0.234 at 70 W/m² and 0.486 at 280 W/m²', () => {
		expect(comfortableWettedness(70)).toBeCloseTo(0.234, 9);
		expect(comfortableWettedness(280)).toBeCloseTo(0.486, 9);
	});
	it('calls a sweater and trousers right in a living room, and a down coat too warm (common practice, no source)', () => {
		const room = tooWetAboveClo({ airTempC: 21, airVelocityMs: 0.1, humidityPct: 40, metabolicWm2: 65 });
		expect(room).toBeGreaterThan(1);
		expect(room).toBeLessThan(2);
	});
	it('refuses what no place is like', () => {
		expect(() => steadyWettedness({ ...plain, insulationClo: -1 })).toThrow('insulationClo is -1');
	});
});
