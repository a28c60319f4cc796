import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestCourse } from './best-course';
import { type Course } from './course';
import { changeTable, keyOf, optionsOf, Problem, type SequenceProblem } from './problem';
import { quickCourse } from './quick-start';
import { Relaxation } from './relaxation';
import { SequenceSolver } from './solver';

/** A small random sequence whose judge is monotone in its state, as the contract asks. */
const smallSequence = fc
	.record({
		cells: fc.integer({ min: 1, max: 4 }),
		sizes: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 2 }),
		numbers: fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 60, maxLength: 60 }),
		masses: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 6, maxLength: 6 })
	})
	.map(({ cells, sizes, numbers, masses }): SequenceProblem => {
		const pick = (...at: number[]): number => numbers[at.reduce((a, b) => a * 7 + b, 3) % numbers.length]!;
		return {
			cells,
			sizes,
			changes: (k, f) =>
				changeTable(sizes[f]!, (from, to) =>
					from === to ? 0 : pick(k, f, from, to) === 6 ? Infinity : 1 + pick(f, from, to)
				),
			judge: (k, choice, state, into) => {
				const end = Math.max(-3, state + pick(k, choice) - 3);
				into.penalty = Math.max(0, Math.max(state, end) - 2);
				into.overheat = pick(choice, k) % 2;
				into.state = end;
			},
			startState: 0,
			stateEdges: [-3, 0, 2],
			uses: (f, option) => (option === 0 ? [] : [f * 3 + option]),
			massG: masses
		};
	});

function bruteForce(sequence: SequenceProblem): [number, number, number, number] {
	const choices = sequence.sizes.reduce((a, b) => a * b, 1);
	let best: [number, number, number, number] = [Infinity, Infinity, Infinity, Infinity];
	const less = (a: number[], b: number[]): boolean => {
		const i = a.findIndex((value, at) => value !== b[at]);
		return i >= 0 && a[i]! < b[i]!;
	};
	const walk = (
		k: number,
		before: number[] | null,
		state: number,
		cost: [number, number, number],
		used: Set<number>
	): void => {
		if (k === sequence.cells) {
			const mass = [...used].reduce((sum, thing) => sum + sequence.massG[thing]!, 0);
			const total: [number, number, number, number] = [...cost, mass];
			if (less(total, best)) best = total;
			return;
		}
		for (let choice = 0; choice < choices; choice++) {
			const options = optionsOf(choice, sequence.sizes);
			const change = before
				? options.reduce(
						(sum, to, f) => sum + sequence.changes(k, f)[before[f]! * sequence.sizes[f]! + to]!,
						0
					)
				: 0;
			if (change === Infinity) continue;
			const judged = { penalty: 0, overheat: 0, state: 0 };
			sequence.judge(k, choice, state, judged);
			const uses = options.flatMap((option, f) => [...sequence.uses(f, option)]);
			walk(
				k + 1,
				options,
				judged.state,
				[cost[0] + judged.penalty, cost[1] + judged.overheat, cost[2] + change],
				new Set([...used, ...uses])
			);
		}
	};
	walk(0, null, sequence.startState, [0, 0, 0], new Set());
	return best;
}

/** So many that some are left out at first. */
const MANY_EDGES = Array.from({ length: 40 }, (_, i) => i / 2 - 6);

/** A wider one, of three factors; some changes cost nothing, and the state has many steps. */
const widerSequence = fc
	.record({
		cells: fc.integer({ min: 2, max: 3 }),
		sizes: fc.tuple(
			fc.integer({ min: 2, max: 4 }),
			fc.integer({ min: 1, max: 3 }),
			fc.integer({ min: 1, max: 2 })
		),
		numbers: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 211, maxLength: 211 }),
		free: fc.boolean(),
		/** prices from which a change cannot be done */
		wall: fc.constantFrom(9, 9, 7, 4),
		edges: fc.constantFrom([-6], [-6, 0, 3], [-6, -3, -1, 0, 1, 2, 3, 5, 8], MANY_EDGES)
	})
	.map(({ cells, sizes, numbers, free, wall, edges }): SequenceProblem => {
		const pick = (...at: number[]): number => numbers[at.reduce((a, b) => a * 13 + b, 5) % numbers.length]!;
		return {
			cells,
			sizes,
			changes: (k, f) =>
				changeTable(sizes[f]!, (from, to) => {
					if (from === to) return 0;
					const price = pick(k, f, from, to);
					return price >= wall ? Infinity : free && price > 5 ? 0 : 100 * (price + 1);
				}),
			judge: (k, choice, state, into) => {
				const end = Math.max(-6, state + pick(k, choice) - 4);
				into.penalty = Math.max(0, Math.max(state, end) - 3);
				into.overheat = Math.max(0, pick(choice, k, 1) - 5);
				into.state = end;
			},
			startState: 0,
			stateEdges: edges,
			uses: (f, option) => (option === 0 ? [] : [f * 4 + option]),
			massG: Array.from({ length: 12 }, (_, thing) => 10 + pick(thing))
		};
	});

