import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLANNED, type PhaseRow, kitOf, stageOf, thingOf } from '../../../../tests/fixtures/make';
import { findingSentence } from '../../words/findings';
import { typeName } from '../../words/garments';
import { METRIC } from '../../words/units';
import { personOf } from '../conditions/person';
import type { Finding, Measure } from '../document/finding';
import { PARTS, ROWS } from '../document/parts';
import type { Client } from '../document/types';
import { VERDICTS } from '../document/verdict';
import type { FixedOutfit } from '../document/worn';
import { holdsWithoutOver } from '../judge/what-helps';
import { listOf } from '../kit/list';
import { OVERHEAT_STEP_CLOMIN } from '../rules/objective';
import { planStage } from './planner';

const KIT = [
	'briefs',
	'top-wool-mid',
	'fleece',
	'soft-shell',
	'hard-shell',
	'coat-synthetic',
	'bottoms-wool',
	'trousers-soft-shell',
	'trousers-rain',
	'sock-mid',
	'boot-winter',
	'glove-light',
	'mitten',
	'hat-warm',
	'neck-tube',
	'sunglasses'
];
const rank = (verdict: string): number => VERDICTS.indexOf(verdict as (typeof VERDICTS)[number]);
const WORN_AT_WORK = new Set([
	'top-wool-mid',
	'trousers-soft-shell',
	'hat-warm',
	'mitten',
	'sock-mid',
	'boot-winter'
]);
const said = (finding: Finding): string =>
	findingSentence(finding, { who: 'Teo', nameOf: typeName, units: METRIC });
const givenAll = (plan: ReturnType<typeof planStage>): FixedOutfit[] =>
	plan.phases.map(({ cell, outfit }) => ({
		stageId: cell.stageId,
		phaseId: cell.phaseId,
		round: cell.round,
		worn: outfit.map(({ cloth, opening }) => ({ thingId: cloth.thingId, opening }))
	}));

/** Nothing that keeps rain out above the legs. */
const SHIRT_IN_RAIN = [
	'briefs',
	'top-wool-mid',
	'fleece',
	'trousers-rain',
	'trousers-trek',
	'sock-mid',
	'boot-hiking'
];

