import { describe, expect, it } from 'vitest';
import {
	type BaseRow,
	PLANNED,
	type PhaseRow,
	kitOf,
	stageOf,
	thingOf
} from '../../../../tests/fixtures/make';
import { findingSentence } from '../../words/findings';
import { insulationWords, typeName } from '../../words/garments';
import { METRIC } from '../../words/units';
import { CATALOGUE } from '../cloth/catalogue';
import { wearableThings } from '../cloth/things';
import type { Finding, Measure } from '../document/finding';
import { PARTS } from '../document/parts';
import type { Client, Mark, Properties, Stage, Thing } from '../document/types';
import type { FixedOutfit } from '../document/worn';
import { planStage } from '../plan/planner';
import { REQUIREMENTS } from '../rules/requirements';
import { GARMENT_RULES } from './garment-findings';
import { KIT_RULES } from './kit-findings';

const REST = [
	'briefs',
	'bottoms-wool',
	'trousers-soft-shell',
	'sock-mid',
	'boot-hiking',
	'glove-light',
	'cap-thin'
];
const KIT = ['top-wool-mid', 'fleece', 'hard-shell', 'coat-synthetic', 'trousers-hard-shell', ...REST];

interface Day {
	rows: PhaseRow[];
	base?: BaseRow;
	stage?: Partial<Stage>;
	kit: string[];
	/** worn in every phase, when it is not left to the search */
	worn?: string[];
	things?: Partial<Record<string, Partial<Thing>>>;
}
function clientOf({ kit, things = {} }: Day): Client {
	return kitOf([], {
		answeredParts: [...PARTS],
		things: kit.map((typeId) => thingOf(typeId, things[typeId]))
	});
}
function findingsOf(day: Day): ReturnType<typeof planStage>['findings'] {
	const stage = stageOf(day.rows, day.base, day.stage);
	const fixed: FixedOutfit[] = day.worn
		? day.rows.map((_, k) => ({
				stageId: 'stage',
				phaseId: `phase-${k}`,
				worn: day.worn!.map((thingId) => ({ thingId, opening: 'closed' }))
			}))
		: [];
	return planStage(stage, PLANNED, clientOf(day), fixed).findings;
}
const said = (finding: Finding): string =>
	findingSentence(finding, { who: 'Teo', nameOf: typeName, units: METRIC });
const codes = (day: Day): string[] => findingsOf(day).map(({ code }) => code);

const walk = (marks: Mark[] = [], minutes = 60): PhaseRow => ['move', minutes, 200, 'slope', { marks }];
const COLD = { airTempC: -4 };
const RAIN: BaseRow = { airTempC: 6, precipitation: 'rain' };
const on = (...ids: string[]): { kit: string[]; worn: string[] } => ({
	kit: [...ids, ...REST],
	worn: [...ids, ...REST]
});
const bag = (bagScale: 'comfort' | 'unclear'): Day['things'] => ({
	'bag-winter': { facts: { bagScale: { value: bagScale, source: 'client', state: 'has' } } }
});
/** What somebody has said of a thing. */
const known = (typeId: string, facts: Partial<Properties>): Day['things'] => ({
	[typeId]: {
		facts: Object.fromEntries(
			Object.entries(facts).map(([name, value]) => [name, { value, source: 'client', state: 'has' }])
		)
	}
});
const NIGHT: PhaseRow = ['sleep', 480, 45, 'tent'];
const SIT: PhaseRow = ['stop', 90, 70, 'lee'];

