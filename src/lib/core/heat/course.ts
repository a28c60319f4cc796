import type { BalanceTerms } from '../body/heat-balance';
import { type Region } from '../cloth/parts';
import {
	BARE_M2KW,
	bodyConductance,
	regionTotalM2kw,
	type RegionTotals,
	resultantClo
} from '../cloth/supply';
import { type Cloth, covers } from '../cloth/things';
import { innermost, layersOf, type Outfit, outfitClo, totalsOf, type WornLayer } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { FALL_MIN } from '../conditions/immersion';
import { dexterityNeeded, isWaterproof, sitsOnCold } from '../conditions/needs';
import type { Person } from '../conditions/person';
import type { Part } from '../document/parts';
import { CLO_M2KW } from '../units';
import { type BalancePair, lossOf, type LossPair, minutesUntilDebt } from './debt';
import { followedEffortWm2, pocketsM2kw, WARM_EXTREMITY_C } from './extremities';
import { bloodSteps, type LocalCourse, localCourse, type LocalCover, stepsOf } from './fingers-and-toes';
import { cellAir, debtEndWhm2, LEDGER_MAX_AIR_C } from './ledger';
import { copyOfSweat, noSweat, type Sweat, sweatAir, sweatThrough } from './sweat';
import { copyOfWater, dryWater, isUnder, keptDry, soak, type Water } from './water';
import { DRY, limbTotalM2kw, WET_FROM, wetLayers, type Wetness, wettestOf } from './wet-cloth';

/**
 * A person through the phases of a day: heat debt, fingers and toes, and the water in what is worn, in steps of five minutes.
 * What is wet warms less, and a wet layer next to the skin cools by drying.
 */
export interface Living {
	debtWhm2: number;
	fingersC: number;
	toesC: number;
	/** effort that the blood follows; null when the day begins */
	effortWm2: number | null;
	water: Water;
	sweat: Sweat;
	/** how wet a thing was when another one of the same was put on for it, by thing id */
	changedFor: Map<string, number>;
}
/** @param wet what is wet when the day begins, by thing id */
export const freshLiving = (wet = DRY): Living => ({
	debtWhm2: 0,
	fingersC: WARM_EXTREMITY_C,
	toesC: WARM_EXTREMITY_C,
	effortWm2: null,
	water: { ...dryWater(), outside: new Map(wet) },
	sweat: noSweat(),
	changedFor: new Map()
});
export const copyOfLiving = (living: Living): Living => ({
	...living,
	water: copyOfWater(living.water),
	sweat: copyOfSweat(living.sweat),
	changedFor: new Map(living.changedFor)
});

/** What a phase comes to. */
export interface CellCourse {
	startDebtWhm2: number;
	endWhm2: number;
	peakWhm2: number;
	/** whether the debt is paid at any time of it */
	isPaid: boolean;
	/** minutes until the debt passes what holds; null when it never does */
	holdsMinutes: number | null;
	/** at the end */
	loss: LossPair;
	/** insulation as worn, on the average, clo */
	resultantClo: number;
	/** what is worn, as it warms on the average */
	outfit: Outfit;
	fingers: LocalCourse;
	toes: LocalCourse;
	handsM2kw: number;
	feetM2kw: number;
	/** parts on which water is through to what warms */
	wetThrough: readonly WetPart[];
	/** how wet things are, on the average where worn, and at the end: rain and water, with sweat */
	wetness: Wetness;
	endWetness: Wetness;
	/** the part of that which is sweat */
	endSweat: Wetness;
}
export const WET_PARTS = ['torso', 'thighs'] as const;
type WetPart = (typeof WET_PARTS)[number];

/** Wettedness that a wet layer next to the skin adds, at most, and how full it is then (our assumption). */
const WET_SKIN = 0.17;
export const WET_SKIN_FULL = 0.3;
const TRUNK_WEIGHT = 0.7;
const LEGS_WEIGHT = 0.3;

