import type { Finding } from '../core/document/finding';
import type { Reason } from '../core/document/reasons';
import type { Client, Stage } from '../core/document/types';
import type { LimitedBy, Verdict } from '../core/document/verdict';
import type { WornThing } from '../core/document/worn';
import type { Band } from '../core/heat/debt';
import type { Moment } from '../core/heat/simulation';
import { type Count, mostCounts } from '../core/kit/counting';
import type { CarriedThing, Pack } from '../core/kit/pack';
import { type PlannedPhase, type PlannedStage } from '../core/kit/planned-day';
import { simulationOf } from '../core/plan/simulated-plan';
import { findingSentence } from '../words/findings';
import { firstName, shortName } from '../words/labels';
import { countWords } from '../words/plan-story';
import { reasonInWords } from '../words/reasons';
import { METRIC } from '../words/units';

/** One phase of a plan, as `POST /api/v1/plan` answers it. */
export interface PhaseAnswer {
	weather: string;
	stageId: string;
	phaseId: string;
	round: number;
	/** of the foul-weather variant */
	foul: boolean;
	/** null where the ledger does not judge: heated places, sleep, air above 20 °C */
	band: Band | null;
	/** insulation as worn above which it is too warm; null where that cannot happen */
	tooWarmAboveClo: number | null;
	worn: WornThing[];
	carried: CarriedThing[];
	pack: Pack;
	resultantClo: number;
	debtWhm2: number;
	peakDebtWhm2: number;
	holdsMinutes: number | null;
	limitedBy: LimitedBy;
	verdict: Verdict;
	indicative: boolean;
}
/** A finding as it is given out: what was found, and the sentence beside it. */
export type FindingAnswer = Omit<Finding, 'reasons'> & {
	message: string;
	reasons: (Reason & { says: string; source: string })[];
};

export interface PlanAnswer {
	clientId: string;
	phases: PhaseAnswer[];
	/** code and values, and the sentence made from them in metric units */
	findings: FindingAnswer[];
	/** how many of each kind the trip asks for, in the weather that asks for most */
	counts: (Count & { words: string })[];
	/** per weather and stage: the four levels of the choice, and whether it is proven the best */
	stages: (Pick<PlannedStage, 'weather' | 'stageId' | 'foul' | 'levels' | 'proven' | 'morning'> & {
		/** the simulated day: the minutes at which something goes wrong, and what would prevent it */
		moments: (Omit<Moment, 'phase'> & { phaseId: string; round: number })[];
	})[];
}

function phaseAnswer({ weather, foul }: PlannedStage, phase: PlannedPhase): PhaseAnswer {
	return {
		weather,
		stageId: phase.cell.stageId,
		phaseId: phase.cell.phaseId,
		round: phase.cell.round,
		foul,
		band: phase.band,
		tooWarmAboveClo: phase.tooWarmAboveClo,
		worn: phase.outfit.map(({ cloth, opening }) => ({ thingId: cloth.thingId, opening })),
		carried: phase.carried,
		pack: phase.pack,
		resultantClo: phase.resultantClo,
		debtWhm2: phase.debtWhm2,
		peakDebtWhm2: phase.peakDebtWhm2,
		holdsMinutes: phase.holdsMinutes,
		limitedBy: phase.limitedBy,
		verdict: phase.verdict,
		indicative: phase.indicative
	};
}

function findingAnswer(finding: Finding, client: Client, stages: readonly Stage[]): FindingAnswer {
	const names = new Map(client.things.map(({ id, name }) => [id, name]));
	return {
		...finding,
		message: findingSentence(finding, {
			who: firstName(client.name),
			nameOf: (id) => shortName(names.get(id) ?? id),
			dayOf: (stageId) => (stages.length > 1 ? stages.findIndex(({ id }) => id === stageId) + 1 : null),
			units: METRIC
		}),
		reasons: finding.reasons.map((reason) => reasonInWords(reason, METRIC))
	};
}

/** A plan in the form of the API. */
export const planAnswer = (
	client: Client,
	planned: readonly PlannedStage[],
	stages: readonly Stage[]
): PlanAnswer => ({
	clientId: client.id,
	phases: planned.flatMap((stage) => stage.phases.map((phase) => phaseAnswer(stage, phase))),
	findings: planned.flatMap(({ findings }) =>
		findings.map((finding) => findingAnswer(finding, client, stages))
	),
	counts: mostCounts(stages, planned, client).map((count) => ({ ...count, words: countWords(count) })),
	stages: planned.map(({ weather, stageId, foul, levels, proven, morning, phases }) => ({
		weather,
		stageId,
		foul,
		levels,
		proven,
		morning,
		moments: simulationOf(phases, client).moments.map(({ phase, ...moment }) => ({
			...moment,
			phaseId: phases[phase]!.cell.phaseId,
			round: phases[phase]!.cell.round
		}))
	}))
});
