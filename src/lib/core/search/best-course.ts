import type { Course } from './course';
import { lightestSet } from './hitting-set';
import type { SequenceProblem } from './problem';
import { SequenceSolver } from './solver';

/**
 * The best course through a sequence, exact in all four levels.
 * @param patience share of the usual work that coarse bounds get before finer ones are tried, 0…1
 * @throws RangeError when a factor has no option, or when no course leads through
 */
export function bestCourse(sequence: SequenceProblem, patience?: number): Course {
	if (sequence.cells === 0)
		return { choices: [], penalty: 0, overheat: 0, changes: 0, massG: 0, used: [], proven: true };
	const solver = new SequenceSolver(sequence, patience);
	const best = solver.solve();
	if (!best) throw new RangeError('no course leads through the cells, allowed is at least one');
	const first = solver.courseOf(best.path);
	const mass = best.proven
		? lightestSet(new Set(first.used), solver.things, sequence.massG, [solver.oracle(best)])
		: { things: new Set(first.used), proven: false };
	const path = best.proven
		? solver.within(
				best,
				solver.openOf((thing) => mass.things.has(thing))
			)
		: null;
	const course = solver.courseOf(path ?? best.path);
	return {
		...course,
		massG: course.used.reduce((sum, thing) => sum + sequence.massG[thing]!, 0),
		proven: best.proven && mass.proven && !solver.gaveUp
	};
}
