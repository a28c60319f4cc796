import { describe, expect, it } from 'vitest';
import { demandOf } from '../heat/demand';
import { balanceTerms, heatLossWm2 } from './heat-balance';

const AT = { airTempC: -5, airVelocityMs: 2, humidityPct: 70, metabolicWm2: 120 };

describe('heatLossWm2', () => {
	it('falls as insulation grows', () => {
		const terms = balanceTerms(AT, 'minimal');
		const losses = [0, 0.1, 0.2, 0.4, 0.8].map((insulation) => heatLossWm2(terms, insulation));
		expect(losses).toEqual([...losses].sort((a, b) => b - a));
	});
	it('falls with sun, which warms the walls that a body sees', () => {
		const shade = balanceTerms(AT, 'minimal');
		const sun = balanceTerms({ ...AT, meanRadiantTempC: 25 }, 'minimal');
		expect(heatLossWm2(sun, 0.2)).toBeLessThan(heatLossWm2(shade, 0.2) - 10);
	});
	it('comes out the same by the closed form and by the search for the surface temperature', () => {
		const closed = heatLossWm2(balanceTerms(AT, 'neutral'), 0.25);
		const searched = heatLossWm2(
			balanceTerms({ ...AT, meanRadiantTempC: AT.airTempC + 1e-7 }, 'neutral'),
			0.25
		);
		expect(searched).toBeCloseTo(closed, 3);
	});
	it('falls by the watts of electric heat', () => {
		const off = heatLossWm2(balanceTerms(AT, 'neutral'), 0.3);
		expect(off - heatLossWm2(balanceTerms({ ...AT, electricWm2: 5 }, 'neutral'), 0.3)).toBeCloseTo(5, 9);
	});
	it('is the same above the method’s effort and wind as at its edge', () => {
		const edge = balanceTerms({ ...AT, metabolicWm2: 290, airVelocityMs: 18 }, 'neutral');
		const beyond = balanceTerms({ ...AT, metabolicWm2: 450, airVelocityMs: 30 }, 'neutral');
		expect(heatLossWm2(beyond, 0.2)).toBe(heatLossWm2(edge, 0.2));
	});
});

describe('demandOf', () => {
	const question = { ...AT, wind10mKmh: 20 };
	it.each([
		[{ airTempC: -100 }, 'airTempC is -100, allowed is -80 to 60'],
		[{ humidityPct: 140 }, 'humidityPct is 140, allowed is 0 to 100'],
		[{ metabolicWm2: 5 }, 'metabolicWm2 is 5, allowed is 30 to 1000'],
		[{ minutes: 0 }, 'minutes is 0, allowed is 1 to 1440'],
		[{ airPermeability: 0 }, 'airPermeability is 0, allowed is 1 to 1000'],
		[{ airTempC: NaN }, 'airTempC is NaN, allowed is -80 to 60']
	])('refuses %j with argument, value and range', (change, message) => {
		expect(() => demandOf({ ...question, ...change })).toThrow(new RangeError(message));
	});
	it.each([
		[{}, true],
		[{ airTempC: 12 }, false],
		[{ airVelocityMs: 19 }, false],
		[{ metabolicWm2: 300 }, false]
	])('says whether %j is within the standard: %s', (change, within) => {
		expect(demandOf({ ...question, ...change }).withinStandard).toBe(within);
	});
	it('gives no hold or need without minutes', () => {
		expect(demandOf(question)).toMatchObject({ holdForMinutesClo: null, needForMinutesClo: null });
	});
	it('asks a tighter outer layer for less basic insulation in wind', () => {
		const windy = { ...question, airVelocityMs: 10 };
		const tight = demandOf({ ...windy, airPermeability: 1 }).requiredMinClo;
		expect(demandOf({ ...windy, airPermeability: 400 }).requiredMinClo).toBeGreaterThan(tight);
	});
});
