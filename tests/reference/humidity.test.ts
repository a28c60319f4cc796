import psychrolib from 'psychrolib';
import { beforeAll, describe, expect, it } from 'vitest';
import { saturationPressureKpa } from '../../src/lib/core/weather/air';

describe('saturation pressure, against psychrolib (ASHRAE Fundamentals)', () => {
	beforeAll(() => psychrolib.SetUnitSystem(psychrolib.SI));

	it.each([1, 5, 10, 15, 20, 25, 30, 35, 40])('%d °C: within half a percent', (airTempC) => {
		const reference = psychrolib.GetSatVapPres(airTempC) / 1000;
		expect(Math.abs(saturationPressureKpa(airTempC) / reference - 1)).toBeLessThan(0.005);
	});
	/**
	 * Below 0 °C the reference is over ice and ours over supercooled water. The ratio of the two is known (WMO tables, from
	 * memory); ours keeps it within 2 %.
	 */
	it.each([
		[-1, 1.01],
		[-5, 1.05],
		[-10, 1.103],
		[-20, 1.215]
	])('%d °C: %f times the pressure over ice', (airTempC, known) => {
		const factor = saturationPressureKpa(airTempC) / (psychrolib.GetSatVapPres(airTempC) / 1000);
		expect(Math.abs(factor / known - 1)).toBeLessThan(0.02);
	});
});
