import type { Band } from '../core/body/debt';
import type { WornThing } from '../core/document/types';
import type { Finding } from '../core/plan/findings';
import type { CarriedThing, PlannedPhase, PlannedStage } from '../core/plan/plan';
import type { LimitedBy, Verdict } from '../core/plan/verdicts';

/** One phase of a plan, as `POST /api/v1/plan` answers it. */
export interface PhaseAnswer {
	weather: string;
	stageId: string;
	phaseId: string;
	round: number;
	/** null where the ledger does not judge: heated places, sleep, air above 20 °C */
	band: Band | null;
	worn: WornThing[];
	carried: CarriedThing[];
	resultantClo: number;
	debtWhm2: number;
	peakDebtWhm2: number;
	holdsMinutes: number | null;
	limitedBy: LimitedBy;
	verdict: Verdict;
	indicative: boolean;
}
export interface PlanAnswer {
	clientId: string;
	phases: PhaseAnswer[];
	findings: Finding[];
	/** per weather and stage: the four levels of the choice, and whether it is proven the best */
	stages: Pick<PlannedStage, 'weather' | 'stageId' | 'levels' | 'proven'>[];
}

function phaseAnswer(weather: string, phase: PlannedPhase): PhaseAnswer {
	return {
		weather,
		stageId: phase.cell.stageId,
		phaseId: phase.cell.phaseId,
		round: phase.cell.round,
		band: phase.band,
		worn: phase.outfit.map(({ cloth, opening }) => ({ thingId: cloth.thingId, opening })),
		carried: phase.carried,
		resultantClo: phase.resultantClo,
		debtWhm2: phase.debtWhm2,
		peakDebtWhm2: phase.peakDebtWhm2,
		holdsMinutes: phase.holdsMinutes,
		limitedBy: phase.limitedBy,
		verdict: phase.verdict,
		indicative: phase.indicative
	};
}

/** A plan in the form of the API. */
export const planAnswer = (clientId: string, planned: readonly PlannedStage[]): PlanAnswer => ({
	clientId,
	phases: planned.flatMap(({ weather, phases }) => phases.map((phase) => phaseAnswer(weather, phase))),
	findings: planned.flatMap(({ findings }) => findings),
	stages: planned.map(({ weather, stageId, levels, proven }) => ({ weather, stageId, levels, proven }))
});
