import { describe, expect, it } from 'vitest';
import { frostbiteClass, windChillC } from '../../src/lib/core/weather/wind';

/** Rows of the published chart: air temperature, then the chill at each wind. */
const WINDS_KMH = [5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80];
const CHART: [airTempC: number, ...chillC: number[]][] = [
	[0, -2, -3, -4, -5, -6, -6, -7, -7, -8, -8, -8, -9, -9, -9, -10, -10],
	[-5, -7, -9, -11, -12, -12, -13, -14, -14, -15, -15, -15, -16, -16, -16, -17, -17],
	[-10, -13, -15, -17, -18, -19, -20, -20, -21, -21, -22, -22, -23, -23, -23, -24, -24],
	[-15, -19, -21, -23, -24, -25, -26, -27, -27, -28, -29, -29, -30, -30, -30, -31, -31],
	[-20, -24, -27, -29, -30, -32, -33, -33, -34, -35, -35, -36, -36, -37, -37, -38, -38],
	[-25, -30, -33, -35, -37, -38, -39, -40, -41, -42, -42, -43, -43, -44, -44, -45, -45],
	[-30, -36, -39, -41, -43, -44, -46, -47, -48, -48, -49, -50, -50, -51, -51, -52, -52],
	[-35, -41, -45, -48, -49, -51, -52, -53, -54, -55, -56, -57, -57, -58, -58, -59, -60],
	[-40, -47, -51, -54, -56, -57, -59, -60, -61, -62, -63, -63, -64, -65, -65, -66, -67]
];

describe('wind chill chart of Environment Canada (from memory)', () => {
	it.each(CHART)('air %d °C, 5 to 80 km/h, to the rounded degree', (airTempC, ...chills) => {
		expect(WINDS_KMH.map((wind) => Math.round(windChillC(airTempC, wind)))).toEqual(chills);
	});
});

describe('frostbite classes of Environment Canada (from memory)', () => {
	it.each([
		[-27, 'low', null],
		[-28, 'risk', [10, 30]],
		[-39, 'risk', [10, 30]],
		[-40, 'high', [5, 10]],
		[-47, 'high', [5, 10]],
		[-48, 'very high', [2, 5]],
		[-54, 'very high', [2, 5]],
		[-55, 'extreme', [0, 2]]
	])('%d °C is %s', (chillC, level, minutes) => {
		expect(frostbiteClass(chillC)).toEqual({ level, minutes });
	});
});
