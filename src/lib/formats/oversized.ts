import { livedCount } from '../core/document/sequence';
import type { Stage, Trip } from '../core/document/types';
import type { FieldError } from './check';
import { LIMITS } from './limits';

/** What asks for too much, told before any work is done with it. */

const tooLarge = (field: string, value: number, allowed: string): FieldError => ({
	field,
	value,
	allowed,
	message: `has ${value}, allowed are at most ${allowed}`
});

/** What is too large in an input, whatever it says; null when nothing is. It is looked at before its entries are. */
export function oversized(input: unknown): FieldError | null {
	let values = 0;
	const open: { value: unknown; path: string; depth: number }[] = [{ value: input, path: '', depth: 0 }];
	for (let one = open.pop(); one; one = open.pop()) {
		const { value, path, depth } = one;
		if (++values > LIMITS.values) return tooLarge('', values, `${LIMITS.values} values in all`);
		if (typeof value !== 'object' || value === null) continue;
		if (depth >= LIMITS.depth)
			return tooLarge(path.slice(0, 120), depth + 1, `${LIMITS.depth} levels within one another`);
		const entries = Object.entries(value);
		if (Array.isArray(value) && entries.length > LIMITS.entries)
			return tooLarge(path, entries.length, `${LIMITS.entries} entries`);
		for (const [key, own] of entries)
			open.push({ value: own, path: path ? `${path}.${key}` : key, depth: depth + 1 });
	}
	return null;
}

const livedIn = ({ sequence, foul }: Stage): number =>
	livedCount(sequence) + (foul ? livedCount(foul.sequence) : 0);

/** Phases of a trip in all its weathers, as they are planned. */
export const livedPhases = ({ stages, weathers }: Pick<Trip, 'stages' | 'weathers'>): number =>
	weathers.length * stages.reduce((sum, stage) => sum + livedIn(stage), 0);

/** A trip that is too long to be planned at once; null when it is not. @param field where the trip stands */
export function tooLong(trip: Pick<Trip, 'stages' | 'weathers'>, field = 'stages'): FieldError | null {
	const lived = livedPhases(trip);
	if (lived <= LIMITS.lived) return null;
	return {
		field,
		value: lived,
		allowed: `at most ${LIMITS.lived}`,
		message: `has ${lived} phases in all weathers, allowed are at most ${LIMITS.lived}: make it two trips, or leave out a weather`
	};
}
