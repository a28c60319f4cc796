import { describe, expect, it } from 'vitest';
import { type BaseRow, type PhaseRow, PLANNED, stageOf } from '../../../../tests/fixtures/make';
import { cautionSentence } from '../../words/cautions';
import { METRIC } from '../../words/units';
import { cellsOf } from '../conditions/cells';
import type { Site, Stage } from '../document/types';
import { CAUTION_RULES, cautionsOf } from './cautions';

const SITE: Site = { placeId: null, latitudeDeg: 46.9, longitudeDeg: 10.8, utcOffsetMin: 60 };

function codes(
	rows: PhaseRow[],
	base: BaseRow = {},
	change: Partial<Stage> = {},
	site: Site | null = SITE
): string[] {
	const stage = stageOf(rows, base, { startMin: 600, ...change });
	return cautionsOf({ stage, site, cells: cellsOf(stage, PLANNED, site) }).map(({ code }) => code);
}
const WALK: PhaseRow = ['move', 60, 200, 'slope'];

/** One case that fires and one near miss for every rule. */
const CASES: [code: string, fires: string[], misses: string[]][] = [
	[
		'frostbite',
		codes([['stop', 10, 80, 'ridge']], { airTempC: -18, wind10mKmh: 40 }),
		codes([['stop', 10, 80, 'ridge']], { airTempC: -14, wind10mKmh: 20 })
	],
	['storm', codes([WALK], { wind10mKmh: 80, airTempC: 5 }), codes([WALK], { wind10mKmh: 60, airTempC: 5 })],
	[
		'avalanche',
		codes([WALK], { ground: 'snow' }, { terrain: ['avalanche'] }),
		codes([WALK], {}, { terrain: ['avalanche'] })
	],
	[
		'soak-then-stand',
		codes([WALK, ['stop', 20, 80, 'slope']], { airTempC: 4, precipitation: 'rain' }),
		codes([WALK, ['indoors', 20, 80, 'in']], { airTempC: 4, precipitation: 'rain' })
	],
	[
		'immersion',
		codes([['stop', 45, 120, 'slope', { marks: ['immersed-thigh'] }]], { airTempC: 12 }),
		codes([['stop', 45, 120, 'slope', { marks: ['splash'] }]], { airTempC: 12 })
	],
	[
		'altitude',
		codes([['move', 60, 200, 'slope', { altitudeM: 2600 }]]),
		codes([['move', 60, 200, 'slope', { altitudeM: 2400 }]])
	],
	['glacier', codes([WALK], {}, { terrain: ['glacier'] }), codes([WALK])],
	['steep-ground', codes([WALK], { ground: 'ice' }), codes([WALK], { ground: 'snow' })],
	['heat', codes([WALK], { airTempC: 31 }), codes([WALK], { airTempC: 26 })],
	['open-fire', codes([['stop', 60, 85, 'lee', { marks: ['flame'] }]]), codes([['stop', 60, 85, 'lee']])],
	['shooting-season', codes([WALK], {}, { terrain: ['shooting-season'] }), codes([WALK])],
	['darkness', codes([WALK], {}, { startMin: 330 }), codes([WALK], {}, { startMin: 600 })],
	[
		'traffic',
		codes([WALK], { precipitation: 'rain', airTempC: 6 }, { terrain: ['traffic'] }),
		codes([WALK], {}, { terrain: ['traffic'], date: '2027-05-10' })
	],
	[
		'ultraviolet',
		codes([WALK], { ground: 'snow' }, { date: '2027-03-20' }),
		codes([WALK], { ground: 'snow' }, { date: '2027-12-20' })
	]
];

describe('cautions', () => {
	it('each have a case that fires and one that does not', () => {
		expect(CASES.map(([code]) => code).sort()).toEqual(Object.keys(CAUTION_RULES).sort());
	});
	it.each(CASES)('%s', (code, fires, misses) => {
		expect(fires).toContain(code);
		expect(misses).not.toContain(code);
	});
	it('are quiet on a mild day by daylight', () => {
		expect(codes([WALK, ['stop', 20, 75, 'lee'], WALK], { airTempC: 8 })).toEqual([]);
	});
	it('name phases, parts and the minutes, and never say that anything is safe', () => {
		const stage = stageOf([['stop', 10, 80, 'ridge']], { airTempC: -26, wind10mKmh: 40 });
		const [frostbite] = cautionsOf({ stage, site: null, cells: cellsOf(stage, PLANNED) });
		expect(frostbite).toMatchObject({
			code: 'frostbite',
			phases: [{ id: 'phase-0', name: 'Phase 0' }],
			parts: ['face', 'ears', 'hands'],
			reason: { rule: 'frostbite', kind: 'standard' }
		});
		expect(frostbite!.values).toMatchObject({
			from: { value: 5, unit: 'min' },
			to: { value: 10, unit: 'min' }
		});
		const sentence = cautionSentence(frostbite!, METRIC);
		expect(sentence).toMatch(/can freeze within 5 to 10 min, wet skin/);
		expect(sentence).not.toMatch(/\bsafe\b/i);
	});
	it('say a sweaty stop in bitter cold, and not an ordinary one', () => {
		const day: PhaseRow[] = [
			['move', 75, 280, 'slope'],
			['stop', 18, 95, 'ridge']
		];
		expect(codes(day, { airTempC: -14, wind10mKmh: 35 })).toContain('soak-then-stand');
		expect(codes(day, { airTempC: -4, wind10mKmh: 20 })).not.toContain('soak-then-stand');
	});
});
