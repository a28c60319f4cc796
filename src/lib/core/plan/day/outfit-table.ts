import { WORK_WM2 } from '../../body/effort';
import { REGIONS } from '../../cloth/parts';
import type { Stack } from '../../cloth/stacks';
import { type AirInUse, OPENING_FACTOR, conductanceOf, resultantClo } from '../../cloth/supply';
import { covers } from '../../cloth/things';
import { type WornLayer, outermost } from '../../cloth/worn';
import type { Cell } from '../../conditions/cells';
import { acceptsWetLegs, needsCover, rainKeptOutMin } from '../../conditions/needs';
import type { Person } from '../../conditions/person';
import { overheatWeight } from '../../conditions/stops';
import { OPENINGS } from '../../document/worn';
import { type LossPair, lossOf } from '../../heat/debt';
import type { CellAir } from '../../heat/ledger';
import {
	BODY_FACTORS,
	type BodyFactor,
	type LayerContact,
	LayerContacts,
	type Placed,
	conductances
} from '../../outfit/layer-contacts';
import type { Wardrobe } from '../../outfit/legal-outfits';
import {
	MEMBRANE_MAX_PERMEABILITY,
	MEMBRANE_OVERHEAT_CLO,
	PENALTY,
	countedOverheat
} from '../../rules/objective';
import { penaltyOfUnmet, requirementsOf } from '../../rules/requirements';

/** What every outfit of trunk, legs, head and opening of the front means in one cell; index = choice. */
export interface OutfitTable {
	/** heat that the outfit lets through, W/(m²·K) */
	conductance: Float64Array;
	/** penalty that it has whatever the debt; Infinity where the choice is not open */
	penalty: Float64Array;
	/** overheat, clo·min */
	overheat: Float64Array;
	/** heat lost at both levels */
	lossOf(choice: number): LossPair;
}

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
	top: (Placed | null)[];
	/** whether a membrane is on */
	membrane: boolean;
}

