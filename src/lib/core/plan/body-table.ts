import { lossOf } from '../body/debt';
import { WORK_WM2 } from '../body/effort';
import { AREA_SHARE, REGIONS, type Region } from '../cloth/parts';
import { OPENING_FACTOR, regionTotalM2kw, resultantClo } from '../cloth/supply';
import type { Stack } from '../cloth/stacks';
import { covers, type Cloth } from '../cloth/things';
import { OPENINGS } from '../document/types';
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

/** What every outfit of trunk, legs, head and opening of the front means in one cell; index = choice. */
export interface BodyTable {
	/** heat lost at both levels, W/m² */
	neutralWm2: Float64Array;
	minimalWm2: Float64Array;
	/** −1 where the choice is not open */
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

/** Total insulation of a region for every combination of ways in which the factors look from it, worked out when asked. */
function regionTotals(
	region: Region,
	views: Record<BodyFactor, View>,
	always: readonly WornLayer[],
	air: CellAir
): (trunk: number, legs: number, head: number, opening: number) => number {
	const legsWays = views.legs.ways.length;
	const headWays = views.head.ways.length;
	const each = views.trunk.ways.length * legsWays * headWays;
	const totals = new Float64Array(each * OPENINGS.length);
	return (trunk, legs, head, opening) => {
		const t = views.trunk.wayOf[trunk]!;
		const l = views.legs.wayOf[legs]!;
		const h = views.head.wayOf[head]!;
		const own = region === 'trunk' ? opening : 0;
		const at = own * each + (t * legsWays + l) * headWays + h;
		if (totals[at] === 0) {
			const placed: Placed[] = [
				...always,
				...views.trunk.ways[t]!,
				...views.legs.ways[l]!,
				...views.head.ways[h]!
			];
			placed.sort((a, b) => a.position - b.position);
			totals[at] = regionTotalM2kw(layersOf(placed, region), air.air, OPENING_FACTOR[OPENINGS[own]!]);
		}
		return totals[at]!;
	};
}

/** How far the front of a stack can be opened: 0 not at all, 1 at the neck or by vents, 2 wholly. */
export function opensBy({ layers }: Pick<Stack, 'layers'>): number {
	const top = outermost(layers, 'torso')?.cloth;
	if (!top) return 0;
	if (top.features.includes('full-zip') || top.features.includes('two-way-zip')) return 2;
	return top.features.includes('half-zip') || top.features.includes('vents') ? 1 : 0;
}
/** Fronts are opened at work, outdoors, while nothing falls. */
export const mayOpen = (cell: Cell): boolean =>
	!cell.heated &&
	cell.kind === 'move' &&
	cell.metabolicWm2 >= WORK_WM2 &&
	cell.precipitation === 'dry' &&
	cell.rainMinutes === 0;

/**
 * The table of one cell.
 * @param always what is worn whatever is chosen: underwear, hands, feet, eyes
 * @param soon whether a stop follows soon
 * @param fronts ways in which fronts can be worn: closed, vented, open
 */
export function bodyTable(
	cell: Cell,
	air: CellAir,
	wardrobe: Wardrobe,
	{ byRegion, facts }: BodyViews,
	always: readonly WornLayer[],
	soon: boolean,
	person: Person,
	fronts: number
): BodyTable {
	const { trunk, legs, head } = wardrobe.stacks;
	const givenOpening = trunk.map((stack) =>
		OPENINGS.indexOf(wardrobe.openings.get(stack)?.widest ?? 'closed')
	);
	const opensTo = trunk.map((stack) => (mayOpen(cell) && !wardrobe.openings.has(stack) ? opensBy(stack) : 0));
	const shares = REGIONS.map((region) => AREA_SHARE[region]);
	const totals = REGIONS.map((region) => regionTotals(region, byRegion[region], always, air));
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
	const choices = trunk.length * legs.length * head.length * fronts;
	const table: BodyTable = {
		neutralWm2: new Float64Array(choices),
		minimalWm2: new Float64Array(choices),
		blame: new Int32Array(choices).fill(-1),
		sweat: new Int32Array(choices)
	};
	let outfit = 0;
	for (let t = 0; t < trunk.length; t++) {
		for (let l = 0; l < legs.length; l++) {
			for (let h = 0; h < head.length; h++, outfit++) {
				const stacks = [facts.trunk[t]!, facts.legs[l]!, facts.head[h]!] as const;
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
				let idle = 0;
				if (cell.heated) {
					idle = stacks[2].layers;
					if (cell.minutes > SHELL_OFF_AFTER_MIN) idle += stacks[0].shells + stacks[1].shells;
				} else if (works) {
					idle = stacks[0].overWarm + stacks[1].overWarm;
					if (carried && cell.precipitation === 'dry' && stacks[0].membrane) idle += MEMBRANE_SWEAT;
					if (carried && cell.precipitation === 'dry' && stacks[1].membrane) idle += MEMBRANE_SWEAT / 2;
				}
				// Nobody opens what is not too warm.
				let tooWarm = true;
				for (let front = 0; front < fronts && front <= opensTo[t]! && tooWarm; front++) {
					const choice = outfit * fronts + front;
					const opening = Math.max(front, givenOpening[t]!);
					let conductance = 0;
					for (let r = 0; r < totals.length; r++) conductance += shares[r]! / totals[r]!(t, l, h, opening);
					const clo = resultantClo(conductance, air.air);
					const loss = lossOf(air.balance, clo, person.offsetClo);
					const excess = Math.max(0, clo - tooWarmAboveClo);
					tooWarm = excess > 0;
					table.neutralWm2[choice] = loss.neutralWm2;
					table.minimalWm2[choice] = loss.minimalWm2;
					table.blame[choice] = blame;
					table.sweat[choice] = Math.round(cell.minutes * (excess * weight + idle));
				}
			}
		}
	}
	return table;
}
