import type { Document } from '../document/types';
import type { RememberedDay } from '../remedy/trials';
import { type Ground, type Told, toldKey, toldMore } from './ground';
import { type Interview, Interviewer } from './interview';

/** What is asked next is worked out before the answer is there: for each way to answer the question that is asked first. */

/** What is to be asked once so much is told. */
export interface Foreseen {
	/** of what is told */
	key: string;
	interview: Interview;
	/** days that were worked out for it, to be known the next time */
	days: readonly RememberedDay[];
}
/** So many states are worked out beyond the one that is asked for, the likeliest first. */
const MOST_AHEAD = 14;

/**
 * Works out what to ask now, and then what to ask after each answer, the likeliest ways first.
 * @param known keys of states that are known already
 * @param memory days that were worked out before on the same ground
 */
export function* foreseeing(
	document: Document,
	ground: Ground,
	known: ReadonlyMap<string, Interview>,
	memory: readonly RememberedDay[] = []
): Generator<Foreseen, void> {
	const interviewer = new Interviewer(document, ground);
	interviewer.remember(memory);
	const ahead: { told: Told; likely: number }[] = [{ told: ground.told, likely: 1 }];
	const seen = new Set<string>();
	for (let worked = 0; ahead.length > 0 && worked <= MOST_AHEAD;) {
		ahead.sort((a, b) => b.likely - a.likely);
		const { told, likely } = ahead.shift()!;
		const key = toldKey(told);
		if (seen.has(key)) continue;
		seen.add(key);
		let interview = known.get(key);
		if (!interview) {
			interview = interviewer.next(told);
			worked++;
			yield { key, interview, days: interviewer.news() };
		}
		const [first] = interview.questions;
		if (!first) continue;
		const at = ground.asked.findIndex(({ question }) => question.id === first.id);
		ahead.push(
			{ told: toldMore(told, at, true), likely: likely * first.likely },
			{ told: toldMore(told, at, false), likely: likely * (1 - first.likely) }
		);
	}
}