describe('verdicts', () => {
	const judge = (rows: PhaseRow[], kit: string[] | Client, base = {}, fixed: FixedOutfit[] = []) =>
		planStage(stageOf(rows, base), PLANNED, Array.isArray(kit) ? kitOf(kit) : kit, fixed);

	it('are warm from a few clo·minutes too much on, the sooner the more is worn', () => {
		const wornWith = (more: string[]): FixedOutfit[] => [
			{
				stageId: 'stage',
				phaseId: 'phase-0',
				worn: [...KIT.filter((id) => WORN_AT_WORK.has(id)), ...more].map((thingId) => ({
					thingId,
					opening: 'closed' as const
				}))
			}
		];
		const first = [['fleece'], ['fleece', 'coat-synthetic']].map((more) => {
			for (let minutes = 1; minutes <= 60; minutes++) {
				const { phases, levels } = judge(
					[['move', minutes, 280, 'slope']],
					KIT,
					{ airTempC: 9 },
					wornWith(more)
				);
				const { verdict, reasons } = phases[0]!;
				if (verdict !== 'warm') continue;
				const of = (name: string): number =>
					Number(reasons.flatMap(({ values }) => values).find((value) => value.name === name)!.value);
				const tooMuchClo = of('worn') - of('tooWarmAbove');
				expect(tooMuchClo * minutes).toBeGreaterThan(OVERHEAT_STEP_CLOMIN - 0.3);
				expect(tooMuchClo * (minutes - 1)).toBeLessThan(OVERHEAT_STEP_CLOMIN + 0.3);
				expect(levels.overheat).toBeGreaterThanOrEqual(OVERHEAT_STEP_CLOMIN);
				return minutes;
			}
			return Infinity;
		});
		expect(first[0]).toBeGreaterThan(1);
		expect(first[0]).toBeLessThan(60);
		expect(first[1]).toBeLessThan(first[0]!);
	});
	it('of the body never get better with more debt carried in', () => {
		const given = (count: number): FixedOutfit[] =>
			Array.from({ length: count }, (_, i) => ({
				stageId: 'stage',
				phaseId: `phase-${i}`,
				worn: [
					'top-wool-mid',
					'fleece',
					'hard-shell',
					'trousers-soft-shell',
					'hat-warm',
					'mitten',
					'sock-mid',
					'boot-winter'
				].map((thingId) => ({ thingId, opening: 'closed' as const }))
			}));
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 90 }),
				fc.integer({ min: 5, max: 90 }),
				fc.integer({ min: -25, max: 9 }),
				fc.constantFrom(75, 120, 180, 280),
				(waited, minutes, airTempC, effort) => {
					const last: PhaseRow = ['move', minutes, effort, 'slope'];
					const fresh = judge([last], KIT, { airTempC }, given(1)).phases[0]!;
					const tired = judge([['stop', waited, 70, 'ridge'], last], KIT, { airTempC }, given(2)).phases[1]!;
					if (tired.startDebtWhm2 >= 0) {
						expect(tired.peakDebtWhm2).toBeGreaterThanOrEqual(fresh.peakDebtWhm2 - 1e-9);
						expect(rank(tired.verdict)).toBeLessThanOrEqual(rank(fresh.verdict));
					}
				}
			),
			{ numRuns: 60 }
		);
	});
	it.each<[string, PhaseRow[], string[] | Client, object, string, string]>([
		[
			'a climb in a coat only',
			[['move', 60, 280, 'lee']],
			['coat-down', 'trousers-ski', 'sock-mid', 'boot-winter', 'glove-light'],
			{ airTempC: 2 },
			'warm',
			'body'
		],
		[
			'the same before a stop',
			[
				['move', 60, 280, 'lee'],
				['stop', 10, 80, 'lee']
			],
			['coat-down', 'trousers-ski', 'sock-mid', 'boot-winter', 'glove-light'],
			{ airTempC: 2 },
			'warm before a stop',
			'body'
		],
		[
			'rain on a fleece',
			[['move', 80, 200, 'slope']],
			['top-wool-mid', 'fleece', 'trousers-rain', 'sock-mid', 'boot-hiking'],
			{ airTempC: 6, precipitation: 'rain' },
			'wet through',
			'torso'
		],
		[
			'rain on trekking trousers',
			[['move', 60, 200, 'slope']],
			['top-wool-mid', 'hard-shell', 'trousers-trek', 'sock-mid', 'boot-hiking'],
			{ airTempC: 6, precipitation: 'rain' },
			'wet through',
			'legs'
		],
		[
			'bare hands in the cold',
			[['stop', 40, 80, 'lee']],
			kitOf(
				KIT.filter((id) => !id.startsWith('glove') && id !== 'mitten'),
				{ answeredParts: ['hands'] }
			),
			{ airTempC: -8 },
			'short',
			'hands'
		],
		[
			'thin shoes in the cold',
			[['move', 90, 120, 'lee']],
			[...KIT.filter((id) => id !== 'boot-winter'), 'shoe-trail'],
			{ airTempC: -10 },
			'short',
			'feet'
		],
		['a warm room', [['indoors', 60, 70, 'in']], KIT, {}, 'right', 'body'],
		['a mild day', [['move', 60, 200, 'slope']], KIT, { airTempC: 15 }, 'right', 'body'],
		[
			'a cold night in a thin bag',
			[['sleep', 480, 45, 'slope']],
			[...KIT, 'bag-summer'],
			{ airTempC: -6 },
			'short',
			'sleep'
		],
		[
			'a cold night in a warm bag',
			[['sleep', 480, 45, 'slope']],
			[...KIT, 'bag-winter'],
			{ airTempC: -6 },
			'right',
			'sleep'
		],
		[
			'an arctic night',
			[['sleep', 480, 45, 'slope']],
			[...KIT, 'bag-winter'],
			{ airTempC: -45 },
			'nothing suffices',
			'sleep'
		],
		['a heated night', [['sleep', 480, 45, 'in']], KIT, { airTempC: -30 }, 'right', 'sleep']
	])('%s', (_, rows, kit, base, verdict, limitedBy) => {
		const phase = judge(rows, kit, base).phases[0]!;
		expect([phase.verdict, phase.limitedBy]).toEqual([verdict, limitedBy]);
		expect(phase.reasons.length).toBeGreaterThan(0);
	});
	it.each([
		[{ airTempC: 12 }, 200, true],
		[{ wind10mKmh: 120 }, 200, true],
		[{}, 320, true],
		[{}, 200, false]
	])('outside the method (%j, %d W/m²) are indicative: %s', (base, effort, indicative) => {
		expect(judge([['move', 30, effort, 'ridge']], KIT, base).phases[0]!.indicative).toBe(indicative);
	});
	it('of effort above the method add no debt and say that sweating is certain', () => {
		const phase = judge(
			[
				['stop', 20, 80, 'slope'],
				['move', 40, 450, 'slope', { ownSpeedKmh: 12 }]
			],
			['top-synthetic', 'shorts', 'sock-mid', 'shoe-trail'],
			{ airTempC: 2 }
		).phases[1]!;
		expect(phase.debtWhm2).toBeLessThanOrEqual(phase.startDebtWhm2);
		expect(phase.reasons.map(({ rule }) => rule)).toContain('aboveMethod');
	});
	it.each<[string, string[], string]>([
		['nothing at all', [], 'body'],
		['the legs', KIT.filter((id) => !id.includes('trousers') && !id.includes('bottoms')), 'body'],
		['the hands', KIT.filter((id) => !id.startsWith('glove') && id !== 'mitten'), 'hands']
	])('make no penalty of what nobody has asked: %s', (_, kit, row) => {
		const rows: PhaseRow[] = [['stop', 40, 80, 'lee']];
		const silent = judge(rows, kit, { airTempC: -8 });
		expect(
			silent.findings.filter(
				({ severity, part }) => severity === 'blocker' && (part === row || row === 'body')
			)
		).toEqual([]);
		expect(silent.findings.map(({ code }) => code)).toContain('not-asked');
		const told = judge(rows, kitOf(kit, { answeredParts: [...PARTS] }), { airTempC: -8 });
		expect(told.phases[0]!.verdict).toBe('short');
	});
	it('are stricter for a careful person and for one who feels the cold', () => {
		const rows: PhaseRow[] = [['stop', 30, 80, 'slope']];
		const usual = judge(rows, KIT, { airTempC: -12 }).phases[0]!;
		const careful = judge(rows, kitOf(KIT, { careful: { value: true, source: 'guide', state: 'has' } }), {
			airTempC: -12
		}).phases[0]!;
		const chilly = judge(rows, kitOf(KIT, { offsetClo: { value: 0.3, source: 'client', state: 'has' } }), {
			airTempC: -12
		}).phases[0]!;
		expect(careful.holdsMinutes!).toBeLessThanOrEqual(usual.holdsMinutes!);
		expect(chilly.peakDebtWhm2).toBeGreaterThan(usual.peakDebtWhm2);
		expect(chilly.band!.needClo).toBeGreaterThan(usual.band!.needClo);
	});
});

