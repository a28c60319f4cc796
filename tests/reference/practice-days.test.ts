import { describe, expect, it } from 'vitest';
import { missedBy, verdictsOf } from '../fixtures/practice';
import { PRACTICE_DAYS, WATER_CASES } from '../fixtures/practice-days';

describe('days as people felt them (common practice, no source)', () => {
	it.each(PRACTICE_DAYS.map((day) => [`${day.id} ${day.name}`, day] as const))('%s', (_, day) => {
		expect(missedBy(day)).toEqual([]);
	});
});

describe('cases of water and limits (common practice, no source)', () => {
	it.each(WATER_CASES.map((day) => [`${day.id} ${day.name}`, day] as const))('%s', (_, day) => {
		expect(missedBy(day)).toEqual([]);
	});
});

describe('beside them', () => {
	const dayOf = (id: string) => [...PRACTICE_DAYS, ...WATER_CASES].find((day) => day.id === id)!;
	it('no debt is ever above 120 Wh/m²', () => {
		for (const day of [...PRACTICE_DAYS, ...WATER_CASES])
			for (const { peakDebtWhm2 } of verdictsOf(day)) expect(peakDebtWhm2).toBeLessThanOrEqual(120);
	});
	it('a dry top at the stop is better than the wet one', () => {
		const day = dayOf('W13');
		const [climb, stop] = day.phases;
		const dry = {
			...day,
			phases: [climb!, { ...stop!, worn: stop!.worn!.replace('top-cotton', 'top-wool-mid') }]
		};
		expect(verdictsOf(dry)[1]!.peakDebtWhm2).toBeLessThan(verdictsOf(day)[1]!.peakDebtWhm2);
	});
	it('walking hard after a fall is better than standing', () => {
		const out = verdictsOf(dayOf('W8')).at(-1)!;
		expect(out.peakDebtWhm2).toBeLessThan(verdictsOf(dayOf('W7')).at(-1)!.peakDebtWhm2);
	});
	it.each(
		WATER_CASES.filter(({ phases }) => phases.some(({ rain, waterTempC }) => rain || waterTempC)).map(
			(day) => [`${day.id} ${day.name}`, day] as const
		)
	)('less rain or warmer water is not worse: %s', (_, day) => {
		const better = {
			...day,
			phases: day.phases.map(({ rain: _rain, ...phase }) => ({
				...phase,
				...(phase.waterTempC !== undefined && { waterTempC: phase.waterTempC + 5 })
			}))
		};
		const [own, drier] = [verdictsOf(day), verdictsOf(better)];
		own.forEach(({ peakDebtWhm2 }, k) =>
			expect(drier[k]!.peakDebtWhm2).toBeLessThanOrEqual(peakDebtWhm2 + 0.5)
		);
	});
});
