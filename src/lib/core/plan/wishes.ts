import type { Wardrobe } from '../outfit/legal-outfits';
import type { Constraints, WornAt } from './constraints';
import type { TripDays } from './trip-days';

/**
 * What a guide wants of a plan: a thing comes along, is worn in a phase, stays at home, or is liked better than others.
 */
export const WISH_KINDS = ['take', 'wear', 'leave', 'prefer'] as const;
export interface Wish {
	kind: (typeof WISH_KINDS)[number];
	thingId: string;
	/** for `wear`: where */
	stageId?: string;
	phaseId?: string;
}

/** How far one may go for a lighter pack: changes more a day. */
export const SPARE_CHANGES = [0, 1, 2, 4] as const;

export const isSameWish = (a: Wish, b: Wish): boolean =>
	a.kind === b.kind && a.thingId === b.thingId && a.stageId === b.stageId && a.phaseId === b.phaseId;

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
		leftOn: new Map(),
		wornAt
	};
}

const indexesOf = (wishes: readonly Wish[], kind: Wish['kind'], { cloths }: Wardrobe): number[] =>
	wishes
		.filter((wish) => wish.kind === kind)
		.map(({ thingId }) => cloths.findIndex((cloth) => cloth.thingId === thingId))
		.filter((thing) => thing >= 0);