/** What a course of choices costs, followed cell by cell. */
function costOf(sequence: SequenceProblem, choices: readonly number[][]): [number, number, number] {
	const into = { penalty: 0, overheat: 0, state: sequence.startState };
	return choices.reduce<[number, number, number]>(
		([penalty, overheat, changes], options, k) => {
			const choice = options.reduce((all, option, f) => all * sequence.sizes[f]! + option, 0);
			sequence.judge(k, choice, into.state, into);
			const change = options.reduce(
				(sum, to, f) =>
					sum + (k > 0 ? sequence.changes(k, f)[choices[k - 1]![f]! * sequence.sizes[f]! + to]! : 0),
				0
			);
			return [penalty + into.penalty, overheat + into.overheat, changes + change];
		},
		[0, 0, 0]
	);
}

/** A longer one, in which warmth now is paid with overheat and cold later: what is cheap in a cell leads into trouble. */
const sequenceOfCells = (min: number, max: number, sizes = [2, 2]): fc.Arbitrary<SequenceProblem> =>
	fc
		.record({
			cells: fc.integer({ min, max }),
			warmth: fc.array(fc.integer({ min: -3, max: 3 }), { minLength: 4, maxLength: 4 }),
			needs: fc.array(fc.integer({ min: -2, max: 3 }), { minLength: 6, maxLength: 6 }),
			prices: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 6, maxLength: 6 }),
			hard: fc.boolean(),
			ranked: fc.boolean()
		})
		.map(({ cells, warmth, needs, prices, hard, ranked }): SequenceProblem => ({
			cells,
			sizes,
			changes: (k, f) =>
				changeTable(sizes[f]!, (from, to) =>
					from === to ? 0 : hard && f === 0 && k % 2 === 1 ? Infinity : 100 * prices[(k + f) % 6]!
				),
			judge: (k, choice, state, into) => {
				const over = warmth[choice]! - needs[k % 6]!;
				into.state = Math.max(-6, state - over * 1.5);
				into.penalty = Math.max(0, Math.ceil((Math.max(state, into.state) - 2) / 2));
				into.overheat = Math.max(0, over - 1);
			},
			startState: 0,
			stateEdges: MANY_EDGES,
			uses: (f, option) => (option === 0 ? [] : [f]),
			massG: [7, 5],
			// More warmth leaves less cold; what sweats as much for it is alike but for that.
			...(ranked
				? {
						leastKeys: (k: number) =>
							Float64Array.from(warmth.slice(0, sizes[0]! * sizes[1]!), (own) =>
								keyOf(0, Math.max(0, own - needs[k % 6]! - 1))
							),
						ranks: () => Float64Array.from(warmth.slice(0, sizes[0]! * sizes[1]!), (own) => -own)
					}
				: {})
		}));
const longerSequence = sequenceOfCells(4, 6);

/** The best course, held against brute force in all four levels; null where there is none. */
function sameAsBruteForce(sequence: SequenceProblem, patience?: number): Course | null {
	const least = bruteForce(sequence);
	if (least[0] === Infinity) {
		expect(() => bestCourse(sequence, patience)).toThrow(RangeError);
		return null;
	}
	const course = bestCourse(sequence, patience);
	expect([course.penalty, course.overheat, course.changes, course.massG]).toEqual(least);
	return course;
}

