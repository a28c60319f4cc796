import type { Trip } from '$lib/core/document/types';
import type { DBSchema, IDBPDatabase } from 'idb';

/**
 * Edits that could not be saved, in the browser's own database: they outlive a reload without connection. The database is opened
 * only when there is something to keep; a mark in the page's storage says whether there may be.
 */

/** A trip as the server had it, and as it was edited since. */
export interface Draft {
	base: Trip;
	mine: Trip;
}
interface Drafts extends DBSchema {
	trips: { key: string; value: Draft };
}
const MARK = 'unsaved-trips';
let opened: Promise<IDBPDatabase<Drafts>> | null = null;
const database = (): Promise<IDBPDatabase<Drafts>> =>
	(opened ??= import('idb').then(({ openDB }) =>
		openDB<Drafts>('snug-summit', 1, { upgrade: (db) => void db.createObjectStore('trips') })
	));
/** Fetches what keeping needs while there is a connection. */
export const prepareDrafts = (): void => void quietly(database());
/** Keeping is a help and no condition: where a browser has no database, editing goes on. */
const quietly = <T>(work: Promise<T>): Promise<T | null> => work.catch(() => null);

export async function keepDraft(draft: Draft): Promise<void> {
	localStorage.setItem(MARK, 'yes');
	await quietly(database().then((db) => db.put('trips', draft, draft.mine.id)));
}
export async function draftOf(id: string): Promise<Draft | null> {
	if (localStorage.getItem(MARK) === null) return null;
	return (await quietly(database().then((db) => db.get('trips', id)))) ?? null;
}
export async function dropDraft(id: string): Promise<void> {
	if (localStorage.getItem(MARK) === null) return;
	const left = await quietly(
		database().then(async (db) => {
			await db.delete('trips', id);
			return db.count('trips');
		})
	);
	if (left === 0) localStorage.removeItem(MARK);
}
