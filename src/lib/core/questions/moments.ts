import { phasesIn } from '../document/sequence';
import type { Stage, Trip } from '../document/types';
import { VERDICTS } from '../document/verdict';
import type { Otherwise } from './interview';

/** What an answer does for the moments of a trip, told by the kind of moment. */

export const MOMENT_KINDS = ['night', 'evening', 'stop', 'ride', 'move', 'indoors'] as const;
export type MomentKind = (typeof MOMENT_KINDS)[number];
export interface ItDoes {
	/** kinds of moments that are right with the thing, and were not without it */
	right: readonly MomentKind[];
	/** kinds that are better with it, and not right yet */
	better: readonly MomentKind[];
}

/** From then on a stop is an evening, minutes after midnight. */
const EVENING_MIN = 17 * 60;

function kindOf(stage: Stage, phaseId: string): MomentKind | null {
	let clock = stage.startMin;
	for (const phase of [...phasesIn(stage.sequence), ...phasesIn(stage.foul?.sequence ?? [])]) {
		clock = phase.startMin ?? clock;
		if (phase.id === phaseId) {
			if (phase.kind === 'sleep') return 'night';
			if (phase.kind === 'what-if') return null;
			const isEvening = clock >= EVENING_MIN && (phase.kind === 'stop' || phase.kind === 'indoors');
			return isEvening ? 'evening' : phase.kind;
		}
		clock += phase.minutes;
	}
	return null;
}

/** What a thing does: of the moments that go otherwise with it, those that go better. */
export function whatItDoes(changes: readonly Otherwise[], { stages }: Trip): ItDoes {
	const by = new Map<MomentKind, boolean>();
	for (const { stageId, phaseId, without, with: there } of changes) {
		if (VERDICTS.indexOf(there) <= VERDICTS.indexOf(without)) continue;
		const stage = stages.find(({ id }) => id === stageId);
		const kind = stage && kindOf(stage, phaseId);
		if (kind) by.set(kind, (by.get(kind) ?? true) && there === 'right');
	}
	const kinds = MOMENT_KINDS.filter((kind) => by.has(kind));
	return { right: kinds.filter((kind) => by.get(kind)), better: kinds.filter((kind) => !by.get(kind)) };
}
