import { phs } from 'jsthermalcomfort';
import { describe, expect, it } from 'vitest';
import { isStrained } from '../../src/lib/core/body/two-node';

/**
 * Heat without a way out, held for sense against ISO 7933 (predicted heat strain) as the package `jsthermalcomfort` computes it,
 * inside its range: 25–40 °C, 130–400 W/m². The standard limits the minutes until the rectum has 38 °C; ours asks whether sweat runs off.
 */
const HOUR = 60;
interface Case {
	airTempC: number;
	humidityPct: number;
	metabolicWm2: number;
	insulationClo: number;
	airVelocityMs: number;
}
const cases: Case[] = [25, 30, 35, 40].flatMap((airTempC) =>
	[30, 50, 70].flatMap((humidityPct) =>
		[130, 200, 300, 400].flatMap((metabolicWm2) =>
			[0.5, 0.7, 1].flatMap((insulationClo) =>
				[0.3, 1].map((airVelocityMs) => ({
					airTempC,
					humidityPct,
					metabolicWm2,
					insulationClo,
					airVelocityMs
				}))
			)
		)
	)
);
const minutesByStandard = ({
	airTempC,
	humidityPct,
	metabolicWm2,
	insulationClo,
	airVelocityMs
}: Case): number =>
	phs(
		airTempC,
		airTempC,
		humidityPct,
		airVelocityMs,
		metabolicWm2,
		insulationClo,
		2,
		0,
		undefined,
		undefined,
		undefined,
		undefined,
		undefined,
		undefined,
		undefined,
		undefined,
		HOUR * 2
	).d_lim_t_re;

describe('heat strain against ISO 7933 (jsthermalcomfort)', () => {
	const strained = cases.filter((one) => minutesByStandard(one) < HOUR);
	it('has cases on both sides', () => {
		expect(strained.length).toBeGreaterThan(60);
		expect(cases.length - strained.length).toBeGreaterThan(60);
	});
	it('speaks in at least 98 of 100 cases in which the standard ends the work within an hour', () => {
		const missed = strained.filter((one) => !isStrained(one, HOUR));
		expect(missed.length).toBeLessThanOrEqual(strained.length * 0.02);
	});
	it('leaves light work in mild air alone', () => {
		expect(
			isStrained(
				{ airTempC: 25, humidityPct: 40, metabolicWm2: 130, insulationClo: 0.5, airVelocityMs: 1 },
				HOUR
			)
		).toBe(false);
	});
});