/** How wet the skin is kept by what is on it, 0…1. */
const skinWet = (outfit: Outfit, wetness: Wetness): number => {
	const of = (part: Part): number => {
		const skin = innermost(outfit, part);
		return skin ? Math.min(1, (wetness.get(skin.thingId) ?? 0) / WET_SKIN_FULL) : 0;
	};
	return WET_SKIN * (TRUNK_WEIGHT * of('torso') + LEGS_WEIGHT * of('thighs'));
};
const wetTerms = (terms: BalanceTerms, wet: number): BalanceTerms => ({
	...terms,
	wettedness: terms.wettedness + wet * (1 - terms.wettedness)
});
/** Both levels with a wet layer next to the skin. @param wet of `skinWet` */
const wetBalance = (balance: BalancePair, wet: number): BalancePair =>
	wet === 0 ? balance : { neutral: wetTerms(balance.neutral, wet), minimal: wetTerms(balance.minimal, wet) };

/** Skin under water as the loss to it is worked out, °C (our assumption). */
const SKIN_IN_WATER_C = 30;
/** Insulation between skin and water, m²·K/W: of the body, and of fingers and toes (our assumption). */
const WATER_FILM_M2KW = BARE_M2KW;
const LIMB_FILM_M2KW = 0.03;
/** Cloth under waders is pressed to this share, and a flooded boot over them counts half (our assumption). */
const PRESSED = 0.7;
const FLOODED_BOOT = 0.5;

/** Share of the thighs' cloth that is left under who sits on something cold without a mat (our assumption). */
const SEAT_PRESSED = 0.7;
/** Share of a region's cloth that is left where one sits. */
export const seatShareLeft = (cell: Cell, region: Region, { seatMat }: Pick<Person, 'seatMat'>): number =>
	region === 'thighs' && !seatMat && sitsOnCold(cell) ? SEAT_PRESSED : 1;

const PART_OF: Readonly<Partial<Record<Region, Part>>> = {
	feet: 'feet',
	calves: 'calves',
	thighs: 'thighs',
	trunk: 'torso',
	arms: 'arms',
	hands: 'hands'
};

/** What is worn, from the skin out, whatever its positions. */
type Clothed = readonly { cloth: Cloth }[];

/** Insulation between skin and water in a region under it, m²·K/W. */
function underWaterM2kw(cell: Cell, outfit: Clothed, region: Region, filmM2kw: number): number {
	const part = PART_OF[region]!;
	const here = outfit.filter(({ cloth }) => covers(cloth, part));
	const dry = keptDry(outfit, part, cell.water!.depthCm);
	if (!dry) return filmM2kw;
	const warmth = (layers: Clothed): number =>
		layersOf(layers, region).reduce((sum, { localClo, share }) => sum + localClo * CLO_M2KW * share, 0);
	return (
		filmM2kw + PRESSED * warmth(dry) + FLOODED_BOOT * warmth(here.filter((layer) => !dry.includes(layer)))
	);
}

/**
 * Insulation of a region under water that would lose as much to the air, m²·K/W; null where it is not under water.
 * @param outfit from the skin out
 */
export function inWaterM2kw(cell: Cell, outfit: Clothed, region: Region): number | null {
	const part = PART_OF[region];
	if (!cell.water || !part || !isUnder(cell, part)) return null;
	const toAir = Math.max(1, SKIN_IN_WATER_C - cell.airTempC);
	const toWater = Math.max(1, SKIN_IN_WATER_C - cell.water.tempC);
	return (underWaterM2kw(cell, outfit, region, WATER_FILM_M2KW) * toAir) / toWater;
}

const coveringOf = (outfit: Outfit, part: Part): WornLayer[] =>
	outfit.filter(({ cloth }) => covers(cloth, part));

/** Total insulation of every region, m²·K/W; under water as what would lose as much to the air. */
function totalsIn(
	cell: Cell,
	outfit: Outfit,
	wetness: Wetness,
	openingFactor: number,
	person: Person
): RegionTotals {
	const { air } = cellAir(cell);
	const wet = wetLayers(outfit, wetness);
	const totals: Record<Region, number> = { ...totalsOf(wet, air, openingFactor) };
	const seat = seatShareLeft(cell, 'thighs', person);
	if (seat < 1) totals.thighs = regionTotalM2kw(layersOf(wet, 'thighs'), air, seat);
	for (const region of ['hands', 'feet'] as const)
		totals[region] = limbTotalM2kw(totals[region], coveringOf(outfit, region), wetness);
	if (cell.water)
		for (const region of Object.keys(PART_OF) as (keyof typeof PART_OF)[])
			totals[region] = inWaterM2kw(cell, outfit, region) ?? totals[region];
	return totals;
}

