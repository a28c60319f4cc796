import type { Client, Document } from '../document/types';
import type { HittingSolver } from '../search/hitting-set';
import { bestSets, insteadIn, isLessWrong, Sets, startSet } from './best-sets';
import type { Candidate } from './candidate';
import { leftOf, type PlannedWith, plannedWith, solvedBy } from './planned-with';
import type { Remedies, RemedyProgress, Rung } from './remedies';
import { Trials } from './trials';

/**
 * What to get: the sets of candidates, one thing larger each time, with which fewest moments of a trip stay wrong; among
 * those the cheapest, and then the lightest. Many sets are tried on single days; each rung is planned whole before it is told.
 */

/**
 * What to get, from the first thing that helps most to all that helps. Every rung is planned as the client's own plan is, so
 * that what it promises is what the plan says once the things are there.
 * @param client of the document
 * @param hit solver of the small integer program
 * @throws RangeError when a candidate has the id of a thing that the client has
 */
export function* remedies(
	document: Document,
	client: Client,
	candidates: readonly Candidate[],
	hit?: HittingSolver
): Generator<RemedyProgress, Remedies, void> {
	const has = new Set(client.things.filter(({ deletedAt }) => deletedAt === null).map(({ id }) => id));
	const twice = candidates.find(({ thing, from }) => from !== 'own' && has.has(thing.id));
	if (twice)
		throw new RangeError(
			`thing.id of a candidate is ${twice.thing.id}, allowed is what the client does not have`
		);
	const planOf = (set: Iterable<number>): Generator<RemedyProgress, PlannedWith, void> =>
		plannedWith(document, client, candidates, set);
	const sets = new Sets(new Trials(document, client, candidates));
	const now = yield* planOf([]);
	const { set: start, cannotStart } = yield* startSet(sets, document);
	const { rungs, isWhole, best } = yield* bestSets(sets, start, hit);
	const before = start.size > 0 ? yield* planOf(start) : now;
	const idsOf = (set: Iterable<number>): string[] => [...set].map((index) => candidates[index]!.thing.id);
	const ladder: Rung[] = [];
	let last = before;
	let left = leftOf(now.wrong, document);
	let isProven = isWhole && now.plan.proven;
	for (const rung of rungs) {
		const own = yield* planOf(rung.set);
		isProven &&= own.plan.proven && own.plan.fits;
		const leftWrong = leftOf(own.wrong, document);
		// What single days promised and the whole plan does not keep is no step.
		if (!isLessWrong(leftWrong, left)) continue;
		last = own;
		left = leftWrong;
		ladder.push({
			add: idsOf([...rung.set].filter((index) => !start.has(index))),
			leftWrong,
			cost: sets.costOf(rung.set),
			massG: sets.massOf(rung.set),
			solves: solvedBy(now, own),
			instead: insteadIn(sets, start, rung)
		});
	}
	const least = leftOf(last.wrong, document);
	const isReached = least.usual <= best.usual && least.oneInTen <= best.oneInTen;
	const all = candidates.keys();
	return {
		now: leftOf(now.wrong, document),
		cannotStartWithout: cannotStart,
		ladder,
		beyondClothes: isReached ? last.wrong : (yield* planOf(all)).wrong,
		proven: isProven,
		bound: {
			usual: Math.min(best.usual, least.usual),
			oneInTen: Math.min(best.oneInTen, least.oneInTen)
		}
	};
}
