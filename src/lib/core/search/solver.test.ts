import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { finished } from './steps';
import { lightestSteps } from './hitting-set';
import { changeTable, costOf, optionsOf, type SequenceProblem } from './problem';
import { SequenceSolver } from './solver';

/** A small random sequence of up to three factors whose judge is monotone in its state, as the contract asks. */
const sequences = (most: { cells: number; sizes: number[] }): fc.Arbitrary<SequenceProblem> =>
	fc
		.record({
			cells: fc.integer({ min: 1, max: most.cells }),
			sizes: fc.tuple(...most.sizes.map((size) => fc.integer({ min: 1, max: size }))),
			numbers: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 211, maxLength: 211 }),
			free: fc.boolean(),
			/** prices from which a change cannot be done */
			wall: fc.constantFrom(9, 9, 7, 4),
			/** what a unit of state costs beyond its mark */
			grief: fc.constantFrom(1, 4, 400)
		})
		.map(({ cells, sizes, numbers, free, wall, grief }): SequenceProblem => {
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
					into.penalty = pick(choice, k, 2) === 9 ? Infinity : grief * Math.max(0, Math.max(state, end) - 3);
					into.overheat = 4 * Math.max(0, pick(choice, k, 1) - 5);
					into.state = end;
				},
				startState: 0,
				uses: (f, option) => (option === 0 ? [] : [f * 4 + option]),
				massG: Array.from({ length: 12 }, (_, thing) => 10 + pick(thing))
			};
		});

interface Found {
	cost: number;
	massG: number;
}
/** The least cost of any course, and the least mass of one that costs no more than `spare` beyond it. */
function bruteForce(sequence: SequenceProblem, spare = 0): Found {
	const choices = sequence.sizes.reduce((a, b) => a * b, 1);
	const all: Found[] = [];
	const walk = (k: number, before: number[] | null, state: number, cost: number, used: Set<number>): void => {
		if (k === sequence.cells) {
			all.push({ cost, massG: [...used].reduce((sum, thing) => sum + sequence.massG[thing]!, 0) });
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
			const judged = { penalty: 0, overheat: 0, state: 0 };
			sequence.judge(k, choice, state, judged);
			if (change === Infinity || judged.penalty === Infinity) continue;
			const uses = options.flatMap((option, f) => [...sequence.uses(f, option)]);
			walk(
				k + 1,
				options,
				judged.state,
				cost + change + costOf(judged.penalty, judged.overheat),
				new Set([...used, ...uses])
			);
		}
	};
	walk(0, null, sequence.startState, 0, new Set());
	const cost = Math.min(Infinity, ...all.map((one) => one.cost));
	const near = all.filter((one) => one.cost <= cost + spare + 1e-6);
	return { cost, massG: Math.min(Infinity, ...near.map((one) => one.massG)) };
}

/** The least mass with which a course costs no more than `spare` beyond the best. */
function lightest(sequence: SequenceProblem, spare: number): number {
	const solver = new SequenceSolver(sequence);
	const best = solver.solve()!;
	const start = new Set(solver.courseOf(best.path).used);
	const oracle = solver.oracle(best, spare);
	const all = [...new Set([...start, ...oracle.things])].sort((a, b) => a - b);
	const steps = lightestSteps(start, all, sequence.massG, [oracle]);
	const { things, proven } = finished(steps);
	expect(proven).toBe(true);
	return [...things].reduce((sum, thing) => sum + sequence.massG[thing]!, 0);
}