describe('a plan', () => {
	const DAY: PhaseRow[] = [
		['ride', 30, 65, 'in'],
		['move', 75, 280, 'slope'],
		['stop', 25, 80, 'ridge'],
		['what-if', 120, 75, 'slope'],
		['move', 40, 200, 'slope'],
		['sleep', 480, 45, 'cold-in']
	];
	const plan = planStage(
		stageOf(DAY, { airTempC: -8, wind10mKmh: 30, ground: 'snow' }),
		PLANNED,
		kitOf([...KIT, 'bag-winter'])
	);

	it('judges what is given as it judged what it chose', () => {
		const again = planStage(
			stageOf(DAY, { airTempC: -8, wind10mKmh: 30, ground: 'snow' }),
			PLANNED,
			kitOf([...KIT, 'bag-winter']),
			givenAll(plan).filter((_, i) => DAY[i]![0] !== 'sleep')
		);
		expect(
			again.phases.map(({ verdict, debtWhm2, resultantClo }) => [verdict, debtWhm2, resultantClo])
		).toEqual(plan.phases.map(({ verdict, debtWhm2, resultantClo }) => [verdict, debtWhm2, resultantClo]));
	});
	it('has no empty cell in its ladder', () => {
		for (const { coverage } of plan.phases) {
			expect(coverage.map(({ row }) => row)).toEqual([...ROWS]);
			for (const cell of coverage) expect(cell.reasons.length).toBeGreaterThan(0);
		}
	});
	it('draws layers that sum to what the outfit gives', () => {
		for (const { drawn, resultantClo, cell } of plan.phases.filter(
			({ cell: { kind } }) => kind !== 'sleep'
		)) {
			expect(
				drawn.reduce((sum, { gainClo }) => sum + gainClo, 0),
				cell.name
			).toBeCloseTo(resultantClo, 6);
		}
	});
	it('loses nothing: every thing is worn or carried somewhere', () => {
		for (const { outfit, carried } of plan.phases)
			expect(outfit.length + carried.length).toBe(KIT.length + 1);
	});
	it('leaves what-ifs without effect on what follows', () => {
		const without = planStage(
			stageOf(
				DAY.map((row, i) => (i === 3 ? (['what-if', 1, 75, 'slope'] as PhaseRow) : row)),
				{ airTempC: -8, wind10mKmh: 30, ground: 'snow' }
			),
			PLANNED,
			kitOf([...KIT, 'bag-winter'])
		);
		expect(without.phases[4]!.debtWhm2).toBe(plan.phases[4]!.debtWhm2);
	});
	it('says how the body would do without the coat over everything', () => {
		const stop = plan.phases.find(({ outfit }) =>
			outfit.some(({ cloth }) => cloth.typeId === 'coat-synthetic')
		)!;
		expect(holdsWithoutOver(stop, personOf(kitOf(KIT)))!.minutes!).toBeLessThan(
			stop.holdsMinutes ?? Infinity
		);
		expect(holdsWithoutOver(plan.phases[1]!, personOf(kitOf(KIT)))).toBeUndefined();
	});
	it('judges every round of a loop, colder from round to round', () => {
		const stage = stageOf([]);
		stage.sequence = [
			{
				type: 'loop',
				id: 'loop',
				name: 'Belays',
				count: 3,
				sequence: stageOf([
					['move', 25, 250, 'slope'],
					['stop', 40, 80, 'ridge']
				]).sequence
			}
		];
		stage.base.lowTempC = stage.base.highTempC = -12;
		const belays = planStage(stage, PLANNED, kitOf(KIT)).phases.filter(({ cell }) => cell.kind === 'stop');
		expect(belays.map(({ cell }) => cell.round)).toEqual([1, 2, 3]);
		expect(belays[2]!.startDebtWhm2).toBeGreaterThanOrEqual(belays[0]!.startDebtWhm2);
	});
	it('refuses an outfit with a thing that the client has not', () => {
		expect(() =>
			planStage(stageOf(DAY), PLANNED, kitOf(KIT), [
				{ stageId: 'stage', phaseId: 'phase-1', worn: [{ thingId: 'cape', opening: 'closed' }] }
			])
		).toThrow('thingId is cape');
	});
	it.each([[[]], [['fleece']], [['sunglasses']]])('never fails on a kit of %j', (kit) => {
		const plan = planStage(stageOf(DAY), PLANNED, kitOf(kit));
		for (const { debtWhm2, resultantClo } of plan.phases)
			expect(Number.isFinite(debtWhm2 + resultantClo)).toBe(true);
	});
});

