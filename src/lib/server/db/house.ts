import type { SomeSchools } from '$lib/core/document/schools';
import { schools as schoolsSchema } from '$lib/formats/schema/trip';
import { ConflictError, type Db, NotFoundError, pool, rows, write } from './pool';
import { checked, parsed } from './stored';

/** Id of the house that is seeded; requests get theirs from `locals`. */
export const FIRST_HOUSE = 'house-1';

/** How the house does it. */
export interface House {
	schools: SomeSchools;
	version: number;
}

/** @throws NotFoundError */
export async function getHouse(houseId: string, db: Db = pool()): Promise<House> {
	const [row] = await rows<{ schools: string; version: number }>(
		db,
		'SELECT schools, version FROM houses WHERE id = ?',
		[houseId]
	);
	if (!row) throw new NotFoundError('house');
	return {
		schools: checked<SomeSchools>('house', schoolsSchema, parsed('house', 'schools', row.schools)),
		version: row.version
	};
}

/** Saves the schools of the house and returns the new version. @throws ConflictError when somebody saved meanwhile */
export async function saveHouse(houseId: string, { schools, version }: House): Promise<number> {
	const touched = await write(
		pool(),
		'UPDATE houses SET schools = ?, version = version + 1 WHERE id = ? AND version = ?',
		[JSON.stringify(schools), houseId, version]
	);
	if (touched === 0) throw new ConflictError('house', await getHouse(houseId));
	return version + 1;
}
