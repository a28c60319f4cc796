import { type Cloth, isBag } from '../cloth/things';
import { SEAT_MAT } from '../conditions/person';
import type { Document } from '../document/types';
import { type HittingSolver, lightestSteps, type Oracle } from '../search/hitting-set';
import { mayAnswer, needKey, type StartNeed } from './moments';
import type { CannotStart, LeftWrong, RemedyProgress, Rung } from './remedies';
import { setKey } from './candidate-set';
import { byScore, isLess } from './score';
import { FEW_CANDIDATES, type Trials } from './trials';

/** Sets of candidates, and which of each size leaves fewest moments wrong. */

/** Sets of one size that are followed to the next. */
const BEAM = 4;
/** Sets of one size up to which every one is tried. */
const MOST_SETS = 60;
/** Things on a ladder at most. */
const MOST_RUNGS = 6;

export const isLessWrong = (a: LeftWrong, b: LeftWrong): boolean =>
	a.usual < b.usual || (a.usual === b.usual && a.oneInTen < b.oneInTen);

/** What a set leaves wrong, and what it costs and weighs. */
type SetScore = [usual: number, rare: number, cost: number, massG: number];
interface ScoredSet {
	set: ReadonlySet<number>;
	score: SetScore;
}

/** Sums over a trip of what single days come to. */
export class Sets {
	private readonly scores = new Map<string, ScoredSet>();
	constructor(readonly trials: Trials) {}

	costOf(set: Iterable<number>): number {
		return [...set].reduce((sum, index) => sum + this.trials.candidates[index]!.cost, 0);
	}
	massOf(set: Iterable<number>): number {
		// What is mended is carried already.
		return [...set].reduce(
			(sum, index) =>
				sum + (this.trials.candidates[index]!.from === 'mend' ? 0 : this.trials.cloths[index]!.massG),
			0
		);
	}
	/** Moments of a day that are wrong with a set. */
	wrongOn(index: number, set: ReadonlySet<number>): number {
		const { least, most } = this.trials.within(index, set);
		return least === most ? least : this.trials.on(index, set).wrong;
	}
	/** Moments left wrong on all days; null as soon as they are sure to be more than a limit. */
	private wrongWithin(set: ReadonlySet<number>, limit: LeftWrong | null): LeftWrong | null {
		const left = { usual: 0, oneInTen: 0 };
		const days = this.trials.days.map((day) => ({
			day,
			many: this.trials.alike.get(this.trials.keyOf(day.index))!,
			least: this.trials.within(day.index, set).least
		}));
		for (const { many, least } of days) {
			left.usual += many.usual * least;
			left.oneInTen += many.rare * least;
		}
		const isTooMuch = (): boolean => limit !== null && isLessWrong(limit, left);
		// The usual weather decides first.
		for (const { day, many, least } of days.sort((a, b) => b.many.usual - a.many.usual)) {
			if (isTooMuch()) return null;
			const more = this.wrongOn(day.index, set) - least;
			left.usual += many.usual * more;
			left.oneInTen += many.rare * more;
		}
		return isTooMuch() ? null : left;
	}
	wrongWith = (set: ReadonlySet<number>): LeftWrong => this.wrongWithin(set, null)!;
	scored = (set: ReadonlySet<number>): ScoredSet => this.scoredWithin(set, null)!;
	/** A set with what it leaves wrong; null where that is more than a limit. */
	scoredWithin(set: ReadonlySet<number>, limit: LeftWrong | null): ScoredSet | null {
		const key = setKey(set);
		const known = this.scores.get(key);
		if (known) return known;
		const left = this.wrongWithin(set, limit);
		if (!left) return null;
		const made = {
			set,
			score: [left.usual, left.oneInTen, this.costOf(set), this.massOf(set)] as SetScore
		};
		this.scores.set(key, made);
		return made;
	}
	needs(set: ReadonlySet<number>): Map<string, { need: StartNeed; days: number[] }> {
		const all = new Map<string, { need: StartNeed; days: number[] }>();
		this.trials.days.forEach((day) =>
			this.trials
				.on(day.index, set)
				.needs()
				.forEach((need) => {
					const key = needKey(need);
					const known = all.get(key) ?? { need, days: [] };
					known.days.push(day.index);
					all.set(key, known);
				})
		);
		return all;
	}
}

const added = (set: ReadonlySet<number>, index: number): Set<number> => new Set([...set, index]);
const without = (set: ReadonlySet<number>, index: number): Set<number> => {
	const left = new Set(set);
	left.delete(index);
	return left;
};

