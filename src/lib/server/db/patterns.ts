import type { Unfolded } from '$lib/core/patterns/pattern';
import { randomUUID } from 'node:crypto';
import { NotFoundError, pool, rows, write } from './pool';

/** A pattern that the house keeps: a day, ready to be copied into a stage. */
export interface HousePattern {
	id: string;
	name: string;
	content: Omit<Unfolded, 'patternId'>;
}

/** The house's own patterns by name. */
export const listPatterns = async (): Promise<HousePattern[]> =>
	(
		await rows<{ id: string; name: string; content: string }>(
			pool(),
			'SELECT id, name, content FROM patterns WHERE deleted_at IS NULL ORDER BY name, created_at'
		)
	).map(({ id, name, content }) => ({ id, name, content: JSON.parse(content) as HousePattern['content'] }));

/** Keeps a pattern and returns its id. */
export async function createPattern(name: string, content: HousePattern['content']): Promise<string> {
	const id = randomUUID();
	await write(pool(), 'INSERT INTO patterns (id, name, content) VALUES (?, ?, ?)', [
		id,
		name,
		JSON.stringify(content)
	]);
	return id;
}

/** Drops a pattern, or brings it back. @throws NotFoundError */
export async function setPatternDeleted(id: string, deleted: boolean): Promise<void> {
	const touched = await write(pool(), 'UPDATE patterns SET deleted_at = ? WHERE id = ?', [
		deleted ? new Date() : null,
		id
	]);
	if (touched === 0) throw new NotFoundError('pattern');
}