describe('the cheapest course', () => {
	it('equals brute force, and says that it is proven', () => {
		let found = 0;
		fc.assert(
			fc.property(
				sequences({ cells: 3, sizes: [4, 3, 2] }),
				fc.integer({ min: 0, max: 800 }),
				(sequence, over) => {
					const { cost } = bruteForce(sequence);
					const best = new SequenceSolver(sequence).solve();
					if (cost === Infinity) {
						expect(best).toBeNull();
						return;
					}
					found++;
					expect(best!.cost).toBeCloseTo(cost, 6);
					expect(best!.proven).toBe(true);
					expect(best!.atLeast).toBeCloseTo(cost, 6);
					// Below its cost there is none; the options of the best course are never left out.
					const solver = new SequenceSolver(sequence);
					expect(solver.upTo(cost + over).best!.cost).toBeCloseTo(cost, 6);
					expect(solver.upTo(cost - 1).best).toBeNull();
					expect(solver.upTo(cost - 1).atLeast).toBeGreaterThanOrEqual(cost - 1 - 1e-6);
					const { used, atLeast } = solver.optionsUpTo(cost + over);
					expect(atLeast).toBeLessThanOrEqual(cost + 1e-6);
					solver
						.courseOf(best!.path)
						.choices.forEach((options) => options.forEach((option, f) => expect(used![f]![option]).toBe(1)));
					expect(costOf(best!.penalty, best!.overheat) + best!.changes).toBeCloseTo(cost, 6);
				}
			),
			{ numRuns: 300 }
		);
		expect(found).toBeGreaterThan(100);
	});

	it('equals brute force along more cells', () => {
		fc.assert(
			fc.property(sequences({ cells: 6, sizes: [3, 2] }), (sequence) => {
				const { cost } = bruteForce(sequence);
				const best = new SequenceSolver(sequence).solve();
				if (cost === Infinity) {
					expect(best).toBeNull();
					return;
				}
				expect(best!.cost).toBeCloseTo(cost, 6);
			}),
			{ numRuns: 60 }
		);
	});

	it('makes the lightest set of things that costs no more, or so much more as is spared', () => {
		fc.assert(
			fc.property(sequences({ cells: 3, sizes: [3, 3] }), fc.constantFrom(0, 100, 450), (sequence, spare) => {
				const { cost, massG } = bruteForce(sequence, spare);
				fc.pre(cost < Infinity);
				expect(lightest(sequence, spare)).toBe(massG);
			}),
			{ numRuns: 150 }
		);
	});

	it('never costs less with fewer things, nor more with a bound that it was told', () => {
		fc.assert(
			fc.property(sequences({ cells: 3, sizes: [3, 3] }), (sequence) => {
				const solver = new SequenceSolver(sequence);
				const best = solver.solve();
				fc.pre(best !== null);
				for (const thing of solver.things) {
					const without = solver.solve(solver.openOf((other) => other !== thing));
					if (without) expect(without.cost).toBeGreaterThanOrEqual(best!.cost - 1e-6);
				}
			}),
			{ numRuns: 60 }
		);
	});

	it('is good, and not said to be proven, when it shall be quick', () => {
		fc.assert(
			fc.property(sequences({ cells: 4, sizes: [3, 3] }), (sequence) => {
				const best = new SequenceSolver(sequence).solve();
				const quick = new SequenceSolver(sequence).solve(undefined, true);
				expect(quick === null).toBe(best === null);
				if (!best || !quick) return;
				expect(quick.cost).toBeGreaterThanOrEqual(best.cost - 1e-6);
				expect(quick.atLeast).toBeLessThanOrEqual(best.cost + 1e-6);
			}),
			{ numRuns: 60 }
		);
	});

	it('keeps the best it has found when its work is cut short', () => {
		fc.assert(
			fc.property(sequences({ cells: 4, sizes: [4, 3] }), (sequence) => {
				const best = new SequenceSolver(sequence).solve();
				const hurried = new SequenceSolver(sequence, 0).solve();
				expect(hurried === null).toBe(best === null);
				if (!best || !hurried) return;
				expect(hurried.cost).toBeGreaterThanOrEqual(best.cost - 1e-6);
				if (hurried.proven) expect(hurried.cost).toBeCloseTo(best.cost, 6);
			}),
			{ numRuns: 60 }
		);
	});

	it('takes only what is open in a cell', () => {
		const sequence: SequenceProblem = {
			cells: 2,
			sizes: [2],
			changes: () => changeTable(2, (from, to) => (from === to ? 0 : 100)),
			judge: (_k, choice, state, into) => Object.assign(into, { penalty: choice, overheat: 0, state }),
			startState: 0,
			uses: (_f, option) => [option],
			massG: [1, 1]
		};
		const solver = new SequenceSolver(sequence);
		const open = { ...solver.everything(), at: new Map([[1, [Uint8Array.of(0, 1)]]]) };
		expect(solver.courseOf(solver.solve(open)!.path).choices).toEqual([[0], [1]]);
		expect(() => new SequenceSolver({ ...sequence, sizes: [0] })).toThrow(RangeError);
	});
});
