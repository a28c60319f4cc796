import { describe, expect, it } from 'vitest';
import { planStage } from '../../src/lib/core/plan/planner';
import { findingSentence } from '../../src/lib/words/findings';
import { typeName } from '../../src/lib/words/garments';
import { METRIC } from '../../src/lib/words/units';
import { clientWith, type HonestDay, honestStage } from '../fixtures/honest-kits';
import { PLANNED } from '../fixtures/make';

/**
 * Common practice, no source: for each of six days, what a guide would pack for an ordinary such day without hesitation.
 * Such a client gets no blocker and at most two warnings.
 */
const UNDER = [
	'briefs',
	'top-wool-light',
	'bottoms-wool',
	'neck-tube',
	'hat-warm',
	'cap-thin',
	'torch',
	'bag-dry'
];
const CASES: readonly HonestDay[] = [
	{
		patternId: 'ski-tour',
		base: { lowTempC: -9, highTempC: -3, wind10mKmh: 15, ground: 'snow' },
		route: { startM: 1000, highM: 1600, lowM: 1000, bedM: 1000 },
		kit: [...UNDER, 'fleece-thin', 'fleece', 'soft-shell', 'hard-shell', 'coat-synthetic', 'trousers-soft-shell', 'trousers-hard-shell', 'overtrousers-warm', 'sock-heavy', 'boot-ski-touring', 'glove-liner', 'glove-light', 'glove-winter', 'mitten', 'overmitt-down', 'sunglasses', 'goggles', 'balaclava', 'pack-day']
	},
	{
		patternId: 'coast-or-hill-walk',
		base: { lowTempC: 6, highTempC: 12, wind10mKmh: 20 },
		kit: [...UNDER, 'fleece', 'wind-shirt', 'hard-shell', 'trousers-trek', 'trousers-hard-shell', 'sock-mid', 'boot-hiking', 'glove-light', 'glove-winter', 'jacket-synthetic-light', 'coat-synthetic', 'overtrousers-warm', 'pack-day', 'bag-three-season']
	},
	{
		patternId: 'snowshoe-walk',
		base: { lowTempC: -8, highTempC: -2, wind10mKmh: 10, ground: 'snow' },
		kit: [...UNDER, 'fleece', 'soft-shell', 'hard-shell', 'coat-synthetic', 'trousers-soft-shell', 'trousers-hard-shell', 'overtrousers-warm', 'sock-heavy', 'boot-winter', 'gaiters', 'glove-liner', 'glove-winter', 'mitten', 'overmitt-down', 'sunglasses', 'goggles', 'pack-day']
	},
	{
		patternId: 'town-walk',
		base: { lowTempC: 1, highTempC: 6, wind10mKmh: 10 },
		kit: [...UNDER, 'sweater-wool', 'coat-town', 'trousers-wool', 'sock-mid', 'boot-winter', 'glove-wool', 'glove-winter', 'scarf', 'umbrella']
	},
	{
		patternId: 'high-trek',
		base: { lowTempC: -2, highTempC: 9, wind10mKmh: 12, altitudeM: 3800 },
		route: { startM: 3800, highM: 4200, lowM: 3900, bedM: 3900 },
		kit: [...UNDER, 'fleece', 'jacket-down-light', 'wind-shirt', 'hard-shell', 'coat-down', 'trousers-trek', 'trousers-hard-shell', 'overtrousers-warm', 'bottoms-fleece', 'sock-mid', 'boot-hiking', 'glove-liner', 'glove-winter', 'mitten', 'sunglasses', 'glacier-glasses', 'bag-winter', 'pack-day', 'power-bank']
	},
	{
		patternId: 'hide-or-wildlife-watch',
		base: { lowTempC: -3, highTempC: 3, wind10mKmh: 8 },
		kit: [...UNDER, 'top-wool-mid', 'fleece', 'sweater-wool', 'jacket-wool-felt', 'coat-down', 'trousers-wool', 'bottoms-fleece', 'overtrousers-warm', 'sock-heavy', 'sock-mid', 'boot-pac', 'glove-liner', 'mitten-open', 'mitten', 'overmitt-down', 'balaclava-thick', 'hard-shell', 'trousers-hard-shell', 'booties-down', 'pack-large']
	}
]; // prettier-ignore

describe('an honestly well-equipped client (common practice, no source)', () => {
	it.each(CASES)('$patternId: no blocker, at most two warnings', (one) => {
		const { findings } = planStage(honestStage(one), PLANNED, clientWith(one.kit));
		const told = (severity: string): string[] =>
			findings
				.filter((finding) => finding.severity === severity)
				.map((finding) => findingSentence(finding, { who: 'Teo', nameOf: typeName, units: METRIC }));
		expect(told('blocker')).toEqual([]);
		const warnings = told('warning');
		expect(warnings.length, warnings.join('\n')).toBeLessThanOrEqual(2);
	});
});
