import type { PhaseVerdict } from '../judge/verdicts';
import type { LimitedBy } from '../document/verdict';
import type { Verdict } from '../document/verdict';
import type { PlannedStage } from '../kit/planned-day';

/** What a phase was judged, in the little that a change is told by. */
export interface JudgedAs {
	verdict: Verdict;
	holdsMinutes: number | null;
	limitedBy: LimitedBy;
}
/** One phase whose verdict is another one now. */
export interface VerdictChange {
	stageId: string;
	phaseId: string;
	foul: boolean;
	/** name of the phase */
	name: string;
	minutes: number;
	/** first round in which it changed */
	round: number;
	/** null where the phase is new */
	from: JudgedAs | null;
	to: JudgedAs;
}

const judgedAs = ({ verdict, holdsMinutes, limitedBy }: PhaseVerdict): JudgedAs => ({
	verdict,
	holdsMinutes,
	limitedBy
});
const keyOf = (stage: PlannedStage, { cell }: PhaseVerdict): string =>
	`${stage.stageId} ${stage.foul} ${cell.phaseId} ${cell.round}`;

/**
 * Verdicts that are others than before, the first round of each phase, in the order of the day. Both sides are the best
 * plan for their weather: the outfit is chosen anew, and best is compared with best.
 */
export function changedVerdicts(
	before: readonly PlannedStage[],
	after: readonly PlannedStage[]
): VerdictChange[] {
	const was = new Map(
		before.flatMap((stage) => stage.phases.map((phase) => [keyOf(stage, phase), judgedAs(phase)]))
	);
	const told = new Set<string>();
	return after.flatMap((stage) =>
		stage.phases.flatMap((phase) => {
			const { cell } = phase;
			const from = was.get(keyOf(stage, phase)) ?? null;
			const to = judgedAs(phase);
			const once = `${stage.stageId} ${stage.foul} ${cell.phaseId}`;
			if (from?.verdict === to.verdict || told.has(once)) return [];
			told.add(once);
			return [
				{
					stageId: stage.stageId,
					phaseId: cell.phaseId,
					foul: stage.foul,
					name: cell.name,
					minutes: cell.minutes,
					round: cell.round,
					from,
					to
				}
			];
		})
	);
}
