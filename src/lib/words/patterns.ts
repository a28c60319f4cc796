import type { Pace } from '../core/document/types';
import { PATTERNS } from '../core/patterns';
import { type Pattern, unfold, type Unfolded } from '../core/patterns/pattern';
import { PATTERN_NAMES, PHASE_NAMES } from './en/patterns';

/** What patterns and their phases are called. */

/** @throws RangeError when there is no such pattern */
export function patternName(id: string): string {
	const name = PATTERN_NAMES[id];
	if (name === undefined)
		throw new RangeError(`pattern is ${id}, allowed are the ids of the patterns that ship`);
	return name;
}
/** Name of a phase or loop of a pattern. @throws RangeError when its code has no name */
export function phaseName(code: string): string {
	const name = PHASE_NAMES[code];
	if (name === undefined)
		throw new RangeError(`phase is ${code}, allowed are codes that have a name in the words`);
	return name;
}

/** The pattern of an id. @throws RangeError when there is none */
export function patternOf(id: string): Pattern {
	const pattern = PATTERNS.find((one) => one.id === id);
	if (!pattern)
		throw new RangeError(`pattern is ${id}, allowed are ${PATTERNS.map((one) => one.id).join(', ')}`);
	return pattern;
}

/** A pattern as the phases of a stage, with their names. */
export const unfoldNamed = (pattern: Pattern, pace: Pace, newId: () => string): Unfolded =>
	unfold(pattern, pace, newId, phaseName);
