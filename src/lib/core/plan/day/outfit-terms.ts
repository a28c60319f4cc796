import { WORK_WM2 } from '../../body/effort';
import { type Region, REGIONS } from '../../cloth/parts';
import type { Stack } from '../../cloth/stacks';
import { type AirInUse, OPENING_FACTOR, conductanceOf, resultantClo } from '../../cloth/supply';
import { covers } from '../../cloth/things';
import { type WornLayer, outermost } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import { acceptsWetLegs, isRainThrough, needsCover, rainKeptMin } from '../../conditions/needs';
import type { Person } from '../../conditions/person';
import { overheatWeight } from '../../conditions/stops';
import { OPENINGS } from '../../document/worn';
import { inWaterM2kw, seatShareLeft } from '../../heat/course';
import type { CellAir } from '../../heat/ledger';
import { wettedIn } from '../../heat/water';
import { limbShareLeft, type Wetness } from '../../heat/wet-cloth';
import {
	BODY_FACTORS,
	type BodyFactor,
	type LayerContact,
	LayerContacts,
	conductances,
	type Soaked
} from '../../outfit/layer-contacts';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { PENALTY, countedOverheat } from '../../rules/objective';
import { penaltyOfUnmet, requirementsOf } from '../../rules/requirements';

/** What outfits of trunk, legs, head and opening of the front are made of in one cell, before they are put together. */

const RAIN_PARTS = ['torso', 'thighs'] as const;
const FACE_PARTS = ['face', 'ears', 'neck'] as const;

/** A bit for each part of the face of which something holds. */
const bits = (holds: (part: (typeof FACE_PARTS)[number]) => boolean): number =>
	FACE_PARTS.reduce((all, part, i) => (holds(part) ? all | (1 << i) : all), 0);

/** How many bits a number of up to three has. */
const BITS = [0, 1, 1, 2, 1, 2, 2, 3] as const;

/** Facts of single stacks that do not depend on the cell. */
interface StackFacts {
	/** parts of the face that are covered, a bit each */
	face: number;
	/** minutes of rain that it keeps from the skin, by part, and whether it is on it */
	keeps: Float64Array;
}

function factsOf(stack: Stack): StackFacts {
	return {
		face: bits((part) => stack.layers.some(({ cloth }) => covers(cloth, part))),
		keeps: Float64Array.from(RAIN_PARTS, (part) => rainKeptMin(stack.layers, part))
	};
}

/** Everything about a wardrobe that all cells share. */
export interface BodyViews {
	contacts: LayerContacts;
	facts: Record<BodyFactor, StackFacts[]>;
}

