import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lightestHitting, lightestSet } from './hitting-set';

const masses = fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 7 });
const total = (set: Iterable<number>, massG: readonly number[]): number =>
	[...set].reduce((sum, thing) => sum + massG[thing]!, 0);
/** Every subset of the first n numbers. */
const subsets = (n: number): Set<number>[] =>
	Array.from(
		{ length: 2 ** n },
		(_, bits) => new Set(Array.from({ length: n }, (_, i) => i).filter((i) => (bits >> i) & 1))
	);

/** Needs, each met by any one of some things; a set does when it meets them all. */
const cases = masses.chain((massG) =>
	fc.record({
		massG: fc.constant(massG),
		needs: fc.array(
			fc.uniqueArray(fc.integer({ min: 0, max: massG.length - 1 }), { minLength: 1, maxLength: 4 }),
			{ maxLength: 5 }
		)
	})
);
const meets = (set: ReadonlySet<number>, needs: readonly (readonly number[])[]): boolean =>
	needs.every((need) => need.some((thing) => set.has(thing)));
const leastG = (massG: readonly number[], needs: readonly (readonly number[])[]): number =>
	Math.min(
		...subsets(massG.length)
			.filter((set) => meets(set, needs))
			.map((set) => total(set, massG))
	);

describe('lightestHitting', () => {
	it('equals brute force over all sets', () => {
		fc.assert(
			fc.property(cases, ({ massG, needs }) => {
				const found = lightestHitting(needs, massG)!;
				expect(meets(found, needs)).toBe(true);
				expect(total(found, massG)).toBe(leastG(massG, needs));
			})
		);
	});
	it('is empty when nothing is asked', () => {
		expect(lightestHitting([], [3, 4])).toEqual(new Set());
	});
});

describe('lightestSet', () => {
	const all = (massG: readonly number[]): Set<number> => new Set(massG.map((_, i) => i));
	it('finds the lightest set that does, asking only whether a set does', () => {
		fc.assert(
			fc.property(cases, ({ massG, needs }) => {
				const { things, proven } = lightestSet(
					all(massG),
					[...all(massG)],
					massG,
					[{ things: [...all(massG)], holds: (set) => meets(set, needs) }],
					{ isOver: () => false }
				);
				expect(proven).toBe(true);
				expect(meets(things, needs)).toBe(true);
				expect(total(things, massG)).toBe(leastG(massG, needs));
			})
		);
	});
	it('keeps what does, unproven, when it has to stop', () => {
		const massG = [10, 6, 6, 1];
		const needs = [[0, 1], [0, 2], [3]];
		let calls = 0;
		const things_ = [...all(massG)];
		const { things, proven, atLeastG } = lightestSet(
			all(massG),
			things_,
			massG,
			[{ things: things_, holds: (set) => ++calls < 3 && meets(set, needs) }],
			{ isOver: () => calls >= 3 }
		);
		expect(atLeastG).toBeLessThanOrEqual(leastG(massG, needs));
		expect(proven).toBe(false);
		expect(meets(things, needs)).toBe(true);
	});
	it('ends, unproven, when a part holds with nothing at all', () => {
		const { things, proven } = lightestSet(
			new Set([0, 1]),
			[0, 1],
			[5, 3],
			[{ things: [0, 1], holds: () => false }]
		);
		expect(proven).toBe(false);
		expect([...things]).toEqual([0, 1]);
	});
	it('swaps one heavy thing for two light ones, and the other way round', () => {
		const needs = [
			[0, 1],
			[0, 2]
		];
		for (const [massG, best] of [
			[[10, 6, 6], [0]],
			[
				[13, 6, 6],
				[1, 2]
			]
		] as const) {
			for (const start of [[0], [1, 2]]) {
				const { things } = lightestSet(
					new Set(start),
					massG.map((_, thing) => thing),
					massG,
					[{ things: massG.map((_, thing) => thing), holds: (set) => meets(set, needs) }]
				);
				expect([...things].sort()).toEqual([...best]);
			}
		}
	});
});
