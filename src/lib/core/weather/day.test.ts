import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { WARMEST_MIN, dayTempC } from './day-course';
import { daylightOn, lightAt } from './daylight';
import { type StageAir, poolShare, stageTempC, stageWindKmh } from './stage-air';
import { fallsAs, wetBetween } from './wet';

const AIR: StageAir = {
	lowTempC: -10,
	highTempC: -2,
	altitudeM: 1000,
	lapseKPerKm: 6.5,
	inversion: null,
	heights: [],
	wind10mKmh: 20
};

describe('the course of a day', () => {
	it('is coldest at dawn and warmest in the early afternoon', () => {
		expect(dayTempC(-10, -2, 420, 420)).toBe(-10);
		expect(dayTempC(-10, -2, WARMEST_MIN, 420)).toBeCloseTo(-2, 9);
	});
	it('stays between low and high, is the same a day later, and has no jumps', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -40, max: 30, noNaN: true }),
				fc.double({ min: 0, max: 25, noNaN: true }),
				fc.integer({ min: 0, max: 1439 }),
				fc.integer({ min: 0, max: 780 }),
				(low, range, time, dawn) => {
					const now = dayTempC(low, low + range, time, dawn);
					expect(now).toBeGreaterThanOrEqual(low - 1e-9);
					expect(now).toBeLessThanOrEqual(low + range + 1e-9);
					expect(dayTempC(low, low + range, time + 1440, dawn)).toBeCloseTo(now, 9);
					expect(Math.abs(dayTempC(low, low + range, time + 1, dawn) - now)).toBeLessThan(
						range * 0.03 + 1e-9
					);
				}
			)
		);
	});
	it('falls faster in the evening than late at night', () => {
		const at = (hour: number): number => dayTempC(-10, -2, hour * 60, 420);
		expect(at(18) - at(22)).toBeGreaterThan(at(26) - at(30));
	});
});

describe('air at a height', () => {
	it('is colder when higher, at every hour, without an inversion', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -30, max: 20, noNaN: true }),
				fc.integer({ min: 0, max: 5000 }),
				fc.integer({ min: 1, max: 3000 }),
				fc.integer({ min: 0, max: 2000 }),
				fc.double({ min: 1, max: 9.8, noNaN: true }),
				(lowTempC, altitudeM, higher, timeMin, lapseKPerKm) => {
					const air = { ...AIR, lowTempC, highTempC: lowTempC + 6, lapseKPerKm };
					expect(stageTempC(air, altitudeM + higher, timeMin).airTempC).toBeLessThan(
						stageTempC(air, altitudeM, timeMin).airTempC
					);
				}
			)
		);
	});
	it('takes a forecast for the height over the lapse, and reads off between two', () => {
		const air = { ...AIR, heights: [{ altitudeM: 2000, lowTempC: -11, highTempC: -5, wind10mKmh: 60 }] };
		expect(stageTempC(air, 2000, WARMEST_MIN)).toEqual({ airTempC: -5, rule: 'heightForecast' });
		expect(stageTempC(air, 1500, WARMEST_MIN).airTempC).toBeCloseTo(-3.5, 9);
		expect(stageTempC(air, 3000, WARMEST_MIN).airTempC).toBeCloseTo(-11.5, 9);
		expect([stageWindKmh(air, 500), stageWindKmh(air, 1500), stageWindKmh(air, 2500)]).toEqual([20, 40, 60]);
	});
	it('is warmer on the slope than in the valley on an inversion morning, and as ever by the afternoon', () => {
		const air = { ...AIR, inversion: { topM: 1400, warmerAtTopK: 5 } };
		const at = (altitudeM: number, timeMin: number): number =>
			stageTempC(air, altitudeM, timeMin, 420).airTempC;
		expect(at(1000, 420)).toBe(-10);
		expect(at(1400, 420)).toBeCloseTo(-5, 9);
		expect(at(2000, 420)).toBeCloseTo(-5 - 3.9, 9);
		expect(at(1400, 900)).toBe(stageTempC(AIR, 1400, 900, 420).airTempC);
		expect(stageTempC(air, 1400, 420, 420).rule).toBe('inversion');
		expect([poolShare(420, 420), poolShare(630, 420), poolShare(800, 420)]).toEqual([1, 0.5, 0]);
	});
});

describe('rain and snow', () => {
	it.each([
		['rain', 4, 'rain'],
		['rain', 0, 'wet-snow'],
		['heavy-rain', -5, 'dry-snow'],
		['dry-snow', -1, 'wet-snow'],
		['wet-snow', 5, 'rain'],
		['dry', -5, 'dry']
	] as const)('forecast as %s falls at %d °C as %s', (kind, airTempC, falls) => {
		expect(fallsAs(kind, airTempC)).toBe(falls);
	});
	it('counts the minutes that fall into a phase, over midnight too', () => {
		const spells = [{ fromMin: 0, toMin: 60, kind: 'rain' as const }];
		expect(wetBetween(spells, 1410, 1470, 8)).toEqual({ kind: 'rain', minutes: 30, rainMinutes: 30 });
		expect(wetBetween(spells, 120, 180, 8).minutes).toBe(0);
	});
	it('counts the wetter of two spells once', () => {
		const spells = [
			{ fromMin: 600, toMin: 720, kind: 'drizzle' as const },
			{ fromMin: 660, toMin: 690, kind: 'rain' as const }
		];
		expect(wetBetween(spells, 600, 720, 8)).toEqual({ kind: 'rain', minutes: 120, rainMinutes: 75 });
	});
	it('never counts more minutes than the phase has', () => {
		const spell = fc
			.tuple(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 1, max: 600 }))
			.map(([fromMin, length]) => ({
				fromMin,
				toMin: Math.min(1440, fromMin + length),
				kind: 'rain' as const
			}));
		fc.assert(
			fc.property(fc.array(spell, { maxLength: 6 }), fc.integer({ min: 0, max: 1800 }), (spells, from) => {
				const { minutes, rainMinutes } = wetBetween(spells, from, from + 90, 8);
				expect(minutes).toBeLessThanOrEqual(90);
				expect(rainMinutes).toBe(minutes);
			})
		);
	});
});

describe('daylight', () => {
	it('knows polar day and night', () => {
		const june = daylightOn('2027-06-21', 70, 25, 60);
		const december = daylightOn('2027-12-21', 78, 16, 60);
		expect([june.allDay, december.allDay]).toEqual([true, false]);
		expect([lightAt(june, 0), lightAt(december, 720)]).toEqual(['day', 'dark']);
	});
	it('is dark, then twilight, then day, and refuses what is no date', () => {
		const day = daylightOn('2027-01-23', 46.9, 10.8, 60);
		expect([300, 465, 720, 1440 + 300].map((at) => lightAt(day, at))).toEqual([
			'dark',
			'twilight',
			'day',
			'dark'
		]);
		expect(() => daylightOn('soon', 46, 10, 60)).toThrow('allowed is an ISO date');
		expect(() => daylightOn('2027-01-23', 146, 10, 60)).toThrow(RangeError);
	});
});
