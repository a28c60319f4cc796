import type { Cloth } from '../../cloth/things';
import type { Wardrobe } from '../../outfit/legal-outfits';
import type { HittingSolver, Oracle } from '../../search/hitting-set';
import { costOf } from '../../search/problem';
import type { Best, SequenceSolver } from '../../search/solver';
import type { Constraints, DayLimits } from './constraints';
import type { Dressed } from '../day/day-problem';
import { penaltyOfLimb } from '../day/body-debts';
import type { BodyDebts, Day, Limb } from '../day/limb-judges';
import { LIMBS } from '../day/limb-judges';
import { loadOf } from '../../rules/objective';

/** What a search of a trip is asked and answers: the choice of each group on each day, and all of them as one. */

export type Group = Limb | 'body';
export const GROUPS: readonly Group[] = [...LIMBS, 'body'];

/** Cells from which on a day is searched as few times as can be. */
export const LONG_DAY = 24;

export interface TripLevels {
	penalty: number;
	overheat: number;
	/** in units of one outermost layer put on or taken off */
	changes: number;
	massG: number;
	/** what decides of it: grams, and something for each piece */
	loadG: number;
}
/** Levels of a day: what is taken is one set for all of them. */
export type DayLevels = Omit<TripLevels, 'massG' | 'loadG'>;

export interface TripChoice {
	/** by day; null where the search was stopped before it */
	dressed: (Dressed | null)[];
	dayLevels: DayLevels[];
	levels: TripLevels;
	/** the same of trunk, legs and head alone */
	bodyLevels: TripLevels;
	/** things worn anywhere, and those that come along anyway, as indexes into the kit */
	taken: Set<number>;
	/** no set can come to a smaller load, as far as was shown, g */
	atLeastG: number;
	/** the first three levels are the least there are, among the outfits that were searched */
	levelsProven: boolean;
	massProven: boolean;
	/** the whole kit was searched, and not only a core of it */
	isWhole: boolean;
	/** by day: so much better a plan could be at most, in changes; 0 where it is proven */
	gaps: number[];
	/** by day: what hands and feet would gain by less debt of the body */
	limbs: readonly LimbsOfDay[];
	/** by day: penalty of trunk, legs and head */
	bodyByDay: number[];
	/** by day: debts of the body for which hands and feet were chosen, and those that it has */
	fitted: readonly BodyDebts[];
	debts: readonly BodyDebts[];
}

/** What hands and feet would gain on a day by less debt of the body. */
export interface LimbsOfDay {
	/** penalty that they would not have, were the body as little in debt as it can be, at most */
	gain: number;
	/** by cell: whether less debt there would help them */
	gaining: readonly boolean[];
}

export interface Progress {
	task: 'days' | 'weight' | 'room';
	done: number;
	total: number;
	/** what is known so far */
	best: TripChoice | null;
}

export interface SolveOptions {
	/** changes more a day that may be spent on a lighter pack, hundredths, for each of hands, feet, eyes and body */
	spare?: number;
	hit?: HittingSolver;
	isOver?: () => boolean;
	/** whether a plan that is good enough is wanted by now, to be shown while the search goes on */
	hurry?: () => boolean;
	/** a good plan will do: long days are not searched, nothing is made lighter */
	hasty?: boolean;
	/** turns in which hands, feet and body are fitted to one another at most; four, where this is left out */
	turns?: number;
	/** only the levels of each day are wanted: no set is made lighter */
	levelsOnly?: boolean;
	/** what is taken by the plan that one has, as indexes into the kit: it stays while no day gets plainly worse */
	last?: ReadonlySet<number>;
	/** debts of the body for which hands and feet are chosen first, by day: those of a plan of nearly the same days */
	fitted?: readonly BodyDebts[];
	/** body, hands and feet are dressed for the sake of one another too */
	warmer?: boolean;
	/**
	 * the whole kit is searched too, where the search starts from a core of it, and what is unusual where a phase is cool or
	 * short with all that is ordinary
	 */
	whole?: boolean;
}

/**
 * So much worse a day may be for the set that one has, hundredths (our assumption): two steps of cold within a word, a twentieth
 * of the overheat and the changes more, and ten clo·min and a change. No verdict word and no thing out of place is in reach.
 */
export const toleranceOf = ({ overheat, changes }: Best): number =>
	costOf(2, 10 + 0.05 * overheat) + 100 + 0.05 * changes;

export interface Solved {
	solver: SequenceSolver;
	best: Best;
	limits: DayLimits;
	oracle: Oracle;
	/** the day with the outfits that were searched */
	day: SolverDay;
	/** no outfits of the kit cost less, hundredths; of the core only, where the whole kit was not searched */
	atLeast: number;
}

