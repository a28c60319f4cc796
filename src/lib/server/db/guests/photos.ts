import type { Photo } from '../../files/photo';
import { inTransaction, isoTime, NotFoundError, pool, rows, write } from '../pool';
import type { Guest } from './links';

/** Photos of a client's things. */

/** Photos that one client keeps here. */
const MOST_PHOTOS = 40;

export interface PhotoOf {
	id: string;
	thingId: string;
	/** ISO time */
	cameAt: string;
}

/** Keeps a photo of a thing of the guest's kit, once. @throws NotFoundError, RangeError when there are too many */
export const addPhoto = (
	{ clientId }: Guest,
	id: string,
	thingId: string,
	{ image, width, height }: Photo
): Promise<void> =>
	inTransaction(async (db) => {
		const [thing] = await rows(
			db,
			'SELECT id FROM things WHERE id = ? AND client_id = ? AND deleted_at IS NULL FOR UPDATE',
			[thingId, clientId]
		);
		if (!thing) throw new NotFoundError('thing');
		const [count] = await rows<{ many: number }>(
			db,
			'SELECT COUNT(*) AS many FROM client_photos WHERE client_id = ? AND id <> ?',
			[clientId, id]
		);
		if (Number(count?.many) >= MOST_PHOTOS)
			throw new RangeError(`There are ${MOST_PHOTOS} photos already: take one away first.`);
		await write(
			db,
			'INSERT IGNORE INTO client_photos (id, client_id, thing_id, width, height, image) VALUES (?, ?, ?, ?, ?, ?)',
			[id, clientId, thingId, width, height, image]
		);
	});

/** Takes a photo away. @throws NotFoundError */
export async function dropPhoto({ clientId }: Guest, id: string): Promise<void> {
	const gone = await write(pool(), 'DELETE FROM client_photos WHERE id = ? AND client_id = ?', [
		id,
		clientId
	]);
	if (gone === 0) throw new NotFoundError('photo');
}

/** A photo that a guest sent. @throws NotFoundError */
export const ownPhoto = ({ clientId }: Guest, id: string): Promise<Buffer> =>
	imageOf('p.client_id = ?', [id, clientId]);
/** A photo of a client of a house. @throws NotFoundError */
export const housePhoto = (houseId: string, id: string): Promise<Buffer> =>
	imageOf('c.house_id = ?', [id, houseId]);
async function imageOf(whose: string, values: readonly string[]): Promise<Buffer> {
	const [found] = await rows<{ image: Buffer }>(
		pool(),
		`SELECT p.image FROM client_photos p JOIN clients c ON c.id = p.client_id WHERE p.id = ? AND ${whose}`,
		[...values]
	);
	if (!found) throw new NotFoundError('photo');
	return found.image;
}

/** Photos of clients, by client, the oldest first. */
export async function photosOf(clientIds: readonly string[]): Promise<Map<string, PhotoOf[]>> {
	const by = new Map<string, PhotoOf[]>(clientIds.map((id) => [id, []]));
	if (clientIds.length === 0) return by;
	const found = await rows<{ id: string; client_id: string; thing_id: string; came_at: string }>(
		pool(),
		`SELECT id, client_id, thing_id, came_at FROM client_photos
		 WHERE client_id IN (${clientIds.map(() => '?').join(', ')}) ORDER BY came_at, id`,
		[...clientIds]
	);
	for (const { id, client_id, thing_id, came_at } of found)
		by.get(client_id)!.push({ id, thingId: thing_id, cameAt: isoTime(came_at)! });
	return by;
}