describe('findings', () => {
	const codes = (rows: PhaseRow[], kit: string[] | Client, base = {}): string[] =>
		planStage(stageOf(rows, base), PLANNED, Array.isArray(kit) ? kitOf(kit) : kit).findings.map(
			({ code }) => code
		);
	const COLD: PhaseRow[] = [
		['move', 60, 250, 'slope'],
		['stop', 15, 80, 'lee']
	];
	const answered = (kit: string[]): Client => kitOf(kit, { answeredParts: [...PARTS] });
	const without = (...ids: string[]): string[] => KIT.filter((id) => !ids.includes(id));
	const asked = (kit: string[], typeId: string): Client => {
		const client = kitOf(kit);
		client.things.push(thingOf(typeId, { quantity: { value: 0, source: 'client', state: 'has not' } }));
		return client;
	};

	/** Each rule: a case that fires, and a near miss that does not. */
	it.each<[code: string, fires: string[], misses: string[]]>([
		[
			'short',
			codes([['stop', 60, 75, 'ridge']], without('coat-synthetic'), { airTempC: -12 }),
			codes([['stop', 10, 75, 'ridge']], KIT, { airTempC: -12 })
		],
		[
			'nothing-suffices',
			codes([['stop', 600, 75, 'ridge']], KIT, { airTempC: -30, wind10mKmh: 60 }),
			codes([['stop', 60, 75, 'ridge']], without('coat-synthetic'), { airTempC: -12 })
		],
		[
			'short-hands',
			codes([['stop', 40, 80, 'lee']], answered(without('glove-light', 'mitten')), { airTempC: -8 }),
			codes([['stop', 20, 80, 'lee']], KIT, { airTempC: -8 })
		],
		[
			'wet-through',
			codes([['move', 120, 200, 'slope']], SHIRT_IN_RAIN, { airTempC: 8, precipitation: 'rain' }),
			codes([['move', 15, 200, 'slope']], SHIRT_IN_RAIN, { airTempC: 8, precipitation: 'rain' })
		],
		[
			'missing',
			codes(COLD, answered(without('neck-tube')), { airTempC: -12 }),
			codes(COLD, answered(KIT), { airTempC: -12 })
		],
		[
			'missing',
			codes(COLD, asked(without('neck-tube'), 'neck-tube'), { airTempC: -12 }),
			codes(COLD, answered(without('neck-tube')), { airTempC: 0 })
		],
		[
			'not-asked',
			codes(COLD, without('neck-tube'), { airTempC: -12 }),
			codes(COLD, answered(without('neck-tube')), { airTempC: -12 })
		],
		[
			'cotton-next-to-skin',
			codes(COLD, [...without('top-wool-mid'), 'top-cotton'], { airTempC: -4 }),
			codes(COLD, KIT, { airTempC: -4 })
		],
		[
			'no-spare-gloves',
			codes(COLD, without('glove-light'), { airTempC: -5 }),
			codes(COLD, KIT, { airTempC: -5 })
		],
		[
			'no-spare-gloves',
			codes(COLD, without('glove-light'), { airTempC: -5 }),
			codes(COLD, without('glove-light'), { airTempC: 9 })
		],
		[
			'frostbite',
			codes(COLD, KIT, { airTempC: -22, wind10mKmh: 40 }),
			codes(COLD, KIT, { airTempC: -10, wind10mKmh: 20 })
		],
		[
			'warm-before-stop',
			codes(COLD, ['coat-down', 'trousers-ski', 'sock-mid', 'boot-winter', 'glove-light'], {
				airTempC: 3
			}),
			codes(COLD, KIT, { airTempC: 3 })
		],
		[
			'short-sleep',
			codes([['sleep', 480, 45, 'slope']], [...KIT, 'bag-summer'], { airTempC: -6 }),
			codes([['sleep', 480, 45, 'slope']], [...KIT, 'bag-winter'], { airTempC: -6 })
		]
	])('%s', (code, fires, misses) => {
		expect(fires).toContain(code);
		expect(misses).not.toContain(code);
	});
	it('are quiet for a well-equipped client on an ordinary day', () => {
		const kit = answered([...KIT, 'goggles']);
		expect(codes(COLD, kit, { airTempC: -6, ground: 'snow' })).toEqual([]);
	});
	it('tell the minutes, and what would help', () => {
		const finding = planStage(
			stageOf([['stop', 60, 75, 'ridge']], { airTempC: -12 }),
			PLANNED,
			kitOf(without('coat-synthetic'))
		).findings[0]!;
		expect(finding).toMatchObject({
			code: 'short',
			part: 'body',
			values: { minutes: { value: 60, unit: 'min' }, start: 'warm', over: 'none', help: 'head' }
		});
		expect((finding.values.held as Measure).value).toBeLessThan(60);
		expect(said(finding)).toMatch(
			/^Teo stays warm for \d+ of 60 min in “Phase 0”, then gets too cold\. There is nothing to put on over everything\. (One more warm layer|Something warmer on the head)/
		);
		expect(finding.severity).toBe('blocker');
	});
	it('note a what-if that gets wet, and warn of a phase that does', () => {
		const wet = planStage(
			stageOf(
				[
					['what-if', 120, 70, 'slope'],
					['move', 120, 200, 'slope']
				],
				{ airTempC: 6, precipitation: 'rain' }
			),
			PLANNED,
			kitOf(SHIRT_IN_RAIN)
		).findings.filter(({ code }) => code === 'wet-through');
		expect(wet.map(({ severity }) => severity)).toEqual(['warning', 'note']);
		expect(wet[1]).toMatchObject({ phases: [{ id: 'phase-0' }], part: 'torso' });
		expect(said(wet[1]!)).toMatch(/^Teo gets soaked (to the skin|on the legs) in “Phase 0”: /);
	});
});