/** Each rule: a case that fires, and a near miss that does not. */
const CASES: readonly (readonly [code: string, fires: Day, misses: Day])[] = [
	[
		'underHelmet',
		{ rows: [walk(['helmet'])], base: COLD, kit: [...REST, 'hat-warm', 'top-wool-mid'], worn: ['top-wool-mid', 'hat-warm', 'trousers-soft-shell', 'sock-mid', 'boot-hiking'] },
		{ rows: [walk(['helmet'])], base: { airTempC: -14 }, kit: [...KIT, 'hat-warm', 'neck-tube'] }
	],
	[
		'hoodOverHelmet',
		{ rows: [walk(['helmet'])], base: RAIN, ...on('top-wool-mid', 'rain-shell') },
		{ rows: [walk(['helmet'])], base: RAIN, kit: [...KIT, 'rain-shell'] }
	],
	[
		'looseEnds',
		{ rows: [walk(['pedals'])], base: COLD, ...on('top-wool-mid', 'scarf') },
		{ rows: [walk(['pedals'])], base: { airTempC: -14 }, kit: [...KIT, 'scarf', 'neck-tube'] }
	],
	[
		'shootingSeason',
		{ rows: [walk()], base: COLD, stage: { terrain: ['shooting-season'] }, kit: KIT },
		{ rows: [walk(), SIT], base: COLD, stage: { terrain: ['shooting-season'] }, kit: [...KIT, 'vest-visible'] }
	],
	[
		'traffic',
		{ rows: [walk(['dark'])], base: COLD, stage: { terrain: ['traffic'] }, kit: KIT },
		{ rows: [walk()], base: COLD, stage: { terrain: ['traffic'] }, kit: KIT }
	],
	[
		'meltsAtFire',
		{ rows: [walk(['flame'])], base: COLD, kit: KIT },
		{ rows: [walk(['flame'])], base: COLD, kit: [...KIT, 'jacket-wool-felt'] }
	],
	[
		'tears',
		{ rows: [walk(['abrasion'])], base: COLD, kit: KIT },
		{ rows: [walk(['abrasion'])], base: COLD, kit: [...KIT, 'trousers-canvas'] }
	],
	[
		'quietFace',
		{ rows: [walk(['quiet'])], base: COLD, ...on('top-wool-mid', 'fleece', 'hard-shell') },
		{ rows: [walk(['quiet'])], base: COLD, kit: KIT }
	],
	[
		'overHarness',
		{ rows: [walk(['harness'])], base: COLD, ...on('top-wool-mid', 'fleece', 'rain-shell') },
		{ rows: [walk(['harness'])], base: COLD, ...on('top-wool-mid', 'fleece', 'hard-shell') }
	],
	[
		'armsUp',
		{ rows: [walk(['arms-up'])], base: RAIN, ...on('top-wool-mid', 'rain-shell') },
		{ rows: [walk(['arms-up'])], base: COLD, ...on('top-wool-mid', 'fleece') }
	],
	[
		'slimCuff',
		{ rows: [walk()], base: { ...COLD, ground: 'snow' }, stage: { terrain: ['glacier'] }, kit: ['trousers-trek', 'top-wool-mid', 'fleece', 'sock-mid', 'boot-mountain', 'glove-light'] },
		{ rows: [walk()], base: { ...COLD, ground: 'snow' }, stage: { terrain: ['glacier'] }, kit: KIT }
	],
	[
		'longTail',
		{ rows: [walk(['pedals'])], base: COLD, ...on('top-wool-mid', 'jacket-waxed') },
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'jacket-waxed') }
	],
	[
		'ponchoInWind',
		{ rows: [walk()], base: { ...RAIN, wind10mKmh: 45 }, ...on('top-wool-mid', 'poncho') },
		{ rows: [walk()], base: { ...RAIN, wind10mKmh: 10 }, ...on('top-wool-mid', 'poncho') }
	],
	[
		'darkLensDriving',
		{ rows: [walk(['controls'])], base: { ...COLD, ground: 'snow' }, ...on('top-wool-mid', 'glacier-glasses') },
		{ rows: [walk(['controls'])], base: { ...COLD, ground: 'snow' }, kit: [...KIT, 'glacier-glasses', 'sunglasses'] }
	],
	[
		'squeezed',
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'fleece', 'sweater-wool', 'jacket-down-light', 'hard-shell') },
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'fleece', 'hard-shell') }
	],
	[
		'sockHeight',
		{ rows: [walk()], base: COLD, kit: [...KIT.filter((id) => id !== 'sock-mid'), 'sock-light'] },
		{ rows: [walk()], base: COLD, kit: [...KIT.filter((id) => id !== 'sock-mid' && id !== 'boot-hiking'), 'sock-light', 'shoe-low'] }
	],
	[
		'wetCuff',
		{ rows: [walk()], base: RAIN, ...on('top-wool-mid', 'hard-shell') },
		{ rows: [walk()], base: RAIN, ...on('top-wool-mid', 'hard-shell', 'trousers-hard-shell') }
	],
	[
		'downWet',
		{ rows: [walk()], base: RAIN, ...on('top-wool-mid', 'jacket-down-light') },
		{ rows: [walk()], base: { airTempC: -15 }, ...on('top-wool-mid', 'jacket-down-light') }
	],
	[
		'dryForNight',
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'fleece'), things: known('top-wool-mid', { dryForNight: true }) },
		{ rows: [SIT], base: COLD, ...on('top-wool-mid', 'fleece'), things: known('top-wool-mid', { dryForNight: true }) }
	],
	[
		'wetCuff',
		{ rows: [walk()], base: RAIN, ...on('top-wool-mid', 'hard-shell', 'trousers-hard-shell'), things: known('trousers-hard-shell', { endWorn: 'under' }) },
		{ rows: [walk()], base: RAIN, ...on('top-wool-mid', 'hard-shell'), things: known('trousers-soft-shell', { features: ['hem-seal'] }) }
	],
	[
		'armsUp',
		{ rows: [walk(['arms-up'])], base: RAIN, ...on('top-wool-mid', 'rain-shell'), things: known('glove-light', { endWorn: 'under' }) },
		{ rows: [walk(['arms-up'])], base: RAIN, ...on('top-wool-mid', 'rain-shell'), things: known('glove-light', { endWorn: 'over' }) }
	],
	[
		'cottonLegs',
		{ rows: [walk()], base: RAIN, kit: ['jeans', 'top-wool-mid', 'hard-shell', 'sock-mid', 'boot-hiking'] },
		{ rows: [walk()], base: { airTempC: 6 }, kit: ['jeans', 'top-wool-mid', 'hard-shell', 'sock-mid', 'boot-hiking'] }
	],
	[
		'hoods',
		{ rows: [walk()], base: COLD, ...on('top-hooded', 'wind-shirt', 'hard-shell', 'coat-synthetic') },
		{ rows: [walk()], base: COLD, ...on('top-hooded', 'hard-shell') }
	],
	[
		'electricHeat',
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'vest-electric') },
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'vest-insulated') }
	],
	[
		'vapourSock',
		{ rows: [walk()], base: COLD, kit: ['sock-vapour', ...KIT.filter((id) => id !== 'sock-mid')] },
		{ rows: [walk()], base: COLD, kit: KIT }
	],
	[
		'inWater',
		{ rows: [walk(['immersed-thigh'])], base: { airTempC: 12 }, kit: KIT },
		{ rows: [walk(['immersed-thigh'])], base: { airTempC: 12 }, ...on('top-wool-mid', 'waders') }
	],
	[
		'spareShades',
		{ rows: [walk()], base: { ...COLD, ground: 'snow' }, kit: [...KIT, 'sunglasses'] },
		{ rows: [walk()], base: { ...COLD, ground: 'snow' }, kit: [...KIT, 'sunglasses', 'goggles'] }
	],
	[
		'dryChange',
		{ rows: [walk(), SIT], base: { airTempC: 2 }, kit: KIT },
		{ rows: [walk([], 20), SIT], base: { airTempC: 2 }, kit: KIT }
	],
	[
		'not-asked',
		{ rows: [NIGHT], base: COLD, kit: [...KIT, 'bag-winter'], things: bag('unclear') },
		{ rows: [NIGHT], base: COLD, kit: [...KIT, 'bag-winter'], things: bag('comfort') }
	],
	[
		'not-asked',
		{ rows: [walk(['dark'])], base: COLD, kit: KIT },
		{ rows: [walk(['dark'])], base: COLD, kit: [...KIT, 'torch'] }
	],
	[
		'gearForThis',
		{
			rows: [walk()],
			base: { ...COLD, ground: 'ice' },
			kit: [...KIT, 'cleats', 'sunglasses'],
			things: { cleats: { quantity: { value: 0, source: 'client', state: 'has not' } } }
		},
		{ rows: [walk()], base: { ...COLD, ground: 'ice' }, kit: [...KIT, 'cleats', 'sunglasses'] }
	],
	[
		'frozenFilter',
		{ rows: [NIGHT], base: COLD, kit: [...KIT, 'filter', 'bag-winter'] },
		{ rows: [NIGHT], base: { airTempC: 6 }, kit: [...KIT, 'filter', 'bag-winter'] }
	],
	[
		'armour',
		{ rows: [walk(['controls'])], base: COLD, ...on('top-wool-mid', 'jacket-waxed') },
		{ rows: [walk(['controls'])], base: COLD, ...on('top-wool-mid', 'jacket-motorbike') }
	],
	[
		'not-asked',
		{ rows: [walk([], 300)], base: { airTempC: -16 }, kit: ['bottoms-wool', 'trousers-soft-shell', 'trousers-ski', 'top-wool-mid', 'fleece'], worn: ['bottoms-wool', 'trousers-soft-shell', 'trousers-ski', 'top-wool-mid', 'fleece'] },
		{ rows: [walk([], 300)], base: { airTempC: -16 }, kit: ['bottoms-wool', 'trousers-soft-shell', 'trousers-hard-shell', 'top-wool-mid', 'fleece'], worn: ['bottoms-wool', 'trousers-soft-shell', 'trousers-hard-shell', 'top-wool-mid', 'fleece'] }
	],
	[
		'underHelmet',
		{ rows: [walk(['helmet'])], base: COLD, ...on('top-wool-mid', 'balaclava', 'headband') },
		{ rows: [walk(['helmet'])], base: COLD, ...on('top-wool-mid') }
	],
	[
		'bottomsInBoot',
		{ rows: [walk()], base: COLD, kit: ['top-wool-mid', 'bottoms-wool', 'trousers-soft-shell', 'sock-heavy', 'boot-ski'], worn: ['top-wool-mid', 'bottoms-wool', 'trousers-soft-shell', 'sock-heavy', 'boot-ski'] },
		{ rows: [walk()], base: COLD, kit: ['top-wool-mid', 'bottoms-short', 'trousers-soft-shell', 'sock-heavy', 'boot-ski'], worn: ['top-wool-mid', 'bottoms-short', 'trousers-soft-shell', 'sock-heavy', 'boot-ski'] }
	],
	[
		'wrongFootwear',
		{ rows: [walk()], base: COLD, kit: [...KIT.filter((id) => id !== 'boot-hiking'), 'slippers'] },
		{ rows: [walk()], base: COLD, kit: [...KIT, 'slippers'] }
	],
	[
		'outOfPlace',
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'jacket-motorbike') },
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'soft-shell') }
	],
	[
		'stopClothesInWork',
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'coat-synthetic') },
		{ rows: [SIT], base: COLD, ...on('top-wool-mid', 'coat-synthetic') }
	],
	[
		'underwearOutside',
		{ rows: [walk()], base: COLD, kit: ['top-wool-mid', 'bottoms-wool', 'sock-mid', 'boot-hiking'], worn: ['top-wool-mid', 'bottoms-wool', 'sock-mid', 'boot-hiking'] },
		{ rows: [walk()], base: COLD, ...on('top-wool-mid') }
	],
	[
		'downInWork',
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'vest-down') },
		{ rows: [SIT], base: COLD, ...on('top-wool-mid', 'vest-down') }
	],
	[
		'unusual',
		{ rows: [walk()], base: COLD, ...on('top-wool-mid', 'fleece', 'sweater-wool') },
		{ rows: [walk()], base: COLD, ...on('top-wool-light', 'top-wool-mid', 'fleece') }
	],
	[
		'cotton-next-to-skin',
		{ rows: [walk()], base: COLD, ...on('tshirt-cotton', 'fleece') },
		{ rows: [SIT], base: COLD, ...on('tshirt-cotton', 'fleece') }
	],
	[
		'underWaders',
		{ rows: [walk(['immersed-knee'])], base: COLD, kit: ['top-wool-mid', 'waders', 'sock-heavy', 'boot-wading'] },
		{ rows: [walk(['immersed-knee'])], base: COLD, kit: ['top-wool-mid', 'bottoms-wool', 'waders', 'sock-heavy', 'boot-wading'], worn: ['top-wool-mid', 'bottoms-wool', 'waders', 'sock-heavy', 'boot-wading'] }
	],
	[
		'burns',
		{ rows: [NIGHT], base: COLD, kit: [...KIT, 'warmers-foot', 'bag-winter'] },
		{ rows: [walk()], base: COLD, kit: [...KIT, 'warmers-foot'] }
	],
	[
		'touchScreen',
		{ rows: [walk(['screen'])], base: { airTempC: -16 }, kit: ['top-wool-mid', 'fleece', 'trousers-soft-shell', 'sock-mid', 'boot-hiking', 'glove-leather'] },
		{ rows: [walk(['screen'])], base: { airTempC: -16 }, ...on('top-wool-mid', 'fleece') }
	],
	[
		'wristLeash',
		{ rows: [walk(['tethered'])], base: { airTempC: -16 }, ...on('top-wool-mid', 'fleece') },
		{ rows: [walk(['tethered'])], base: { airTempC: -16 }, kit: [...KIT, 'glove-winter'] }
	],
	[
		'fitForTown',
		{ rows: [walk(['in-company'])], base: COLD, ...on('top-wool-mid', 'hard-shell') },
		{ rows: [walk(['in-company'])], base: COLD, ...on('top-wool-mid', 'coat-town') }
	]
]; // prettier-ignore

