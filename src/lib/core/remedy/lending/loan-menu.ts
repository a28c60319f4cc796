import type { CandidateSet } from '../candidate-set';
import type { Trials } from '../trials';

/**
 * What the house could lend to one client, and how each loan comes out. Every set of loans lies in one node of a tree: with
 * everything open a day wears some of it, and any set that holds what is worn comes out the same. What leaves one of the worn
 * things out is in a node of its own, opened only when it is asked for.
 */

/** How a trip comes out for a client in the usual weather. */
export interface Outcome {
	/** gear that a day cannot start without and that is not there */
	needs: number;
	/** moments that are not right */
	wrong: number;
}

/** Sets of loans that hold all of `forced` and nothing outside of `open`. */
export interface LoanNode {
	forced: CandidateSet;
	open: CandidateSet;
	/** how the best of them comes out, at least: that of its parent until it is opened itself */
	outcome: Outcome;
	/** the smallest set that comes out so; null until the node is opened */
	loan: CandidateSet | null;
}

/** What a loan weighs and costs beside how it comes out. */
export interface LoanBurden {
	cost: number;
	pieces: number;
}

export class LoanMenu {
	readonly nodes: LoanNode[];
	/** days of the usual weather that are unlike, and how many are like each */
	private readonly days: readonly { index: number; many: number }[];

	/** @param lendable candidates that fit this client; `pinned` are among them and lent in any case */
	constructor(
		readonly trials: Trials,
		lendable: CandidateSet,
		readonly pinned: CandidateSet
	) {
		this.days = trials.days.flatMap(({ index }) => {
			const many = trials.alike.get(trials.keyOf(index))!.usual;
			return many > 0 ? [{ index, many }] : [];
		});
		const everything: LoanNode = {
			forced: pinned,
			open: new Set([...lendable, ...pinned]),
			outcome: { needs: 0, wrong: 0 },
			loan: null
		};
		// Nothing more than what is settled: there is always this.
		const { outcome } = this.outcomeOf(pinned);
		this.nodes = [everything, { forced: pinned, open: pinned, outcome, loan: pinned }];
		this.open(everything);
	}

	private outcomeOf(set: CandidateSet): { outcome: Outcome; used: CandidateSet } {
		const outcome: Outcome = { needs: 0, wrong: 0 };
		const used = new Set<number>();
		for (const { index, many } of this.days) {
			const tried = this.trials.on(index, set);
			outcome.needs += tried.needs().length;
			outcome.wrong += many * tried.wrong;
			for (const one of tried.used) used.add(one);
		}
		return { outcome, used };
	}

	/** Whether a day cannot start without something that could be lent. */
	get isNeeded(): boolean {
		const [everything, nothing] = this.nodes;
		return everything!.outcome.needs < nothing!.outcome.needs;
	}

	/** Says of nodes that nobody has worked out how they come out at least, by what has been tried since. */
	tighten(): void {
		for (const node of this.nodes) {
			if (node.loan) continue;
			const least = this.days.reduce(
				(sum, { index, many }) => sum + many * this.trials.within(index, node.open).least,
				0
			);
			if (least > node.outcome.wrong) node.outcome = { ...node.outcome, wrong: least };
		}
	}

	burdenOf(set: Iterable<number>): LoanBurden {
		const burden = { cost: 0, pieces: 0 };
		for (const index of set) {
			burden.cost += this.trials.candidates[index]!.cost;
			burden.pieces++;
		}
		return burden;
	}

	/** Works a node out and puts in its place what leaves out one of the things that it wears. */
	open(node: LoanNode): void {
		const { outcome, used } = this.outcomeOf(node.open);
		node.outcome = outcome;
		node.loan = new Set([...node.forced, ...used]);
		const forced = new Set(node.forced);
		for (const one of used) {
			if (node.forced.has(one)) continue;
			const open = new Set(node.open);
			open.delete(one);
			this.nodes.push({ forced: new Set(forced), open, outcome, loan: null });
			forced.add(one);
		}
	}
}
