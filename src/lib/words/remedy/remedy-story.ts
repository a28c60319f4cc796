import type { Weather } from '../../core/document/types';
import type { CannotStart, Remedies, Rung, SolvedMoment } from '../../core/remedy/remedies';
import { placeWords } from '../plan-story';
import { capital, listed, small } from '../message';
import { getMessage } from './get-message';
import { massWords, METRIC, type Units } from '../units';

/** What to get, as a guide would say it. */

interface TripInWords {
	stages: readonly { id: string }[];
	weathers: readonly Pick<Weather, 'id' | 'name'>[];
}
type NameOf = (thingId: string) => string;

export const nowSentence = ({ now }: Remedies, who: string): string =>
	getMessage('remedy.now', { usual: now.usual, rare: now.oneInTen, who });

export const startSentence = (
	{ code, part, about, stageIds, add }: CannotStart,
	{ stages }: TripInWords,
	nameOf: NameOf,
	who: string
): string =>
	getMessage('remedy.start', {
		who,
		what: code,
		part,
		gear: about || 'what the day asks for',
		day:
			stages.length > 1 && stageIds.length < stages.length
				? stages.findIndex(({ id }) => id === stageIds[0]) + 1
				: 0,
		thing: add === null ? 'none' : small(nameOf(add))
	});

export const rungSentence = ({ add, leftWrong }: Rung, nameOf: NameOf, who: string): string =>
	getMessage('remedy.rung', {
		things: capital(listed(add.map((id) => small(nameOf(id))))),
		who,
		usual: leftWrong.usual,
		rare: leftWrong.oneInTen
	});

export const costSentence = (
	{ cost, massG }: Pick<Rung, 'cost' | 'massG'>,
	hasStart: boolean,
	units: Units = METRIC
): string =>
	getMessage('remedy.cost', {
		free: cost === 0 ? 'yes' : 'no',
		cost: Math.round(cost),
		mass: massWords(massG, units),
		start: hasStart ? 'yes' : 'no'
	});

/** A thing that is mended, as a thing to get: "Hard shell, proofed again". */
export const mendedName = (thing: string): string => getMessage('remedy.mended', { thing });

/** What could be taken instead, a sentence a thing; none where nothing could. */
export const insteadSentences = ({ instead }: Rung, nameOf: NameOf): string[] =>
	instead
		.filter(({ others }) => others.length > 0)
		.map(({ thingId, others }) =>
			getMessage('remedy.instead', {
				thing: small(nameOf(thingId)),
				others: listed(others.map((id) => small(nameOf(id))))
			})
		);

export const solvedSentence = (
	{ stageId, weather, name, round, from, to }: SolvedMoment,
	trip: TripInWords
): string =>
	capital(
		getMessage('remedy.solves', {
			place: placeWords({ stageId, weather }, trip) || 'none',
			phase: name,
			round: round > 1 ? round : 0,
			from,
			to
		})
	);

/** What a thing is got for, in a few words of the trip: “Wait for the last” on day 2. */
export const becauseWords = ({ stageId, name }: SolvedMoment, { stages }: TripInWords): string =>
	stages.length > 1 ? `“${name}” on day ${stages.findIndex(({ id }) => id === stageId) + 1}` : `“${name}”`;

/** What stands under the ladder: what no clothes solve, and how sure the ladder is. */
export function endSentences({ beyondClothes, ladder, cannotStartWithout, proven, now }: Remedies): string[] {
	if (now.usual + now.oneInTen === 0) return [];
	return [
		...(ladder.length === 0 && cannotStartWithout.length === 0 ? [getMessage('remedy.nothing')] : []),
		...(beyondClothes.length > 0 ? [getMessage('remedy.beyond', { many: beyondClothes.length })] : []),
		getMessage('remedy.proof', { proven: proven ? 'yes' : 'no' })
	];
}
