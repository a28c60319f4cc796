import type { CheckResult, HomeCheck } from './home-test';

/** What a client says by the private link. */

/** Of a line of the list. */
export const MARKS = ['none', 'have', 'packed', 'to get'] as const;
export type Mark = (typeof MARKS)[number];

/** What is told of a line, and when by the client's own clock. */
export interface SaidMark {
	lineId: string;
	mark: Mark;
	/** ISO time */
	saidAt: string;
}
/** A question of the client, or what the house says. */
export interface Note {
	id: string;
	saidBy: 'client' | 'house';
	who: string;
	/** what it is about, as it stands on the list; empty where it is about nothing of it */
	about: string;
	text: string;
	/** ISO time */
	saidAt: string;
}
/** How a question for a thing is answered: yes, like this; yes, but not sure that it will do; no; I don't know. */
export const ANSWERS = ['yes', 'unsure', 'no', 'unknown'] as const;
export type Answer = (typeof ANSWERS)[number];

/**
 * One thing that a client says. It carries an id of its own, so that what is sent twice, since an answer got lost on the way,
 * counts once.
 */
export type ClientSays =
	| ({ kind: 'mark'; id: string } & SaidMark)
	| { kind: 'note'; id: string; about: string; text: string; saidAt: string }
	| { kind: 'thing'; id: string; typeId: string; saidAt: string }
	| { kind: 'answer'; id: string; questionId: string; answer: Answer; saidAt: string }
	/** an empty size is none */
	| { kind: 'size'; id: string; thingId: string; size: string; saidAt: string }
	| { kind: 'test'; id: string; thingId: string; part: HomeCheck; result: CheckResult; saidAt: string };
