import type { Cell } from '../../conditions/cells';
import type { Person } from '../../conditions/person';
import type { Wardrobe } from '../../outfit/legal-outfits';
import { finished } from '../../search/steps';
import { UNLIMITED } from '../choice/constraints';
import type { TripLevels } from '../choice/trip-choice';
import { TripSolver } from '../choice/trip-solver';
import { type Dressed } from './day-problem';
import { dayOf, type Start } from './limb-judges';

export interface StagePlan extends Dressed {
	levels: TripLevels;
	/** the same of trunk, legs and head alone, given what the rest wears: this part is the least there is */
	bodyLevels: TripLevels;
	/** every legal outfit was searched, and no lighter set of things does as well */
	proven: boolean;
}

/**
 * What to wear in the cells of one day by itself: the search of a trip that has no other day.
 * @param start how cold one comes into it; null in the morning
 * @throws RangeError when outfits are given that leave no way through the day
 */
export function dressDay(
	cells: readonly Cell[],
	wardrobe: Wardrobe,
	person: Person,
	start: Start | null = null
): StagePlan {
	const day = { ...dayOf(cells, wardrobe, person, start), index: 0, key: '', stage: { id: '' } };
	const choice = finished(new TripSolver({ wardrobe, days: [day] }).solve(UNLIMITED));
	const dressed = choice?.dressed[0];
	if (!choice || !dressed)
		throw new RangeError('the kit leaves nothing to wear, allowed is at least one outfit');
	const { levels, bodyLevels, levelsProven, massProven } = choice;
	return { ...dressed, levels, bodyLevels, proven: levelsProven && massProven && !wardrobe.cut };
}
