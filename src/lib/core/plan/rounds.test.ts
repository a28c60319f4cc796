import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLANNED, phaseOf, stageOf } from '../../../../tests/fixtures/make';
import { cellsOf, type Cell } from './conditions';
import { CLOSENESS, closer, representatives } from './rounds';

/** A day of some lift rides. */
function loopDay(count: number): Cell[] {
	const stage = stageOf([], { airTempC: -5 });
	stage.sequence = [
		{ ...phaseOf(['move', 10, 150, 'slope']), id: 'out' },
		{
			type: 'loop',
			id: 'runs',
			name: 'Runs',
			count,
			sequence: [
				{ ...phaseOf(['ride', 8, 70, 'slope']), id: 'up' },
				{ ...phaseOf(['move', 12, 250, 'slope']), id: 'down' }
			]
		}
	];
	return cellsOf(stage, PLANNED);
}
const roundsOf = (cells: readonly Cell[]): number[] =>
	cells.filter(({ phaseId }) => phaseId === 'down').map(({ round }) => round);

describe('rounds of a long loop', () => {
	it.each([
		['few', 10, [1, 2, 10]],
		['thirds', 10, [1, 2, 5, 8, 10]],
		['thirds', 12, [1, 2, 5, 8, 11, 12]],
		['each', 10, [1, 2, 3, 4, 5, 6, 7, 8, 9, 10]],
		['few', 4, [1, 2, 3, 4]],
		['few', 5, [1, 2, 5]]
	] as const)('%s of %i rounds are dressed: %j', (closeness, count, rounds) => {
		expect(roundsOf(representatives(loopDay(count), closeness).chosen)).toEqual(rounds);
	});
	it('wear what an earlier round of the same phase wears, and every cell wears something', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 25 }), fc.constantFrom(...CLOSENESS), (count, closeness) => {
				const cells = loopDay(count);
				const { chosen, of } = representatives(cells, closeness);
				expect(of.size).toBe(cells.length);
				for (const cell of cells) {
					const model = chosen[of.get(cell)!]!;
					expect(model.phaseId).toBe(cell.phaseId);
					expect(model.round).toBeLessThanOrEqual(cell.round);
				}
				for (const cell of chosen) expect(chosen[of.get(cell)!]).toBe(cell);
			}),
			{ numRuns: 60 }
		);
	});
	it('are looked at more and more closely, and in the end one by one', () => {
		expect(closer('few')).toBe('thirds');
		expect(closer('thirds')).toBe('each');
		expect(closer('each')).toBe('each');
	});
});
