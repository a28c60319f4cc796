import { isThere, thingOfType } from '../cloth/things';
import type { Client, Document, Thing } from '../document/types';
import type { Candidate } from '../remedy/candidate';
import { setKey } from '../remedy/candidate-set';
import { doingsOn } from '../remedy/usual-candidates';
import { answering, isTold, type Question, questionsFor } from './questions';

/** What an interview stands on: the kit apart from what is asked, and what is told of that already. */

/** A question, and by which of the candidates it is tried. */
export interface Asked {
	question: Question;
	/** of the kit those that are only taken as likely, or that an answer brought; else the usual one */
	tries: readonly number[];
	/** whether the kit takes it as likely that the client has it, which holds for one who does not know */
	isAssumed: boolean;
}
/** What is told so far of what is asked, by its place there. Who does not know has what the kit takes as likely, or has it not. */
export interface Told {
	there: ReadonlySet<number>;
	away: ReadonlySet<number>;
}
/** What is told, in one word. */
export const toldKey = ({ there, away }: Told): string => `${setKey(there)} ${setKey(away)}`;
/** What is told once one more question is answered. */
export const toldMore = ({ there, away }: Told, at: number, isThere: boolean): Told =>
	isThere ? { there: new Set([...there, at]), away } : { there, away: new Set([...away, at]) };

export interface Ground {
	/** the client without what is asked */
	base: Client;
	asked: readonly Asked[];
	candidates: readonly Candidate[];
	told: Told;
}

const plainThing = ({ id }: Question, typeId: string): Thing =>
	thingOfType(`question-${id}-${typeId}`.replaceAll(' ', '-'), typeId, typeId, {
		value: 1,
		source: 'guess',
		state: 'assumed'
	});
/** Whether all that is known of a thing is what a client says, so that it can be taken out and put in again. */
export const isPlain = ({ facts, quantity: { source } }: Thing): boolean =>
	Object.keys(facts).length === 0 && (source === 'client' || source === 'guess');

/**
 * @param unknown questions that were asked before and not answered
 * @param isFollowed whether questions that were answered stay with those that are open, so that what is worked out now holds
 * after the next answer too
 */
export function groundOf(
	document: Document,
	client: Client,
	unknown: ReadonlySet<string>,
	isFollowed = false
): Ground {
	const candidates: Candidate[] = [];
	const taken = new Set<string>();
	const asked: Asked[] = [];
	let told: Told = { there: new Set(), away: new Set() };
	for (const question of questionsFor(doingsOn(document.trip))) {
		const own = answering(question, client.things).filter(({ id }) => !taken.has(id));
		const isAnswered = own.some(isTold);
		if (!isFollowed && (isAnswered || unknown.has(question.id))) continue;
		if (isAnswered && !own.every(isPlain)) continue;
		const movable = own.filter(isPlain);
		for (const { id } of movable) taken.add(id);
		const types = [...new Set(movable.map(({ typeId }) => typeId))];
		const things = (types.length > 0 ? types : [question.typeId]).map((typeId) =>
			plainThing(question, typeId)
		);
		const isAssumed = movable.some(isThere);
		if (isAnswered || unknown.has(question.id)) told = toldMore(told, asked.length, isAssumed);
		asked.push({ question, tries: things.map((_, at) => candidates.length + at), isAssumed });
		candidates.push(...things.map((thing): Candidate => ({ thing, from: 'own', cost: 0, days: 0 })));
	}
	const base = { ...client, things: client.things.filter(({ id }) => !taken.has(id)) };
	return { base, asked, candidates, told };
}

/** All that the worth of answers depends on beside trip and body, as text: an answer does not change it. */
export const groundKey = ({ base, candidates }: Ground): string =>
	JSON.stringify([
		base.things
			.filter(isThere)
			.map(({ typeId, quantity, facts }) => JSON.stringify([typeId, quantity.value, facts]))
			.sort(),
		candidates.map(({ thing }) => thing.typeId)
	]);
