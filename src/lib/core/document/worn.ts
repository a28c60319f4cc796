/** An outfit that is given instead of chosen. */
export interface FixedOutfit {
	weather?: string;
	stageId: string;
	phaseId: string;
	/** round of a loop, from 1; all rounds when left out */
	round?: number;
	worn: WornThing[];
}

export const OPENINGS = ['closed', 'vented', 'open'] as const;
export type Opening = (typeof OPENINGS)[number];
export interface WornThing {
	thingId: string;
	opening: Opening;
}
