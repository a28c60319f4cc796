import type { Client, Document, Site, Stage, Trip, Weather } from '../document/types';
import type { FixedOutfit } from '../document/worn';

import type { Wetness } from '../heat/wet-cloth';
import type { HittingSolver } from '../search/hitting-set';
import { schooled } from '../conditions/person';
import { isToldCold, keyOfWaters, livedThrough, withMornings } from './lived-through';

import { isSameWish, type Wish } from '../document/wish';
import { type PlannedStage } from '../kit/planned-day';
import { PENALTY } from '../rules/objective';
import { finished } from '../search/steps';
import { carriedOn, overfull, solveWithRoom } from './pack-limit';
import {
	inTimeOrder,
	type KnownCells,
	type Waters,
	searchedIds,
	tripDays,
	type TripDays,
	type Wardrobes,
	wardrobesOf
} from './trip-days';
import { LONG_DAY, type Progress, setOf, type SolveOptions, type TripChoice } from './choice/trip-choice';
import { TripSolver } from './choice/trip-solver';
import { withWorst } from './for-the-worst';
import { plannedDay, plannedDays, type TripPlan } from './trip-plan';
import { constraintsOf, idsOf } from './wishes';

export { plannedDay, plannedDays, type TripPlan, verdictsOn } from './trip-plan';

/** How far the planning is, and the plan so far where every day has one: as good as was found until then. */
export interface Planning extends Progress {
	soFar: TripPlan | null;
}

export interface TripAsked {
	trip: Trip;
	/** with the schools that hold */
	client: Client;
	wishes?: readonly Wish[];
	/** changes more a day for a lighter pack, in whole changes */
	spareChanges?: number;
}

/** The best choice for the wishes that can be met. */
interface Met {
	choice: TripChoice;
	fits: boolean;
	proven: boolean;
	impossible: Wish[];
}

function planOf(
	problem: TripDays,
	wishes: readonly Wish[],
	{ choice, fits, proven, impossible }: Met
): TripPlan {
	const { cloths, cut } = problem.wardrobe;
	const carried = new Map(
		[...carriedOn(problem, choice)].map(([id, things]) => [
			id,
			new Set([...things].map((thing) => cloths[thing]!.thingId))
		])
	);
	return {
		problem,
		choice,
		wishes,
		impossible,
		fits,
		proven:
			proven && choice.levelsProven && choice.massProven && choice.gaps.every((gap) => gap === 0) && !cut,
		carried
	};
}

/** Turns in which what is wet and what is worn are fitted to one another. */
const MOST_WATERS = 2;

/** Searches one client's trip again and again, and remembers what it has worked out. */
export class TripPlanner {
	private readonly solvers = new Map<string, TripSolver>();
	private readonly cells: KnownCells = new Map();

	/**
	 * @param given outfits that are given, for some phases or all of them: they are judged as they stand, even illegal ones,
	 * and the others are chosen around them
	 * @param firstMorning what is still wet when the trip begins
	 * @param last ids of what the plan that one has takes: it stays while no day gets plainly worse
	 */
	constructor(
		readonly trip: Trip,
		readonly client: Client,
		private readonly hit?: HittingSolver,
		private readonly given: readonly FixedOutfit[] = [],
		private readonly firstMorning: Wetness = new Map(),
		private readonly last: readonly string[] | null = null
	) {}

