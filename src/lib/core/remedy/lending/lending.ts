import { isRefused } from '../../cloth/things';
import type { Document } from '../../document/types';
import { type Candidate, clothsOf } from '../candidate';
import { isLessWrong } from '../best-sets';
import { leftOf, plannedWith, solvedBy } from '../planned-with';
import type { LeftWrong, RemedyProgress, SolvedMoment } from '../remedies';
import { Trials } from '../trials';
import { type Assignment, bestAssignment } from './loan-assignment';
import { LoanMenu } from './loan-menu';
import { type SizeFit, sizeFit } from './sizes';
import { lentId, type StockKind } from './stock';

/**
 * Who gets what of the house's stock, over all clients of a trip at once: fewest clients not right, then fewest gaps that a
 * day cannot start with, fewest moments not right, then least money, fewest pieces. The usual weather of the trip decides.
 */

/** A loan that somebody has settled by hand: it stays, or is not to be made. */
export interface SettledLoan {
	clientId: string;
	kindId: string;
	lend: boolean;
}

export interface Loan {
	kindId: string;
	fit: SizeFit;
}

export interface LentClient {
	clientId: string;
	loans: Loan[];
	now: LeftWrong;
	leftWrong: LeftWrong;
	solves: SolvedMoment[];
}

export interface Lending {
	clients: LentClient[];
	cost: number;
	/** kinds of which more could be used than there are */
	scarce: string[];
	/** nothing better was left untried, and all plans are proven */
	proven: boolean;
}

export interface LendingProgress {
	task: 'trying' | 'planning';
	/** clients that are done, of how many */
	done: number;
	total: number;
}

/** Times that the loans are shared out anew before the search settles for what it has. */
const MOST_ROUNDS = 400;

/**
 * Who gets what.
 * @param settled made by hand; a loan that is settled goes even to a client whom it does not fit
 * @param rounds after so many the best so far is taken, and is not proven
 * @throws RangeError when a settled loan names a kind that is not in stock, or more of a kind are settled than there are
 */
export function* lending(
	document: Document,
	stock: readonly StockKind[],
	settled: readonly SettledLoan[] = [],
	rounds = MOST_ROUNDS
): Generator<LendingProgress, Lending, void> {
	const { clients } = document;
	const kindOf = new Map(stock.map(({ id }, index) => [id, index]));
	const handMade = (clientId: string, lend: boolean): Set<number> =>
		new Set(
			settled
				.filter((one) => one.clientId === clientId && one.lend === lend)
				.map(({ kindId }) => {
					const kind = kindOf.get(kindId);
					if (kind === undefined) throw new RangeError(`kindId is ${kindId}, allowed is what is in stock`);
					return kind;
				})
		);
	for (const { id, count } of stock) {
		const many = settled.filter(({ kindId, lend }) => lend && kindId === id).length;
		if (many > count) throw new RangeError(`${many} of ${id} are settled, allowed are ${count}`);
	}
	const candidates = stock.map(({ id, thing, cost }): Candidate => ({
		thing: { ...thing, id: lentId(id) },
		from: cost > 0 ? 'hire' : 'house',
		cost,
		days: 0
	}));
	const menus: LoanMenu[] = [];
	for (const [done, client] of clients.entries()) {
		yield { task: 'trying', done, total: clients.length };
		const cloths = clothsOf(candidates, client.uses);
		const [pinned, refused] = [handMade(client.id, true), handMade(client.id, false)];
		const lendable = cloths.flatMap((cloth, kind) =>
			stock[kind]!.count > 0 &&
			!refused.has(kind) &&
			!isRefused(cloth, client) &&
			sizeFit(cloth, client) !== 'does not fit'
				? [kind]
				: []
		);
		menus.push(new LoanMenu(new Trials(document, client, candidates), new Set(lendable), pinned));
	}
	const counts = stock.map(({ count }) => count);
	let best: Assignment | null = null;
	let isExact = false;
	for (let round = 0; round < rounds; round++) {
		best = bestAssignment(menus, counts, false);
		if (!best) break;
		const unopened = best.nodes.flatMap((node, at) =>
			node.loan === null ? [{ node, menu: menus[at]! }] : []
		);
		isExact = unopened.length === 0;
		if (isExact) break;
		for (const { node, menu } of unopened) menu.open(node);
		yield { task: 'trying', done: clients.length - unopened.length, total: clients.length };
	}
	if (!isExact) best = bestAssignment(menus, counts, true);

	const lent: LentClient[] = [];
	let [cost, isProven] = [0, isExact];
	for (const [at, client] of clients.entries()) {
		let loan = best?.nodes[at]?.loan ?? menus[at]!.pinned;
		yield { task: 'planning', done: at, total: clients.length };
		const before = yield* counted(plannedWith(document, client, candidates, []), at, clients.length);
		let after = before;
		if (loan.size > 0)
			after = yield* counted(plannedWith(document, client, candidates, loan), at, clients.length);
		isProven &&= after.plan.proven && after.plan.fits;
		// What single days promised and the whole plan does not keep is not lent.
		const isKept =
			isLessWrong(leftOf(after.wrong, document), leftOf(before.wrong, document)) ||
			[...loan].some((kind) => menus[at]!.pinned.has(kind) || menus[at]!.isNeeded);
		if (!isKept) {
			loan = new Set();
			after = before;
		}
		cost += menus[at]!.burdenOf(loan).cost;
		lent.push({
			clientId: client.id,
			loans: [...loan].map((kind) => ({
				kindId: stock[kind]!.id,
				fit: sizeFit(menus[at]!.trials.cloths[kind]!, client)
			})),
			now: leftOf(before.wrong, document),
			leftWrong: leftOf(after.wrong, document),
			solves: solvedBy(before, after)
		});
	}
	// What each would take if there were enough of everything.
	const wantedOf = (kind: number): number =>
		menus.filter(({ nodes: [everything] }) => everything!.loan!.has(kind)).length;
	return {
		clients: lent,
		cost,
		scarce: stock.flatMap(({ id, count }, kind) => (wantedOf(kind) > count ? [id] : [])),
		proven: isProven
	};
}

/** The steps of a plan, told as those of the lending. */
function* counted<T>(
	steps: Generator<RemedyProgress, T, void>,
	done: number,
	total: number
): Generator<LendingProgress, T, void> {
	let step = steps.next();
	for (; !step.done; step = steps.next()) yield { task: 'planning', done, total };
	return step.value;
}
