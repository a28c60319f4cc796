import { PARTS_OF_ROW } from '../cloth/parts';
import { type Cloth, isBag } from '../cloth/things';
import type { Row } from '../document/parts';
import type { PlannedStage } from '../kit/planned-day';
import { isNotAllRight, momentKey, phasesOf } from '../plan/told/summary';
import type { Finding, FindingCode } from '../document/finding';
import type { LimitedBy, Verdict } from '../document/verdict';

/** Moments of a trip that are not all right, and gear that a day cannot start without. */

/** A phase in one weather and round. */
export interface Moment {
	weather: string;
	stageId: string;
	foul: boolean;
	phaseId: string;
	round: number;
}
export interface WrongMoment extends Moment {
	name: string;
	verdict: Verdict;
	holdsMinutes: number | null;
	limitedBy: LimitedBy;
}

/** The phases of a planned day that a guide has to do something about; what-ifs are no fault of a kit. */
export const wrongOn = (day: PlannedStage): WrongMoment[] => phasesOf(day).filter(isNotAllRight);

/** Verdicts of all phases of a planned day but its what-ifs, by moment. */
export const verdictsOn = (day: PlannedStage): Map<string, Verdict> =>
	new Map(
		phasesOf(day)
			.filter(({ whatIf }) => !whatIf)
			.map((phase) => [momentKey(phase), phase.verdict])
	);

/** Gear that a day cannot start without: what is about it, and where. */
export interface StartNeed {
	code: FindingCode;
	/** part of the body, or what the gear is for */
	part: string;
	/** which gear, where the rule names it */
	about: string;
}
const START_PARTS: ReadonlySet<string> = new Set(['torso', 'legs', 'feet', 'sleep']);

/** Whether a finding is about what a day cannot start without: a bare part, no bag, or gear that a phase asks for. */
export const isStartGap = ({ code, part }: Pick<Finding, 'code' | 'part'>): boolean =>
	isBare({ code, part }) || code === 'wrongFootwear' || code === 'gearForThis';
const isBare = ({ code, part }: Pick<Finding, 'code' | 'part'>): boolean =>
	(code === 'missing' || code === 'not-asked') && START_PARTS.has(part);

/** What a planned day cannot start without and lacks, each once. */
export function startNeedsOf({ findings }: PlannedStage): StartNeed[] {
	const needs = new Map<string, StartNeed>();
	for (const { code, part, values } of findings) {
		if (!isStartGap({ code, part })) continue;
		// Nobody has asked and there is none: both leave the part bare.
		const need = {
			code: isBare({ code, part }) ? ('missing' as const) : code,
			part,
			about: String(values.gear ?? '')
		};
		needs.set(needKey(need), need);
	}
	return [...needs.values()];
}
/** Whether a thing may be what a need asks for, as far as can be told without dressing the day; false when it is sure not to. */
export function mayAnswer({ code, part }: StartNeed, cloth: Cloth): boolean {
	if (code === 'wrongFootwear') return cloth.slot === 'footwear';
	if (code !== 'missing') return true;
	if (part === 'sleep') return isBag(cloth);
	return PARTS_OF_ROW[part as Row].some((one) => (cloth.covers[one] ?? 0) > 0);
}
export const needKey = ({ code, part, about }: StartNeed): string => JSON.stringify([code, part, about]);
