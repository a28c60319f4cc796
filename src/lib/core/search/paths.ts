import type { Alive } from './bounds';
import type { Problem } from './problem';

/** A course up to some cell. */
export interface Path {
	choice: number;
	/** all that it has cost so far, hundredths */
	cost: number;
	state: number;
	before: Path | null;
}

/** What a search may spend, in pairs of choices looked at; below 0 it was too little. */
export interface Work {
	left: number;
}

/** Paths that are kept in a cell once the work is spent. */
const BEAM = 40;
/** Paths that are kept in a cell at most. */
const MOST_PATHS = 4000;

/** Adds a path to those of a choice, unless one of them costs no more and leaves no higher state. */
function keep(paths: Path[], path: Path): void {
	for (const other of paths) if (other.cost <= path.cost && other.state <= path.state) return;
	let kept = 0;
	for (const other of paths)
		if (!(path.cost <= other.cost && path.state <= other.state)) paths[kept++] = other;
	paths.length = kept;
	paths.push(path);
}

/**
 * The course of least cost among the choices that are alive, up to a limit; null when there is none.
 * @param allows whether a choice of a cell may be made, by its place in the list; all may where this is null
 * @param work pairs that may be looked at; beyond, only the most promising paths are followed and nothing is proven
 */
export function cheapestPath(
	problem: Problem,
	{ lists, own, ahead }: Alive,
	limit: number,
	work: Work,
	allows: ((k: number, place: number) => boolean) | null = null
): Path | null {
	const { sequence, optionIn, judged } = problem;
	const factors = optionIn.length;
	/** The most promising ones of some paths that end in a cell. */
	const bestOf = (paths: Path[], k: number, many: number): Path[] => {
		const aheadOf = new Map(Array.from(lists[k]!, (choice, place) => [choice, ahead[k]![place]!]));
		const hope = ({ choice, cost }: Path): number => cost + aheadOf.get(choice)!;
		return paths.sort((a, b) => hope(a) - hope(b) || a.state - b.state).slice(0, many);
	};
	/** The paths that lead on from those of the cell before; null when the work was spent on the way. */
	const goOn = (k: number, last: readonly Path[], isFree: boolean): Path[] | null => {
		const list = lists[k]!;
		const tables = k > 0 ? problem.changesBefore(k) : [];
		const next: Path[] = [];
		for (let place = 0; place < list.length; place++) {
			if (allows && !allows(k, place)) continue;
			const choice = list[place]!;
			const rest = own[k]![place]! + ahead[k]![place]!;
			const here: Path[] = [];
			const add = (before: Path | null, cost: number, state: number): void => {
				const total = cost + problem.judge(k, choice, state);
				if (total + ahead[k]![place]! <= limit + 1e-6)
					keep(here, { choice, cost: total, state: judged.state, before });
			};
			if (k === 0) add(null, 0, sequence.startState);
			for (const before of last) {
				if (before.cost + rest > limit + 1e-6) break;
				work.left--;
				let cost = before.cost;
				for (let f = 0; f < factors; f++) {
					const option = optionIn[f]!;
					cost += tables[f]![option[before.choice]! * sequence.sizes[f]! + option[choice]!]!;
				}
				if (cost + rest <= limit + 1e-6) add(before, cost, before.state);
			}
			if (!isFree && (work.left < 0 || next.length > MOST_PATHS)) return null;
			for (const path of here) next.push(path);
		}
		return next;
	};
	let last: Path[] = [];
	for (let k = 0; k < sequence.cells; k++) {
		last.sort((a, b) => a.cost - b.cost);
		let next = goOn(k, last, work.left < 0);
		if (!next) {
			work.left = -1;
			last = k > 0 ? bestOf(last, k - 1, BEAM).sort((a, b) => a.cost - b.cost) : last;
			next = goOn(k, last, true)!;
		}
		if (next.length === 0) return null;
		last = work.left < 0 ? bestOf(next, k, BEAM) : next;
	}
	return last.reduce((best, path) => (path.cost < best.cost ? path : best));
}

/** The choices that lead to a path, first cell first. */
export function wayTo(last: Path): number[] {
	const way: number[] = [];
	for (let path: Path | null = last; path; path = path.before) way.unshift(path.choice);
	return way;
}
