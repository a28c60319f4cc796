import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLACES } from '../document/weather';
import { airTempAtAltitudeC, vapourPressureKpa } from './air';
import { airVelocityAtBodyMs, feltTempC, windChillC } from './wind';

describe('airTempAtAltitudeC', () => {
	it('is 6.5 K colder for each 1000 m by default', () => {
		expect(airTempAtAltitudeC(0, 500, 1500)).toBe(-6.5);
	});
	it('turns round in an inversion', () => {
		expect(airTempAtAltitudeC(-10, 500, 1000, -8)).toBe(-6);
	});
	it.each([
		[NaN, 0, 0],
		[0, 0, 9500],
		[70, 0, 0]
	])('refuses %d °C, %d m to %d m', (temp, from, to) => {
		expect(() => airTempAtAltitudeC(temp, from, to)).toThrow(RangeError);
	});
});

describe('wind', () => {
	it('never makes it feel warmer, and never warmer with more wind', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -50, max: 20, noNaN: true }),
				fc.double({ min: 0, max: 120, noNaN: true }),
				(airTempC, wind) => {
					const chill = windChillC(airTempC, wind);
					expect(chill).toBeLessThanOrEqual(airTempC);
					expect(windChillC(airTempC, wind + 5)).toBeLessThanOrEqual(chill + 1e-9);
				}
			)
		);
	});
	it.each([
		[4.7, -10, -10],
		[40, 11, 11]
	])('leaves %d km/h at %d °C as it is', (wind, temp, felt) => {
		expect(windChillC(temp, wind)).toBe(felt);
	});
	it('is less the more a place shelters', () => {
		const winds = PLACES.map((place) => airVelocityAtBodyMs(40, place));
		expect(winds).toEqual([...winds].sort((a, b) => a - b));
		expect(airVelocityAtBodyMs(54, 'ridge')).toBeCloseTo(10, 9);
	});
	it('adds own speed square-wise', () => {
		expect(airVelocityAtBodyMs(54, 'ridge', 36)).toBeCloseTo(Math.hypot(10, 10), 9);
	});
	it('feels as the forecast wind of open ground would', () => {
		expect(feltTempC(-10, 10)).toBe(windChillC(-10, 54));
	});
	it('refuses what no forecast says', () => {
		expect(() => airVelocityAtBodyMs(-1, 'ridge')).toThrow('wind10mKmh is -1, allowed is 0 to 250');
		expect(() => vapourPressureKpa(0, 101)).toThrow(RangeError);
	});
});
