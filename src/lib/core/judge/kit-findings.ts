import { WORK_WM2 } from '../body/effort';
import { type Cloth, clothOf, covers, isBag, isThere } from '../cloth/things';
import type { Cell } from '../conditions/cells';
import { HIGH_LIGHT_M, isAwake, isOut, sitsOnCold } from '../conditions/needs';
import { SEAT_MAT } from '../conditions/person';
import type { Finding } from '../document/finding';
import { reason } from '../document/reasons';
import type { Feature } from '../document/types';
import { CLO_M2KW } from '../units';
import { at, type FindingRule, type StageFacts, wholeDay } from './finding';

/** Rules about what a kit has too few of, or nobody has asked. */

/** How many of a kind a client has. */
const countOf = (facts: StageFacts, test: (cloth: Cloth) => boolean): number =>
	facts.kit.filter(test).reduce((sum, { quantity }) => sum + quantity, 0);

const spareGloves: FindingRule = (facts) => {
	const cold = facts.phases.find(({ cell }) => !cell.heated && cell.kind !== 'sleep' && cell.feltTempC < 0);
	const gloves = facts.kit.filter((cloth) => covers(cloth, 'hands') && cloth.localClo >= 0.08 / CLO_M2KW);
	const pairs = gloves.reduce((sum, cloth) => sum + cloth.quantity, 0);
	if (!cold || gloves.length === 0 || pairs >= 2) return [];
	return [
		{
			code: 'no-spare-gloves',
			severity: 'warning',
			...wholeDay(facts),
			part: 'hands',
			thingIds: gloves.map((cloth) => cloth.thingId),
			values: {},
			reasons: [
				reason('spareGloves', [
					['coldestFelt', Math.min(...facts.phases.map(({ cell }) => cell.feltTempC)), '°C'],
					['pairs', pairs]
				])
			]
		}
	];
};

const spareShades: FindingRule = (facts) => {
	const bright = facts.phases.find(
		({ cell }) =>
			isOut(cell) &&
			cell.light === 'day' &&
			((cell.ground === 'snow' && cell.precipitation === 'dry') || cell.altitudeM > HIGH_LIGHT_M)
	);
	const pairs = countOf(facts, (cloth) => covers(cloth, 'eyes'));
	if (!bright || pairs !== 1) return [];
	return [
		{
			code: 'spareShades',
			severity: 'note',
			...at(facts, bright),
			part: 'eyes',
			thingIds: [],
			values: {},
			reasons: [reason('spareShades', [['pairs', pairs]])]
		}
	];
};

/** Effort of at least so many minutes makes wet, and a stand of so many makes it felt (our assumption). */
const EFFORT_MIN = 45;
const STAND_MIN = 60;
const dryChange: FindingRule = (facts) => {
	let worked = 0;
	for (const phase of facts.phases) {
		const { cell } = phase;
		if (!isAwake(cell)) continue;
		if (cell.metabolicWm2 >= WORK_WM2) worked += cell.minutes;
		const stands = isOut(cell) && cell.kind === 'stop' && cell.minutes >= STAND_MIN && cell.airTempC <= 10;
		if (stands && worked >= EFFORT_MIN) {
			const tops = countOf(facts, (cloth) => cloth.functions.includes('skin') && covers(cloth, 'torso'));
			const socks = countOf(
				facts,
				(cloth) => covers(cloth, 'feet') && cloth.positions[1] <= 2 && cloth.positions[0] >= 1
			);
			if (tops !== 1 && socks !== 1) return [];
			return [
				{
					code: 'dryChange',
					severity: 'warning',
					...at(facts, phase),
					part: tops === 1 ? 'torso' : 'feet',
					thingIds: [],
					values: { dry: tops === 1 && socks === 1 ? 'both' : tops === 1 ? 'top' : 'socks' },
					reasons: [
						reason('dryChange', [
							['effortBefore', worked, 'min'],
							['stand', cell.minutes, 'min']
						])
					]
				}
			];
		}
		if (cell.heated) worked = 0;
	}
	return [];
};

/** From so many layers on the legs, and so cold or wet, undressing wants a plan (our assumption). */
const MANY_LAYERS = 3;
/** Layers on the legs that are too many for whom the trousers have to open (our assumption). */
const LAYERS_TO_OPEN = 2;
const ACCESS_FELT_C = -10;
const ACCESS_MIN = 240;
const access: FindingRule = (facts) => {
	const outside = facts.phases.filter(({ cell }) => isAwake(cell) && isOut(cell));
	const minutes = outside.reduce((sum, { cell }) => sum + cell.minutes, 0);
	const { needsOpening } = facts.person;
	if (minutes < ACCESS_MIN || needsOpening === false) return [];
	const hard = outside.find(({ cell, outfit }) => {
		const legs = outfit.filter(({ cloth }) => covers(cloth, 'thighs')).map(({ cloth }) => cloth);
		const opens = legs.some(
			({ features }) => features.includes('drop-seat') || features.includes('full-side-zip')
		);
		const isBad = cell.feltTempC <= ACCESS_FELT_C || cell.rainMinutes > 0;
		return isBad && legs.length >= (needsOpening ? LAYERS_TO_OPEN : MANY_LAYERS) && !opens;
	});
	if (!hard) return [];
	const said = {
		...at(facts, hard),
		part: 'access' as const,
		thingIds: [],
		reasons: [reason('access', [['hoursOutside', minutes / 60, 'h']])]
	};
	return needsOpening
		? [{ ...said, code: 'no-opening', severity: 'warning', values: {} }]
		: [{ ...said, code: 'not-asked', severity: 'note', values: { about: 'relief' } }];
};