	/**
	 * A wardrobe that knows all of the kit does for any wish. A thinned one does when it has what shall be kept, and nothing
	 * that shall be left in whose place another thing might come; else it is thinned anew.
	 */
	private readonly wardrobes = new Map<string, Wardrobes>();
	private wardrobeFor(wishes: readonly Wish[]): { key: string; wardrobes: Wardrobes } {
		const made = (key: string, away: ReadonlySet<string>, missing: ReadonlySet<string>): Wardrobes => {
			const own = this.wardrobes.get(key) ?? wardrobesOf(this.client, away, missing, this.trip, this.cells);
			this.wardrobes.set(key, own);
			return own;
		};
		const usual = made('all', new Set(), new Set());
		if (!usual.first.cut) return { key: 'all', wardrobes: usual };
		const searched = searchedIds(usual.first);
		const { left, kept } = idsOf(wishes);
		const worn = new Set(this.given.flatMap((one) => one.worn.map(({ thingId }) => thingId)));
		const away = [...left].filter((id) => searched.has(id) && !worn.has(id));
		const missing = [...kept].filter((id) => !searched.has(id));
		if (away.length === 0 && missing.length === 0) return { key: 'all', wardrobes: usual };
		const key = JSON.stringify([away.sort(), missing.sort()]);
		return { key, wardrobes: made(key, new Set(away), new Set(missing)) };
	}

	/** What got wet in the plan that was made last. */
	private waters: Waters = new Map();
	/** The days as a plan with these wishes sees them, as wet as in the last plan: for trials that need no whole plan. */
	problemFor(wishes: readonly Wish[]): TripDays {
		const { first, whole } = this.wardrobeFor(wishes).wardrobes;
		const { waters, cells: known, given } = this;
		return tripDays(this.trip, this.client, first, { waters, known, given, whole });
	}

	private readonly made: { plan: TripPlan; spareChanges: number }[] = [];
	/** An earlier plan with things beside it that shall only come along: it will do until a use is found for them. */
	private withLuggage(wishes: readonly Wish[], spareChanges: number): TripPlan | null {
		const has = (list: readonly Wish[], wish: Wish): boolean => list.some((other) => isSameWish(other, wish));
		const addedTo = (plan: TripPlan): Wish[] => wishes.filter((wish) => !has(plan.wishes, wish));
		const plan = this.made
			.filter((one) => one.spareChanges === spareChanges)
			.map((one) => one.plan)
			.filter((one) => one.wishes.every((wish) => has(wishes, wish)))
			.filter((one) => addedTo(one).every(({ kind }) => kind === 'take'))
			.sort((a, b) => b.wishes.length - a.wishes.length)[0];
		if (!plan) return null;
		const added = addedTo(plan);
		const { problem, choice } = plan;
		const taken = new Set([...choice.taken, ...constraintsOf(added, problem).taken]);
		const set = setOf([...taken].map((thing) => problem.wardrobe.cloths[thing]!));
		return {
			...plan,
			wishes,
			choice: { ...choice, taken, levels: { ...choice.levels, ...set } },
			proven: false
		};
	}

