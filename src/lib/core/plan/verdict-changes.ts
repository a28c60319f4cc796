import type { Client, Document } from '../document/types';
import type { LimitedBy, Verdict } from '../document/verdict';
import { documentPlan, type DocumentWishes, type Planning } from './planner';
import { type PhaseSummary, tripSummary } from './told/summary';

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

const judgedAs = ({ verdict, holdsMinutes, limitedBy }: PhaseSummary): JudgedAs => ({
	verdict,
	holdsMinutes,
	limitedBy
});
const phaseKey = ({ stageId, foul, phaseId, round }: PhaseSummary): string =>
	JSON.stringify([stageId, foul, phaseId, round]);

/**
 * Verdicts that are others than before, the first round of each phase, in the order of the day. Both sides are the best
 * plan of their trip: the outfit is chosen anew, and best is compared with best.
 * @param before phases in one weather
 * @param after phases in one weather
 */
export function changedVerdicts(
	before: readonly PhaseSummary[],
	after: readonly PhaseSummary[]
): VerdictChange[] {
	const was = new Map(before.map((phase) => [phaseKey(phase), judgedAs(phase)]));
	const told = new Set<string>();
	return after.flatMap((phase): VerdictChange[] => {
		const from = was.get(phaseKey(phase)) ?? null;
		const to = judgedAs(phase);
		const once = JSON.stringify([phase.stageId, phase.foul, phase.phaseId]);
		if (from?.verdict === to.verdict || told.has(once)) return [];
		told.add(once);
		const { stageId, phaseId, foul, name, minutes, round } = phase;
		return [{ stageId, phaseId, foul, name, minutes, round, from, to }];
	});
}

/** One side of a comparison: a document, and the weather in which it is looked at. */
export interface ComparedSide {
	document: Document;
	weatherId: string;
}

/** Phases of one client's plan; none where the client is not in the document. */
export type PlannedPhases = (
	document: Document,
	client: Client | undefined
) => Generator<Planning, readonly PhaseSummary[], void>;

/** Plans a document for a client, and tells its phases. */
export const phasesAsPlanned = (wishes: DocumentWishes = {}): PlannedPhases =>
	function* (document, client) {
		if (!client || document.trip.stages.length === 0) return [];
		return tripSummary(yield* documentPlan(document, client, wishes)).phases;
	};

/**
 * Whose verdicts change between two documents, for one client, a step at a time.
 * @param plan how a document is planned for a client
 */
export function* clientChanges(
	before: ComparedSide,
	after: ComparedSide,
	clientId: string,
	plan: PlannedPhases = phasesAsPlanned()
): Generator<Planning, VerdictChange[], void> {
	const phasesOf = function* ({
		document,
		weatherId
	}: ComparedSide): Generator<Planning, PhaseSummary[], void> {
		const client = document.clients.find(({ id }) => id === clientId);
		return (yield* plan(document, client)).filter(({ weather }) => weather === weatherId);
	};
	const now = yield* phasesOf(after);
	return changedVerdicts(yield* phasesOf(before), now);
}