describe('what garments do to one another and to the day', () => {
	it.each(CASES)('%s', (code, fires, misses) => {
		expect(codes(fires)).toContain(code);
		expect(codes(misses)).not.toContain(code);
	});
	it('has a case for every demand and every rule', () => {
		const tried = new Set(CASES.map(([code]) => code));
		for (const { rule, severity } of REQUIREMENTS) if (severity !== null) expect(tried).toContain(rule);
		const ruled = Object.keys({ ...GARMENT_RULES, ...KIT_RULES }).filter(
			(rule) => !['unmetRequirements', 'bagUnclear', 'access', 'nothingWorks', 'spareGloves'].includes(rule)
		);
		for (const rule of ruled) expect(tried).toContain(rule);
	});
	it('says beside the verdict how long it would hold with the heat on', () => {
		const cold: Day = {
			rows: [SIT],
			base: { airTempC: -8 },
			...on('top-wool-mid', 'fleece', 'vest-electric')
		};
		const found = findingsOf(cold).find(({ code }) => code === 'electricHeat')!;
		const { off, on: heated } = found.values as Record<string, Measure>;
		expect(off!.unit).toBe('min');
		expect(heated!.value).toBeGreaterThan(off!.value);
		expect(said(found)).toMatch(
			/^Teo is judged with the heat of .+ off\. The body stays warm for \d+ min of “Phase 0”, and for \d+ min with the heat on\./
		);
	});
	it('speaks in sentences without code words', () => {
		for (const [, day] of CASES)
			for (const finding of findingsOf(day)) {
				const message = said(finding);
				expect(message).toMatch(/^[A-Z“].*[.?]$/);
				expect(message).not.toMatch(/undefined|NaN|Infinity|-fill|\bnull\b|\{|\}/);
			}
	});
});

