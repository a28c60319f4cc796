import type { SomeSchools } from '$lib/core/document/schools';
import type { HouseUses } from '$lib/core/document/types';
import type { HousePrices } from '$lib/core/remedy/prices';
import {
	prices as pricesSchema,
	schools as schoolsSchema,
	uses as usesSchema
} from '$lib/formats/schema/trip';
import { ConflictError, type Db, NotFoundError, pool, rows, write } from './pool';
import { checked, parsed } from './stored';

/** Id of the house that is seeded; requests get theirs from `locals`. */
export const FIRST_HOUSE = 'house-1';

/** How the house does it. */
export interface House {
	schools: SomeSchools;
	/** what it uses types of the catalogue for, where it differs from the catalogue */
	uses: HouseUses;
	/** what things cost to buy, where it knows better than the first guess */
	prices: HousePrices;
	version: number;
}

/** @throws NotFoundError */
export async function getHouse(houseId: string, db: Db = pool()): Promise<House> {
	const [row] = await rows<{ schools: string; uses: string; prices: string; version: number }>(
		db,
		'SELECT schools, uses, prices, version FROM houses WHERE id = ?',
		[houseId]
	);
	if (!row) throw new NotFoundError('house');
	return {
		schools: checked<SomeSchools>('house', schoolsSchema, parsed('house', 'schools', row.schools)),
		uses: checked<HouseUses>('house', usesSchema, parsed('house', 'uses', row.uses)),
		prices: checked<HousePrices>('house', pricesSchema, parsed('house', 'prices', row.prices)),
		version: row.version
	};
}

/** What somebody saves of a house: uses and prices that are left out stay as they are. */
export type HouseEdit = Omit<House, 'uses' | 'prices'> & Partial<Pick<House, 'uses' | 'prices'>>;

/** Saves how the house does it and returns the new version. @throws ConflictError when somebody saved meanwhile */
export async function saveHouse(
	houseId: string,
	{ schools, uses, prices, version }: HouseEdit
): Promise<number> {
	const touched = await write(
		pool(),
		'UPDATE houses SET schools = ?, uses = COALESCE(?, uses), prices = COALESCE(?, prices), version = version + 1 WHERE id = ? AND version = ?',
		[
			JSON.stringify(schools),
			uses ? JSON.stringify(uses) : null,
			prices ? JSON.stringify(prices) : null,
			houseId,
			version
		]
	);
	if (touched === 0) throw new ConflictError('house', await getHouse(houseId));
	return version + 1;
}
