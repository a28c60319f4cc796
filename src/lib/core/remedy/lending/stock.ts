import { thingOfType } from '../../cloth/things';
import type { Thing, Versioned } from '../../document/types';

/** What the house has to lend. */

export const STOCK_STATES = ['ready', 'wet', 'mending'] as const;
export type StockState = (typeof STOCK_STATES)[number];

/** Things of the house that are alike; a single piece has a label of its own. */
export interface StockItem extends Versioned {
	id: string;
	typeId: string;
	name: string;
	/** how it is told from others: a number sewn in, a colour */
	label: string;
	facts: Thing['facts'];
	/** how many there are, 1…999 */
	pieces: number;
	state: StockState;
	/** ISO date from which it can be lent again; null when it can be now, or nobody knows */
	backOn: string | null;
	/** money for lending one of them for a trip, 0 and more */
	cost: number;
}

/** Days between two trips in which what was lent is dried and mended (common practice, no source). */
export const DAYS_BETWEEN = 1;

/** Whether something can be lent to a trip. @param firstDate ISO date on which the trip leaves; null when nobody knows */
export function canBeLent(
	{ state, backOn }: Pick<StockItem, 'state' | 'backOn'>,
	firstDate: string | null
): boolean {
	if (backOn !== null && (firstDate === null || backOn > firstDate)) return false;
	return state !== 'mending' || backOn !== null;
}

/** The thing that a client has of it; its id is the same for all who have one. */
export const lentThing = ({
	id,
	typeId,
	name,
	facts
}: Pick<StockItem, 'id' | 'typeId' | 'name' | 'facts'>): Thing => ({
	...thingOfType(lentId(id), typeId, name, { value: 1, source: 'guide', state: 'has' }),
	facts
});
/** Id of a thing that the house lends. */
export const lentId = (stockId: string): string => `lent-${stockId}`.slice(0, 64);
/** Whether a thing of a kit is the house's. */
export const isLent = ({ id }: Pick<Thing, 'id'>): boolean => id.startsWith('lent-');

/** Things of a stock that are alike. */
export interface StockKind {
	id: string;
	/** what is lent; its id is of no matter */
	thing: Thing;
	/** how many there are to lend, 0…999 */
	count: number;
	/** money for one of them, in the currency of the house, 0 when it is lent for nothing */
	cost: number;
}

/** What can be shared out on a trip. @param free how many of it no other trip has */
export const stockKind = (item: StockItem, free: number): StockKind => ({
	id: item.id,
	thing: lentThing(item),
	count: Math.max(0, free),
	cost: item.cost
});
