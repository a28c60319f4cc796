import { type Factor, factorOf, FACTORS } from '../cloth/factors';
import { ordinaryStacks, type Placement, placementsOf, type Stack, stackOf } from '../cloth/stacks';
import { OPENING_FACTOR } from '../cloth/supply';
import { isMadeFor, type Cloth, covers } from '../cloth/things';
import type { Outfit } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import type { Doing } from '../document/types';
import { WATER_GRADES } from '../document/weather';
import type { Opening, WornThing } from '../document/worn';

/** Briefs and bras are worn whatever the weather and are not chosen; a string vest is. */
const isUnderwear = (cloth: Cloth): boolean =>
	cloth.slot === 'briefs' || (cloth.slot === 'support' && !covers(cloth, 'torso'));

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
const MOST_STACKS = 3000;
/** The same where the whole kit is asked for. */
const MOST_STACKS_WHOLE = 5000;

/** Things of a slot that are kept, step by step, while a kit is too large. */
const KEPT = [Infinity, 6, 4, 3, 2, 1] as const;
const LAST = KEPT.length - 1;

type Merit = (cloth: Cloth) => number;
const share = ({ covers: parts }: Cloth): number => Object.values(parts).reduce((sum, one) => sum + one, 0);

/** What a thing can be good at, each in turn: a slot is thinned by what its things are for, never by warmth alone. */
const MERITS: readonly Merit[] = [
	({ localClo, massG, fibre }) => localClo / massG - (fibre === 'cotton' ? 1 : 0),
	({ localClo, fibre }) => localClo - (fibre === 'cotton' ? 10 : 0),
	({ waterGrade, massG }) => WATER_GRADES.indexOf(waterGrade) - massG / 1e5,
	({ massG, fibre }) => -massG - (fibre === 'cotton' ? 1e4 : 0),
	({ airPermeability, localClo }) => -airPermeability + localClo / 10,
	(cloth) => share(cloth) + cloth.features.length / 100
];

const KEEPS_WATER_OUT = 2;
/** Of shells the one that keeps water out comes first, of the rest the one that warms most for its grams. */
const firstMerit = ({ slot }: Cloth): number =>
	slot === 'rain' || slot === 'overtrousers' || slot === 'gaiter' ? KEEPS_WATER_OUT : 0;

/** The best of some things at what they can be good at, in turns, at most so many. */
function leaders(group: readonly Cloth[], many: number): Cloth[] {
	const kept = new Set<Cloth>();
	const start = group[0] ? firstMerit(group[0]) : 0;
	for (let turn = 0; kept.size < Math.min(many, group.length); turn++) {
		const merit = MERITS[(start + turn) % MERITS.length]!;
		const [best] = group.filter((cloth) => !kept.has(cloth)).sort((a, b) => merit(b) - merit(a));
		kept.add(best!);
	}
	return [...kept];
}

/** What a day asks of a thing, as far as a smaller wardrobe must not lose it. */
export interface Asked {
	doings: ReadonlySet<Doing>;
	/** bright cloth is asked for */
	bright: boolean;
}

/** What some cells ask for. */
export const askedBy = (cells: Iterable<Pick<Cell, 'doing' | 'terrain'>>): Asked => {
	const doings = new Set<Doing>();
	let bright = false;
	for (const { doing, terrain } of cells) {
		doings.add(doing);
		bright ||= terrain.includes('shooting-season') || terrain.includes('traffic');
	}
	return { doings, bright };
};

/** Whether anything that is done asks for a thing, or at least does not mind it. */
const isOfUse = (cloth: Cloth, { doings, bright }: Asked): boolean =>
	(cloth.slot !== 'visibility' || bright) && isMadeFor(cloth.uses, doings);

/**
 * The most promising things of each slot. What is made for some doing, and what anything asks for that no other thing of the
 * slot has, stays whatever the number.
 */
function likeliest(cloths: readonly Cloth[], step: number, asked: Asked | null): Cloth[] {
	const bySlot = new Map<string, Cloth[]>();
	for (const cloth of cloths) {
		const key = `${cloth.slot} ${cloth.functions.includes('warmth')}`;
		bySlot.set(key, [...(bySlot.get(key) ?? []), cloth]);
	}
	const kept = new Set<Cloth>();
	for (const group of bySlot.values()) {
		leaders(group, KEPT[step]!).forEach((cloth) => kept.add(cloth));
		// Each doing keeps something that is made for just that, or else something that will do.
		for (const doing of asked?.doings ?? []) {
			const own = group.filter(({ uses }) => uses?.includes(doing));
			const able = own.length > 0 ? own : group.filter(({ uses }) => uses === null);
			if (!able.some((cloth) => kept.has(cloth))) leaders(able, 1).forEach((cloth) => kept.add(cloth));
		}
	}
	return cloths.filter((cloth) => kept.has(cloth));
}

/** Stacks that keep a rule, wherever the kit has any. */
const keeping = (stacks: Stack[], rule: (stack: Stack) => boolean): Stack[] => {
	const kept = stacks.filter(rule);
	return kept.length > 0 ? kept : stacks;
};

/**
 * The torso stays covered, with something made for the skin under it all, and legs wear trousers, wherever the kit has it.
 * Tights serve as trousers where one runs or cycles.
 */
