import { type PhaseVerdict } from '../../judge/phase-verdict';
import { isBag } from '../../cloth/things';
import { isFailing, type LimitedBy, type Verdict, VERDICTS } from '../../document/verdict';
import type { PlannedStage } from '../../kit/planned-day';
import { type TripPlan, verdictsOn } from '../planner';

/** One phase of a plan in the little that a list tells of it. */
export interface PhaseSummary {
	weather: string;
	stageId: string;
	foul: boolean;
	phaseId: string;
	round: number;
	name: string;
	minutes: number;
	verdict: Verdict;
	holdsMinutes: number | null;
	limitedBy: LimitedBy;
	/** of a what-if: it warns, and is no fault of the plan */
	whatIf: boolean;
}

/** What a whole plan comes to. */
export interface TripSummary {
	levels: TripPlan['choice']['levels'];
	atLeastG: number;
	proven: boolean;
	fits: boolean;
	/** not every outfit was searched: the kit is large, and the search of the whole of it has not been done */
	cut: boolean;
	/** so much better the worst day could be at most, in changes; 0 where no day could be better */
	gap: number;
	takenIds: string[];
	/** things that could be worn and are left at home */
	leftIds: string[];
	phases: PhaseSummary[];
	/** days that were planned before the search was stopped */
	daysDone: number;
	days: number;
}

/** How far the plan of one client is. */
export interface PlanState {
	clientId: string;
	state: 'wanted' | 'working' | 'there' | 'failed';
	done: number;
	total: number;
	/** the last plan that was worked out, of whatever question */
	summary: TripSummary | null;
	/** the summary answers what is asked now */
	isCurrent: boolean;
}

const summaryOf = (weather: string, foul: boolean, verdict: PhaseVerdict): PhaseSummary => ({
	weather,
	stageId: verdict.cell.stageId,
	foul,
	phaseId: verdict.cell.phaseId,
	round: verdict.cell.round,
	name: verdict.cell.name,
	minutes: verdict.cell.minutes,
	verdict: verdict.verdict,
	holdsMinutes: verdict.holdsMinutes,
	limitedBy: verdict.limitedBy,
	whatIf: verdict.cell.kind === 'what-if'
});

/** Which phase of a trip it is: by weather, day, variant and round. */
export const momentKey = ({
	weather,
	stageId,
	foul,
	phaseId,
	round
}: Pick<PhaseSummary, 'weather' | 'stageId' | 'foul' | 'phaseId' | 'round'>): string =>
	JSON.stringify([weather, stageId, foul, phaseId, round]);

/** The phases of a planned stage, in short. */
export const phasesOf = ({ weather, foul, phases }: PlannedStage): PhaseSummary[] =>
	phases.map((phase) => summaryOf(weather, foul, phase));

/** The verdicts of all days of a plan, and what is taken. */
export function tripSummary(plan: TripPlan): TripSummary {
	const { problem, choice } = plan;
	const phases = problem.days.flatMap((day) =>
		(verdictsOn(plan, day) ?? []).map((verdict) => summaryOf(day.weather.id, day.foul, verdict))
	);
	const worn = new Set([
		...[...choice.taken].map((thing) => problem.wardrobe.cloths[thing]!.thingId),
		...problem.wardrobe.underwear.map(({ thingId }) => thingId),
		...problem.kit.filter(isBag).map(({ thingId }) => thingId)
	]);
	const covering = problem.kit.filter(({ regions }) => Object.values(regions).some((share) => share > 0));
	return {
		levels: choice.levels,
		atLeastG: choice.atLeastG,
		proven: plan.proven,
		fits: plan.fits,
		cut: problem.wardrobe.cut && !choice.isWhole,
		gap: Math.max(0, ...choice.gaps),
		takenIds: [...worn],
		leftIds: covering.map(({ thingId }) => thingId).filter((id) => !worn.has(id)),
		phases,
		daysDone: choice.dressed.filter((one) => one !== null).length,
		days: problem.days.length
	};
}

const rank = (verdict: Verdict): number => VERDICTS.indexOf(verdict);

/**
 * The worst phase of a plan: worst verdict first, then the one that holds the smallest share of its minutes. A phase that
 * is short from its first minute is so from one before it: that one is the thing to say.
 */
export const worstPhase = (phases: readonly PhaseSummary[]): PhaseSummary | null =>
	phases.reduce<PhaseSummary | null>((worst, phase) => {
		if (!worst) return phase;
		const by = rank(phase.verdict) - rank(worst.verdict);
		return by < 0 || (by === 0 && toSay(phase) < toSay(worst)) ? phase : worst;
	}, null);
const toSay = (phase: PhaseSummary): number => (phase.holdsMinutes === 0 ? 1 : shareHeld(phase));
const shareHeld = ({ holdsMinutes, minutes }: PhaseSummary): number =>
	holdsMinutes === null ? 1 : Math.min(1, holdsMinutes / minutes);

/** Whether a verdict is one that a guide has to do something about. */
export const isNotAllRight = ({ verdict, whatIf }: Pick<PhaseSummary, 'verdict' | 'whatIf'>): boolean =>
	!whatIf && (isFailing(verdict) || verdict === 'not judged yet');

/** What a wish costs, or gains. */
export interface Price {
	/** phases that are judged otherwise, the worse ones first */
	phases: { now: PhaseSummary; before: PhaseSummary; worse: boolean }[];
	/** whole changes more, and grams more; below 0 fewer */
	changes: number;
	massG: number;
	/** clo·min more of too warm */
	overheat: number;
	/** heat debt, bare skin and the like more, in the weights of the first level */
	penalty: number;
}

/** The price of a plan against another one of the same trip: all four levels, and the phases that change. */
export function priceOf(before: TripSummary, now: TripSummary): Price {
	const was = new Map(before.phases.map((phase) => [momentKey(phase), phase]));
	const phases = now.phases.flatMap((phase) => {
		const old = was.get(momentKey(phase));
		if (!old || (old.verdict === phase.verdict && old.holdsMinutes === phase.holdsMinutes)) return [];
		if (old.verdict === phase.verdict && phase.verdict !== 'short') return [];
		const by = rank(phase.verdict) - rank(old.verdict);
		return [{ now: phase, before: old, worse: by < 0 || (by === 0 && shareHeld(phase) < shareHeld(old)) }];
	});
	return {
		phases: phases.sort(
			(a, b) => Number(b.worse) - Number(a.worse) || rank(a.now.verdict) - rank(b.now.verdict)
		),
		changes: Math.round((now.levels.changes - before.levels.changes) * 100) / 100,
		massG: now.levels.massG - before.levels.massG,
		overheat: now.levels.overheat - before.levels.overheat,
		penalty: now.levels.penalty - before.levels.penalty
	};
}
