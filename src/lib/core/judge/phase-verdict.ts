import type { Outfit } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import type { Reason } from '../document/reasons';
import type { LimitedBy, Verdict } from '../document/verdict';
import type { Band } from '../heat/debt';
import type { LocalCourse } from '../heat/fingers-and-toes';

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
	holdsMinutes: number | null;
	limitedBy: LimitedBy;
	verdict: Verdict;
	indicative: boolean;
	fingers: LocalCourse & { startC: number };
	toes: LocalCourse & { startC: number };
	reasons: Reason[];
}
