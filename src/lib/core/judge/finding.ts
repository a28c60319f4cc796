import type { Cloth } from '../cloth/things';
import type { Person } from '../conditions/person';
import type { Finding } from '../document/finding';
import type { Client } from '../document/types';
import type { CoverageCell } from './coverage';
import type { PhaseVerdict } from './verdicts';

export interface JudgedPhase extends PhaseVerdict {
	coverage: CoverageCell[];
}

/** What the rules of one stage and weather look at. */
export interface StageFacts {
	client: Client;
	/** what of the kit can be worn or carried */
	kit: readonly Cloth[];
	person: Person;
	weather: string;
	phases: readonly JudgedPhase[];
	cut: boolean;
}

export type FindingRule = (facts: StageFacts) => Finding[];

export const at = (
	facts: StageFacts,
	phase: PhaseVerdict
): Pick<Finding, 'weather' | 'stageId' | 'phaseId'> => ({
	weather: facts.weather,
	stageId: phase.cell.stageId,
	phaseId: phase.cell.phaseId
});
export const whole = (facts: StageFacts): Pick<Finding, 'weather' | 'stageId'> => ({
	weather: facts.weather,
	...(facts.phases[0] && { stageId: facts.phases[0].cell.stageId })
});

/** The first round of each phase for which a test holds. */
export function firstRounds(
	phases: readonly JudgedPhase[],
	test: (phase: JudgedPhase) => boolean
): JudgedPhase[] {
	const seen = new Set<string>();
	return phases.filter((phase) => {
		if (!test(phase) || seen.has(phase.cell.phaseId)) return false;
		seen.add(phase.cell.phaseId);
		return true;
	});
}
