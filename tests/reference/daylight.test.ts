import { describe, expect, it } from 'vitest';
import { daylightOn, noonElevationDeg } from '../../src/lib/core/weather/daylight';
import { clock } from '../../src/lib/words/labels';

/**
 * Published sunrise and sunset at two latitudes, local standard time: the yearly tables of almanac offices for London
 * (51.5° N, 0.13° W) and Oslo (59.91° N, 10.75° E, UTC+1), from memory, to two minutes.
 */
const ALMANAC: [
	place: string,
	lat: number,
	lon: number,
	offset: number,
	date: string,
	rise: string,
	set: string
][] = [
	['London', 51.5, -0.13, 0, '2027-12-21', '08:04', '15:53'],
	['London', 51.5, -0.13, 0, '2027-03-20', '06:05', '18:14'],
	['London', 51.5, -0.13, 0, '2027-06-21', '03:43', '20:21'],
	['Oslo', 59.91, 10.75, 60, '2027-12-21', '09:18', '15:12'],
	['Oslo', 59.91, 10.75, 60, '2027-06-21', '02:54', '21:44']
];
const minutes = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

describe('daylight against almanac times (from memory)', () => {
	it.each(ALMANAC)('%s, %d°, %d°, UTC%d min, %s: %s to %s', (_place, lat, lon, offset, date, rise, set) => {
		const { sunriseMin, sunsetMin, dawnMin, duskMin } = daylightOn(date, lat, lon, offset);
		expect(Math.abs(sunriseMin! - minutes(rise)), clock(sunriseMin!)).toBeLessThanOrEqual(2);
		expect(Math.abs(sunsetMin! - minutes(set)), clock(sunsetMin!)).toBeLessThanOrEqual(2);
		expect(dawnMin!).toBeLessThan(sunriseMin!);
		expect(duskMin!).toBeGreaterThan(sunsetMin!);
	});
	it.each([
		[51.5, '2027-06-21', 62],
		[51.5, '2027-12-21', 15.1],
		[23.44, '2027-06-21', 90]
	])('the noon sun at %d° on %s stands %d° high: 90° − latitude + declination', (lat, date, elevation) => {
		expect(Math.abs(noonElevationDeg(date, lat, 0) - elevation)).toBeLessThan(0.5);
	});
});
