import type { Cloth } from '../cloth/things';
import { schooled } from '../conditions/person';
import type { Client, Document } from '../document/types';
import { UNLIMITED } from '../plan/choice/constraints';
import { TripSolver } from '../plan/choice/trip-solver';
import { isNotAllRight } from '../plan/told/summary';
import { plannedDay, type TripPlan, verdictsOn } from '../plan/trip-plan';
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
import type { PhaseVerdict } from '../judge/phase-verdict';
import { finished } from '../search/steps';
import { type Candidate, clientWith, clothsOf } from './candidate';
import { isWithin, setKey } from './candidate-set';
import { type StartNeed, startNeedsOf } from './moments';

/**
 * Days of a trip dressed with some candidates beside the kit, one day at a time: quickly, since many sets are tried. What is
 * wet from the day before and the whole kit behind a core come only with the plan of a set that is worth it.
 */

/** How a day goes with a set of candidates. */
export interface TriedDay {
	/** moments that are not all right */
	wrong: number;
	/** candidates that it wears or carries */
	used: ReadonlySet<number>;
	/** what it cannot start without, worked out when asked */
	needs(): readonly StartNeed[];
}

/** A day that is dressed by itself, with what gets wet in it. */
interface SolvedDay {
	plan: TripPlan;
	day: TripDay;
	verdicts: readonly PhaseVerdict[];
	wrong: number;
	waters: Waters;
}
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
	const verdicts = verdictsOn(plan, day) ?? [];
	const wrong = verdicts.filter(({ verdict, cell }) =>
		isNotAllRight({ verdict, whatIf: cell.kind === 'what-if' })
	).length;
	return {
		plan,
		day,
		verdicts,
		wrong,
		waters: wrong > 0 ? livedThrough(single, choice, DRY).waters : new Map()
	};
}

export class Trials {
	private readonly client: Client;
	private readonly cells: KnownCells = new Map();
	private readonly problems = new Map<string, TripDays>();
	/** by key of the day: what is known of it, with the set that was open */
	private readonly known = new Map<string, { open: ReadonlySet<number>; tried: TriedDay }[]>();
	private readonly byId: ReadonlyMap<string, number>;
	/** the candidates as the computation sees them */
	readonly cloths: readonly Cloth[];
	/** by day of the trip */
	private readonly keys: readonly string[];
	/** days of the trip that are unlike, the first of each */
	readonly days: readonly TripDay[];
	/** by key of a day: how many days are like it, in the usual weather and in the others */
	readonly alike = new Map<string, { usual: number; rare: number }>();

	/** @param client of the document, whose kit is to be added to */
	constructor(
		private readonly document: Document,
		client: Client,
		readonly candidates: readonly Candidate[]
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
		const before = list.find(({ open, tried }) => isWithin(added, open) && isWithin(tried.used, added));
		if (before) return before.tried;
		const tried = this.dressed(index, added);
		list.push({ open: added, tried });
		return tried;
	}

	private dressed(index: number, added: ReadonlySet<number>): TriedDay {
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
		const { plan, day, wrong, verdicts } = wet && wet.wrong < dry.wrong ? wet : dry;
		let needs: readonly StartNeed[] | null = null;
		const worn = plan.choice.dressed[0]?.outfits.flat() ?? [];
		const slept = verdicts.filter(({ cell }) => cell.kind === 'sleep').flatMap(({ outfit }) => outfit);
		return {
			wrong,
			needs: () => (needs ??= startNeedsOf(plannedDay(plan, day)!)),
			used: new Set([
				...[...worn, ...slept].flatMap(({ cloth }) => this.byId.get(cloth.thingId) ?? []),
				// Gear is not worn, and may decide of a day all the same.
				...[...added].filter((index) => this.cloths[index]!.slot === null)
			])
		};
	}
}