/** What a client has tried in vain is wrong whatever the arithmetic says: only they can feel it. */
const nothingWorks: FindingRule = (facts) =>
	(facts.client.nothingWorks.value ?? []).map((part) => ({
		code: 'nothing-works',
		severity: 'blocker',
		...wholeDay(facts),
		part,
		thingIds: facts.kit.filter((cloth) => covers(cloth, part)).map(({ thingId }) => thingId),
		values: {},
		reasons: [reason('nothingWorks')]
	}));

const burns: FindingRule = (facts) => {
	const night = facts.phases.find(({ cell }) => cell.kind === 'sleep' && !cell.heated);
	const hot = facts.kit.find(
		({ typeId, watts }) => watts > 0 || typeId === 'warmers-hand' || typeId === 'warmers-foot'
	);
	if (!hot || !(night || facts.person.careful)) return [];
	return [
		{
			code: 'burns',
			severity: 'note',
			...wholeDay(facts),
			part: 'sleep',
			thingIds: [hot.thingId],
			values: {},
			reasons: [reason('burns')]
		}
	];
};

const bagUnclear: FindingRule = (facts) => {
	const night = facts.phases.find(({ cell }) => cell.kind === 'sleep' && !cell.heated);
	const bag = facts.kit.find((cloth) => isBag(cloth) && cloth.bagScale === 'unclear');
	if (!night || !bag) return [];
	return [
		{
			code: 'not-asked',
			severity: 'note',
			...at(facts, night),
			part: 'sleep',
			thingIds: [bag.thingId],
			values: { about: 'bag' },
			reasons: [reason('bagUnclear')]
		}
	];
};

interface Gear {
	gear: 'torch' | 'cleats' | 'bike-lights' | 'dry-bag' | 'float' | 'seat-mat';
	/** types that serve */
	typeIds: readonly string[];
	/** what whatever serves can do */
	feature?: Feature;
	asks: (cell: Cell) => boolean;
}

/** Rain from which on a dry bag is asked for, minutes of ordinary rain (our assumption). */
export const DRY_BAG_ASKED_MIN = 120;
/** Who sits on the cold so long wants a mat, minutes (our assumption). */
const SEAT_MIN = 30;
/** Things that are not clothes but decide the day, and when. */
const GEAR: readonly Gear[] = [
	{
		gear: 'torch',
		typeIds: ['torch'],
		asks: (cell) => cell.light === 'dark' && isOut(cell)
	},
	{
		gear: 'cleats',
		typeIds: ['cleats', 'boot-mountain'],
		asks: (cell) => cell.ground === 'ice' && cell.kind === 'move' && isOut(cell)
	},
	{
		gear: 'bike-lights',
		typeIds: ['lights-bike'],
		asks: (cell) => cell.marks.includes('pedals') && cell.light !== 'day' && isOut(cell)
	},
	{
		gear: 'dry-bag',
		typeIds: ['bag-dry', 'pack-cover'],
		asks: (cell) => cell.rainMinutes >= DRY_BAG_ASKED_MIN && isOut(cell)
	},
	{
		gear: 'float',
		typeIds: [],
		feature: 'floats',
		asks: (cell) =>
			cell.terrain.includes('deep-water') &&
			(cell.marks.includes('immersed-thigh') || cell.marks.includes('immersed-waist'))
	},
	{
		gear: 'seat-mat',
		typeIds: [SEAT_MAT],
		asks: (cell) => sitsOnCold(cell) && cell.minutes >= SEAT_MIN
	}
];
const gearForThis: FindingRule = (facts) =>
	GEAR.flatMap(({ gear, typeIds, feature, asks }): Finding[] => {
		const phase = facts.phases.find(({ cell }) => isAwake(cell) && asks(cell));
		const own = facts.client.things.filter(
			(thing) =>
				thing.deletedAt === null &&
				(typeIds.includes(thing.typeId) ||
					(feature !== undefined && clothOf(thing).features.includes(feature)))
		);
		const isBrought = typeIds.some((typeId) => facts.client.fromOthers?.includes(typeId));
		if (!phase || isBrought || own.some(isThere)) return [];
		const hasNot = own.some(({ quantity }) => quantity.state === 'has not');
		return [
			{
				code: hasNot ? 'gearForThis' : 'not-asked',
				severity: hasNot ? 'warning' : 'note',
				...at(facts, phase),
				part: 'gear',
				thingIds: [],
				values: { about: 'gear', gear },
				reasons: [reason('gearForThis')]
			}
		];
	});

const frozenFilter: FindingRule = (facts) => {
	const night = facts.phases.find(({ cell }) => !cell.heated && cell.airTempC < 0 && cell.kind === 'sleep');
	const filter = facts.kit.find(({ typeId }) => typeId === 'filter');
	if (!night || !filter) return [];
	return [
		{
			code: 'frozenFilter',
			severity: 'note',
			...wholeDay(facts),
			part: 'sleep',
			thingIds: [filter.thingId],
			values: {},
			reasons: [reason('frozenFilter', [['night', night.cell.airTempC, '°C']])]
		}
	];
};

export const KIT_RULES: Readonly<Record<string, FindingRule>> = {
	spareGloves,
	spareShades,
	dryChange,
	burns,
	access,
	nothingWorks,
	bagUnclear,
	gearForThis,
	frozenFilter
};
