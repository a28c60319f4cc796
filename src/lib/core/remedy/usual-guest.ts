import type { Doing } from '../document/types';
import { catalogueType } from '../cloth/catalogue';

/**
 * What a usual guest has, for a start before anybody has asked: it is marked as assumed, and every line is to be checked (our
 * assumption).
 */
const USUAL: readonly (readonly [typeId: string, many: number])[] = [
	['briefs', 4],
	['top-synthetic', 2],
	['fleece', 1],
	['rain-shell', 1],
	['bottoms-synthetic', 1],
	['trousers-trek', 1],
	['sock-mid', 3],
	['boot-hiking', 1],
	['glove-light', 1],
	['hat-warm', 1],
	['sunglasses', 1]
];
/** Beside or in place of that, by what is done. */
const FOR_DOING: Readonly<Partial<Record<Doing, readonly (readonly [typeId: string, many: number])[]>>> = {
	'ski-touring': [['boot-ski-touring', 1], ['trousers-soft-shell', 1], ['glove-winter', 1], ['sock-ski', 2], ['goggles', 1]], // prettier-ignore
	pistes: [['boot-ski', 1], ['jacket-ski', 1], ['trousers-ski', 1], ['glove-winter', 1], ['sock-ski', 2], ['helmet-ski', 1], ['goggles', 1]] // prettier-ignore
};

/** Types and how many of each a usual guest has for what is done on a trip, each once. */
export function usualGuest(doings: Iterable<Doing>): { typeId: string; many: number }[] {
	const all = new Map(USUAL);
	for (const doing of doings) for (const [typeId, many] of FOR_DOING[doing] ?? []) all.set(typeId, many);
	return [...all].map(([typeId, many]) => ({ typeId: catalogueType(typeId).id, many }));
}
