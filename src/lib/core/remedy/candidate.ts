import type { Cloth } from '../cloth/things';
import { clothOf } from '../cloth/things';
import type { Client, HouseUses, Thing } from '../document/types';

/** What a client could get beside what they have. */

/**
 * Where a thing may come from; what is owned, provided or lent costs nothing. What is mended takes the place of the thing that
 * the client has, as it will be then.
 */
export const CANDIDATE_SOURCES = ['own', 'mend', 'house', 'hire', 'buy', 'provided'] as const;
export type CandidateSource = (typeof CANDIDATE_SOURCES)[number];

export interface Candidate {
	thing: Thing;
	from: CandidateSource;
	/** money, in the currency of the house, 0 and more */
	cost: number;
	/** days until it is there, 0 and more */
	days: number;
}

/** The thing of a candidate as it counts once the client has it. */
const gotten = (thing: Thing): Thing =>
	thing.quantity.state === 'has' || thing.quantity.state === 'assumed'
		? thing
		: { ...thing, quantity: { value: thing.quantity.value ?? 1, source: 'guess', state: 'assumed' } };

/**
 * A client with some candidates beside what they have.
 * @param added indexes into the candidates
 */
export const clientWith = (
	client: Client,
	candidates: readonly Candidate[],
	added: Iterable<number>
): Client => {
	const more = [...added].map((index) => gotten(candidates[index]!.thing));
	const ids = new Set(more.map(({ id }) => id));
	return { ...client, things: [...client.things.filter(({ id }) => !ids.has(id)), ...more] };
};

/** Candidates as the computation sees them. */
export const clothsOf = (candidates: readonly Candidate[], uses?: HouseUses): Cloth[] =>
	candidates.map(({ thing }) => clothOf(gotten(thing), uses));