function factsOf(stack: Stack): StackFacts {
	return {
		face: bits((part) => stack.layers.some(({ cloth }) => covers(cloth, part))),
		top: RAIN_PARTS.map((part) => outermost(stack.layers, part)),
		membrane: stack.layers.some(({ cloth }) => cloth.airPermeability <= MEMBRANE_MAX_PERMEABILITY)
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
type PerStack = readonly [Float64Array, Float64Array, Float64Array];

/** What counts in a cell beside the heat, told apart by trunk, legs and head. */
interface SeparateTerms {
	/** penalty of what the cell asks for and is not met */
	unmet: PerStack;
	/** membranes at work in the dry, as clo too much */
	idle: PerStack;
	/** parts of the face that need cover, and those that have it whatever is chosen, a bit each */
	faceNeeded: number;
	faceAlways: number;
	topAlways: (Placed | null)[];
	wetLegs: boolean;
}

function separateTerms(
	cell: Cell,
	wardrobe: Wardrobe,
	facts: BodyViews['facts'],
	always: readonly WornLayer[],
	person: Person
): SeparateTerms {
	const perStack = (of: (factor: BodyFactor, option: number) => number): PerStack => {
		const [trunk, legs, head] = BODY_FACTORS.map((factor) =>
			Float64Array.from(wardrobe.stacks[factor], (_, option) => of(factor, option))
		);
		return [trunk!, legs!, head!];
	};
	const asked = Object.fromEntries(
		BODY_FACTORS.map((factor) => [factor, requirementsOf(cell, factor, person.schools)])
	);
	const works = !cell.heated && cell.metabolicWm2 >= WORK_WM2;
	const carried = person.schools.shell === 'carried' && cell.precipitation === 'dry';
	return {
		unmet: perStack((factor, option) =>
			asked[factor]!.length === 0
				? 0
				: penaltyOfUnmet(asked[factor]!, wardrobe.stacks[factor][option]!.layers, cell, always)
		),
		idle: perStack((factor, option) => {
			if (!works || factor === 'head' || !carried || !facts[factor][option]!.membrane) return 0;
			return factor === 'trunk' ? MEMBRANE_OVERHEAT_CLO : MEMBRANE_OVERHEAT_CLO / 2;
		}),
		faceNeeded: bits((part) => needsCover(cell, part, person.schools)),
		faceAlways: bits((part) => always.some(({ cloth }) => covers(cloth, part))),
		topAlways: RAIN_PARTS.map((part) => outermost(always, part)),
		wetLegs: acceptsWetLegs(cell, person.schools)
	};
}

/** What the regions let through in some air: the sum for trunk and legs, and for what depends on the head as well. */
interface Regions {
	/** by opening of the front: those that are the same whatever is on the head, by trunk and legs */
	body: Float64Array[];
	/** by opening: the others, by a way in which trunk and legs look from there, and by the head */
	head: Float64Array[];
	/** that way, by trunk and legs */
	wayOf: Int32Array;
}

function regionsIn(
	contacts: LayerContacts,
	always: readonly WornLayer[],
	air: AirInUse,
	[trunks, legs, heads]: readonly [number, number, number],
	widest: number
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
		const made = opens.map((opening) => conductances(contact, air, OPENING_FACTOR[opening]));
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

/**
 * The table of one cell.
 * @param always what is worn whatever is chosen: underwear, hands, feet, eyes
 * @param soon whether a stop follows soon
 * @param fronts ways in which fronts can be worn: closed, vented, open
 */
export function outfitTable(
	cell: Cell,
	air: CellAir,
	wardrobe: Wardrobe,
	{ contacts, facts }: BodyViews,
	always: readonly WornLayer[],
	soon: boolean,
	person: Person,
	fronts: number
): OutfitTable {
	const { trunk, legs, head } = wardrobe.stacks;
	const givenOpening = trunk.map((stack) =>
		OPENINGS.indexOf(wardrobe.openings.get(stack)?.widest ?? 'closed')
	);
	const opensTo = trunk.map((stack) => (mayOpen(cell) && !wardrobe.openings.has(stack) ? opensBy(stack) : 0));
	const widest = Math.max(...givenOpening, ...opensTo.map((most) => Math.min(fronts - 1, most)));
	const regions = regionsIn(contacts, always, air.air, [trunk.length, legs.length, head.length], widest);
	const tooWarmAboveClo = air.tooWarmAboveClo + person.offsetClo;
	// What lets more through than this is too warm in no case.
	const warmest = conductanceOf(tooWarmAboveClo, air.air) * (1 + 1e-9);
	const weight = overheatWeight(cell, soon, person);
	const endsInAStop = soon && cell.metabolicWm2 >= WORK_WM2;
	const { unmet, idle, faceNeeded, faceAlways, topAlways, wetLegs } = separateTerms(
		cell,
		wardrobe,
		facts,
		always,
		person
	);
	const choices = trunk.length * legs.length * head.length * fronts;
	const conductance = new Float64Array(choices);
	const penalties = new Float64Array(choices).fill(Infinity);
	const overheats = new Float64Array(choices);
	const rains = cell.rainMinutes > 0;
	const headKeepsRain = facts.head.some(({ top }) => top.some((one) => one !== null));
	const rainPenalty = (...stacks: StackFacts[]): number =>
		RAIN_PARTS.reduce((sum, _, i) => {
			if (i === 1 && wetLegs) return sum;
			let top: Placed | null = topAlways[i]!;
			for (const stack of stacks) {
				const own = stack.top[i]!;
				if (own && (!top || own.position >= top.position)) top = own;
			}
			return rainKeptOutMin(top?.cloth) < cell.rainMinutes ? sum + PENALTY.wetThrough : sum;
		}, 0);
	let outfit = 0;
	for (let t = 0; t < trunk.length; t++) {
		const opens = Math.min(fronts - 1, opensTo[t]!);
		for (let l = 0; l < legs.length; l++) {
			const at = t * legs.length + l;
			const way = regions.wayOf[at]! * head.length;
			const face = faceAlways | facts.trunk[t]!.face | facts.legs[l]!.face;
			const rain = rains && !headKeepsRain ? rainPenalty(facts.trunk[t]!, facts.legs[l]!) : 0;
			const penaltyHere = unmet[0][t]! + unmet[1][l]! + rain;
			const idleHere = idle[0][t]! + idle[1][l]!;
			for (let h = 0; h < head.length; h++, outfit++) {
				const bare = faceNeeded & ~(face | facts.head[h]!.face);
				let penalty = penaltyHere + unmet[2][h]!;
				if (bare !== 0) penalty += PENALTY.bare * BITS[bare]!;
				if (rains && headKeepsRain) penalty += rainPenalty(facts.trunk[t]!, facts.legs[l]!, facts.head[h]!);
				const idleOf = idleHere + idle[2][h]!;
				// Nobody opens what is not too warm.
				const first = outfit * fronts;
				let front = 0;
				for (let tooWarm = true; front <= opens && tooWarm; front++) {
					const opening = Math.max(front, givenOpening[t]!);
					const sum = regions.body[opening]![at]! + regions.head[opening]![way + h]!;
					const excess = sum > warmest ? 0 : Math.max(0, resultantClo(sum, air.air) - tooWarmAboveClo);
					tooWarm = excess > 0;
					const tooMuch = excess * weight + idleOf;
					conductance[first + front] = sum;
					const overheat = tooMuch > 0 ? countedOverheat(cell.minutes * tooMuch) : 0;
					const word = endsInAStop && overheat > 0 && tooWarm ? PENALTY.word : 0;
					penalties[first + front] = penalty + word;
					overheats[first + front] = overheat;
				}
			}
		}
	}
	const losses = new Map<number, LossPair>();
	return {
		conductance,
		penalty: penalties,
		overheat: overheats,
		lossOf: (choice) => {
			let loss = losses.get(choice);
			if (!loss) {
				loss = lossOf(air.balance, resultantClo(conductance[choice]!, air.air), person.offsetClo);
				losses.set(choice, loss);
			}
			return loss;
		}
	};
}
