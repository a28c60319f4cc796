import { isAwake } from '../conditions/needs';
import { isFailing, type Verdict } from '../document/verdict';
import { WARM_EXTREMITY_C } from '../heat/extremities';
import { DRY, type Wetness } from '../heat/wet-cloth';
import type { PhaseVerdict } from '../judge/phase-verdict';
import { wetAfter } from './day-report';
import { quartered, waterKey } from './day/wet-day';
import type { TripChoice } from './choice/trip-choice';
import { type DayWater, inTimeOrder, type TripDays, type Waters } from './trip-days';
import { livedOf } from './trip-plan';

/** A trip lived through in what a plan wears: how wet that gets, and what a guide would be told of it. */

/** What words count when two plans are compared as they are told (our assumption, in the order of the words). */
const TOLD = { bad: 100, cool: 2, warm: 1 } as const;
/** Words that water may be the cause of. */
const isCold = (verdict: Verdict): boolean => isFailing(verdict) || verdict === 'cool';
/** What a phase counts: its word, and degrees within it, which count less than a word. */
function toldCost({ verdict, peakDebtWhm2, fingers, toes }: PhaseVerdict): number {
	const word = isFailing(verdict)
		? TOLD.bad
		: verdict === 'cool' || verdict === 'warm before a stop'
			? TOLD.cool
			: verdict === 'warm'
				? TOLD.warm
				: 0;
	const cold = (tempC: number): number => Math.max(0, WARM_EXTREMITY_C - tempC) / 100;
	return word + Math.max(0, peakDebtWhm2) / 200 + cold(fingers.lowestC) + cold(toes.lowestC);
}

/**
 * Water in what is worn, day by day, and what a guide would be told, in one number and day by day: the lower, the better.
 * @param firstMorning what is wet when the trip begins
 * @param heeded days whose water the search heeds: those on which a phase is cool or worse with it are added, and stay
 */
export function livedThrough(
	problem: TripDays,
	choice: TripChoice,
	firstMorning: Wetness,
	heeded = new Set<number>()
): { waters: Waters; told: number; toldOn: ReadonlyMap<number, number> } {
	const waters = new Map<number, DayWater>();
	const toldOn = new Map<number, number>();
	for (const weather of problem.trip.weathers) {
		let wet = firstMorning;
		for (const stage of inTimeOrder(problem.trip.stages)) {
			const own = problem.days.filter((day) => day.weather === weather && day.stage.id === stage.id);
			let next = DRY;
			for (const day of own) {
				if (!choice.dressed[day.index]) continue;
				const lived = livedOf(problem, choice, { ...day, morning: wet });
				const awake = lived.verdicts.filter(
					(phase): phase is PhaseVerdict => phase !== null && isAwake(phase.cell)
				);
				toldOn.set(
					day.index,
					awake.reduce((sum, phase) => sum + toldCost(phase), 0)
				);
				if (awake.some(({ verdict }) => isCold(verdict))) heeded.add(day.index);
				const cells = awake.map(({ wetness }) =>
					heeded.has(day.index) ? quartered(Object.entries(wetness)) : DRY
				);
				if (wet.size > 0 || cells.some(({ size }) => size > 0))
					waters.set(day.index, { morning: wet, cells });
				if (!day.foul && stage.bed.drying !== 'everything') next = wetAfter(lived, day.stage, problem);
			}
			wet = next;
		}
	}
	return { waters, told: [...toldOn.values()].reduce((sum, own) => sum + own, 0), toldOn };
}

/** Whether anybody would be told that they are cool or worse somewhere. */
export const isToldCold = ({ toldOn }: { toldOn: ReadonlyMap<number, number> }): boolean =>
	[...toldOn.values()].some((told) => told >= TOLD.cool);

/** A problem whose mornings are those of a choice. */
export function withMornings(problem: TripDays, choice: TripChoice, firstMorning: Wetness): TripDays {
	const { waters } = livedThrough(problem, choice, firstMorning);
	return {
		...problem,
		days: problem.days.map((day) => ({ ...day, morning: waters.get(day.index)?.morning ?? DRY }))
	};
}

/** Waters as the search sees them, in a form that can be compared; empty where it heeds none. */
export const keyOfWaters = (waters: Waters): string =>
	[...waters]
		.map(([day, { cells }]) => [day, waterKey(cells ?? [])] as const)
		.filter(([, key]) => key !== '')
		.join(';');
