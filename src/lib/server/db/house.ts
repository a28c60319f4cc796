import type { SomeSchools } from '$lib/core/document/schools';
import { ConflictError, type Db, pool, rows, write } from './pool';

/** How the house does it. */
export interface House {
	schools: SomeSchools;
	version: number;
}

export async function getHouse(db: Db = pool()): Promise<House> {
	const [row] = await rows<{ schools: string; version: number }>(
		db,
		'SELECT schools, version FROM house WHERE id = 1'
	);
	return { schools: JSON.parse(row?.schools ?? '{}') as SomeSchools, version: row?.version ?? 1 };
}

/** Saves the schools of the house and returns the new version. @throws ConflictError when somebody saved meanwhile */
export async function saveHouse({ schools, version }: House): Promise<number> {
	const touched = await write(
		pool(),
		'UPDATE house SET schools = ?, version = version + 1 WHERE id = 1 AND version = ?',
		[JSON.stringify(schools), version]
	);
	if (touched === 0) throw new ConflictError('house', await getHouse());
	return version + 1;
}