describe('odd days', () => {
	it.each<[string, PhaseRow[]]>([
		['nothing', []],
		['a night only', [['sleep', 480, 45, 'slope']]],
		['a what-if only', [['what-if', 60, 75, 'ridge']]],
		['a warm room only', [['indoors', 600, 70, 'in']]],
		['a minute', [['stop', 1, 75, 'ridge']]],
		[
			'two days with a night between',
			[
				['move', 60, 250, 'slope'],
				['sleep', 480, 45, 'cold-in'],
				['move', 60, 250, 'slope']
			]
		]
	])('%s is planned', (_, rows) => {
		const plan = planStage(stageOf(rows, { airTempC: -10 }), PLANNED, kitOf(KIT));
		expect(plan.phases).toHaveLength(rows.length);
		for (const phase of plan.phases) expect(VERDICTS).toContain(phase.verdict);
	});
	it('lets the second day begin without the debt of the first', () => {
		const rows: PhaseRow[] = [
			['stop', 60, 75, 'ridge'],
			['sleep', 480, 45, 'in'],
			['stop', 10, 75, 'ridge']
		];
		const plan = planStage(stageOf(rows, { airTempC: -12 }), PLANNED, kitOf(KIT));
		expect(plan.phases[0]!.debtWhm2).toBeGreaterThan(20);
		expect(plan.phases[2]!.startDebtWhm2).toBe(0);
	});
	it('takes the bag along for the night, and says where it rides by day', () => {
		const plan = planStage(
			stageOf(
				[
					['move', 60, 250, 'slope'],
					['sleep', 480, 45, 'slope']
				],
				{ airTempC: -8 }
			),
			PLANNED,
			kitOf([...KIT, 'bag-winter'])
		);
		expect(plan.takenIds).toContain('bag-winter');
		expect(plan.phases[0]!.carried.find(({ thingId }) => thingId === 'bag-winter')!.where).not.toBe('base');
		expect(plan.phases[1]!.coverage.find(({ row }) => row === 'sleep')).toMatchObject({
			state: 'covered',
			thingIds: ['bag-winter']
		});
	});
	it('holds the wind beyond 18 m/s for an indication only', () => {
		const phase = planStage(stageOf([['stop', 5, 80, 'ridge']], { wind10mKmh: 150 }), PLANNED, kitOf(KIT))
			.phases[0]!;
		expect(phase.indicative).toBe(true);
		expect(phase.reasons.map(({ rule }) => rule)).toContain('outsideMethod');
	});
});

