import type { LentClient } from '../../core/remedy/lending/lending';
import type { SpareBag } from '../../core/remedy/lending/spare-bag';
import type { StockItem } from '../../core/remedy/lending/stock';
import { typeName } from '../garments';
import { shortName } from '../labels';
import { listed, small } from '../message';
import { getMessage } from './get-message';
import { massWords, METRIC, type Units } from '../units';

/** Who gets what of the house, as a guide would say it. */

type Named = Pick<StockItem, 'name' | 'label' | 'facts'>;

/** A thing of the stock as it is told from the others: "Big coat, L, red tag". */
export const stockName = ({ name, label, facts }: Named): string =>
	[shortName(name), facts.size?.value ? `size ${facts.size.value}` : '', label].filter(Boolean).join(', ');

/** One sentence for a client: what they get, and what comes of it. */
export function lentSentence(
	{ loans, now, leftWrong }: Pick<LentClient, 'loans' | 'now' | 'leftWrong'>,
	who: string,
	nameOf: (kindId: string) => string
): string {
	if (loans.length === 0) return getMessage('lending.none', { who, now: now.usual });
	const things = listed(loans.map(({ kindId }) => `the ${small(nameOf(kindId))}`));
	if (leftWrong.usual < now.usual)
		return getMessage('lending.client', { who, things, now: now.usual, left: leftWrong.usual });
	return leftWrong.oneInTen < now.oneInTen
		? getMessage('lending.rare', { who, things, now: now.oneInTen, left: leftWrong.oneInTen })
		: getMessage('lending.start', { who, things });
}

/** What has to be tried on first, in one sentence; empty where all sizes are known. */
export function tryOnSentence(
	{ loans }: Pick<LentClient, 'loans'>,
	who: string,
	nameOf: (kindId: string) => string
): string {
	const open = loans.filter(({ fit }) => fit === 'try it on');
	if (open.length === 0) return '';
	return getMessage('lending.try-on', {
		who,
		things: listed(open.map(({ kindId }) => `the ${small(nameOf(kindId))}`))
	});
}

/** What more could be used of than there is; empty where there is enough. */
export const scarceSentence = (scarce: readonly string[], nameOf: (kindId: string) => string): string =>
	scarce.length === 0
		? ''
		: getMessage('lending.scarce', { things: listed([...new Set(scarce.map((id) => small(nameOf(id))))]) });
/** The group's spare bag, thing by thing, and what it leaves open. */
export function bagSentences({ things, uncovered }: SpareBag, units: Units = METRIC): string[] {
	if (things.length === 0 && uncovered === 0) return [getMessage('bag.none')];
	const ofHundred = (share: number): number => Math.round(share * 100);
	return [
		...things.map(({ loss, typeId, many, massG, likely }) =>
			getMessage('bag.thing', {
				many,
				thing: shortName(typeName(typeId)),
				mass: massWords(massG, units),
				loss,
				likely: Math.max(1, ofHundred(likely))
			})
		),
		getMessage('bag.left', { left: ofHundred(1 - uncovered) })
	];
}
export const lendingProof = (proven: boolean): string =>
	getMessage('lending.proof', { proven: proven ? 'yes' : 'no' });
