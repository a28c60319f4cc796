import type { Cloth } from '../cloth/things';
import { schooled } from '../conditions/person';
import type { Client, Document } from '../document/types';
import { UNLIMITED } from '../plan/choice/constraints';
import { TripSolver } from '../plan/choice/trip-solver';
import { isNotAllRight } from '../plan/told/summary';
import { documentPlan } from '../plan/planner';
import { livedOf, plannedDay, type TripPlan } from '../plan/trip-plan';
import {
	type KnownCells,
	type TripDay,
	tripDays,
	type TripDays,
	wardrobesOf,
	type Waters
} from '../plan/trip-days';
import { livedThrough } from '../plan/lived-through';
import { DRY } from '../heat/wet-cloth';
import type { Verdict } from '../document/verdict';
import type { PhaseVerdict } from '../judge/phase-verdict';
import { finished } from '../search/steps';
import { type Candidate, clientWith, clothsOf } from './candidate';
import { isWithin, setKey } from './candidate-set';
import { type StartNeed, startNeedsOf } from './moments';

/**
 * Days of a trip dressed with some candidates beside the kit, one day at a time. A short trip with a few candidates is planned
 * as a plan is; else a day is dressed more quickly, since many sets are tried: what is wet from the day before and the whole
 * kit behind a core come only with the plan of a set that is worth it.
 */

/** How a day goes with a set of candidates. */
export interface TriedDay {
	/** moments that are not all right */
	wrong: number;
	/** candidates that it wears or carries */
	used: ReadonlySet<number>;
	/** how each moment goes, what-ifs left out, by its key on the day */
	words: ReadonlyMap<string, Verdict>;
	/** what it cannot start without, worked out when asked */
	needs(): readonly StartNeed[];
}

/** A day that was tried, as it is kept. */
export interface RememberedDay {
	key: string;
	open: readonly number[];
	wrong: number;
	used: readonly number[];
	words: readonly (readonly [string, Verdict])[];
}

/** A day that is dressed by itself, with what gets wet in it. */
interface SolvedDay {
	plan: TripPlan;
	day: TripDay;
	verdicts: readonly PhaseVerdict[];
	wrong: number;
	waters: Waters;
}
/** Verdicts of a day but those of its what-ifs: these are no fault of a kit, and take a fifth of the time to work out. */
const verdictsOf = ({ problem, choice }: TripPlan, day: TripDay): PhaseVerdict[] =>
	choice.dressed[day.index]
		? livedOf(problem, choice, day).verdicts.filter((verdict) => verdict !== null)
		: [];
const wrongOf = (verdicts: readonly PhaseVerdict[]): number =>
	verdicts.filter(({ verdict }) => isNotAllRight({ verdict, whatIf: false })).length;

function solvedDay(problem: TripDays, index: number): SolvedDay {
	const day = { ...problem.days[index]!, index: 0, whole: null };
	const single: TripDays = { ...problem, days: [day] };
	const choice = finished(new TripSolver(single).solve(UNLIMITED, { levelsOnly: true, turns: 2 }))!;
	const plan: TripPlan = {
		problem: single,
		choice,
		wishes: [],
		impossible: [],
		fits: true,
		proven: false,
		carried: new Map()
	};
	const verdicts = verdictsOf(plan, day);
	const wrong = wrongOf(verdicts);
	return {
		plan,
		day,
		verdicts,
		wrong,
		waters: wrong > 0 ? livedThrough(single, choice, DRY).waters : new Map()
	};
}

/** Unlike days of a trip up to which trials take the time of a plan. */
const SHORT_TRIP = 3;
/** Candidates up to which all of them are tried with each other. */
export const FEW_CANDIDATES = 16;

export class Trials {
	private readonly client: Client;
	private readonly cells: KnownCells = new Map();
	private readonly problems = new Map<string, TripDays>();
	/** by key of the day: what is known of it, with the set that was open */
	private readonly known = new Map<string, { open: ReadonlySet<number>; tried: TriedDay }[]>();
	private readonly fresh: RememberedDay[] = [];
	private readonly byId: ReadonlyMap<string, number>;
	/** the candidates as the computation sees them */
	readonly cloths: readonly Cloth[];
	/** by day of the trip */
	private readonly keys: readonly string[];
	/** days of the trip that are unlike, the first of each */
	readonly days: readonly TripDay[];
	/** whether each day is planned as a plan does it, since there are few of them and little to choose from */
	readonly isShort: boolean;
	/** by key of a day: how many days are like it, in the usual weather and in the others */
	readonly alike = new Map<string, { usual: number; rare: number }>();

	/**
	 * @param client of the document, whose kit is to be added to
	 * @param shortDays unlike days up to which each is planned as a plan does it; without it that takes few candidates too
	 */
	constructor(
		private readonly document: Document,
		client: Client,
		readonly candidates: readonly Candidate[],
		shortDays?: number
	) {
		this.client = schooled(client, document);
		this.cloths = clothsOf(candidates, this.client.uses);
		this.byId = new Map(candidates.map(({ thing }, index) => [thing.id, index]));
		const { days } = this.problemOf(new Set());
		const [usual] = document.trip.weathers;
		// What is there late counts from its day on, so days are alike only on the same date then.
		const isDated = candidates.some(({ thing }) => thing.facts.availableFrom);
		this.keys = days.map(({ key, stage }) => (isDated ? `${key} ${stage.date}` : key));
		const first = new Map<string, TripDay>();
		for (const day of days) {
			const key = this.keyOf(day.index);
			if (!first.has(key)) first.set(key, day);
			const many = this.alike.get(key) ?? { usual: 0, rare: 0 };
			if (day.weather.id === usual?.id) many.usual++;
			else many.rare++;
			this.alike.set(key, many);
		}
		this.days = [...first.values()];
		this.isShort =
			shortDays === undefined
				? this.days.length <= SHORT_TRIP && candidates.length <= FEW_CANDIDATES
				: this.days.length <= shortDays;
	}

