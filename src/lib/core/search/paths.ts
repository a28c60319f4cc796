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

/** Paths that end in the same choice, together: the cheapest first, in a group and of the groups. */
function byChoice(paths: readonly Path[]): [Path, ...Path[]][] {
	const groups = new Map<number, [Path, ...Path[]]>();
	for (const path of [...paths].sort((a, b) => a.cost - b.cost)) {
		const group = groups.get(path.choice);
		if (group) group.push(path);
		else groups.set(path.choice, [path]);
	}
	return [...groups.values()];
}

/** Costs and states of which none is as good in both as another: rising in cost, falling in state. */
class Front {
	private readonly costs: number[] = [];
	private readonly states: number[] = [];
	clear(): void {
		this.costs.length = 0;
		this.states.length = 0;
	}
	/** Adds a pair, unless another one costs no more and has no higher state. @returns whether it was added */
	takes(cost: number, state: number): boolean {
		const { costs, states } = this;
		let low = 0;
		for (let high = costs.length; low < high;) {
			const middle = (low + high) >> 1;
			if (costs[middle]! <= cost) low = middle + 1;
			else high = middle;
		}
		if (low > 0 && states[low - 1]! <= state) return false;
		let worse = low;
		while (worse < costs.length && states[worse]! >= state) worse++;
		// One of the same cost and a higher state stands before it.
		const from = low > 0 && costs[low - 1] === cost ? low - 1 : low;
		costs.splice(from, worse - from, cost);
		states.splice(from, worse - from, state);
		return true;
	}
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
		const groups = k > 0 ? byChoice(last) : [];
		const cheapest = Float64Array.from(groups, ([{ cost }]) => cost);
		const from = tables.map((_, f) => Uint16Array.from(groups, ([{ choice }]) => optionIn[f]![choice]!));
		// What it costs to come to an option from any other: laid out anew, since a column of a table lies far apart.
		const columns: Float64Array[][] = tables.map(() => []);
		const columnOf = (f: number, option: number): Float64Array =>
			(columns[f]![option] ??= Float64Array.from(
				{ length: sequence.sizes[f]! },
				(_, other) => tables[f]![other * sequence.sizes[f]! + option]!
			));
		const changes = new Float64Array(groups.length);
		const front = new Front();
		const next: Path[] = [];
		for (let place = 0; place < list.length; place++) {
			if (allows && !allows(k, place)) continue;
			const choice = list[place]!;
			const highest = limit + 1e-6 - own[k]![place]! - ahead[k]![place]!;
			const here: Path[] = [];
			const add = (before: Path | null, cost: number, state: number): void => {
				const total = cost + problem.judge(k, choice, state);
				if (total + ahead[k]![place]! <= limit + 1e-6)
					keep(here, { choice, cost: total, state: judged.state, before });
			};
			if (k === 0) add(null, 0, sequence.startState);
			front.clear();
			let many = 0;
			while (many < groups.length && cheapest[many]! <= highest) many++;
			changes.fill(0, 0, many);
			for (let f = 0; f < tables.length; f++) {
				const column = columnOf(f, optionIn[f]![choice]!);
				const own = from[f]!;
				for (let g = 0; g < many; g++) changes[g]! += column[own[g]!]!;
			}
			for (let g = 0; g < many; g++) {
				const change = changes[g]!;
				const group = groups[g]!;
				for (let i = 0; i < group.length; i++) {
					const before = group[i]!;
					const cost = before.cost + change;
					work.left--;
					if (cost > highest) break;
					// Who comes here at no more cost and in no higher state leaves so too: the others need not be judged.
					if (front.takes(cost, before.state)) add(before, cost, before.state);
				}
			}
			if (!isFree && (work.left < 0 || next.length > MOST_PATHS)) return null;
			for (const path of here) next.push(path);
		}
		return next;
	};
	let last: Path[] = [];
	for (let k = 0; k < sequence.cells; k++) {
		let next = goOn(k, last, work.left < 0);
		if (!next) {
			work.left = -1;
			last = k > 0 ? bestOf(last, k - 1, BEAM) : last;
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
