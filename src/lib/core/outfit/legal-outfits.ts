import { partsCovered } from '../cloth/catalogue';
import { type Factor, factorOf, FACTORS, kindOf } from '../cloth/factors';
import { allStacks, placementsOf, type Stack, stackOf } from '../cloth/stacks';
import { OPENING_FACTOR } from '../cloth/supply';
import { type Cloth, covers } from '../cloth/things';
import type { Part } from '../document/parts';
import { WATER_GRADES } from '../document/weather';
import type { Opening, WornThing } from '../document/worn';

/** Underwear is worn whatever the weather and is not chosen. */
const isUnderwear = (cloth: Cloth): boolean =>
	cloth.positions[1] === 0 && (factorOf(cloth) === 'trunk' || factorOf(cloth) === 'legs');

export interface Wardrobe {
	cloths: Cloth[];
	underwear: Cloth[];
	stacks: Record<Factor, Stack[]>;
	/** front opening of each trunk stack, as the factor that it leaves on the trunk */
	openings: Map<Stack, { factor: number; widest: Opening; by: Map<number, Opening> }>;
	/** stacks that stand in place of a choice, by cell */
	fixed: Map<number, Record<Factor, number>>;
	/** whether things were left out of the search */
	cut: boolean;
}

/** Largest number of trunk × legs × head outfits that is searched whole. */
const MOST_OUTFITS = 4000;
const MOST_STACKS = 1500;

/** What is looked for first in a class: no cotton next to skin, water kept out by the shell, warmth elsewhere. */
const promise = (cloth: Cloth): number =>
	[
		(cloth.fibre === 'cotton' ? -10 : 0) + cloth.localClo,
		cloth.localClo,
		WATER_GRADES.indexOf(cloth.waterGrade) + cloth.localClo / 10,
		cloth.localClo
	][kindOf(cloth)]!;

const widest = ({ covers: parts }: Cloth): number =>
	Object.values(parts).reduce((sum, share) => sum + share, 0);

/** Things kept of each class (next to skin, middle, shell, over everything), step by step, while a kit is too large. */
const KEPT: readonly (readonly [number, number, number, number])[] = [
	[Infinity, Infinity, Infinity, Infinity],
	[5, 5, 5, 5],
	[3, 4, 3, 2],
	[2, 3, 3, 2],
	[2, 3, 2, 1],
	[2, 2, 2, 1],
	[1, 2, 2, 1],
	[1, 2, 1, 1],
	[1, 1, 1, 1],
	[0, 0, 0, 0]
];
/** The last step: of each class the one thing that covers most. */
const LAST = KEPT.length - 1;

/**
 * The most promising things of each class, and among them the lightest one when there is room for more than one. What is
 * worn on the head or legs is told apart by the parts that it covers.
 */
function likeliest(cloths: Cloth[], factor: Factor, step: number): Cloth[] {
	const kept = new Set<Cloth>();
	const groups = new Map<string, Cloth[]>();
	for (const cloth of cloths) {
		const key =
			step === LAST || factor === 'trunk'
				? String(kindOf(cloth))
				: `${kindOf(cloth)} ${partsCovered(cloth.covers).join()}`;
		groups.set(key, [...(groups.get(key) ?? []), cloth]);
	}
	for (const group of groups.values()) {
		const many = KEPT[step]![kindOf(group[0]!)]!;
		const best = (by: (cloth: Cloth) => number, count: number): void => {
			[...group]
				.sort((a, b) => by(a) - by(b))
				.slice(0, count)
				.forEach((cloth) => kept.add(cloth));
		};
		if (many === 0) best((cloth) => -10 * widest(cloth) - promise(cloth), 1);
		else {
			best((cloth) => -promise(cloth), many === 1 ? 1 : many - 1);
			if (many > 1) best(({ massG }) => massG, 1);
		}
	}
	return cloths.filter((cloth) => kept.has(cloth));
}

/** Torso and legs stay covered, with something made for the skin under it all, wherever the kit has it. */
function clothed(factor: Factor, stacks: Stack[]): Stack[] {
	const covering =
		(part: Part, highest: number) =>
		(stack: Stack): boolean =>
			stack.layers.some(({ cloth, position }) => covers(cloth, part) && position <= highest);
	const rules =
		factor === 'trunk'
			? [covering('torso', 5), covering('torso', 1)]
			: factor === 'legs'
				? [covering('thighs', 5), covering('calves', 5)]
				: [];
	return rules.reduce<Stack[]>((left, rule) => {
		const kept = left.filter(rule);
		return kept.length > 0 ? kept : left;
	}, stacks);
}

/** About how many stacks each of the body's factors shall keep when a kit is too large, to one another. */
const FAIR = { trunk: 48, legs: 9, head: 7 } as const;

/**
 * Every legal outfit of a kit, as stacks per factor. While there are too many to search whole, the factor that is furthest
 * over its share keeps only the likeliest things of each class, fewer at each step, and `cut` says so.
 * @param keep things that stay in the search whatever happens, by id
 * @param mostOutfits of trunk, legs and head that are searched whole
 */
