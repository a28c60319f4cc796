import { lightestSet } from './lightest';

/**
 * The best course of choices along a chain of cells, proven.
 *
 * A choice is one option in each of a few factors (say trunk, legs, head). Changing an option between two cells
 * costs something, factor by factor, so the best step from every choice to every choice is one sweep per factor
 * instead of a comparison of all pairs. One number of state (heat debt, a cold finger) is carried along; lower is
 * better. Costs are compared in strict order: blame, sweat, changes, then the mass of all that is used.
 */
export interface Chain {
	cells: number;
	/** options in each factor */
	sizes: readonly number[];
	/** cost of going from one option to another before cell k ≥ 1, in hundredths; Infinity where impossible */
	change(k: number, factor: number, from: number, to: number): number;
	/** what a choice costs in a cell and the state after it; blame and state never fall when the state before rises */
	judge(k: number, choice: number, state: number): Judged;
	startState: number;
	/** the lowest possible state, then rising steps between which bounds are worked out apart */
	stateEdges: readonly number[];
	/** things used by an option, as indexes into `massG` */
	uses(factor: number, option: number): readonly number[];
	massG: readonly number[];
}
export interface Judged {
	blame: number;
	/** clo·min, whole numbers */
	sweat: number;
	state: number;
}

export interface Course {
	/** option per factor, for each cell */
	choices: number[][];
	blame: number;
	sweat: number;
	changes: number;
	massG: number;
	/** things used anywhere, as indexes into `massG` */
	used: number[];
	/** whether the mass is proven the least */
	proven: boolean;
}

/** Sweat and changes in one number, so that strict order is one comparison. */
const SWEAT_UNIT = 1e7;

interface Label {
	blame: number;
	rest: number;
	state: number;
	/** step of the state, in the bounds */
	step: number;
	choice: number;
	before: Label | null;
}

const notWorse = (a: { blame: number; rest: number }, b: { blame: number; rest: number }): boolean =>
	a.blame < b.blame || (a.blame === b.blame && a.rest <= b.rest);

const optionOf = (choice: number, stride: number, size: number): number => Math.floor(choice / stride) % size;

/** Option of each factor in a choice; a choice counts through the factors, the last one fastest. */
export function optionsOf(choice: number, sizes: readonly number[]): number[] {
	const options: number[] = [];
	for (let f = sizes.length - 1, left = choice; f >= 0; f--) {
		options[f] = left % sizes[f]!;
		left = Math.floor(left / sizes[f]!);
	}
	return options;
}

function stridesOf(sizes: readonly number[]): number[] {
	const strides = new Array<number>(sizes.length);
	let stride = 1;
	for (let f = sizes.length - 1; f >= 0; f--) {
		strides[f] = stride;
		stride *= sizes[f]!;
	}
	return strides;
}

/** Change costs as a table per cell and factor. */
function changeTables(chain: Chain): Float64Array[][] {
	const tables: Float64Array[][] = [[]];
	for (let k = 1; k < chain.cells; k++) {
		tables.push(
			chain.sizes.map((size, factor) => {
				const table = new Float64Array(size * size);
				for (let from = 0; from < size; from++)
					for (let to = 0; to < size; to++) table[from * size + to] = chain.change(k, factor, from, to);
				return table;
			})
		);
	}
	return tables;
}

/** A bound on what can still follow: one pair of numbers for each choice in each step of the state. */
interface Bound {
	blame: Float64Array;
	rest: Float64Array;
}
/**
 * Bounds that are never too high, since a state is taken for the lower edge of its step.
 * `after[k]` counts from after cell k; `open[k][f]` counts from before cell k, with the factors from f on still free
 * to change, so `open[k][0]` equals `after[k − 1]` and `open[k][factors]` has only the cell itself ahead.
 */
interface Bounds {
	after: Bound[];
	open: Bound[][];
	edges: readonly number[];
}

