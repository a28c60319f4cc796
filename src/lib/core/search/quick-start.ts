import type { Path } from './bounds';
import type { Problem } from './problem';
import type { Relaxation } from './relaxation';

/** Ways that are kept at each cell. */
const WIDTH = 24;

/** Choices beside those like the one before that a way can go on with. */
const MOST_LEADERS = 12;

/** Ways that are kept with the same choice. */
const PER_CHOICE = 2;

/**
 * A good course, quickly: the most promising ways are followed side by side, those that keep penalty and overheat low first, and
 * of those the ones with few changes. At each cell a way goes on as it is, with one option changed, or with one of the
 * choices that no other outdoes.
 * @param lists choices of each cell that may be made, in rising order
 * @param most no more penalty and overheat than that
 * @returns null when no way leads through; there may be one all the same
 */
export function quickCourse(
	problem: Problem,
	relaxation: Relaxation,
	lists: readonly Int32Array[],
	most: number
): Path | null {
	const { sequence, optionIn, choices } = problem;
	const { sizes, cells, startState } = sequence;
	const strides: number[] = [];
	sizes.reduceRight((stride, size, f) => {
		strides[f] = stride;
		return stride * size;
	}, 1);
	let ways: Path[] = [];
	for (let k = 0; k < cells; k++) {
		const open = new Uint8Array(choices);
		for (const choice of lists[k]!) open[choice] = 1;
		const leaders = someOf(relaxation.leadersOf(k).filter((choice) => open[choice] === 1));
		const tables = k > 0 ? problem.changes(k) : [];
		const next: Way[] = [];
		const consider = (before: Path | null, choice: number): void => {
			let changes = before?.changes ?? 0;
			if (before)
				for (let f = 0; f < sizes.length; f++)
					changes += tables[f]![optionIn[f]![before.choice]! * sizes[f]! + optionIn[f]![choice]!]!;
			if (changes === Infinity) return;
			const key = (before?.key ?? 0) + problem.judge(k, choice, before?.state ?? startState);
			const { state } = problem.judged;
			const bound = key + relaxation.restAfter(k, choice, state);
			if (bound <= most) next.push({ bound, path: { key, changes, state, choice, before } });
		};
		if (k === 0) for (const choice of lists[0]!) consider(null, choice);
		for (const before of ways) {
			const { choice } = before;
			if (open[choice] === 1) consider(before, choice);
			for (let f = 0; f < sizes.length; f++) {
				const own = optionIn[f]![choice]!;
				for (let option = 0; option < sizes[f]!; option++) {
					const other = choice + (option - own) * strides[f]!;
					if (option !== own && open[other] === 1) consider(before, other);
				}
			}
			for (const leader of leaders) if (leader !== choice) consider(before, leader);
		}
		ways = bestOf(next);
	}
	return ways[0] ?? null;
}

/** Some choices of a list, evenly spread over it. */
const someOf = (list: readonly number[]): number[] =>
	list.length <= MOST_LEADERS
		? [...list]
		: Array.from(
				{ length: MOST_LEADERS },
				(_, i) => list[Math.round((i * (list.length - 1)) / (MOST_LEADERS - 1))]!
			);

interface Way {
	/** least key of a whole course that begins so */
	bound: number;
	path: Path;
}

function bestOf(ways: Way[]): Path[] {
	ways.sort(
		(a, b) =>
			a.bound - b.bound ||
			a.path.changes - b.path.changes ||
			a.path.state - b.path.state ||
			a.path.choice - b.path.choice
	);
	const kept: Path[] = [];
	const many = new Map<number, number>();
	for (const { path } of ways) {
		const like = many.get(path.choice) ?? 0;
		if (like === PER_CHOICE) continue;
		many.set(path.choice, like + 1);
		if (kept.push(path) === WIDTH) break;
	}
	return kept;
}
