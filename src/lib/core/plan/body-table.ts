import { lossOf, type LossPair } from '../body/debt';
import { WORK_WM2 } from '../body/effort';
import { AREA_SHARE, REGIONS, type Region } from '../cloth/parts';
import { regionTotalM2kw, resultantClo } from '../cloth/supply';
import type { Stack } from '../cloth/stacks';
import { covers, type Cloth } from '../cloth/things';
import type { Cell } from './conditions';
import { blameOfUnmet, demandsOf } from './demands';
import type { CellAir } from './ledger';
import {
	BLAME,
	BEFORE_STOP_WEIGHT,
	MEMBRANE_MAX_PERMEABILITY,
	MEMBRANE_SWEAT,
	SHELL_OFF_AFTER_MIN
} from './levels';
import { acceptsWetLegs, needsCover, rainKeptOutMin } from './needs';
import { layersOf, outermost, type WornLayer } from './outfit';
import type { Person } from './person';
import type { Wardrobe } from './wardrobe';

/** Factors that share the body's heat, in the order in which a choice counts through them. */
export const BODY_FACTORS = ['trunk', 'legs', 'head'] as const;
type BodyFactor = (typeof BODY_FACTORS)[number];

/** What every outfit of trunk, legs and head means in one cell; index = choice. */
export interface BodyTable {
	loss: LossPair[];
	blame: Int32Array;
	sweat: Int32Array;
}

interface Placed {
	cloth: Cloth;
	position: number;
}

/** The different ways in which the stacks of a factor look from one region, and which stack looks which way. */
interface View {
	ways: Placed[][];
	wayOf: Int32Array;
}
function viewOf(stacks: readonly Stack[], region: Region): View {
	const ways: Placed[][] = [];
	const known = new Map<string, number>();
	const wayOf = new Int32Array(stacks.length);
	stacks.forEach((stack, option) => {
		const layers = stack.layers.filter(({ cloth }) => cloth.regions[region] > 0);
		const key = layers.map(({ index, position }) => `${index}@${position}`).join();
		let way = known.get(key);
		if (way === undefined) {
			way = ways.push(layers) - 1;
			known.set(key, way);
		}
		wayOf[option] = way;
	});
	return { ways, wayOf };
}

const RAIN_PARTS = ['torso', 'thighs'] as const;
const FACE_PARTS = ['face', 'ears', 'neck'] as const;

/** Facts of single stacks that do not depend on the cell. */
interface StackFacts {
	coversFace: boolean[];
	top: (Placed | null)[];
	/** insulating layers worn over everything */
	overWarm: number;
	/** shells and coats */
	shells: number;
	/** whether a membrane is on */
	membrane: boolean;
	layers: number;
}
function factsOf(stack: Stack): StackFacts {
	return {
		coversFace: FACE_PARTS.map((part) => stack.layers.some(({ cloth }) => covers(cloth, part))),
		top: RAIN_PARTS.map((part) => outermost(stack.layers, part)),
		overWarm: stack.layers.filter(
			({ cloth, position }) => position === 5 && cloth.functions.includes('warmth')
		).length,
		membrane: stack.layers.some(({ cloth }) => cloth.airPermeability <= MEMBRANE_MAX_PERMEABILITY),
		shells: stack.layers.filter(({ position }) => position >= 4).length,
		layers: stack.layers.length
	};
}

/** Everything about a wardrobe that all cells share. */
export interface BodyViews {
	byRegion: Record<Region, Record<BodyFactor, View>>;
	facts: Record<BodyFactor, StackFacts[]>;
}
export function bodyViews(wardrobe: Wardrobe): BodyViews {
	const each = <T>(make: (stacks: Stack[]) => T): Record<BodyFactor, T> => ({
		trunk: make(wardrobe.stacks.trunk),
		legs: make(wardrobe.stacks.legs),
		head: make(wardrobe.stacks.head)
	});
	return {
		byRegion: Object.fromEntries(
			REGIONS.map((region) => [region, each((stacks) => viewOf(stacks, region))])
		) as BodyViews['byRegion'],
		facts: each((stacks) => stacks.map(factsOf))
	};
}

