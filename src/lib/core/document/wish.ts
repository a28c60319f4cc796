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
