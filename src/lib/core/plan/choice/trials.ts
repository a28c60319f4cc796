import { PENALTY } from '../../rules/objective';
import { coldCells, type ForOthers, LOSS_WEIGHT, STEP_WEIGHTS } from '../day/warmer-body';
import type { SolverDay, TripChoice } from './trip-choice';

/** How to weigh what parts do for one another on a day; null where it would gain nothing. */
export interface Trial {
	weigh: (day: SolverDay, choice: TripChoice, own: ForOthers) => ForOthers | null;
	/** so much better a day has to be for it, as a penalty */
	better: number;
}

/** In turn: hands and feet for the sake of the body, then the body for theirs, more and more. */
export const TRIALS: readonly Trial[] = [
	{
		weigh: (day, { bodyByDay, debts }, own) =>
			bodyByDay[day.index]! >= PENALTY.word
				? { ...own, limbs: coldCells(day, debts[day.index]!).map((is) => (is ? LOSS_WEIGHT : 0)) }
				: null,
		better: 0
	},
	...STEP_WEIGHTS.map(({ weight, from, better }): Trial => ({
		weigh: (day, { limbs }, own) => {
			const { gain, gaining } = limbs[day.index]!;
			return gain >= from ? { ...own, body: own.body.map((old, k) => (gaining[k] ? weight : old)) } : null;
		},
		better
	}))
];