/** What a trip cannot start without: for each need the candidate after which least is needed, then least is wrong, then the cheapest. */
export function* startSet(
	sets: Sets,
	document: Document
): Generator<RemedyProgress, { set: ReadonlySet<number>; cannotStart: CannotStart[] }, void> {
	const { trials } = sets;
	let set: ReadonlySet<number> = new Set();
	const cannotStart: CannotStart[] = [];
	const done = new Set<string>();
	for (;;) {
		const open = [...sets.needs(set)].find(([key]) => !done.has(key));
		if (!open) return { set, cannotStart };
		const [key, { need, days }] = open;
		done.add(key);
		const stageIds = days.map((day) => trials.days.find(({ index }) => index === day)!.stage.id);
		let best: { index: number; score: SetScore; left: number } | null = null;
		for (const [index] of trials.candidates.entries()) {
			if (set.has(index) || !mayAnswer(need, trials.cloths[index]!)) continue;
			const left = days.filter((day) =>
				trials
					.on(day, added(set, index))
					.needs()
					.some((other) => needKey(other) === key)
			).length;
			yield { task: 'trying', done: index, total: trials.candidates.length };
			if (left === days.length) continue;
			// Slippers cover bare feet, and then they are the wrong footwear: all that is needed counts.
			const all = [...sets.needs(added(set, index)).values()].reduce((sum, { days }) => sum + days.length, 0);
			const { score } = sets.scored(added(set, index));
			const own: SetScore = [all, score[0] + score[1], score[2], score[3]];
			if (!best || isLess(own, best.score)) best = { index, score: own, left };
		}
		cannotStart.push({
			...need,
			stageIds: document.trip.stages.map(({ id }) => id).filter((id) => stageIds.includes(id)),
			add: best ? trials.candidates[best.index]!.thing.id : null
		});
		if (!best) continue;
		set = added(set, best.index);
		// What one thing does not answer everywhere is asked once more for the days that are left.
		if (best.left > 0) done.delete(key);
	}
}

/** Whether a candidate may make a moment right by being worn, slept in or sat on; other gear only answers what is asked for. */
const isWarming = (cloth: Cloth): boolean => cloth.slot !== null || isBag(cloth) || cloth.typeId === SEAT_MAT;

/**
 * Candidates that sets are made of: all of a few; of many those that the days wear when all are there, and of these again. The
 * others of their slots are tried afterwards.
 */
function worthTrying({ trials }: Sets, start: ReadonlySet<number>): number[] {
	const usable = [...trials.candidates.keys()].filter(
		(index) => !start.has(index) && isWarming(trials.cloths[index]!)
	);
	if (usable.length <= FEW_CANDIDATES) return usable;
	const usedOf = (list: readonly number[]): number[] => {
		const set = new Set([...start, ...list]);
		const used = new Set(trials.days.flatMap(({ index }) => [...trials.on(index, set).used]));
		return list.filter((index) => used.has(index));
	};
	return usedOf(usedOf(usable));
}

/**
 * The fewest things, and of as few the cheapest, with which every day goes as well as with all candidates: an implicit hitting
 * set over the days.
 */
function* enough(
	sets: Sets,
	start: ReadonlySet<number>,
	all: readonly number[],
	hit?: HittingSolver
): Generator<RemedyProgress, { set: ReadonlySet<number>; proven: boolean }, void> {
	const { trials } = sets;
	const everything = new Set([...start, ...all]);
	const most = Math.max(1, sets.costOf(everything) + 1);
	// One thing less outweighs all money.
	const weights = trials.candidates.map(({ cost }) => most + cost);
	const parts = trials.days.flatMap(({ index }): Oracle[] => {
		const least = sets.wrongOn(index, everything);
		return sets.wrongOn(index, start) <= least
			? []
			: [{ things: all, holds: (things) => sets.wrongOn(index, new Set([...start, ...things])) <= least }];
	});
	const used = trials.days.flatMap(({ index }) => [...trials.on(index, everything).used]);
	const steps = lightestSteps(
		new Set(used.filter((index) => !start.has(index))),
		all,
		weights,
		parts,
		hit ? { hit } : {}
	);
	let step = steps.next();
	for (let n = 0; !step.done; n++, step = steps.next())
		yield { task: 'trying', done: n, total: Math.max(n + 1, all.length) };
	return { set: new Set([...start, ...step.value.things]), proven: step.value.proven };
}

interface BestSets {
	/** the best set of each size, the smallest first */
	rungs: ScoredSet[];
	/** whether every set was tried that may be the best of its size */
	isWhole: boolean;
	/** what is left wrong with the best of all */
	best: LeftWrong;
}

/** Best sets of each size where there are so few that every one is tried. */
function* ofEverySet(
	sets: Sets,
	start: ReadonlySet<number>,
	all: readonly number[]
): Generator<RemedyProgress, BestSets, void> {
	const rungs: ScoredSet[] = [];
	let best = sets.wrongWith(start);
	for (let size = 1; size <= Math.min(all.length, MOST_RUNGS); size++) {
		const tries = subsets(all, size);
		const scored: ScoredSet[] = [];
		for (const [done, more] of tries.entries()) {
			scored.push(sets.scored(new Set([...start, ...more])));
			yield { task: 'trying', done, total: tries.length };
		}
		const [found] = scored.sort(byScore);
		rungs.push(found!);
		const left = sets.wrongWith(found!.set);
		if (isLessWrong(left, best)) best = left;
	}
	return { rungs, isWhole: all.length <= MOST_RUNGS, best };
}