export function legalOutfitsOf(
	cloths: Cloth[],
	keep: ReadonlySet<string> = new Set(),
	mostOutfits = MOST_OUTFITS
): Wardrobe {
	const underwear = cloths.filter(isUnderwear);
	const own = (factor: Factor): Cloth[] =>
		cloths.filter((cloth) => factorOf(cloth) === factor && !isUnderwear(cloth));
	const step = Object.fromEntries(FACTORS.map((factor) => [factor, 0])) as Record<Factor, number>;
	const stacks = {} as Record<Factor, Stack[]>;
	const refill = (factor: Factor): void => {
		for (; ; step[factor]++) {
			const all = own(factor);
			const likely = step[factor] === 0 ? all : likeliest(all, factor, step[factor]);
			const used = all.filter((cloth) => likely.includes(cloth) || keep.has(cloth.thingId));
			const made = allStacks(
				used.map((cloth) => ({ cloth, index: cloths.indexOf(cloth) })),
				step[factor] === LAST ? Infinity : MOST_STACKS
			);
			if (made) {
				stacks[factor] = clothed(factor, made);
				return;
			}
		}
	};
	FACTORS.forEach(refill);
	const outfits = (): number => stacks.trunk.length * stacks.legs.length * stacks.head.length;
	while (outfits() > mostOutfits) {
		const shrinkable = (['trunk', 'legs', 'head'] as const).filter((factor) => step[factor] < LAST);
		if (shrinkable.length === 0) break;
		const share = (factor: keyof typeof FAIR): number => stacks[factor].length / FAIR[factor];
		const largest = shrinkable.reduce((a, b) => (share(b) > share(a) ? b : a));
		step[largest]++;
		refill(largest);
	}
	const cut = FACTORS.some((factor) => step[factor] > 0);
	return { cloths, underwear, stacks, openings: new Map(), fixed: new Map(), cut };
}

/** An empty wardrobe, to which only given outfits are added. */
export function givenWardrobe(cloths: Cloth[]): Wardrobe {
	const stacks = Object.fromEntries(FACTORS.map((factor) => [factor, []])) as unknown as Wardrobe['stacks'];
	return { cloths, underwear: [], stacks, openings: new Map(), fixed: new Map(), cut: false };
}

/**
 * A given set of things, in the order in which it was given where a thing can be worn in two ways: after a shell
 * means over it. An order that nothing legal fits is kept as it stands.
 */
function givenStack(wardrobe: Wardrobe, indexes: number[]): Stack {
	const placements = indexes.map((index, i) => {
		const ways = placementsOf(wardrobe.cloths[index]!, index);
		const overShell = indexes.slice(0, i).some((inner) => wardrobe.cloths[inner]!.positions[0] >= 4);
		return overShell ? ways.at(-1)! : ways[0]!;
	});
	return (
		stackOf(placements) ?? {
			layers: placements
				.map(({ cloth, index, low }) => ({ cloth, index, position: low }))
				.sort((a, b) => a.position - b.position)
		}
	);
}

/**
 * Puts a given outfit in place of the choice in one cell.
 * @throws RangeError when a thing is not in the kit
 */
export function giveOutfit(wardrobe: Wardrobe, cell: number, worn: readonly WornThing[]): void {
	const indexes = worn.map(({ thingId }) => {
		const index = wardrobe.cloths.findIndex((cloth) => cloth.thingId === thingId);
		if (index < 0) throw new RangeError(`thingId is ${thingId}, allowed are things that the client has`);
		return index;
	});
	const given = {} as Record<Factor, number>;
	for (const factor of FACTORS) {
		const own = indexes.filter((index) => factorOf(wardrobe.cloths[index]!) === factor);
		const stack = givenStack(wardrobe, own);
		if (factor === 'trunk') {
			const by = new Map(own.map((index) => [index, worn[indexes.indexOf(index)]!.opening]));
			const widest = [...by.values()].reduce<Opening>(
				(most, opening) => (OPENING_FACTOR[opening] < OPENING_FACTOR[most] ? opening : most),
				'closed'
			);
			wardrobe.openings.set(stack, { factor: OPENING_FACTOR[widest], widest, by });
		}
		given[factor] = wardrobe.stacks[factor].push(stack) - 1;
	}
	wardrobe.fixed.set(cell, given);
}

/**
 * The same wardrobe with outfits that are given in some cells; where all are given, nothing else is in it.
 * @param given by cell; null where the outfit is chosen
 * @throws RangeError when a thing is not in the kit
 */
export function withGiven(wardrobe: Wardrobe, given: readonly (readonly WornThing[] | null)[]): Wardrobe {
	if (given.every((worn) => worn === null)) return wardrobe;
	const stacks = Object.fromEntries(
		FACTORS.map((factor) => [factor, [...wardrobe.stacks[factor]]])
	) as Wardrobe['stacks'];
	const result: Wardrobe = given.every((worn) => worn !== null)
		? givenWardrobe(wardrobe.cloths)
		: { ...wardrobe, stacks, openings: new Map(wardrobe.openings), fixed: new Map() };
	const stacksOf = new Map<string, Record<Factor, number>>();
	given.forEach((worn, cell) => {
		if (!worn) return;
		const key = JSON.stringify(worn);
		const before = stacksOf.get(key);
		if (before) result.fixed.set(cell, before);
		else {
			giveOutfit(result, cell, worn);
			stacksOf.set(key, result.fixed.get(cell)!);
		}
	});
	return result;
}