/** Index of the step in which a state lies. */
function stepOf(edges: readonly number[], state: number): number {
	let step = edges.length - 1;
	while (step > 0 && state < edges[step]!) step--;
	return step;
}

const emptyBound = (length: number, value = 0): Bound => ({
	blame: new Float64Array(length).fill(value),
	rest: new Float64Array(length).fill(value)
});

function boundsOf(chain: Chain, tables: Float64Array[][], choices: number): Bounds {
	const { sizes, cells, stateEdges: edges } = chain;
	const strides = stridesOf(sizes);
	const bounds: Bounds = { after: [], open: [], edges };
	let after = emptyBound(choices * edges.length);
	for (let k = cells - 1; k >= 0; k--) {
		bounds.after[k] = after;
		let ahead = emptyBound(choices * edges.length);
		for (let step = 0; step < edges.length; step++) {
			for (let c = 0; c < choices; c++) {
				const judged = chain.judge(k, c, edges[step]!);
				const then = stepOf(edges, judged.state) * choices + c;
				ahead.blame[step * choices + c] = after.blame[then]! + judged.blame;
				ahead.rest[step * choices + c] = after.rest[then]! + judged.sweat * SWEAT_UNIT;
			}
		}
		const open: Bound[] = [];
		open[sizes.length] = ahead;
		for (let f = sizes.length - 1; f >= 0 && k > 0; f--) {
			open[f] = ahead = beforeChange(ahead, tables[k]![f]!, sizes[f]!, strides[f]!);
		}
		bounds.open[k] = open;
		after = ahead;
	}
	return bounds;
}

/** The bound before one factor may change: the best of all options that it can change to. */
function beforeChange({ blame, rest }: Bound, table: Float64Array, size: number, stride: number): Bound {
	const before = emptyBound(blame.length, Infinity);
	for (let at = 0; at < blame.length; at++) {
		const from = optionOf(at, stride, size);
		let leastBlame = Infinity;
		let leastRest = Infinity;
		for (let to = 0, row = from * size, target = at - from * stride; to < size; to++, target += stride) {
			const cost = table[row + to]!;
			if (cost === Infinity) continue;
			const b = blame[target]!;
			const r = rest[target]! + cost;
			if (b < leastBlame || (b === leastBlame && r < leastRest)) {
				leastBlame = b;
				leastRest = r;
			}
		}
		before.blame[at] = leastBlame;
		before.rest[at] = leastRest;
	}
	return before;
}

/** Least bound over all first choices, from the state at the start. */
function leastAtStart(chain: Chain, bounds: Bounds, choices: number): { blame: number; rest: number } {
	const { blame, rest } = bounds.open[0]![chain.sizes.length]!;
	const offset = stepOf(chain.stateEdges, chain.startState) * choices;
	let best = { blame: Infinity, rest: Infinity };
	for (let c = offset; c < offset + choices; c++) {
		const own = { blame: blame[c]!, rest: rest[c]! };
		if (notWorse(own, best)) best = own;
	}
	return best;
}

const covers = (a: Label, b: Label): boolean => a.state <= b.state && notWorse(a, b);

/** Adds a label unless one in the list is at least as good in every respect; drops those that it beats. */
function keep(list: Label[], label: Label): void {
	for (const other of list) if (covers(other, label)) return;
	let kept = 0;
	for (const other of list) if (!covers(label, other)) list[kept++] = other;
	list.length = kept;
	list.push(label);
}

interface Limit {
	blame: number;
	rest: number;
}

/** Whether a label cannot stay within the limit; `at` is its place in the bound. */
function exceeds(blameSoFar: number, restSoFar: number, bound: Bound, at: number, limit: Limit): boolean {
	const blame = blameSoFar + bound.blame[at]!;
	return blame > limit.blame || (blame === limit.blame && restSoFar + bound.rest[at]! > limit.rest);
}

