import { factorOf, kindOf } from '../../cloth/factors';
import type { Wish } from '../../document/wish';
import { finished } from '../../search/steps';
import type { TripPlan, TripPlanner } from '../planner';
import { isBetter, type Progress, weighed } from '../choice/trip-choice';
import { TripSolver } from '../choice/trip-solver';
import type { TripDays } from '../trip-days';
import { constraintsOf } from '../wishes';

/** Why a thing stays at home: the plan with it, worn where that costs least. */
export interface Place {
	stageId: string;
	phaseId: string;
}

/** Places that are tried for one thing. */
const MOST_PLACES = 10;
/** Of those, the likeliest by their own day are planned whole: what the rest of the trip makes of them may differ. */
const MOST_PLANNED = 2;

/**
 * Phases in which a thing could have its place, the likeliest ones first: those in which most of its kind is worn, over all
 * weathers, then in the order of the trip.
 */
export function placesFor({ problem, choice }: TripPlan, thingId: string, most = MOST_PLACES): Place[] {
	const cloth = problem.kit.find((one) => one.thingId === thingId);
	if (!cloth) return [];
	const worn = new Map<string, { place: Place; alike: number; at: number }>();
	for (const day of problem.days) {
		day.cells.forEach((cell, k) => {
			if (cell.heated || cell.kind === 'sleep' || cell.kind === 'what-if') return;
			const key = JSON.stringify([day.stage.id, cell.phaseId]);
			const place = { stageId: day.stage.id, phaseId: cell.phaseId };
			const own = worn.get(key) ?? { place, alike: 0, at: worn.size };
			worn.set(key, own);
			for (const layer of choice.dressed[day.index]?.outfits[k] ?? [])
				if (factorOf(layer.cloth) === factorOf(cloth) && kindOf(layer.cloth) === kindOf(cloth)) own.alike++;
		});
	}
	return [...worn.values()]
		.sort((a, b) => b.alike - a.alike || a.at - b.at)
		.slice(0, most)
		.map(({ place }) => place);
}

const wornAt = (thingId: string, place: Place): Wish => ({ kind: 'wear', thingId, ...place });

/**
 * Places in the order of what it costs to wear a thing there, those in which it cannot be worn left out. Only the days of a
 * place's own stage are dressed for it, as wet as in the plan and in two turns: a whole plan for each would take ten times as long as the plan
 * that is told in the end.
 */
function* placesByCost(
	planner: TripPlanner,
	plan: TripPlan,
	thingId: string,
	isOver: () => boolean
): Generator<Progress, Place[], void> {
	const places = placesFor(plan, thingId);
	if (places.length < 2) return places;
	const problem = planner.problemFor([...plan.wishes, wornAt(thingId, places[0]!)]);
	/** What the days of a stage come to; infinite where a wish cannot be met. */
	const costOn = (stageId: string): ((wishes: readonly Wish[]) => number) => {
		const days = problem.days
			.filter(({ stage }) => stage.id === stageId)
			.map((day, index) => ({ ...day, index, whole: null }));
		const own: TripDays = { ...problem, days };
		const solver = new TripSolver(own);
		return (wishes) => {
			const choice = finished(solver.solve(constraintsOf(wishes, own), { levelsOnly: true, turns: 2 }));
			return choice ? weighed(choice.levels) : Infinity;
		};
	};
	const stages = new Map<string, { cost: ReturnType<typeof costOn>; without: number }>();
	const costs: { place: Place; more: number }[] = [];
	for (const place of places) {
		if (isOver()) break;
		let stage = stages.get(place.stageId);
		if (!stage) {
			const cost = costOn(place.stageId);
			stages.set(place.stageId, (stage = { cost, without: cost(plan.wishes) }));
		}
		costs.push({ place, more: stage.cost([...plan.wishes, wornAt(thingId, place)]) - stage.without });
		yield { task: 'days', done: costs.length, total: places.length, best: null };
	}
	return costs
		.filter(({ more }) => more < Infinity)
		.sort((a, b) => a.more - b.more)
		.map(({ place }) => place);
}

/**
 * The plan with a thing that stays at home, worn in the phase in which that costs least.
 * @param plan as it is, with these wishes
 * @returns null when it can be worn in none of the places that were tried
 */
export function* whyNot(
	planner: TripPlanner,
	plan: TripPlan,
	thingId: string,
	spareChanges = 0,
	isOver: () => boolean = () => false
): Generator<Progress, { place: Place; plan: TripPlan } | null, void> {
	let best: { place: Place; plan: TripPlan } | null = null;
	let planned = 0;
	for (const place of yield* placesByCost(planner, plan, thingId, isOver)) {
		if (isOver() || planned === MOST_PLANNED) break;
		const found = yield* planner.plan([...plan.wishes, wornAt(thingId, place)], spareChanges, isOver);
		if (isOver() || found.impossible.some((one) => one.thingId === thingId)) continue;
		planned++;
		if (!best || isBetter(found.choice.levels, best.plan.choice.levels)) best = { place, plan: found };
	}
	return best;
}
