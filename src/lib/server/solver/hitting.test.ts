import { lightestHitting } from '$lib/core/search/hitting-set';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { hittingSolver } from './hitting';

const total = (set: Iterable<number>, massG: readonly number[]): number =>
	[...set].reduce((sum, thing) => sum + massG[thing]!, 0);

it('weighs as little as our own search finds, for programs of any size, and hits every cut', async () => {
	const hit = await hittingSolver();
	fc.assert(
		fc.property(
			fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 8, maxLength: 14 }).chain((massG) =>
				fc.record({
					massG: fc.constant(massG),
					cuts: fc.array(fc.uniqueArray(fc.nat(massG.length - 1), { minLength: 1, maxLength: 5 }), {
						maxLength: 24
					})
				})
			),
			({ massG, cuts }) => {
				const found = hit(cuts, massG)!;
				expect(cuts.every((cut) => cut.some((thing) => found.has(thing)))).toBe(true);
				expect(total(found, massG)).toBe(total(lightestHitting(cuts, massG)!, massG));
			}
		),
		{ numRuns: 60 }
	);
});
