import { byScore, isLess, type Score } from '../score';
import type { LoanMenu, LoanNode } from './loan-menu';

/** Who gets what of a stock of which there is not enough for all: exact, by what is left after each client. */

/** States that are looked at before the search settles for less than the best. */
const MOST_STATES = 200_000;
const sum = (a: Score, b: Score): Score => a.map((value, i) => value + b[i]!);

/** How a node counts: fewest clients not right, fewest needs, fewest moments, then money, then pieces. */
function scoreOf(menu: LoanMenu, { outcome: { needs, wrong }, forced, loan }: LoanNode): Score {
	const { cost, pieces } = menu.burdenOf(loan ?? forced);
	return [needs + wrong > 0 ? 1 : 0, needs, wrong, cost, pieces];
}
const NOTHING: Score = [0, 0, 0, 0, 0];

interface Choice {
	node: LoanNode;
	takes: readonly number[];
	score: Score;
}

export interface Assignment {
	/** one node for each menu */
	nodes: LoanNode[];
	score: Score;
}

/**
 * One node for each menu, so that nothing is lent more often than it is there.
 * @param counts how many there are of each candidate
 * @param onlyOpened leaves out nodes that nobody has worked out yet
 * @returns null when there is none, or it takes too long to find
 */
export function bestAssignment(
	menus: readonly LoanMenu[],
	counts: readonly number[],
	onlyOpened: boolean
): Assignment | null {
	for (const menu of menus) menu.tighten();
	const choices = menus.map((menu) =>
		menu.nodes
			.filter(({ loan }) => loan !== null || !onlyOpened)
			.map((node): Choice => ({
				node,
				takes: [...(node.loan ?? node.forced)],
				score: scoreOf(menu, node)
			}))
			.sort(byScore)
	);
	// Only what could run out has to be counted.
	const wanted = counts.map(
		(_, kind) => choices.filter((own) => own.some(({ takes }) => takes.includes(kind))).length
	);
	const scarce = counts.flatMap((count, kind) => (wanted[kind]! > count ? [kind] : []));
	const known = new Map<string, Assignment | null>();
	let states = 0;
	const rest = (at: number, left: readonly number[]): Assignment | null => {
		if (at === menus.length) return { nodes: [], score: NOTHING };
		const key = `${at} ${left.join()}`;
		const before = known.get(key);
		if (before !== undefined) return before;
		let best: Assignment | null = null;
		if (states++ < MOST_STATES)
			for (const { node, takes, score } of choices[at]!) {
				const after = [...left];
				for (const kind of takes) if (scarce.includes(kind)) after[scarce.indexOf(kind)]!--;
				if (after.some((many) => many < 0)) continue;
				const others = rest(at + 1, after);
				if (!others) continue;
				const all = sum(score, others.score);
				if (!best || isLess(all, best.score)) best = { nodes: [node, ...others.nodes], score: all };
			}
		known.set(key, best);
		return best;
	};
	const found = rest(
		0,
		scarce.map((kind) => counts[kind]!)
	);
	return states > MOST_STATES ? null : found;
}