export function bodyViews(wardrobe: Wardrobe): BodyViews {
	const each = <T>(make: (stacks: Stack[]) => T): Record<BodyFactor, T> => ({
		trunk: make(wardrobe.stacks.trunk),
		legs: make(wardrobe.stacks.legs),
		head: make(wardrobe.stacks.head)
	});
	return {
		contacts: new LayerContacts(wardrobe),
		facts: each((stacks) => stacks.map(factsOf))
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

/** One number for every stack of trunk, legs and head. */
export type PerStack = readonly [Float64Array, Float64Array, Float64Array];

/**
 * Penalty of what a cell asks for and each stack of trunk, legs and head does not meet.
 * @param always what is worn whatever is chosen
 */
export function unmetOf(
	cell: Cell,
	stacks: Wardrobe['stacks'],
	always: readonly WornLayer[],
	person: Person
): PerStack {
	const [trunk, legs, head] = BODY_FACTORS.map((factor) => {
		const asked = requirementsOf(cell, factor, person.schools);
		return Float64Array.from(stacks[factor], ({ layers }) =>
			asked.length === 0 ? 0 : penaltyOfUnmet(asked, layers, cell, always)
		);
	});
	return [trunk!, legs!, head!];
}

/** What the regions let through in some air: the sum for trunk and legs, and for what depends on the head as well. */
export interface Regions {
	/** by opening of the front: those that are the same whatever is on the head, by trunk and legs */
	body: Float64Array[];
	/** by opening: the others, by a way in which trunk and legs look from there, and by the head */
	head: Float64Array[];
	/** that way, by trunk and legs */
	wayOf: Int32Array;
}

/** What water does to a region in a cell. */
function soakedIn(cell: Cell, region: Region, always: readonly WornLayer[], wetness: Wetness): Soaked {
	const limb = region === 'hands' || region === 'feet' ? region : null;
	const layers = limb ? always.filter(({ cloth }) => covers(cloth, limb)) : [];
	return {
		shareLeft: limb ? limbShareLeft(layers, wettedIn(cell, layers, wetness)) : 1,
		inWater: cell.water ? (worn) => inWaterM2kw(cell, worn, region) : null
	};
}

function regionsIn(
	contacts: LayerContacts,
	always: readonly WornLayer[],
	air: AirInUse,
	[trunks, legs, heads]: readonly [number, number, number],
	widest: number,
	cell: Cell,
	wetness: Wetness,
	person: Person
): Regions {
	const openings = OPENINGS.slice(0, widest + 1);
	const body = openings.map(() => new Float64Array(trunks * legs));
	const byTrunk = openings.map(() => new Float64Array(trunks));
	const byLegs = openings.map(() => new Float64Array(legs));
	const shared: { contact: LayerContact; of: Float64Array[] }[] = [];
	for (const region of REGIONS) {
		const contact = contacts.of(region, always);
		const { ways, wayOf } = contact;
		const opens = region === 'trunk' ? openings : OPENINGS.slice(0, 1);
		const soaked = soakedIn(cell, region, always, wetness);
		const seat = seatShareLeft(cell, region, person);
		const made = opens.map((opening) => conductances(contact, air, seat * OPENING_FACTOR[opening], soaked));
		const of = openings.map((_, o) => made[o] ?? made[0]!);
		if (ways[2] > 1) {
			shared.push({ contact, of });
			continue;
		}
		// What only one of the two changes is added up for it alone.
		const [sums, many] =
			ways[1] === 1 ? [byTrunk, [trunks, 1]] : ways[0] === 1 ? [byLegs, [1, legs]] : [body, [trunks, legs]];
		sums.forEach((own, o) => {
			for (let t = 0, at = 0; t < many[0]!; t++)
				for (let l = 0; l < many[1]!; l++, at++) own[at]! += of[o]![wayOf[0][t]! * ways[1] + wayOf[1][l]!]!;
		});
	}
	body.forEach((sums, o) => {
		for (let t = 0, at = 0; t < trunks; t++)
			for (let l = 0; l < legs; l++, at++) sums[at]! += byTrunk[o]![t]! + byLegs[o]![l]!;
	});
	const wayOf = new Int32Array(trunks * legs);
	const known = new Map<number, number>();
	const rows: { t: number; l: number }[] = [];
	for (let t = 0, at = 0; t < trunks; t++)
		for (let l = 0; l < legs; l++, at++) {
			const looks = shared.reduce(
				(key, { contact: { ways, wayOf: own } }) => (key * ways[0] + own[0][t]!) * ways[1] + own[1][l]!,
				0
			);
			let way = known.get(looks);
			if (way === undefined) known.set(looks, (way = rows.push({ t, l }) - 1));
			wayOf[at] = way;
		}
	const head = openings.map((_, o) => {
		const sums = new Float64Array(rows.length * heads);
		rows.forEach(({ t, l }, way) => {
			for (const { contact, of } of shared) {
				const first = (contact.wayOf[0][t]! * contact.ways[1] + contact.wayOf[1][l]!) * contact.ways[2];
				for (let h = 0; h < heads; h++) sums[way * heads + h]! += of[o]![first + contact.wayOf[2][h]!]!;
			}
		});
		return sums;
	});
	return { body, head, wayOf };
}

/** Everything that decides about the outfits of one cell. */
export interface OutfitTerms {
	/** ways in which fronts can be worn at most: closed, vented, open */
	fronts: number;
	/** by trunk: how far its front may be opened, and how it is worn where that is given */
	opens: readonly number[];
	givenOpening: readonly number[];
	regions: Regions;
	unmet: PerStack;
	/** penalty of what rain gets through and what of the face is bare */
	rainAndFace(trunk: number, legs: number, head: number): number;
	/** whether that depends on the head */
	headMatters: boolean;
	/** from this conductance on no outfit is too warm, W/(m²·K) */
	warmest: number;
	/** overheat of a conductance, clo·min, counted in steps */
	overheatOf(conductance: number): number;
	/** what a stop soon after makes of overheat */
	wordOfOverheat: number;
}

/**
 * @param always what is worn whatever is chosen: underwear, hands, feet, eyes
 * @param soon whether a stop follows soon
 * @param fronts ways in which fronts can be worn: closed, vented, open
 * @param wetness of gloves, boots and socks, by thing id; what the wardrobe is made of is as wet as it is
 */
export function outfitTerms(
	cell: Cell,
	air: CellAir,
	wardrobe: Wardrobe,
	{ contacts, facts }: BodyViews,
	always: readonly WornLayer[],
	soon: boolean,
	person: Person,
	fronts: number,
	wetness: Wetness
): OutfitTerms {
	const { trunk, legs, head } = wardrobe.stacks;
	const givenOpening = trunk.map((stack) =>
		OPENINGS.indexOf(wardrobe.openings.get(stack)?.widest ?? 'closed')
	);
	const opens = trunk.map((stack) =>
		mayOpen(cell) && !wardrobe.openings.has(stack) ? Math.min(fronts - 1, opensBy(stack)) : 0
	);
	const widest = Math.max(...givenOpening, ...opens);
	const tooWarmAboveClo = air.tooWarmAboveClo + person.offsetClo;
	// What lets more through than this is too warm in no case.
	const warmest = conductanceOf(tooWarmAboveClo, air.air) * (1 + 1e-9);
	const weight = overheatWeight(cell, soon, person);
	const faceNeeded = bits((part) => needsCover(cell, part, person.schools));
	const faceAlways = bits((part) => always.some(({ cloth }) => covers(cloth, part)));
	const keptAlways = RAIN_PARTS.map((part) => rainKeptMin(always, part));
	const wetLegs = acceptsWetLegs(cell, person.schools);
	const rains = cell.rainMinutes > 0;
	const rainPenalty = (...stacks: StackFacts[]): number =>
		RAIN_PARTS.reduce((sum, _, i) => {
			if (i === 1 && wetLegs) return sum;
			let kept = keptAlways[i]!;
			for (const stack of stacks) kept += stack.keeps[i]!;
			return isRainThrough(kept, cell.rainMinutes) ? sum + PENALTY.wetThrough : sum;
		}, 0);
	return {
		fronts,
		opens,
		givenOpening,
		regions: regionsIn(
			contacts,
			always,
			air.air,
			[trunk.length, legs.length, head.length],
			widest,
			cell,
			wetness,
			person
		),
		unmet: unmetOf(cell, wardrobe.stacks, always, person),
		headMatters: faceNeeded !== 0 || (rains && facts.head.some(({ keeps }) => keeps.some((one) => one > 0))),
		rainAndFace: (t, l, h) => {
			const [trunk, legs, head] = [facts.trunk[t]!, facts.legs[l]!, facts.head[h]!];
			const bare = faceNeeded & ~(faceAlways | trunk.face | legs.face | head.face);
			return PENALTY.bare * BITS[bare]! + (rains ? rainPenalty(trunk, legs, head) : 0);
		},
		warmest,
		overheatOf: (conductance) =>
			conductance > warmest
				? 0
				: countedOverheat(
						cell.minutes * weight * Math.max(0, resultantClo(conductance, air.air) - tooWarmAboveClo)
					),
		wordOfOverheat: soon && cell.metabolicWm2 >= WORK_WM2 ? PENALTY.word : 0
	};
}