describe('what rides in the pack', () => {
	const SHOWER: BaseRow = {
		...RAIN,
		wetSpells: [{ fromMin: 480, toMin: 540, kind: 'rain' }],
		precipitation: 'dry'
	};
	const packed: Day = {
		rows: [walk([], 90), NIGHT],
		base: SHOWER,
		stage: { bed: { kind: 'tent', washing: false, drying: 'nothing' } },
		kit: [...KIT, 'bag-winter', 'pack-day']
	};
	it('down rides in a pack that lets the rain in, unless there is a cover or a roll-top bag', () => {
		expect(codes(packed)).toContain('rides-wet');
		for (const dry of ['bag-dry', 'pack-cover'])
			expect(codes({ ...packed, kit: [...packed.kit, dry] })).not.toContain('rides-wet');
	});
	it('asks for a buoyancy vest where the water is deep, and takes whatever floats', () => {
		const river: Day = {
			rows: [walk(['immersed-waist'])],
			base: { airTempC: 12 },
			stage: { terrain: ['deep-water'] },
			...on('top-wool-mid', 'waders')
		};
		const asks = (day: Day): boolean => findingsOf(day).some(({ values }) => values.gear === 'float');
		expect(asks(river)).toBe(true);
		expect(asks({ ...river, things: known('top-wool-mid', { features: ['floats'] }) })).toBe(false);
	});
});