/** A judged label, or null when it cannot stay within the limit. */
function judgedLabel(
	chain: Chain,
	bounds: Bounds,
	limit: Limit,
	k: number,
	choice: number,
	label: Label
): Label | null {
	const judged = chain.judge(k, choice, label.state);
	const blame = label.blame + judged.blame;
	const rest = label.rest + judged.sweat * SWEAT_UNIT;
	const step = stepOf(bounds.edges, judged.state);
	const choices = bounds.after[k]!.blame.length / bounds.edges.length;
	if (exceeds(blame, rest, bounds.after[k]!, step * choices + choice, limit)) return null;
	return { blame, rest, state: judged.state, step, choice, before: k === 0 ? null : label };
}

/** Labels by choice, with the choices that have any. */
class Front {
	readonly active: number[] = [];
	private readonly lists: (Label[] | undefined)[];
	constructor(choices: number) {
		this.lists = new Array<Label[] | undefined>(choices);
	}
	at(choice: number): Label[] {
		return this.lists[choice]!;
	}
	add(choice: number, label: Label): void {
		const list = this.lists[choice];
		if (list) keep(list, label);
		else {
			this.lists[choice] = [label];
			this.active.push(choice);
		}
	}
}

/** Every choice that can be made of the open options of each factor. */
function choicesOf(open: readonly (readonly number[])[], strides: readonly number[]): number[] {
	return open.reduce<number[]>(
		(choices, options, f) =>
			choices.flatMap((choice) => options.map((option) => choice + option * strides[f]!)),
		[0]
	);
}

/** The labels of a front, or only those that can still end best. */
function likeliest(front: Front, ahead: Bound, choices: number, width: number): Label[] {
	const labels = front.active.flatMap((choice) => front.at(choice));
	if (labels.length <= width) return labels;
	const at = ({ step, choice }: Label): number => step * choices + choice;
	return labels
		.map((label) => ({
			label,
			blame: label.blame + ahead.blame[at(label)]!,
			rest: label.rest + ahead.rest[at(label)]!
		}))
		.sort((a, b) => a.blame - b.blame || a.rest - b.rest || a.label.state - b.label.state)
		.slice(0, width)
		.map(({ label }) => label);
}

/** Work that may still be done, in labels looked at; below 0 a pass gives up. A count, so that results repeat. */
interface Work {
	left: number;
}
const UNLIMITED: Work = { left: Infinity };
/** What the first three levels, and then the mass, may take before the best so far is given, unproven. */
const LEVELS_WORK = 3_000_000;
const MASS_WORK = 1_500_000;
/** Labels that a quick pass keeps at each cell. */
const QUICK_WIDTH = 150;

interface Pass {
	limit: Limit;
	/** options of each factor that may be chosen; every one when left out */
	open?: readonly (readonly number[])[];
	/** labels kept at each cell, the likeliest; all when left out */
	width?: number;
	work?: Work;
}

/**
 * One pass forward, pruned by what can still follow.
 * @returns the labels that reach the end within the limit; none when the work ran out
 */
