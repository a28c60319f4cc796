import type { LentClient } from '../../core/remedy/lending/lending';
import type { StockItem } from '../../core/remedy/lending/stock';
import { shortName } from '../labels';
import { listed, message, small } from '../message';

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
	if (loans.length === 0) return message('lending.none', { who, now: now.usual });
	const things = listed(loans.map(({ kindId }) => `the ${small(nameOf(kindId))}`));
	if (leftWrong.usual < now.usual)
		return message('lending.client', { who, things, now: now.usual, left: leftWrong.usual });
	return leftWrong.oneInTen < now.oneInTen
		? message('lending.rare', { who, things, now: now.oneInTen, left: leftWrong.oneInTen })
		: message('lending.start', { who, things });
}

/** What has to be tried on first, in one sentence; empty where all sizes are known. */
export function tryOnSentence(
	{ loans }: Pick<LentClient, 'loans'>,
	who: string,
	nameOf: (kindId: string) => string
): string {
	const open = loans.filter(({ fit }) => fit === 'try it on');
	if (open.length === 0) return '';
	return message('lending.try-on', {
		who,
		things: listed(open.map(({ kindId }) => `the ${small(nameOf(kindId))}`))
	});
}

/** What more could be used of than there is; empty where there is enough. */
export const scarceSentence = (scarce: readonly string[], nameOf: (kindId: string) => string): string =>
	scarce.length === 0
		? ''
		: message('lending.scarce', { things: listed(scarce.map((id) => small(nameOf(id)))) });
export const lendingProof = (proven: boolean): string =>
	message('lending.proof', { proven: proven ? 'yes' : 'no' });