/** What lies around fingers or toes. */
export function coverOf(
	cell: Cell,
	outfit: Outfit,
	region: 'hands' | 'feet',
	totalM2kw: number,
	wetness: Wetness
): LocalCover {
	if (cell.water && isUnder(cell, region))
		return {
			totalM2kw: underWaterM2kw(cell, outfit, region, LIMB_FILM_M2KW),
			aroundC: cell.water.tempC
		};
	if (region === 'feet') return { totalM2kw, aroundC: cell.airTempC };
	const wet = wettestOf(coveringOf(outfit, 'hands'), wetness);
	const pockets = pocketsM2kw(cell.metabolicWm2, dexterityNeeded(cell) !== null, wet);
	return { totalM2kw: totalM2kw + pockets, aroundC: cell.airTempC };
}

/** All water in what is worn, or has been worn. */
export function wetnessOf({ water, sweat }: Living): Map<string, number> {
	const all = new Map(water.outside);
	for (const [id, share] of sweat.share) all.set(id, Math.min(1, (all.get(id) ?? 0) + share));
	return all;
}

/** How wet things are when the day ends: of a thing that was changed for another one of the same, the wetter. */
export function eveningWetness(living: Living): Map<string, number> {
	const all = wetnessOf(living);
	for (const [id, share] of living.changedFor) all.set(id, Math.max(share, all.get(id) ?? 0));
	return all;
}

/** Puts a dry one of the same things on, in place. @param things of which there is more than one */
export function changeForDry(living: Living, things: readonly Cloth[]): void {
	const wet = wetnessOf(living);
	for (const { thingId } of things) {
		living.changedFor.set(thingId, wet.get(thingId) ?? 0);
		living.water.outside.delete(thingId);
		living.sweat.share.delete(thingId);
	}
}

/**
 * Whether water from outside is through on a part: what lies next to the skin is over half full, or the only warm layer inside
 * a shell that keeps water out.
 */
function isThrough(outfit: Outfit, part: WetPart, { outside }: Water): boolean {
	const isFull = (layer: WornLayer): boolean => (outside.get(layer.cloth.thingId) ?? 0) > WET_FROM;
	const here = coveringOf(outfit, part);
	const [skin] = here;
	if (!skin) return false;
	if (isFull(skin)) return true;
	const shell = here.findLastIndex(({ cloth }) => isWaterproof(cloth));
	if (shell < 0) return false;
	const warm = here.slice(0, shell).filter(({ cloth }) => cloth.functions.includes('warmth'));
	return warm.length === 1 && isFull(warm[0]!);
}

/** Share of the credit of work that is left, by how wet the layer next to the skin is: none from half full (our assumption). */
const creditShare = (outfit: Outfit, wetness: Wetness): number => {
	const skin = innermost(outfit, 'torso');
	return Math.max(0, 1 - 2 * (skin ? (wetness.get(skin.thingId) ?? 0) : 0));
};

/** Water that has moved so little changes no insulation, as a share. */
const SAME_WET = 0.02;
const isSameWetness = (a: Wetness, b: Wetness, outfit: Outfit): boolean =>
	outfit.every(
		({ cloth }) => Math.abs((a.get(cloth.thingId) ?? 0) - (b.get(cloth.thingId) ?? 0)) <= SAME_WET
	);

/** Three minutes in the water before a phase, in place: what they cost is told with it. */
function fallIn(cell: Cell, outfit: Outfit, openingFactor: number, living: Living, person: Person): void {
	liveThrough(
		{ ...cell, minutes: FALL_MIN, water: cell.fall, fall: null, heated: false },
		outfit,
		openingFactor,
		living,
		person
	);
}

/**
 * Lives through one phase, in place.
 * @param outfit from the skin out, as it warms when dry
 * @param openingFactor that the front leaves on the trunk
 */
