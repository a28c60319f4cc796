import { isAvailableOn } from '../cloth/things';
import type { PhaseVerdict } from '../judge/phase-verdict';
import type { PlannedStage } from '../kit/planned-day';
import type { Wish } from '../document/wish';
import type { LivedStage } from '../judge/verdicts';
import { type ChosenDay, type JudgedDay, judgedDay, livedDay, reportedDay, whatIfOn } from './day-report';
import type { Dressed } from './day/day-problem';
import type { TripDay, TripDays } from './trip-days';
import type { TripChoice } from './choice/trip-choice';

/**
 * The plan of a whole trip for one client: the search, then what is wet in the mornings, then the search again where that
 * matters; and the days of it as pages show them.
 */
export interface TripPlan {
	problem: TripDays;
	choice: TripChoice;
	wishes: readonly Wish[];
	/** wishes that nothing can be found for */
	impossible: readonly Wish[];
	/** everything goes into the pack, in every phase */
	fits: boolean;
	/** no lighter set does as well, among the outfits that were searched */
	proven: boolean;
	/** ids of what is carried on each stage */
	carried: ReadonlyMap<string, ReadonlySet<string>>;
}

function chosenDay(problem: TripDays, choice: TripChoice, day: TripDay): ChosenDay {
	const levels = choice.dayLevels[day.index]!;
	const gap = choice.gaps[day.index]!;
	return {
		stage: day.stage,
		weather: day.weather,
		client: problem.client,
		answered: problem.answered,
		kit: problem.kit.filter((cloth) => isAvailableOn(cloth, day.stage.date)),
		cells: day.all,
		choice: {
			...choice.dressed[day.index]!,
			levels: { ...levels, massG: choice.levels.massG },
			proven: gap === 0 && (!problem.wardrobe.cut || choice.isWhole),
			gap
		},
		cut: problem.wardrobe.cut && !(choice.isWhole && gap === 0),
		morning: day.morning,
		goesOn: problem.trip.stages.some(({ date }) => date > day.stage.date),
		givenWhatIfs: day.givenWhatIfs
	};
}

const livedKnown = new WeakMap<Dressed, Map<string, LivedStage>>();
/** A day lived through in what a choice wears, worked out once as long as that is the same: everything but its what-ifs. */
export function livedOf(problem: TripDays, choice: TripChoice, day: TripDay): LivedStage {
	const dressed = choice.dressed[day.index]!;
	const known = livedKnown.get(dressed) ?? new Map<string, LivedStage>();
	livedKnown.set(dressed, known);
	const key = JSON.stringify([...day.morning]);
	const lived = known.get(key) ?? livedDay(chosenDay(problem, choice, day));
	known.set(key, lived);
	return lived;
}

/**
 * The verdicts of the what-ifs of a day.
 * @param along things that are carried beside what is worn on the day, by id
 */
export function whatIfsOf(
	problem: TripDays,
	choice: TripChoice,
	day: TripDay,
	along: ReadonlySet<string>
): PhaseVerdict[] {
	const stage = livedOf(problem, choice, day);
	const chosen = { ...chosenDay(problem, choice, day), alsoCarried: along };
	return day.all.filter(({ kind }) => kind === 'what-if').map((cell) => whatIfOn(chosen, stage, cell));
}

const judgedKnown = new WeakMap<LivedStage, Map<string, JudgedDay>>();
/**
 * The verdicts of a day, worked out once as long as the same is worn and carried.
 * @param along things that are carried beside what is worn on the day, by id
 */
function judgedOf(
	problem: TripDays,
	choice: TripChoice,
	day: TripDay,
	along: ReadonlySet<string>
): JudgedDay {
	const stage = livedOf(problem, choice, day);
	const known = judgedKnown.get(stage) ?? new Map<string, JudgedDay>();
	judgedKnown.set(stage, known);
	const key = JSON.stringify([...along].sort());
	const judged =
		known.get(key) ?? judgedDay({ ...chosenDay(problem, choice, day), alsoCarried: along }, stage);
	known.set(key, judged);
	return judged;
}

const carriedOn = ({ carried }: TripPlan, day: TripDay): ReadonlySet<string> =>
	carried.get(day.stage.id) ?? new Set<string>();

/** The verdicts of one day of a plan; null where the search was stopped before it. */
export const verdictsOn = (plan: TripPlan, day: TripDay): PhaseVerdict[] | null =>
	plan.choice.dressed[day.index]
		? judgedOf(plan.problem, plan.choice, day, carriedOn(plan, day)).verdicts
		: null;

/** One day of a plan as its page shows it; null where the search was stopped before it. */
export function plannedDay(plan: TripPlan, day: TripDay): PlannedStage | null {
	const { problem, choice } = plan;
	if (!choice.dressed[day.index]) return null;
	const alsoCarried = carriedOn(plan, day);
	const chosen = { ...chosenDay(problem, choice, day), alsoCarried };
	return { ...reportedDay(chosen, judgedOf(problem, choice, day, alsoCarried)), foul: day.foul };
}

/** Days of a plan as their pages show them, in the order in which the trip names its weathers and stages. */
export function* plannedDays(plan: TripPlan): Generator<void, PlannedStage[], void> {
	const { trip, days } = plan.problem;
	const planned: PlannedStage[] = [];
	for (const day of days) {
		planned.push(plannedDay(plan, day)!);
		yield;
	}
	return trip.weathers.flatMap(({ id: weather }) =>
		trip.stages.flatMap(({ id }) => planned.filter((one) => one.weather === weather && one.stageId === id))
	);
}
