import type { DBSchema, IDBPDatabase } from 'idb';
import type { ClientSays } from '$lib/core/kit/answers';
import { forgetPages } from '../frame/forget-pages';

/** What was said and is not at the server yet, in the browser's own database: it outlives a reload without connection. */
interface Kept extends DBSchema {
	says: { key: string; value: ClientSays };
	photos: { key: string; value: { id: string; thingId: string; image: Blob } };
}
let opened: Promise<IDBPDatabase<Kept>> | null = null;
export const browserStore = (): Promise<IDBPDatabase<Kept>> =>
	(opened ??= import('idb').then(({ openDB }) =>
		openDB<Kept>('snug-summit-my', 2, {
			upgrade: (db) => {
				for (const name of ['says', 'photos'] as const)
					if (!db.objectStoreNames.contains(name)) db.createObjectStore(name, { keyPath: 'id' });
			}
		})
	));
/** Where a browser keeps nothing, what is said is kept by the page as long as it stands. */
export const quietly = <T>(work: Promise<T>): Promise<T | null> => work.catch(() => null);

/** Forgets all that this browser kept of the page. */
export async function forgetAll(): Promise<void> {
	await quietly(forgetPages());
	await quietly(browserStore().then((db) => Promise.all([db.clear('says'), db.clear('photos')])));
}
