import { pictureMessage } from './picture-message';
import type { Trip } from '../../core/document/types';
import type { Tomorrow, Tonight } from '../../core/plan/told/tomorrow';
import { findingSentence } from '../findings';
import { capital, listed, small } from '../message';
import { eveningSentence, phaseWords, startSentence } from '../plan-story';
import type { Units } from '../units';

/** The evening before a day, and its morning, in sentences. */
type NameOf = (thingId: string) => string;
const things = (ids: readonly string[], nameOf: NameOf): string => listed(ids.map((id) => small(nameOf(id))));

/** What one client does tonight, sentence by sentence. */
export const tonightSentences = (
	{ drying, chargeIds, intoBagIds, warmerIds }: Tonight,
	nameOf: NameOf
): string[] => [
	...(drying ? [eveningSentence(drying, nameOf, true)] : []),
	...(chargeIds.length > 0 ? [pictureMessage('tonight.charge', { things: things(chargeIds, nameOf) })] : []),
	...(intoBagIds.length > 0 ? [pictureMessage('tonight.bag', { things: things(intoBagIds, nameOf) })] : []),
	...(warmerIds.length > 0 ? [pictureMessage('tonight.warmers', { things: things(warmerIds, nameOf) })] : [])
];

/** Phases that are told one by one; the others are counted. */
const TOLD = 2;

/** What one client is told for a day: how to start, what rides on top, what to watch, what is not solved. */
export function tomorrowSentences(
	{ start, topIds, watch, wrong }: Tomorrow,
	who: string,
	nameOf: NameOf,
	units: Units
): { start: string; top: string; watch: string[]; wrong: string[] } {
	const told = [...new Map(wrong.map((phase) => [phase.phaseId, phase])).values()];
	return {
		start: start ? startSentence(start, nameOf) : '',
		top: topIds.length > 0 ? pictureMessage('tomorrow.top', { things: things(topIds, nameOf) }) : '',
		// What is told as a phase that is not all right needs no second sentence.
		watch: watch
			.filter(({ phases }) => !phases.some(({ id }) => wrong.some(({ phaseId }) => phaseId === id)))
			.map((finding) => findingSentence(finding, { who, nameOf, units })),
		wrong: [
			...told.slice(0, TOLD).map((phase) => `${capital(phaseWords(phase, who))}.`),
			...(told.length > TOLD ? [pictureMessage('tomorrow.more', { more: told.length - TOLD })] : []),
			...(told.length === 0 ? [pictureMessage('tomorrow.right')] : [])
		]
	};
}

/** Sentences of several people, each once with those whom it is for; what all do comes first. */
export function shared(
	of: readonly { who: string; sentences: readonly string[] }[]
): { who: string[]; what: string }[] {
	const byWhat = new Map<string, string[]>();
	for (const { who, sentences } of of)
		for (const what of sentences) byWhat.set(what, [...(byWhat.get(what) ?? []), who]);
	return [...byWhat].map(([what, who]) => ({ what, who })).sort((a, b) => b.who.length - a.who.length);
}

/** The address of the evening before a day. @param day from 0 */
export const tomorrowAddress = ({ id }: Pick<Trip, 'id'>, day: number): string =>
	`/trips/${id}/tomorrow?day=${day + 1}`;
