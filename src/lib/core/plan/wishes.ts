import { isAvailableOn } from '../cloth/things';
import type { Wish } from '../document/wish';
import type { Wardrobe } from '../outfit/legal-outfits';
import type { Constraints, WornAt } from './choice/constraints';
import type { TripDays } from './trip-days';

/** Things that stay at home, and things that must stay in the search, by id. */
export const idsOf = (wishes: readonly Wish[]): { left: Set<string>; kept: Set<string> } => ({
	left: new Set(wishes.filter(({ kind }) => kind === 'leave').map(({ thingId }) => thingId)),
	kept: new Set(wishes.filter(({ kind }) => kind !== 'leave').map(({ thingId }) => thingId))
});

/** Wishes as constraints on the things of a wardrobe; what is not in it cannot be wished for. */
export function constraintsOf(wishes: readonly Wish[], { days, wardrobe }: TripDays): Constraints {
	const all = (kind: Wish['kind']): Set<number> => new Set(indexesOf(wishes, kind, wardrobe));
	const wornAt = wishes
		.filter(({ kind }) => kind === 'wear')
		.flatMap(({ thingId, stageId, phaseId }): WornAt[] => {
			const thing = wardrobe.cloths.findIndex((cloth) => cloth.thingId === thingId);
			if (thing < 0) return [];
			return days
				.filter(({ stage }) => stage.id === stageId)
				.flatMap(({ index, cells }) =>
					cells.flatMap((cell, k) => (cell.phaseId === phaseId ? [{ day: index, cell: k, thing }] : []))
				);
		});
	return {
		left: all('leave'),
		taken: all('take'),
		preferred: all('prefer'),
		leftOn: notYetThere(days, wardrobe),
		wornAt
	};
}

/** What the client does not have yet, by stage. */
function notYetThere(days: TripDays['days'], { cloths }: Wardrobe): Constraints['leftOn'] {
	const later = cloths.flatMap(({ availableFrom }, thing) => (availableFrom === '' ? [] : [thing]));
	if (later.length === 0) return new Map();
	return new Map(
		days.map(({ stage }) => [
			stage.id,
			new Set(later.filter((thing) => !isAvailableOn(cloths[thing]!, stage.date)))
		])
	);
}

const indexesOf = (wishes: readonly Wish[], kind: Wish['kind'], { cloths }: Wardrobe): number[] =>
	wishes
		.filter((wish) => wish.kind === kind)
		.map(({ thingId }) => cloths.findIndex((cloth) => cloth.thingId === thingId))
		.filter((thing) => thing >= 0);