export interface GroupChoice {
	/** option per factor, cell by cell, for each day; null while a day is not solved */
	choices: (number[][] | null)[];
	/** each day with the outfits that it was chosen from */
	days: SolverDay[];
	/** by day: so much less a course could cost at most, hundredths */
	gaps: number[];
	levels: { penalty: number; overheat: number; changes: number }[];
	used: Set<number>;
	atLeastG: number;
	levelsProven: boolean;
	massProven: boolean;
}

export const NOTHING = { penalty: 0, overheat: 0, changes: 0 };

/** A day as the search of a trip sees it. */
export interface SolverDay extends Day {
	index: number;
	/** days that are alike have the same key */
	key: string;
	stage: { id: string };
	/** the whole kit, where the wardrobe of the day is a core of it */
	whole?: (() => Wardrobe) | null;
}
export interface SolverProblem {
	wardrobe: Wardrobe;
	days: readonly SolverDay[];
}

/** What a set of things weighs, and what it comes to as load. */
export const setOf = (cloths: readonly Pick<Cloth, 'massG'>[]): Pick<TripLevels, 'massG' | 'loadG'> => ({
	massG: cloths.reduce((sum, { massG }) => sum + massG, 0),
	loadG: cloths.reduce((sum, cloth) => sum + loadOf(cloth), 0)
});

/** The choices of all groups as one. */
export function choiceFrom(
	days: readonly SolverDay[],
	cloths: readonly Pick<Cloth, 'massG'>[],
	groups: Record<Group, GroupChoice>,
	dressed: (Dressed | null)[],
	{ fitted, debts }: { fitted: readonly BodyDebts[]; debts: readonly BodyDebts[] },
	limbs: readonly LimbsOfDay[],
	constraints: Constraints
): TripChoice {
	const penaltyOf = (day: SolverDay, limb: Limb): number => {
		const own = groups[limb].choices[day.index];
		return own ? penaltyOfLimb(day, limb, own, debts[day.index]!) : 0;
	};
	const dayLevels = days.map((day) => {
		const limbPenalty = LIMBS.reduce((sum, limb) => sum + penaltyOf(day, limb), 0);
		const sum = (level: 'overheat' | 'changes'): number =>
			GROUPS.reduce((total, group) => total + groups[group].levels[day.index]![level], 0);
		return {
			penalty: limbPenalty + groups.body.levels[day.index]!.penalty,
			overheat: sum('overheat'),
			changes: sum('changes') / 100
		};
	});
	const total = (list: readonly { penalty: number; overheat: number; changes: number }[]) => ({
		penalty: list.reduce((sum, { penalty }) => sum + penalty, 0),
		overheat: list.reduce((sum, { overheat }) => sum + overheat, 0),
		changes: Math.round(list.reduce((sum, { changes }) => sum + changes, 0) * 100) / 100
	});
	const taken = new Set(GROUPS.flatMap((group) => [...groups[group].used]));
	constraints.taken.forEach((thing) => taken.add(thing));
	const carried = (things: Iterable<number>) => setOf([...things].map((thing) => cloths[thing]!));
	const free = [...taken].filter((thing) => constraints.taken.has(thing) || constraints.preferred.has(thing));
	const body = total(groups.body.levels);
	const gaps = days.map(
		({ index }) =>
			(GROUPS.reduce((sum, group) => sum + groups[group].gaps[index]!, 0) + costOf(limbs[index]!.gain, 0)) /
			100
	);
	return {
		dressed,
		dayLevels,
		levels: { ...total(dayLevels), ...carried(taken) },
		bodyLevels: { ...body, changes: body.changes / 100, ...carried(groups.body.used) },
		taken,
		atLeastG: GROUPS.reduce((sum, group) => sum + groups[group].atLeastG, carried(free).loadG),
		levelsProven: GROUPS.every((group) => groups[group].levelsProven),
		massProven: GROUPS.every((group) => groups[group].massProven),
		isWhole: false,
		gaps,
		limbs,
		bodyByDay: groups.body.levels.map(({ penalty }) => penalty),
		fitted,
		debts
	};
}

/** What decides before the mass, in one number, hundredths of a change. */
export const weighed = ({ penalty, overheat, changes }: DayLevels): number =>
	costOf(penalty, overheat) + 100 * changes;

/** Whether levels are better: all that is felt first, then the load. */
export function isBetter(a: TripLevels, b: TripLevels): boolean {
	const less = weighed(a) - weighed(b);
	return Math.abs(less) > 1e-6 ? less < 0 : a.loadG < b.loadG - 1e-6;
}
