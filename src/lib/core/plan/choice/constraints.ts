import type { Open } from '../../search/problem';
import type { SequenceSolver } from '../../search/solver';

/** Where a thing has to be worn: in a cell of a day. */
export interface WornAt {
	day: number;
	cell: number;
	thing: number;
}

/** What limits the choice beside the kit. Things are indexes into the kit of the wardrobe. */
export interface Constraints {
	/** left at home */
	left: ReadonlySet<number>;
	/** come along whatever they are for, so that their grams do not count in the choice */
	taken: ReadonlySet<number>;
	/** liked better than others: their grams do not count in the choice either */
	preferred: ReadonlySet<number>;
	/** not carried on a stage, by its id */
	leftOn: ReadonlyMap<string, ReadonlySet<number>>;
	wornAt: readonly WornAt[];
}
export const UNLIMITED: Constraints = {
	left: new Set(),
	taken: new Set(),
	preferred: new Set(),
	leftOn: new Map(),
	wornAt: []
};

/** What a day leaves open of one sequence; `key` tells apart what differs. */
export interface DayLimits {
	key: string;
	allows(thing: number): boolean;
	at: Open['at'];
}

/**
 * The limits of one day for the things of one sequence.
 * @param own things that the sequence is about
 */
export function limitsOf(
	{ left, leftOn, wornAt }: Constraints,
	day: { index: number; stage: { id: string } },
	solver: SequenceSolver,
	own: ReadonlySet<number>
): DayLimits {
	const here = leftOn.get(day.stage.id);
	const away = [...own].filter((thing) => left.has(thing) || here?.has(thing));
	const pins = wornAt.filter((pin) => pin.day === day.index && own.has(pin.thing));
	const awaySet = new Set(away);
	const at = new Map<number, Uint8Array[]>();
	const { sizes, uses } = solver.sequence;
	for (const { cell, thing } of pins) {
		// The factor that the thing belongs to has to use it; the others are free.
		const factor = sizes.findIndex((size, f) =>
			Array.from({ length: size }, (_, option) => option).some((option) => uses(f, option).includes(thing))
		);
		const before = at.get(cell) ?? sizes.map((size) => new Uint8Array(size).fill(1));
		if (factor >= 0)
			before[factor] = before[factor]!.map(
				(open, option) => open & Number(uses(factor, option).includes(thing))
			);
		at.set(cell, before);
	}
	return {
		key: JSON.stringify([away.sort((a, b) => a - b), pins.map(({ cell, thing }) => [cell, thing])]),
		allows: (thing) => !awaySet.has(thing),
		at: at.size > 0 ? at : undefined
	};
}
