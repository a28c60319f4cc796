import type { Client, Doing, Thing } from '../document/types';

/** What a client is asked: by what a thing does for the body, and never by its grams. */

/** A question, and which types of the catalogue answer it. */
export interface Question {
	id: QuestionId;
	/** the thing that a plain "yes" stands for */
	typeId: string;
	/** types of which any one answers it */
	typeIds: readonly string[];
	/** how likely a usual guest has one, 0 to 1 */
	likely: number;
	/** what is done on a trip that it is asked for; everything, where it is left out */
	doings?: readonly Doing[];
}

/**
 * How likely a usual guest of an outfitter owns such a thing (our assumption: what a guide expects of ten people who have been
 * on a trip or two; no survey).
 */
const ROWS = {
	'base top': { typeId: 'top-wool-light', typeIds: ['top-wool-light', 'top-wool-mid', 'top-synthetic', 'top-hooded'], likely: 0.7 },
	'warm top': { typeId: 'fleece', typeIds: ['fleece', 'fleece-thin', 'sweater-wool', 'jacket-synthetic-light', 'jacket-down-light'], likely: 0.97 },
	'rain with a hood': { typeId: 'rain-shell', typeIds: ['rain-shell', 'hard-shell', 'jacket-ski', 'poncho'], likely: 0.8 },
	'big coat': { typeId: 'coat-synthetic', typeIds: ['coat-synthetic', 'coat-down'], likely: 0.4 },
	'base legs': { typeId: 'bottoms-wool', typeIds: ['bottoms-wool', 'bottoms-synthetic', 'bottoms-short', 'bottoms-fleece'], likely: 0.6 },
	trousers: { typeId: 'trousers-trek', typeIds: ['trousers-trek', 'trousers-soft-shell', 'trousers-ski', 'trousers-wool'], likely: 0.8 },
	'rain on the legs': { typeId: 'trousers-rain', typeIds: ['trousers-rain', 'trousers-hard-shell', 'trousers-ski'], likely: 0.6 },
	'warm over the trousers': { typeId: 'overtrousers-warm', typeIds: ['overtrousers-warm', 'shorts-insulated'], likely: 0.05 },
	'warm hands': { typeId: 'glove-winter', typeIds: ['glove-winter', 'mitten'], likely: 0.8 },
	'thin gloves': { typeId: 'glove-light', typeIds: ['glove-light', 'glove-liner', 'glove-wool'], likely: 0.6 },
	'warm head': { typeId: 'hat-warm', typeIds: ['hat-warm', 'cap-thin', 'hat-trapper', 'balaclava'], likely: 0.95 },
	'neck and face': { typeId: 'neck-tube', typeIds: ['neck-tube', 'scarf', 'balaclava'], likely: 0.7 },
	eyes: { typeId: 'sunglasses', typeIds: ['sunglasses', 'glacier-glasses', 'goggles', 'goggles-dark'], likely: 0.95 },
	'thick socks': { typeId: 'sock-heavy', typeIds: ['sock-heavy', 'sock-ski'], likely: 0.8 },
	'boots for walking': { typeId: 'boot-hiking', typeIds: ['boot-hiking', 'boot-mountain', 'boot-winter'], likely: 0.7, doings: ['hike'] },
	'boots for touring skis': { typeId: 'boot-ski-touring', typeIds: ['boot-ski-touring'], likely: 0.6, doings: ['ski-touring'] },
	'ski boots': { typeId: 'boot-ski', typeIds: ['boot-ski', 'boot-snowboard'], likely: 0.6, doings: ['pistes'] }
} as const satisfies Readonly<Record<string, Omit<Question, 'id'>>>; // prettier-ignore
export type QuestionId = keyof typeof ROWS;
export const QUESTIONS: readonly Question[] = Object.entries(ROWS).map(([id, row]) => ({
	id: id as QuestionId,
	...row
}));

/** Things of a kit that would answer a question. */
export const answering = ({ typeIds }: Question, things: readonly Thing[]): Thing[] =>
	things.filter(({ typeId, deletedAt }) => deletedAt === null && typeIds.includes(typeId));

/** Whether somebody told of a thing: what is only taken as likely is still to be asked. */
export const isTold = ({ quantity: { state, source } }: Thing): boolean =>
	state === 'has' || state === 'has not' || (state === 'assumed' && source === 'client');

/** Questions for what is done on a trip. */
export const questionsFor = (doings: ReadonlySet<Doing>): Question[] =>
	QUESTIONS.filter(({ doings: own }) => own === undefined || own.some((doing) => doings.has(doing)));

/**
 * Questions that are open for a client on a trip: of no thing that would answer them is anything told.
 * @param doings what is done on the trip
 * @param asked questions that were asked and not answered; they are not asked again
 */
export const openQuestions = (
	client: Client,
	doings: ReadonlySet<Doing>,
	asked: ReadonlySet<string> = new Set()
): Question[] =>
	questionsFor(doings).filter(
		(question) => !asked.has(question.id) && !answering(question, client.things).some(isTold)
	);
