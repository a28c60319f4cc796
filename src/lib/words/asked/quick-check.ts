import type { QuickCheckAnswer } from '../../core/plan/told/quick-check';
import type { PhaseSummary } from '../../core/plan/told/summary';
import { capital, small } from '../message';
import { phaseWords } from '../plan-story';
import { askMessage } from './ask-message';

/**
 * The answer of the quick check.
 * @param thing what was asked about
 * @param where where the first phase is that fails; empty where that goes without saying
 */
export function quickCheckSentence(
	answer: QuickCheckAnswer,
	thing: string,
	who: string,
	placeOf: (phase: PhaseSummary) => string
): string {
	const { fails, yes, isWorn, notJudged, sameWithout, helps } = answer;
	const [first, ...more] = helps;
	if (first && !(fails && !sameWithout))
		return askMessage('check.bring', {
			thing,
			phase: `“${first.name}”`,
			where: placeOf(first) || 'none',
			more: more.length
		});
	if (!fails && notJudged) return askMessage('check.ask-first', { who });
	if (yes || !fails)
		return askMessage(isWorn ? 'check.yes' : 'check.yes-unworn', { thing: isWorn ? capital(thing) : thing });
	return askMessage(sameWithout ? 'check.same' : 'check.no', {
		thing,
		phase: phaseWords(fails, who),
		where: placeOf(fails) || 'none'
	});
}

/** What the trip lacks even with a thing that is asked about, and what would do in its place; none where all is right. */
export function quickCheckMore(
	{ helps, stillWrong, nearest }: QuickCheckAnswer,
	who: string,
	placeOf: (phase: PhaseSummary) => string,
	nameOf: (typeId: string) => string
): string[] {
	return [
		...(stillWrong && helps.length > 0
			? [
					askMessage('check.missing', {
						phase: phaseWords(stillWrong, who),
						where: placeOf(stillWrong) || 'none'
					})
				]
			: []),
		...(nearest ? [askMessage('check.near', { thing: small(nameOf(nearest)) })] : [])
	];
}