describe('the ladder', () => {
	const rowOf = (row: string, rows: PhaseRow[], client: Client, base = {}) =>
		planStage(stageOf(rows, base), PLANNED, client).phases[0]!.coverage.find((cell) => cell.row === row)!;
	const STAND: PhaseRow[] = [['stop', 20, 80, 'slope']];
	const assumed = (typeId: string): Client =>
		kitOf(
			KIT.filter((id) => id !== typeId),
			{
				things: [
					...kitOf(KIT.filter((id) => id !== typeId)).things,
					thingOf(typeId, { quantity: { value: 1, source: 'guess', state: 'assumed' } })
				]
			}
		);
	it.each<[string, string, Client, object, string]>([
		['what is there', 'face', kitOf(KIT), { airTempC: -12 }, 'covered'],
		['what is only assumed', 'face', assumed('neck-tube'), { airTempC: -12 }, 'assumed'],
		[
			'what nobody asked',
			'face',
			kitOf(KIT.filter((id) => id !== 'neck-tube')),
			{ airTempC: -12 },
			'not asked'
		],
		[
			'what is known not to be there',
			'face',
			kitOf(
				KIT.filter((id) => id !== 'neck-tube'),
				{ answeredParts: ['face'] }
			),
			{ airTempC: -12 },
			'missing'
		],
		['what nothing asks for', 'face', kitOf(KIT), { airTempC: 3 }, 'not needed'],
		[
			'lenses that are not dark enough',
			'eyes',
			kitOf([...KIT.filter((id) => id !== 'sunglasses'), 'goggles']),
			{ ground: 'snow' },
			'missing'
		],
		[
			'a light lens in falling snow',
			'eyes',
			kitOf([...KIT.filter((id) => id !== 'sunglasses'), 'goggles']),
			{ ground: 'snow', precipitation: 'dry-snow' },
			'covered'
		],
		[
			'bare hands on a mild day',
			'hands',
			kitOf(KIT.filter((id) => !['glove-light', 'mitten'].includes(id))),
			{ airTempC: 9, wind10mKmh: 0 },
			'not needed'
		],
		['feet without shoes', 'feet', kitOf(KIT.filter((id) => id !== 'boot-winter')), {}, 'missing']
	])('%s: %s', (_, row, client, base, state) => {
		expect(rowOf(row, STAND, client, base).state).toBe(state);
	});
	it('names trouble where something is on but not enough', () => {
		const cold = rowOf(
			'hands',
			[['stop', 60, 75, 'ridge']],
			kitOf([...KIT.filter((id) => id !== 'mitten')]),
			{ airTempC: -15 }
		);
		expect(cold).toMatchObject({
			state: 'covered',
			trouble: expect.stringMatching(/short|nothing suffices/)
		});
	});
});

