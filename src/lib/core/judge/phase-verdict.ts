import type { Outfit } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import type { Reason } from '../document/reasons';
import type { LimitedBy, Verdict } from '../document/verdict';
import type { Band } from '../heat/debt';
import type { LocalCourse } from '../heat/fingers-and-toes';

/** Parts that have minutes of their own. */
export type LimitedPart = 'body' | 'hands' | 'feet';

/** How wet a thing is, 0…1 of the water that it can hold, and how much of that is sweat. */
export interface WetThing {
	thingId: string;
	share: number;
	sweat: number;
}

export interface PhaseVerdict {
	cell: Cell;
	outfit: Outfit;
	/** null where the ledger does not judge: heated places, sleep, air above 20 °C */
	band: Band | null;
	/** insulation as worn above which it is too warm here, clo; null where that cannot happen */
	tooWarmAboveClo: number | null;
	resultantClo: number;
	startDebtWhm2: number;
	debtWhm2: number;
	peakDebtWhm2: number;
	/** how long the part that decides holds; null where nothing gets too cold */
	holdsMinutes: number | null;
	/** how long each part holds, whole minutes; null where it has no limit */
	limits: Readonly<Record<LimitedPart, number | null>>;
	limitedBy: LimitedBy;
	verdict: Verdict;
	indicative: boolean;
	fingers: LocalCourse & { startC: number };
	toes: LocalCourse & { startC: number };
	/** things that were wet and are there more than once: another one of the same is on, dry */
	dryOnes: readonly string[];
	/** what is wet at the end, of what is worn */
	wet: readonly WetThing[];
	/** how wet things are on the average of it, by thing id, what is in the pack too */
	wetness: Readonly<Record<string, number>>;
	reasons: Reason[];
}