export function liveThrough(
	cell: Cell,
	outfit: Outfit,
	openingFactor: number,
	living: Living,
	person: Person
): CellCourse {
	const air = cellAir(cell);
	const many = stepsOf(cell.minutes);
	const stepMin = cell.minutes / many;
	if (cell.fall) fallIn(cell, outfit, openingFactor, living, person);
	const startDebtWhm2 = living.debtWhm2;
	const effortWm2 = living.effortWm2 ?? cell.metabolicWm2;
	const sweating = sweatAir(cell, outfit, outfitClo(outfit, air.air, openingFactor));
	const debts = new Float64Array(many + 1);
	const around = { hands: [] as LocalCover[], feet: [] as LocalCover[] };
	const average = new Map<string, number>();
	const wetThrough = new Set<WetPart>();
	let debt = startDebtWhm2;
	let peakWhm2 = debt;
	let isPaid = debt <= 0;
	let holds: number | null = debt > person.marks.holdWhm2 ? 0 : null;
	let before: Wetness | null = null;
	let wetness = DRY;
	let loss!: LossPair;
	let now!: Record<'hands' | 'feet', LocalCover>;
	let marks = person.marks;
	const isOut = !cell.heated && cell.airTempC <= LEDGER_MAX_AIR_C;
	for (let i = 0; i < many; i++) {
		soak(cell, outfit, living.water, stepMin);
		sweatThrough(cell, sweating, living.sweat, stepMin);
		wetness = wetnessOf(living);
		for (const { cloth } of outfit) {
			const share = wetness.get(cloth.thingId) ?? 0;
			if (share > 0) average.set(cloth.thingId, (average.get(cloth.thingId) ?? 0) + share / many);
		}
		if (before === null || !isSameWetness(before, wetness, outfit)) {
			before = wetness;
			const totals = totalsIn(cell, outfit, wetness, openingFactor, person);
			const clo = resultantClo(bodyConductance(totals), air.air);
			loss = lossOf(wetBalance(air.balance, skinWet(outfit, wetness)), clo, person.offsetClo);
			now = {
				hands: coverOf(cell, outfit, 'hands', totals.hands, wetness),
				feet: coverOf(cell, outfit, 'feet', totals.feet, wetness)
			};
			marks = { ...person.marks, floorWhm2: person.marks.floorWhm2 * creditShare(outfit, wetness) };
		}
		around.hands.push(now.hands);
		around.feet.push(now.feet);
		const own = { ...person, marks };
		debts[i] = debtEndWhm2(cell, loss, debt, own, stepMin / 2);
		if (isOut && holds === null) {
			const until = minutesUntilDebt(debt, loss, marks.holdWhm2);
			if (until !== null && (until < stepMin || i === many - 1)) holds = i * stepMin + until;
		}
		debt = debtEndWhm2(cell, loss, debt, own, stepMin);
		if (debt > peakWhm2) peakWhm2 = debt;
		if (debt <= 0) isPaid = true;
		for (const part of WET_PARTS) if (isThrough(outfit, part, living.water)) wetThrough.add(part);
	}
	debts[many] = debt;
	const local = (region: 'hands' | 'feet'): LocalCover | LocalCover[] =>
		around[region].every((one) => one === around[region][0]) ? around[region][0]! : around[region];
	const blood = (extremity: 'fingers' | 'toes') =>
		bloodSteps(extremity, cell, effortWm2, debts, person.bloodShare[extremity]);
	const fingers = localCourse('fingers', cell, living.fingersC, local('hands'), blood('fingers'));
	const toes = localCourse('toes', cell, living.toesC, local('feet'), blood('toes'));
	living.debtWhm2 = debt;
	living.fingersC = fingers.endC;
	living.toesC = toes.endC;
	living.effortWm2 = followedEffortWm2(effortWm2, cell.metabolicWm2, cell.minutes);
	return {
		startDebtWhm2,
		endWhm2: debt,
		peakWhm2,
		isPaid,
		holdsMinutes: isOut ? holds : null,
		loss,
		resultantClo: resultantClo(
			bodyConductance(totalsIn(cell, outfit, average, openingFactor, person)),
			air.air
		),
		outfit: wetLayers(outfit, average),
		fingers,
		toes,
		handsM2kw: now.hands.totalM2kw,
		feetM2kw: now.feet.totalM2kw,
		wetThrough: [...wetThrough],
		wetness: new Map([...wetness, ...average]),
		endWetness: wetness,
		endSweat: new Map(living.sweat.share)
	};
}
