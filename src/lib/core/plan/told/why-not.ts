import { factorOf, kindOf } from '../../cloth/factors';
import type { Wish } from '../../document/wish';
import type { TripPlan, TripPlanner } from '../planner';
import { isBetter, type Progress } from '../choice/trip-choice';

/** Why a thing stays at home: the plan with it, worn where that costs least. */
export interface Place {
	stageId: string;
	phaseId: string;
}

/** Places that are tried for one thing. */
const MOST_PLACES = 10;

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
	for (const place of placesFor(plan, thingId)) {
		if (isOver()) break;
		const wish: Wish = { kind: 'wear', thingId, ...place };
		const found = yield* planner.plan([...plan.wishes, wish], spareChanges, isOver);
		if (isOver() || found.impossible.some((one) => one.thingId === thingId)) continue;
		if (!best || isBetter(found.choice.levels, best.plan.choice.levels)) best = { place, plan: found };
	}
	return best;
}