describe('too warm, and what comes off', () => {
	it('names the layer without which it is right, and asks for shade where nothing helps', () => {
		const warm: Day = {
			rows: [walk()],
			base: { airTempC: 9, wind10mKmh: 5 },
			...on('top-wool-mid', 'sweater-wool', 'hard-shell')
		};
		const found = findingsOf(warm).find(({ code }) => code === 'warm')!;
		expect(found.severity).toBe('note');
		expect(said(found)).toMatch(/can come off|open the front|go slower/);
		expect(codes({ ...warm, ...on('top-wool-light') })).not.toContain('warm');
		const hot = findingsOf({ rows: [walk()], base: { airTempC: 38 }, ...on('top-wool-mid', 'fleece') });
		expect(said(hot.find(({ code }) => code === 'warm')!)).toContain('seek shade');
	});
});

describe('no false alarms', () => {
	const none = (code: string, day: Day): void => expect(codes(day)).not.toContain(code);
	it('repellent is fine for a shower of a quarter of an hour', () =>
		none('wet-through', { rows: [walk([], 15)], base: RAIN, ...on('top-wool-mid', 'wind-shirt') }));
	it('waxed cotton outermost is fine', () =>
		none('cotton-next-to-skin', { rows: [walk()], base: RAIN, ...on('top-wool-mid', 'jacket-waxed') }));
	it('down at −15 °C, dry, is fine', () =>
		none('downWet', { rows: [SIT], base: { airTempC: -15 }, kit: [...KIT, 'coat-down', 'hat-warm'] }));
	it('a shell that is carried is not missing', () => {
		const found = findingsOf({ rows: [walk()], base: { airTempC: 4 }, kit: KIT });
		expect(found.filter(({ code }) => code === 'missing')).toEqual([]);
	});
	it('a lift ride below balance is fine', () => {
		const rows: PhaseRow[] = [
			['ride', 8, 68, 'slope'],
			['move', 10, 250, 'slope']
		];
		none('short', { rows, base: { airTempC: -10 }, kit: [...KIT, 'neck-tube'] });
	});
	it('nothing is told of an empty kit but what to ask', () => {
		const client = kitOf([]);
		const { findings } = planStage(
			stageOf([walk(['dark', 'helmet'])], { ...COLD, ground: 'ice' }),
			PLANNED,
			client
		);
		expect(new Set(findings.map(({ code }) => code))).toEqual(new Set(['not-asked']));
	});
});

describe('the catalogue', () => {
	it('has at least 90 types, head to toe, each with the source of its warmth', () => {
		expect(CATALOGUE.length).toBeGreaterThanOrEqual(90);
		for (const type of CATALOGUE) expect(insulationWords(type)).not.toMatch(/^$|undefined/);
	});
	it('makes a plan of every type alone, and never fails', () => {
		for (const { id } of CATALOGUE) {
			const client = kitOf([id]);
			expect(wearableThings(client)).toHaveLength(1);
			expect(planStage(stageOf([walk(), NIGHT], COLD), PLANNED, client).phases).toHaveLength(2);
		}
	});
});