function forward(chain: Chain, tables: Float64Array[][], bounds: Bounds, pass: Pass): Label[] {
	const { limit, width = Infinity, work = UNLIMITED } = pass;
	const open = pass.open ?? chain.sizes.map((size) => Array.from({ length: size }, (_, i) => i));
	const { sizes, cells, startState } = chain;
	const strides = stridesOf(sizes);
	const choices = sizes.reduce((a, b) => a * b, 1);
	const step = stepOf(chain.stateEdges, startState);
	let front = new Front(choices);
	for (const choice of choicesOf(open, strides)) {
		front.add(choice, { blame: 0, rest: 0, state: startState, step, choice, before: null });
	}
	for (let k = 0; k < cells; k++) {
		for (let f = 0; f < sizes.length && k > 0; f++) {
			const size = sizes[f]!;
			const stride = strides[f]!;
			const table = tables[k]![f]!;
			const ahead = bounds.open[k]![f + 1]!;
			const next = new Front(choices);
			for (const c of front.active) {
				const from = optionOf(c, stride, size);
				work.left -= front.at(c).length * open[f]!.length;
				if (work.left < 0) return [];
				for (const label of front.at(c)) {
					const { blame, state, choice, before } = label;
					const offset = label.step * choices + c - from * stride;
					for (const to of open[f]!) {
						const cost = table[from * size + to]!;
						const rest = label.rest + cost;
						if (cost === Infinity || exceeds(blame, rest, ahead, offset + to * stride, limit)) continue;
						const swept = cost === 0 ? label : { blame, rest, state, step: label.step, choice, before };
						next.add(c + (to - from) * stride, swept);
					}
				}
			}
			front = next;
		}
		const after = new Front(choices);
		for (const choice of front.active) {
			for (const label of front.at(choice)) {
				const judged = judgedLabel(chain, bounds, limit, k, choice, label);
				if (judged) after.add(choice, judged);
			}
		}
		// A swept label stands for the judged one that it was copied from: the next one points at the copy.
		front = new Front(choices);
		for (const label of likeliest(after, bounds.after[k]!, choices, width)) {
			const { blame, rest, state, step: own, choice } = label;
			front.add(choice, { blame, rest, state, step: own, choice, before: label });
		}
	}
	return front.active.flatMap((choice) => front.at(choice).map((label) => label.before!));
}

/** The chain with only its first level left: changes are free where they are possible, sweat counts nothing. */
const blameOnly = (chain: Chain): Chain => ({
	...chain,
	change: (k, factor, from, to) => (chain.change(k, factor, from, to) === Infinity ? Infinity : 0),
	judge: (k, choice, state) => ({ ...chain.judge(k, choice, state), sweat: 0 })
});

/** Least blame of any course, by widening the limit until one fits; null when the work ran out. */
function leastBlame(
	chain: Chain,
	{ after, open, edges }: Bounds,
	atLeast: number,
	work: Work
): number | null {
	const bare = blameOnly(chain);
	const tables = changeTables(bare);
	const free = ({ blame, rest }: Bound): Bound => ({ blame, rest: new Float64Array(rest.length) });
	const bounds: Bounds = { after: after.map(free), open: open.map((list) => list.map(free)), edges };
	for (let more = 1; work.left >= 0; more *= 4) {
		const ends = forward(bare, tables, bounds, { limit: { blame: atLeast + more, rest: 0 }, work });
		if (ends.length > 0) return ends.reduce((a, b) => Math.min(a, b.blame), Infinity);
	}
	return null;
}

/** How far beyond the bound is looked at first: a few changes more. Most days are found here. */
const FIRST_TRIES = [0, 250, 800, 2500, 10_000];
/** And then some sweat, before the quick course's own cost is the limit. */
const LATER_TRIES = [SWEAT_UNIT, 4 * SWEAT_UNIT, 16 * SWEAT_UNIT];

/**
 * The best course in blame, sweat and changes. Limits are widened until a pass that leaves nothing out finds a course,
 * and the best of those is the best of all. When a few changes beyond the bound do not do, a quick pass gives a course
 * whose cost no limit need exceed, and the least blame is worked out by itself.
 */
