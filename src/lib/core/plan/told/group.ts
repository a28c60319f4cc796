import type { Row } from '../../document/parts';
import { isFailing, type Verdict, VERDICTS } from '../../document/verdict';
import { isNotAllRight, type PhaseSummary, worstPhase } from './summary';

/** A client of a group in one look: the worst of each day and of each part of the body, and how much is wrong. */

/** The worst phase of a day, or the worst that a part of the body decides. */
export interface GroupCell {
	/** in the usual weather; null where nothing is planned, or this part decides nothing */
	usual: PhaseSummary | null;
	/** in the other weathers, where it is worse than in the usual one; null elsewhere */
	rare: PhaseSummary | null;
}
/** Columns of the parts: the body as a whole, and what has limits of its own. */
export const GROUP_PARTS = ['body', 'face', 'hands', 'legs', 'feet', 'sleep'] as const;
export type GroupPart = (typeof GROUP_PARTS)[number];
const PART_OF: Readonly<Record<Row | 'body', GroupPart>> = {
	body: 'body',
	torso: 'body',
	arms: 'body',
	eyes: 'face',
	face: 'face',
	ears: 'face',
	neck: 'face',
	hands: 'hands',
	legs: 'legs',
	feet: 'feet',
	sleep: 'sleep'
};

/** How likely a weather is that is planned for beside the usual one: one year in ten. */
const RARE_SHARE = 0.1;
/** Weight of a minute in which a phase with a verdict goes wrong (our assumption). */
const MINUTE_WEIGHT: Partial<Record<Verdict, number>> = { 'nothing suffices': 3, 'wet through': 2, short: 1 };

const rank = ({ verdict }: PhaseSummary): number => VERDICTS.indexOf(verdict);
function cellOf(phases: readonly PhaseSummary[], usualId: string): GroupCell {
	const lived = phases.filter(({ whatIf }) => !whatIf);
	const usual = worstPhase(lived.filter(({ weather }) => weather === usualId));
	const rare = worstPhase(lived.filter(({ weather }) => weather !== usualId));
	const isWorse = rare !== null && isNotAllRight(rare) && (usual === null || rank(rare) < rank(usual));
	return { usual, rare: isWorse ? rare : null };
}

/** The days of a client. @param stageIds in the order of the trip @param usualId the usual weather */
export const groupDays = (
	phases: readonly PhaseSummary[],
	stageIds: readonly string[],
	usualId: string
): GroupCell[] =>
	stageIds.map((id) =>
		cellOf(
			phases.filter(({ stageId }) => stageId === id),
			usualId
		)
	);

/** The parts of a client that decide a phase which is not right. */
export const groupParts = (phases: readonly PhaseSummary[], usualId: string): Record<GroupPart, GroupCell> =>
	Object.fromEntries(
		GROUP_PARTS.map((part) => [
			part,
			cellOf(
				phases.filter(({ limitedBy, verdict }) => verdict !== 'right' && PART_OF[limitedBy] === part),
				usualId
			)
		])
	) as Record<GroupPart, GroupCell>;

/**
 * How much is wrong: by how bad, how long, and how likely. Minutes in which a phase does not hold, 0 where all is right.
 */
export const groupScore = (phases: readonly PhaseSummary[], usualId: string): number =>
	phases
		.filter((phase) => isNotAllRight(phase) && isFailing(phase.verdict))
		.reduce((sum, { verdict, minutes, holdsMinutes, weather }) => {
			const missing = verdict === 'short' ? Math.max(1, minutes - (holdsMinutes ?? 0)) : minutes;
			return sum + (MINUTE_WEIGHT[verdict] ?? 0) * missing * (weather === usualId ? 1 : RARE_SHARE);
		}, 0);