	/** What days that are alike share. @param index of the day in the trip */
	keyOf(index: number): string {
		return this.keys[index]!;
	}

	private problemOf(added: ReadonlySet<number>): TripDays {
		const key = setKey(added);
		const known = this.problems.get(key);
		if (known) return known;
		const { trip } = this.document;
		const client = clientWith(this.client, this.candidates, added);
		const { first } = wardrobesOf(client, new Set(), new Set(), trip, this.cells);
		const made = tripDays(trip, client, first, { known: this.cells });
		this.problems.set(key, made);
		return made;
	}

	/** How many moments of a day are wrong with a set at least and at most, by what is known: more things never do worse. */
	within(index: number, added: ReadonlySet<number>): { least: number; most: number } {
		if (this.isShort) {
			const { wrong } = this.on(index, added);
			return { least: wrong, most: wrong };
		}
		const list = this.known.get(this.keyOf(index)) ?? [];
		let [least, most] = [0, Infinity];
		for (const { open, tried } of list) {
			if (tried.wrong > least && isWithin(added, open)) least = tried.wrong;
			if (tried.wrong < most && isWithin(open, added)) most = tried.wrong;
		}
		return { least, most };
	}

	/**
	 * A day with a set of candidates. What was found with more of them open stands, where nothing that it uses is missing now.
	 * @param index of the day in the trip
	 */
	on(index: number, added: ReadonlySet<number>): TriedDay {
		const key = this.keyOf(index);
		const list = this.known.get(key) ?? [];
		this.known.set(key, list);
		const before = list.find(({ open, tried }) =>
			this.isShort ? setKey(open) === setKey(added) : isWithin(added, open) && isWithin(tried.used, added)
		);
		if (before) return before.tried;
		const tried = this.dressed(index, added);
		list.push({ open: added, tried });
		const { wrong, used, words } = tried;
		this.fresh.push({ key, open: [...added], wrong, used: [...used], words: [...words] });
		return tried;
	}

	/** What was tried since this was asked last. */
	news(): RememberedDay[] {
		return this.fresh.splice(0);
	}
	/** Takes up what was tried before, with the same kit and candidates on the same trip. */
	remember(days: readonly RememberedDay[]): void {
		for (const { key, open, wrong, used, words } of days) {
			const day = this.days.find(({ index }) => this.keyOf(index) === key);
			if (!day) continue;
			const added = new Set(open);
			const tried = {
				wrong,
				used: new Set(used),
				words: new Map(words),
				needs: () => this.dressed(day.index, added).needs()
			};
			this.known.set(key, [...(this.known.get(key) ?? []), { open: added, tried }]);
		}
	}

	/** A day planned as a trip of its own, as the client's plan is. */
	private planned(index: number, added: ReadonlySet<number>): TriedDay {
		const { stage, weather, foul } = this.days.find((day) => day.index === index)!;
		const trip = { ...this.document.trip, weathers: [weather], stages: [stage] };
		const client = clientWith(this.client, this.candidates, added);
		const plan = finished(documentPlan({ ...this.document, trip }, client));
		const day = plan.problem.days.find((one) => one.foul === foul)!;
		const verdicts = verdictsOf(plan, day);
		return this.tried({ plan, day, verdicts, wrong: wrongOf(verdicts) }, added);
	}

	private dressed(index: number, added: ReadonlySet<number>): TriedDay {
		if (this.isShort) return this.planned(index, added);
		const problem = this.problemOf(added);
		const dry = solvedDay(problem, index);
		// As a plan does: what is told cold once what gets wet counts is dressed again with that in mind.
		const water = dry.wrong > 0 && dry.waters.get(0);
		const wet = water
			? solvedDay(
					tripDays(this.document.trip, this.client, problem.wardrobe, {
						waters: new Map([[index, water]]),
						known: this.cells
					}),
					index
				)
			: null;
		return this.tried(wet && wet.wrong < dry.wrong ? wet : dry, added);
	}

	private tried(
		{ plan, day, verdicts, wrong }: Omit<SolvedDay, 'waters'>,
		added: ReadonlySet<number>
	): TriedDay {
		let needs: readonly StartNeed[] | null = null;
		const worn = plan.choice.dressed[day.index]?.outfits.flat() ?? [];
		const slept = verdicts.filter(({ cell }) => cell.kind === 'sleep').flatMap(({ outfit }) => outfit);
		return {
			wrong,
			words: new Map(verdicts.map(({ cell, verdict }) => [`${cell.phaseId} ${cell.round}`, verdict])),
			needs: () => (needs ??= startNeedsOf(plannedDay(plan, day)!)),
			used: new Set([
				...[...worn, ...slept].flatMap(({ cloth }) => this.byId.get(cloth.thingId) ?? []),
				// Gear is not worn, and may decide of a day all the same.
				...[...added].filter((index) => this.cloths[index]!.slot === null)
			])
		};
	}
}