/** Best sets of each size beside what the trip starts with, up to the smallest with which all is as well as it can be. */
export function* bestSets(
	sets: Sets,
	start: ReadonlySet<number>,
	hit?: HittingSolver
): Generator<RemedyProgress, BestSets, void> {
	const { candidates } = sets.trials;
	const all = worthTrying(sets, start);
	if (sets.trials.isShort && 2 ** all.length <= MOST_SETS) return yield* ofEverySet(sets, start, all);
	const last = yield* enough(sets, start, all, hit);
	const rungs: ScoredSet[] = [];
	let isWhole = last.proven && candidates.length <= FEW_CANDIDATES;
	let beam: ScoredSet[] = [sets.scored(start)];
	for (let size = 1; size < last.set.size - start.size && size <= MOST_RUNGS; size++) {
		const next: ScoredSet[] = [];
		const seen = new Set<string>();
		const isSmall = choose(all.length, size) <= MOST_SETS;
		isWhole &&= isSmall;
		const within = [...last.set].filter((index) => !start.has(index));
		const tries = isSmall
			? subsets(all, size)
			: [
					...(choose(within.length, size) <= MOST_SETS ? subsets(within, size) : []),
					...beam.flatMap(({ set }) => all.map((one) => [...set, one]))
				];
		for (const [at, more] of tries.entries()) {
			const set = new Set([...start, ...more]);
			if (set.size !== start.size + size) continue;
			const key = setKey(set);
			if (seen.has(key)) continue;
			seen.add(key);
			const worst = next.length < BEAM ? null : next.at(-1)!.score;
			const scored = sets.scoredWithin(set, worst && { usual: worst[0], oneInTen: worst[1] });
			if (scored) {
				next.push(scored);
				next.sort(byScore).splice(BEAM);
			}
			yield { task: 'trying', done: at, total: tries.length };
		}
		const found = next[0];
		if (!found) break;
		// What was found may hold a thing that another one replaces: each is changed for each other once.
		rungs.push(isSmall ? found : yield* swapped(sets, start, found));
		beam = [rungs.at(-1)!, ...next.slice(1)];
	}
	if (last.set.size > start.size && last.set.size - start.size <= MOST_RUNGS)
		rungs.push(yield* swapped(sets, start, sets.scored(last.set)));
	return { rungs, isWhole, best: sets.wrongWith(new Set([...start, ...all])) };
}

/** A set with each of its things in turn changed for the one of its slot that does best in its place. */
function* swapped(
	sets: Sets,
	start: ReadonlySet<number>,
	found: ScoredSet
): Generator<RemedyProgress, ScoredSet, void> {
	const { candidates, cloths } = sets.trials;
	const all = [...candidates.keys()];
	let best = found;
	for (const index of found.set) {
		if (start.has(index)) continue;
		const rest = without(best.set, index);
		for (const [at, other] of all.entries()) {
			if (best.set.has(other) || cloths[other]!.slot !== cloths[index]!.slot) continue;
			const [usual, oneInTen] = best.score;
			const scored = sets.scoredWithin(added(rest, other), { usual, oneInTen });
			if (scored && isLess(scored.score, best.score)) best = scored;
			yield { task: 'trying', done: at, total: all.length };
		}
	}
	return best;
}

/** By thing of a set: candidates of the same slot that leave no more wrong in its place, the cheapest first. */
export function insteadIn(
	sets: Sets,
	start: ReadonlySet<number>,
	{ set, score }: ScoredSet
): Rung['instead'] {
	const { candidates, cloths } = sets.trials;
	const idOf = (index: number): string => candidates[index]!.thing.id;
	return [...set]
		.filter((index) => !start.has(index))
		.map((index) => {
			const rest = without(set, index);
			const others = cloths.flatMap(({ slot }, other) => {
				if (set.has(other) || slot === null || slot !== cloths[index]!.slot) return [];
				const limit = { usual: score[0], oneInTen: score[1] };
				const scored = sets.scoredWithin(added(rest, other), limit);
				return scored ? [{ ...scored, other }] : [];
			});
			return { thingId: idOf(index), others: others.sort(byScore).map(({ other }) => idOf(other)) };
		});
}

const choose = (n: number, k: number): number => {
	let ways = 1;
	for (let i = 0; i < k; i++) ways = (ways * (n - i)) / (i + 1);
	return ways;
};
function subsets(all: readonly number[], size: number): number[][] {
	if (size === 0) return [[]];
	return all.flatMap((one, at) => subsets(all.slice(at + 1), size - 1).map((rest) => [one, ...rest]));
}
