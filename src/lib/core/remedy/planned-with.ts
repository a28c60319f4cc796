import type { Client, Document } from '../document/types';
import type { Verdict } from '../document/verdict';
import { documentPlan } from '../plan/planner';
import { momentKey } from '../plan/told/summary';
import { plannedDays, type TripPlan } from '../plan/trip-plan';
import { finished } from '../search/steps';
import { type Candidate, clientWith } from './candidate';
import { verdictsOn, type WrongMoment, wrongOn } from './moments';
import type { LeftWrong, RemedyProgress, SolvedMoment } from './remedies';

/** A trip as it is planned with some candidates beside the kit, whole, as the client's own plan is. */

export interface PlannedWith {
	plan: TripPlan;
	wrong: WrongMoment[];
	verdicts: Map<string, Verdict>;
}

/** @param added indexes into the candidates */
export function* plannedWith(
	document: Document,
	client: Client,
	candidates: readonly Candidate[],
	added: Iterable<number>
): Generator<RemedyProgress, PlannedWith, void> {
	const steps = documentPlan(document, clientWith(client, candidates, added));
	let step = steps.next();
	for (; !step.done; step = steps.next())
		yield { task: 'planning', done: step.value.done, total: step.value.total };
	const days = finished(plannedDays(step.value));
	return {
		plan: step.value,
		wrong: days.flatMap(wrongOn),
		verdicts: new Map(days.flatMap((day) => [...verdictsOn(day)]))
	};
}

/** How many moments are wrong, in the usual weather of a trip and in the others. */
export function leftOf(wrong: readonly WrongMoment[], { trip }: Document): LeftWrong {
	const usualId = trip.weathers[0]?.id;
	const usual = wrong.filter(({ weather }) => weather === usualId).length;
	return { usual, oneInTen: wrong.length - usual };
}

/** Moments that were wrong and are right now. */
export function solvedBy(before: PlannedWith, after: PlannedWith): SolvedMoment[] {
	const left = new Set(after.wrong.map(momentKey));
	return before.wrong.flatMap((moment): SolvedMoment[] => {
		const key = momentKey(moment);
		const to = after.verdicts.get(key);
		if (left.has(key) || !to) return [];
		const { weather, stageId, foul, phaseId, round, name, verdict } = moment;
		return [{ weather, stageId, foul, phaseId, round, name, from: verdict, to }];
	});
}