function clothed(factor: Factor, stacks: Stack[], asked: Asked | null): Stack[] {
	if (factor === 'legs') {
		const tightsDo = asked === null || asked.doings.has('run') || asked.doings.has('cycle');
		return keeping(stacks, ({ layers }) =>
			layers.some(
				({ cloth }) =>
					cloth.slot === 'trousers' ||
					cloth.slot === 'leg-armour' ||
					(tightsDo && cloth.features.includes('tights'))
			)
		);
	}
	if (factor !== 'trunk') return stacks;
	const covering =
		(highest: number) =>
		({ layers }: Stack): boolean =>
			layers.some(({ cloth, position }) => covers(cloth, 'torso') && position <= highest);
	return keeping(keeping(stacks, covering(5)), covering(1));
}

/** About how many stacks each of the body's factors shall keep when a kit is too large, to one another. */
const FAIR = { trunk: 60, legs: 8, head: 6 } as const;

/**
 * The ordinary outfits of a kit, at most one thing to a slot, as stacks per factor. While there are too many to search whole,
 * the factor that is furthest over its share keeps only the leaders of each slot, fewer at each step, and `cut` says so.
 * @param keep things that stay in the search whatever happens, by id
 * @param mostOutfits of trunk, legs and head that are searched whole
 * @param asked what the days ask for; what serves nothing of it is left out
 */
export function legalOutfitsOf(
	cloths: Cloth[],
	keep: ReadonlySet<string> = new Set(),
	mostOutfits = MOST_OUTFITS,
	asked: Asked | null = null
): Wardrobe {
	const underwear = cloths.filter(isUnderwear);
	const supported = underwear.some(({ slot }) => slot === 'support');
	const own = (factor: Factor): Cloth[] => {
		const all = cloths.filter(
			(cloth) => factorOf(cloth) === factor && !isUnderwear(cloth) && !(supported && cloth.slot === 'support')
		);
		if (asked === null) return all;
		const used = all.filter((cloth) => keep.has(cloth.thingId) || isOfUse(cloth, asked));
		// What is made for something else is still better than nothing.
		return all.filter((cloth) => used.includes(cloth) || !used.some(({ slot }) => slot === cloth.slot));
	};
	const step = Object.fromEntries(FACTORS.map((factor) => [factor, 0])) as Record<Factor, number>;
	const stacks = {} as Record<Factor, Stack[]>;
	const refill = (factor: Factor): void => {
		for (; ; step[factor]++) {
			const all = own(factor);
			const likely = step[factor] === 0 ? all : likeliest(all, step[factor], asked);
			const used = all.filter((cloth) => likely.includes(cloth) || keep.has(cloth.thingId));
			const made = ordinaryStacks(
				used.map((cloth) => ({ cloth, index: cloths.indexOf(cloth) })),
				step[factor] === LAST ? Infinity : mostOutfits === Infinity ? MOST_STACKS_WHOLE : MOST_STACKS
			);
			if (made) {
				stacks[factor] = clothed(factor, made, asked);
				return;
			}
		}
	};
	FACTORS.forEach(refill);
	const outfits = (): number => stacks.trunk.length * stacks.legs.length * stacks.head.length;
	while (outfits() > mostOutfits) {
		const shrinkable = (['trunk', 'legs', 'head'] as const).filter((factor) => step[factor] < LAST);
		if (shrinkable.length === 0) break;
		const over = (factor: keyof typeof FAIR): number => stacks[factor].length / FAIR[factor];
		const largest = shrinkable.reduce((a, b) => (over(b) > over(a) ? b : a));
		step[largest]++;
		refill(largest);
	}
	const cut = FACTORS.some((factor) => step[factor] > 0);
	return { cloths, underwear, stacks, openings: new Map(), fixed: new Map(), cut };
}

/** Stacks that are made over what is worn, at most. */
const MOST_STACKS_OVER = 600;

/**
 * The outfits that can be made in an emergency: what is worn stays on, but on the hands, and other things go over it or between.
 * @param cloths all that is at hand, what is worn included
 * @param worn what stays on
 */
export function outfitsOver(cloths: Cloth[], worn: Outfit): Wardrobe {
	const indexOf = (cloth: Cloth): number => cloths.findIndex(({ thingId }) => thingId === cloth.thingId);
	const underwear = cloths.filter(isUnderwear);
	const stacks = {} as Wardrobe['stacks'];
	for (const factor of FACTORS) {
		const start = worn
			.filter(({ cloth }) => factor !== 'hands' && factorOf(cloth) === factor && !isUnderwear(cloth))
			.map(({ cloth, position }) => ({ cloth, index: indexOf(cloth), low: position, high: position }));
		const more = cloths.flatMap((cloth, index) =>
			factorOf(cloth) === factor && !isUnderwear(cloth) && !start.some((one) => one.index === index)
				? [{ cloth, index }]
				: []
		);
		// Where there is too much at hand to try all of it, the warmest things are.
		const byWarmth = [...more].sort((a, b) => b.cloth.localClo - a.cloth.localClo);
		let over: Stack[] | null = null;
		for (let many = more.length; over === null; many--)
			over = ordinaryStacks(byWarmth.slice(0, many), MOST_STACKS_OVER, start);
		// An outfit that was given may be none that anybody would choose: it stays as it is.
		stacks[factor] = over.length > 0 ? over : [asWorn(start)];
	}
	return { cloths, underwear, stacks, openings: new Map(), fixed: new Map(), cut: false };
}

/** Layers where they are worn, whether or not that is legal. */
const asWorn = (layers: readonly Placement[]): Stack => ({
	layers: layers
		.map(({ cloth, index, low }) => ({ cloth, index, position: low }))
		.sort((a, b) => a.position - b.position)
});

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
	return stackOf(placements) ?? asWorn(placements);
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
