import type { Verdict } from '../document/verdict';
import type { Moment, StartNeed, WrongMoment } from './moments';

/** What to get, as it is answered. */

/** Moments left wrong: in the usual weather, which comes first, and in those of one year in ten. */
export interface LeftWrong {
	usual: number;
	oneInTen: number;
}

/** A moment that a set changes for the better. */
export interface SolvedMoment extends Moment {
	name: string;
	from: Verdict;
	to: Verdict;
}

export interface Rung {
	/** ids of the things to get, beside what the trip cannot start without */
	add: string[];
	leftWrong: LeftWrong;
	/** all that is to be got up to here, what the trip cannot start without included */
	cost: number;
	massG: number;
	solves: SolvedMoment[];
	/** by thing: what could be taken in its place, the cheapest first */
	instead: { thingId: string; others: string[] }[];
}

/** Gear that a day cannot start without, and what to get for it; null where no candidate does. */
export interface CannotStart extends StartNeed {
	stageIds: string[];
	add: string | null;
}

export interface Remedies {
	/** wrong with the kit as it is */
	now: LeftWrong;
	cannotStartWithout: CannotStart[];
	ladder: Rung[];
	/** moments that no candidate makes right: shorten, shelter, heat, or do not go */
	beyondClothes: WrongMoment[];
	/** every set of each size was tried, and all plans are proven */
	proven: boolean;
	/** no set of candidates leaves less wrong */
	bound: LeftWrong;
}

export interface RemedyProgress {
	task: 'trying' | 'planning';
	done: number;
	total: number;
}