describe('the list', () => {
	it('names what goes along, once, and what is still to solve', () => {
		const client = kitOf([...KIT, 'jeans'], { answeredParts: [...PARTS] });
		const stages = [
			stageOf(
				[
					['move', 60, 250, 'slope'],
					['stop', 30, 75, 'ridge']
				],
				{ airTempC: -10, ground: 'snow' }
			),
			{ ...stageOf([['move', 60, 250, 'slope']], { airTempC: -2 }), id: 'second' }
		];
		const list = listOf(
			client,
			stages.map((stage) => planStage(stage, PLANNED, client)),
			stages
		);
		const ids = list.bring.map(({ thingId }) => thingId);
		expect(new Set(ids).size).toBe(ids.length);
		expect(ids).toContain('coat-synthetic');
		expect(ids).not.toContain('jeans');
		expect(list.bring.find(({ thingId }) => thingId === 'coat-synthetic')).toMatchObject({
			stageIds: ['stage'],
			rides: 'top'
		});
		expect(list.leave).toContainEqual({ thingId: 'jeans', name: 'Jeans', why: 'other use' });
		// Two pairs of gloves are asked for: the second one comes along, though no plan wears it.
		expect(list.bring.find(({ thingId }) => thingId === 'mitten')).toMatchObject({ spare: true, many: 1 });
		expect(list.small).toEqual(expect.arrayContaining(['sun cream', 'lip balm', 'first aid', 'flask']));
		expect(list.gaps.every(({ severity }) => severity !== 'note')).toBe(true);
	});
});
