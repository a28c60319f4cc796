import type { Cloth } from '../cloth/things';
import type { Person } from '../conditions/person';
import type { Finding, FindingPhase } from '../document/finding';
import type { Client } from '../document/types';
import type { CoverageCell } from './coverage';
import type { PhaseVerdict } from './phase-verdict';

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

/** A phase of a finding: in which of its rounds, where more than one is meant. */
const findingPhase = ({ cell }: Pick<PhaseVerdict, 'cell'>, rounds: number[]): FindingPhase => ({
	id: cell.phaseId,
	stageId: cell.stageId,
	name: cell.name,
	rounds
});

type Placed = Pick<Finding, 'clientId' | 'weather' | 'stageId' | 'phases'>;

/** Where something is found: in a phase, in some of its rounds. */
export const at = (
	{ client, weather }: Pick<StageFacts, 'client' | 'weather'>,
	phase: Pick<PhaseVerdict, 'cell'>,
	rounds: number[] = [phase.cell.round]
): Placed => ({
	clientId: client.id,
	weather,
	stageId: phase.cell.stageId,
	phases: [findingPhase(phase, rounds)]
});

/** Where something is found that is about the whole day. */
export const wholeDay = ({
	client,
	weather,
	phases
}: Pick<StageFacts, 'client' | 'weather' | 'phases'>): Placed => ({
	clientId: client.id,
	weather,
	stageId: phases[0]?.cell.stageId ?? null,
	phases: []
});

/** The first round of each phase for which a test holds, and all of its rounds for which it does. */
export function firstRounds(
	phases: readonly JudgedPhase[],
	test: (phase: JudgedPhase) => boolean
): { phase: JudgedPhase; rounds: number[] }[] {
	const found = new Map<string, { phase: JudgedPhase; rounds: number[] }>();
	for (const phase of phases) {
		if (!test(phase)) continue;
		const before = found.get(phase.cell.phaseId);
		if (before) before.rounds.push(phase.cell.round);
		else found.set(phase.cell.phaseId, { phase, rounds: [phase.cell.round] });
	}
	return [...found.values()];
}