describe('bestCourse', () => {
	it('equals brute force for wider sequences, whatever steps the bounds know', () => {
		let found = 0;
		fc.assert(
			fc.property(widerSequence, fc.constantFrom(0, 0.001, 1), (sequence, patience) => {
				const course = sameAsBruteForce(sequence, patience);
				if (!course) return;
				expect(course.proven).toBe(true);
				found++;
			}),
			{ numRuns: 300 }
		);
		expect(found).toBeGreaterThan(150);
	});
	it('equals brute force where warmth is paid with overheat now or with cold later', () => {
		fc.assert(
			fc.property(longerSequence, fc.constantFrom(0, 0.001, 1), (sequence, patience) => {
				expect(sameAsBruteForce(sequence, patience)?.proven ?? true).toBe(true);
			}),
			{ numRuns: 400 }
		);
	});
	it('may spend changes on a lighter set, and no more than it is given', () => {
		fc.assert(
			fc.property(widerSequence, fc.constantFrom(0, 100, 300), (sequence, spare) => {
				const solver = new SequenceSolver(sequence);
				const best = solver.solve(solver.everything(), spare);
				if (!best) return;
				const { holds, things } = solver.oracle(best, spare);
				// With all that it can use it holds; with what the best course uses too.
				expect(holds(new Set(things))).toBe(true);
				const used = solver.courseOf(best.path).used;
				expect(holds(new Set(used))).toBe(true);
				for (const thing of used) {
					const without = new Set(used.filter((other) => other !== thing));
					const path = solver.within(
						best,
						solver.openOf((other) => without.has(other)),
						spare
					);
					expect(holds(without)).toBe(path !== null);
					if (!path) continue;
					const course = solver.courseOf(path);
					expect([course.penalty, course.overheat]).toEqual([best.penalty, best.overheat]);
					expect(course.changes).toBeLessThanOrEqual(best.changes + spare);
				}
			}),
			{ numRuns: 100 }
		);
	});
	it('is never worse than it says, nor better than brute force, on days of many cells', () => {
		let proven = 0;
		fc.assert(
			fc.property(sequenceOfCells(11, 11, [2, 1]), fc.constantFrom(0, 1), (sequence, patience) => {
				const least = bruteForce(sequence);
				if (least[0] === Infinity) return;
				const course = bestCourse(sequence, patience);
				expect(costOf(sequence, course.choices)).toEqual([course.penalty, course.overheat, course.changes]);
				const own = [course.penalty, course.overheat, course.changes, course.massG];
				const at = own.findIndex((value, level) => value !== least[level]);
				if (at >= 0) expect(own[at]).toBeGreaterThan(least[at]!);
				if (!course.proven) return;
				proven++;
				expect(own).toEqual(least);
			}),
			{ numRuns: 60 }
		);
		expect(proven).toBeGreaterThan(30);
	});
	it('begins, on such days, with a course that can be followed and costs no more than was allowed', () => {
		let found = 0;
		fc.assert(
			fc.property(sequenceOfCells(6, 20), fc.integer({ min: 0, max: 12 }), (sequence, more) => {
				const problem = new Problem(sequence);
				const keys = Array.from({ length: sequence.cells }, (_, k) => problem.leastKeys(k));
				const all = keys.map((own) => Int32Array.from(own.keys()));
				const relaxation = new Relaxation(problem, all, keys, sequence.stateEdges);
				const most = relaxation.least + keyOf(more, 0);
				const path = quickCourse(problem, relaxation, relaxation.lists, most);
				if (!path) return;
				found++;
				const { choices, ...levels } = new SequenceSolver(sequence).courseOf(path);
				expect(choices).toHaveLength(sequence.cells);
				expect(costOf(sequence, choices)).toEqual([levels.penalty, levels.overheat, levels.changes]);
				expect(keyOf(levels.penalty, levels.overheat)).toBeGreaterThanOrEqual(relaxation.least);
				expect(keyOf(levels.penalty, levels.overheat)).toBeLessThanOrEqual(most);
			}),
			{ numRuns: 200 }
		);
		expect(found).toBeGreaterThan(120);
	});
	it('equals brute force in all four levels', () => {
		fc.assert(
			fc.property(smallSequence, (sequence) => void sameAsBruteForce(sequence)),
			{ numRuns: 400 }
		);
	});
});
