/**
 * Two people edit one trip: the later save is told what changed meanwhile, and both edits are kept where they do not
 * touch the same figure. Lists of things with ids are merged one by one.
 */
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
type Item = { id: string } & Record<string, Json>;

/** Whether two values say the same, whatever the order of their keys. */
export function same(a: unknown, b: unknown): boolean {
	if (a === b) return true;
	if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object') return false;
	if (Array.isArray(a) !== Array.isArray(b)) return false;
	const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
	const keys = new Set([...Object.keys(left), ...Object.keys(right)]);
	return [...keys].every((key) => same(left[key], right[key]));
}

const isRecord = (value: unknown): value is Record<string, Json> =>
	typeof value === 'object' && value !== null && !Array.isArray(value);
const isItems = (value: unknown): value is Item[] =>
	Array.isArray(value) && value.every((one) => isRecord(one) && typeof one.id === 'string');

export interface Merged<T> {
	value: T;
	/** paths, such as `stages.day-1.base.wind10mKmh`, where both changed the same; mine is kept there */
	both: string[];
}

/**
 * Mine and theirs, both grown out of the same base. Where only one changed, that change is kept; where both did, mine.
 * What one deleted and the other changed stays: nothing that somebody typed is lost.
 */
export function merge<T>(base: T, mine: T, theirs: T): Merged<T> {
	const both: string[] = [];
	const value = mergeAt(base as Json, mine as Json, theirs as Json, [], both) as T;
	return { value, both };
}

function mergeAt(base: Json, mine: Json, theirs: Json, path: string[], both: string[]): Json {
	if (same(mine, theirs) || same(theirs, base)) return mine;
	if (same(mine, base)) return theirs;
	if (isItems(mine) && isItems(theirs) && (isItems(base) || base === undefined))
		return mergeItems((base as Item[] | undefined) ?? [], mine, theirs, path, both);
	if (isRecord(mine) && isRecord(theirs)) {
		const from = isRecord(base) ? base : {};
		const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
		const merged: Record<string, Json> = {};
		for (const key of keys) {
			const value = mergeAt(from[key] as Json, mine[key] as Json, theirs[key] as Json, [...path, key], both);
			if (value !== undefined) merged[key] = value;
		}
		return merged;
	}
	both.push(path.join('.'));
	return mine;
}

const idsOf = (items: readonly Item[]): string[] => items.map(({ id }) => id);

function mergeItems(base: Item[], mine: Item[], theirs: Item[], path: string[], both: string[]): Item[] {
	const find = (items: Item[], id: string): Item | undefined => items.find((item) => item.id === id);
	const kept = new Map<string, Item>();
	for (const id of new Set([...idsOf(mine), ...idsOf(theirs)])) {
		const [was, m, t] = [find(base, id), find(mine, id), find(theirs, id)];
		if (m && t) kept.set(id, mergeAt(was as Json, m, t, [...path, id], both) as Item);
		else if (m && !(was && same(m, was))) kept.set(id, m);
		else if (t && !(was && same(t, was))) kept.set(id, t);
	}
	const iMoved = !same(
		idsOf(mine).filter((id) => find(base, id)),
		idsOf(base).filter((id) => find(mine, id))
	);
	const [order, other] = iMoved ? [idsOf(mine), idsOf(theirs)] : [idsOf(theirs), idsOf(mine)];
	const ids = order.filter((id) => kept.has(id));
	for (const [index, id] of other.entries()) {
		if (ids.includes(id) || !kept.has(id)) continue;
		const before = other.slice(0, index).findLast((one) => ids.includes(one));
		ids.splice(before === undefined ? 0 : ids.indexOf(before) + 1, 0, id);
	}
	return ids.map((id) => kept.get(id)!);
}