	/**
	 * @param hurry whether a plan that is good enough is wanted by now, to be shown while the search goes on: the result is
	 * the same
	 * @returns the plan; when the search is stopped, the best so far, in which days may be missing
	 */
	*plan(
		wishes: readonly Wish[] = [],
		spareChanges = 0,
		isOver: () => boolean = () => false,
		hurry: () => boolean = () => false
	): Generator<Planning, TripPlan, void> {
		let soFar = this.withLuggage(wishes, spareChanges);
		if (soFar) yield { task: 'days', done: 0, total: soFar.problem.days.length, best: soFar.choice, soFar };
		const options: SolveOptions = {
			spare: spareChanges * 100,
			isOver,
			// One such plan is enough.
			hurry: () => soFar === null && hurry(),
			...(this.hit ? { hit: this.hit } : {})
		};
		const { key, wardrobes } = this.wardrobeFor(wishes);
		if (this.last) {
			const ids = new Set(this.last);
			options.last = new Set(
				wardrobes.first.cloths.flatMap(({ thingId }, index) => (ids.has(thingId) ? [index] : []))
			);
		}
		const days = (waters?: Waters): TripDays =>
			tripDays(this.trip, this.client, wardrobes.first, {
				waters,
				known: this.cells,
				given: this.given,
				whole: wardrobes.whole
			});
		const start = this.startWaters();
		const dry = days(start);
		const solver = this.solvers.get(key) ?? new TripSolver(dry);
		this.solvers.set(key, solver);
		solver.problem = dry;
		let shown: TripChoice | null = null;
		// Each search begins with the debts that the last one ended with.
		let fitted: SolveOptions['fitted'];
		const meet = function* (
			this: TripPlanner,
			more: Pick<SolveOptions, 'warmer' | 'whole'> = {}
		): Generator<Planning, Met, void> {
			const steps = this.met(solver, wishes, { ...options, ...more, ...(fitted ? { fitted } : {}) });
			for (let step = steps.next(); ; step = steps.next()) {
				if (step.done) {
					({ fitted } = step.value.choice);
					return step.value;
				}
				const { best } = step.value;
				if (best && best !== shown) {
					shown = best;
					const fits = overfull(solver.problem, best) === null;
					soFar = planOf(solver.problem, wishes, { choice: best, fits, proven: false, impossible: [] });
				}
				yield { ...step.value, soFar };
			}
		}.bind(this);
		let own = yield* meet();
		// What is wet follows from what is worn, and the other way round. The best by what is told of it stays.
		const known = new Set([`${keyOfWaters(start)} false`]);
		const heeded = new Set<number>();
		let lived = livedThrough(solver.problem, own.choice, this.firstMorning, heeded);
		let best = { own, problem: solver.problem, ...lived };
		// By day: the water that the search was given when it dressed it best.
		const givenBest = new Map([...lived.toldOn].map(([day, told]) => [day, { told, water: start.get(day) }]));
		/** Dresses the days once more, given some water; false where that is known, or takes too long. */
		const turn = function* (
			this: TripPlanner,
			waters: Waters,
			warmer = false
		): Generator<Planning, boolean, void> {
			const key = `${keyOfWaters(waters)} ${warmer}`;
			if (isOver() || known.has(key) || isTooLong(solver.problem, own.choice)) return false;
			known.add(key);
			soFar = planOf(best.problem, wishes, { ...best.own, proven: false });
			solver.problem = days(waters);
			own = yield* meet({ warmer });
			lived = livedThrough(solver.problem, own.choice, this.firstMorning, heeded);
			for (const [day, told] of lived.toldOn)
				if (told < (givenBest.get(day)?.told ?? Infinity) - 1e-6)
					givenBest.set(day, { told, water: waters.get(day) });
			if (lived.told <= best.told) best = { own, problem: solver.problem, ...lived };
			return true;
		}.bind(this);
		for (let turns = 0; turns < MOST_WATERS; turns++) if (!(yield* turn(lived.waters))) break;
		// What is better on one day may be worse on another: each as it was dressed best.
		const each = (): Waters =>
			new Map([...givenBest].flatMap(([day, { water }]) => (water ? [[day, water] as const] : [])));
		yield* turn(each());
		// Where hands or feet stay cold, the body is dressed warmer for their sake, with the water in which they get cold.
		if (isToldCold(best)) {
			yield* turn(best.waters, true);
			yield* turn(each(), true);
		}
		({ own } = best);
		this.waters = best.waters;
		solver.problem = best.problem;
		// What is wet is settled: now the whole kit, where a core of it was searched, and what is unusual where that is not enough.
		const isCold = own.choice.dayLevels.some(({ penalty }) => penalty >= PENALTY.word);
		if ((wardrobes.whole || isCold) && !isOver()) {
			soFar = planOf(solver.problem, wishes, { ...own, proven: false });
			own = yield* meet({ warmer: true, whole: true });
		}
		const chosen = planOf(withMornings(solver.problem, own.choice, this.firstMorning), wishes, own);
		const plan = isOver() ? chosen : withWorst(chosen);
		if (!isOver()) this.made.push({ plan, spareChanges });
		return plan;
	}