function bestLabel(
	chain: Chain,
	tables: Float64Array[][],
	bounds: Bounds,
	choices: number
): { label: Label; proven: boolean } {
	const work: Work = { left: LEVELS_WORK };
	const least = leastAtStart(chain, bounds, choices);
	const firstWithin = (blame: number, limits: readonly number[]): Label | null => {
		for (const rest of limits) {
			const found = forward(chain, tables, bounds, { limit: { blame, rest }, work });
			if (found.length > 0) return bestOf(found);
			if (work.left < 0) return null;
		}
		return null;
	};
	const near = firstWithin(
		least.blame,
		FIRST_TRIES.map((more) => least.rest + more)
	);
	if (near) return { label: near, proven: true };

	const quick = (blame: number): Label[] =>
		forward(chain, tables, bounds, { limit: { blame, rest: Infinity }, width: QUICK_WIDTH });
	let label = bestOf(quick(Infinity));
	const blame = label.blame === least.blame ? label.blame : leastBlame(chain, bounds, least.blame, work);
	if (blame === null) return { label, proven: false };
	if (blame < label.blame) {
		const again = quick(blame);
		if (again.length > 0) label = bestOf(again);
	}
	const top = label.blame === blame ? label.rest : Infinity;
	const start = blame === least.blame ? least.rest : 0;
	const tries = [...FIRST_TRIES, ...LATER_TRIES].map((more) => start + more);
	const found = firstWithin(blame, [...tries.filter((rest) => rest < top), top]);
	return found ? { label: found, proven: true } : { label, proven: false };
}

const bestOf = (labels: readonly Label[]): Label => labels.reduce((a, b) => (notWorse(a, b) ? a : b));

/** Choices along the way that led to a label, first cell first. */
function wayOf(last: Label): number[] {
	const way: number[] = [];
	for (let label: Label | null = last; label; label = label.before ? label.before.before : null)
		way.unshift(label.choice);
	return way;
}

/**
 * The best course through a chain, exact in all four levels.
 * @throws RangeError when a factor has no option
 */
export function bestCourse(chain: Chain): Course {
	const choices = chain.sizes.reduce((a, b) => a * b, 1);
	if (choices === 0) throw new RangeError('a factor has 0 options, allowed is 1 or more');
	if (chain.cells === 0)
		return { choices: [], blame: 0, sweat: 0, changes: 0, massG: 0, used: [], proven: true };
	const tables = changeTables(chain);
	const bounds = boundsOf(chain, tables, choices);
	const { label: best, proven: levelsProven } = bestLabel(chain, tables, bounds, choices);
	const limit: Limit = { blame: best.blame, rest: best.rest };
	const work: Work = { left: levelsProven ? MASS_WORK : 0 };
	const within = (allowed: ReadonlySet<number>): Label[] => {
		const open = chain.sizes.map((size, f) =>
			Array.from({ length: size }, (_, option) => option).filter((option) =>
				chain.uses(f, option).every((thing) => allowed.has(thing))
			)
		);
		return forward(chain, tables, bounds, { limit, open, work });
	};
	const usedBy = (label: Label): number[] =>
		wayOf(label).flatMap((choice) =>
			optionsOf(choice, chain.sizes).flatMap((option, f) => [...chain.uses(f, option)])
		);
	const everUsed = chain.sizes.flatMap((size, f) =>
		Array.from({ length: size }, (_, option) => chain.uses(f, option)).flat()
	);
	const indexes = [...new Set(everUsed)].sort((a, b) => a - b);
	const asThings = (set: ReadonlySet<number>): Set<number> => new Set([...set].map((at) => indexes[at]!));
	const start = new Set(usedBy(best).map((thing) => indexes.indexOf(thing)));
	const masses = indexes.map((thing) => chain.massG[thing]!);
	const mass = lightestSet(
		start,
		masses,
		(candidate) => within(asThings(candidate)).length > 0,
		() => work.left < 0
	);
	const massProven = mass.proven && work.left >= 0;
	work.left = Infinity;
	const lightest = levelsProven ? bestOf(within(asThings(mass.things))) : best;
	const used = new Set(usedBy(lightest));
	return {
		choices: wayOf(lightest).map((choice) => optionsOf(choice, chain.sizes)),
		blame: lightest.blame,
		sweat: Math.floor(lightest.rest / SWEAT_UNIT),
		changes: lightest.rest % SWEAT_UNIT,
		massG: [...used].reduce((sum, thing) => sum + chain.massG[thing]!, 0),
		used: [...used].sort((a, b) => a - b),
		proven: levelsProven && massProven
	};
}