/** Total insulation of a region for every combination of ways in which the factors look from it. */
function regionTotals(
	region: Region,
	views: Record<BodyFactor, View>,
	always: readonly WornLayer[],
	openings: readonly number[],
	air: CellAir
): (trunk: number, legs: number, head: number) => number {
	const legsWays = views.legs.ways.length;
	const headWays = views.head.ways.length;
	const totals = new Map<number, number>();
	return (trunk, legs, head) => {
		const t = views.trunk.wayOf[trunk]!;
		const l = views.legs.wayOf[legs]!;
		const h = views.head.wayOf[head]!;
		const opening = region === 'trunk' ? openings[trunk]! : 1;
		const key = ((t * legsWays + l) * headWays + h) * 1000 + Math.round(opening * 100);
		let total = totals.get(key);
		if (total === undefined) {
			const placed: Placed[] = [
				...always,
				...views.trunk.ways[t]!,
				...views.legs.ways[l]!,
				...views.head.ways[h]!
			];
			placed.sort((a, b) => a.position - b.position);
			total = regionTotalM2kw(layersOf(placed, region), air.air, opening);
			totals.set(key, total);
		}
		return total;
	};
}

/**
 * The table of one cell.
 * @param always what is worn whatever is chosen: underwear, hands, feet, eyes
 * @param soon whether a stop follows soon
 */
export function bodyTable(
	cell: Cell,
	air: CellAir,
	wardrobe: Wardrobe,
	{ byRegion, facts }: BodyViews,
	always: readonly WornLayer[],
	soon: boolean,
	person: Person
): BodyTable {
	const { trunk, legs, head } = wardrobe.stacks;
	const openings = trunk.map((stack) => wardrobe.openings.get(stack)?.factor ?? 1);
	const totals = REGIONS.map((region) => ({
		share: AREA_SHARE[region],
		of: regionTotals(region, byRegion[region], always, openings, air)
	}));
	const tooWarmAboveClo = air.tooWarmAboveClo + person.offsetClo;
	const works = cell.heated || cell.metabolicWm2 >= WORK_WM2;
	const shedsLater = cell.isStart && person.schools.start === 'warm and shed';
	const weight = shedsLater ? 0 : soon && !cell.heated ? BEFORE_STOP_WEIGHT : 1;
	const carried = person.schools.shell === 'carried';
	const unmet = BODY_FACTORS.map((factor) => {
		const demands = demandsOf(cell, factor, person.schools);
		return wardrobe.stacks[factor].map(({ layers }) =>
			demands.length === 0 ? 0 : blameOfUnmet(demands, layers, cell)
		);
	});
	const faceNeeded = FACE_PARTS.map((part) => needsCover(cell, part, person.schools));
	const faceAlways = FACE_PARTS.map((part) => always.some(({ cloth }) => covers(cloth, part)));
	const topAlways = RAIN_PARTS.map((part) => outermost(always, part));
	const wetLegs = acceptsWetLegs(cell, person.schools);
	const choices = trunk.length * legs.length * head.length;
	const table: BodyTable = {
		loss: new Array(choices),
		blame: new Int32Array(choices),
		sweat: new Int32Array(choices)
	};
	let choice = 0;
	for (let t = 0; t < trunk.length; t++) {
		for (let l = 0; l < legs.length; l++) {
			for (let h = 0; h < head.length; h++, choice++) {
				const stacks = [facts.trunk[t]!, facts.legs[l]!, facts.head[h]!] as const;
				let conductance = 0;
				for (const { share, of } of totals) conductance += share / of(t, l, h);
				const clo = resultantClo(conductance, air.air);
				table.loss[choice] = lossOf(air.balance, clo, person.offsetClo);
				let blame = unmet[0]![t]! + unmet[1]![l]! + unmet[2]![h]!;
				if (faceNeeded[0]) {
					for (let i = 0; i < FACE_PARTS.length; i++)
						if (faceNeeded[i] && !faceAlways[i] && !stacks.some((stack) => stack.coversFace[i]))
							blame += BLAME.bare;
				}
				if (cell.rainMinutes > 0) {
					for (let i = 0; i < RAIN_PARTS.length; i++) {
						let top: Placed | null = topAlways[i]!;
						for (const stack of stacks) {
							const own = stack.top[i]!;
							if (own && (!top || own.position >= top.position)) top = own;
						}
						if (rainKeptOutMin(top?.cloth) < cell.rainMinutes && !(i === 1 && wetLegs))
							blame += BLAME.wetThrough;
					}
				}
				const excess = Math.max(0, clo - tooWarmAboveClo);
				let idle = 0;
				if (cell.heated) {
					idle = stacks[2].layers;
					if (cell.minutes > SHELL_OFF_AFTER_MIN) idle += stacks[0].shells + stacks[1].shells;
				} else if (works) {
					idle = stacks[0].overWarm + stacks[1].overWarm;
					if (carried && cell.precipitation === 'dry' && stacks[0].membrane) idle += MEMBRANE_SWEAT;
					if (carried && cell.precipitation === 'dry' && stacks[1].membrane) idle += MEMBRANE_SWEAT / 2;
				}
				table.blame[choice] = blame;
				table.sweat[choice] = Math.round(cell.minutes * (excess * weight + idle));
			}
		}
	}
	return table;
}