	/** The best choice for the wishes; those that cannot be met are let go, the last one first. */
	private *met(
		solver: TripSolver,
		wishes: readonly Wish[],
		options: SolveOptions
	): Generator<Progress, Met, void> {
		const impossible: Wish[] = [];
		let held = [...wishes];
		for (;;) {
			const found = yield* solveWithRoom(solver, constraintsOf(held, solver.problem), options);
			if (found) return { ...found, impossible };
			const at = Math.max(
				held.findLastIndex(({ kind }) => kind === 'wear'),
				held.findLastIndex(({ kind }) => kind === 'leave')
			);
			if (at < 0) throw new RangeError('the kit leaves nothing to wear, allowed is at least one outfit');
			impossible.push(held[at]!);
			held = held.filter((_, i) => i !== at);
		}
	}

	/** What is wet on the first morning, in every weather. */
	private startWaters(): Waters {
		const [first] = inTimeOrder(this.trip.stages);
		if (!first || this.firstMorning.size === 0) return new Map();
		const perStage = this.trip.stages.map((stage) => (stage.foul ? 2 : 1));
		const perWeather = perStage.reduce((sum, days) => sum + days, 0);
		const water = { morning: this.firstMorning, cells: null };
		return new Map(
			this.trip.weathers.flatMap((_, w) =>
				(first.foul ? [0, 1] : [0]).map((variant) => [w * perWeather + variant, water] as const)
			)
		);
	}
}

/** Whether a day could not be searched to its end, so that it is not searched once more for what is wet in it. */
const isTooLong = ({ days }: TripDays, { gaps }: TripChoice): boolean =>
	days.some(({ cells, index }) => cells.length > LONG_DAY && gaps[index]! > 0);

/** Plans a trip from beginning to end. */
export const planTrip = ({ trip, client, wishes, spareChanges }: TripAsked): TripPlan =>
	finished(new TripPlanner(trip, client).plan(wishes, spareChanges));

/**
 * One stage in one weather, planned as a trip that has no other: its foul-weather variant is left out.
 * @param given outfits that are given, for some phases or all of them
 * @param site where the trip is, for dawn and daylight
 * @param morning what is still wet from the day before
 * @throws RangeError when a given outfit names a thing that is not in the kit
 */
export function planStage(
	stage: Stage,
	weather: Weather,
	client: Client,
	given: readonly FixedOutfit[] = [],
	site: Site | null = null,
	morning: Wetness = new Map()
): PlannedStage {
	const trip: Trip = {
		id: stage.id,
		name: '',
		place: '',
		site,
		weathers: [weather],
		stages: [{ ...stage, foul: null }],
		version: 1,
		deletedAt: null
	};
	const plan = finished(new TripPlanner(trip, client, undefined, given, morning).plan());
	return plannedDay(plan, plan.problem.days[0]!)!;
}

/** What is wished of the plan of a document. */
export interface DocumentWishes {
	/** outfits that are given, for some phases or all of them */
	fixed?: readonly FixedOutfit[];
	wishes?: readonly Wish[];
	spareChanges?: number;
	hit?: HittingSolver;
	/** ids of what the plan that one has takes */
	last?: readonly string[];
}

/** The plan of a document for one of its clients, with the schools that hold. A step at a time. */
export const documentPlan = (
	document: Document,
	ofDocument: Client,
	{ fixed = [], wishes = [], spareChanges = 0, hit, last }: DocumentWishes = {}
): Generator<Planning, TripPlan, void> =>
	new TripPlanner(document.trip, schooled(ofDocument, document), hit, fixed, new Map(), last ?? null).plan(
		wishes,
		spareChanges
	);

/**
 * All stages of a document in all its weathers, each with its foul-weather variant, for one of its clients: one set taken
 * for all of them. What is wet in the evening and does not dry is wet on the next stage. A step at a time.
 */
export function* documentSteps(
	document: Document,
	client: Client,
	wished: DocumentWishes = {}
): Generator<unknown, PlannedStage[], void> {
	return yield* plannedDays(yield* documentPlan(document, client, wished));
}
export const planDocument = (
	document: Document,
	client: Client,
	fixed: readonly FixedOutfit[] = []
): PlannedStage[] => finished(documentSteps(document, client, { fixed }));
