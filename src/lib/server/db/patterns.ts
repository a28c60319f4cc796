import type { Unfolded } from '$lib/core/patterns/pattern';
import { randomUUID } from 'node:crypto';
import { newPatternSchema } from '$lib/formats/schema/pattern';
import { NotFoundError, pool, rows, write } from './pool';
import { checked, parsed } from './stored';

/** A pattern that the house keeps: a day, ready to be copied into a stage. */
export interface HousePattern {
	id: string;
	name: string;
	content: Omit<Unfolded, 'patternId'>;
}

/** The content of a pattern, checked as it was when it came in. */
function patternFrom(name: string, content: string): HousePattern['content'] {
	const value = { name, ...(parsed('pattern', 'content', content) as object) };
	const { name: _, ...rest } = checked<{ name: string } & HousePattern['content']>(
		'pattern',
		newPatternSchema,
		value
	);
	return rest;
}

/** The house's own patterns by name. */
export const listPatterns = async (houseId: string): Promise<HousePattern[]> =>
	(
		await rows<{ id: string; name: string; content: string }>(
			pool(),
			'SELECT id, name, content FROM patterns WHERE house_id = ? AND deleted_at IS NULL ORDER BY name',
			[houseId]
		)
	).map(({ id, name, content }) => ({ id, name, content: patternFrom(name, content) }));

/** Keeps a pattern and returns its id. */
export async function createPattern(
	houseId: string,
	name: string,
	content: HousePattern['content']
): Promise<string> {
	const id = randomUUID();
	await write(pool(), 'INSERT INTO patterns (id, house_id, name, content) VALUES (?, ?, ?, ?)', [
		id,
		houseId,
		name,
		JSON.stringify(content)
	]);
	return id;
}

/** Drops a pattern, or brings it back. @throws NotFoundError */
export async function setPatternDeleted(houseId: string, id: string, deleted: boolean): Promise<void> {
	const touched = await write(pool(), 'UPDATE patterns SET deleted_at = ? WHERE id = ? AND house_id = ?', [
		deleted ? new Date() : null,
		id,
		houseId
	]);
	if (touched === 0) throw new NotFoundError('pattern');
}
