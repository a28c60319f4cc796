import { randomUUID } from 'node:crypto';
import { NotFoundError, pool, rows, write } from '../pool';

/** Questions that a house asks all its clients, beside those that the computation wants answered. */
export interface HouseQuestion {
	id: string;
	english: string;
	german: string;
}

/** Questions that a house keeps; more would be a form, which nobody fills in on a phone. */
const MOST_QUESTIONS = 12;

export const houseQuestions = (houseId: string, deleted = false): Promise<HouseQuestion[]> =>
	rows<HouseQuestion>(
		pool(),
		`SELECT id, english, german FROM house_questions
		 WHERE house_id = ? AND deleted_at IS ${deleted ? 'NOT NULL' : 'NULL'} ORDER BY made_at, id`,
		[houseId]
	);

/** @throws RangeError when there are too many */
export async function addHouseQuestion(
	houseId: string,
	{ english, german }: Omit<HouseQuestion, 'id'>
): Promise<string> {
	if ((await houseQuestions(houseId)).length >= MOST_QUESTIONS)
		throw new RangeError(`There are ${MOST_QUESTIONS} questions already: take one away first.`);
	const id = randomUUID();
	await write(pool(), 'INSERT INTO house_questions (id, house_id, english, german) VALUES (?, ?, ?, ?)', [
		id,
		houseId,
		english,
		german
	]);
	return id;
}

/** Stops asking a question, or asks it again; what was answered stays. @throws NotFoundError */
export async function setQuestionDeleted(houseId: string, id: string, deleted: boolean): Promise<void> {
	const touched = await write(
		pool(),
		`UPDATE house_questions SET deleted_at = ${deleted ? 'UTC_TIMESTAMP(3)' : 'NULL'} WHERE id = ? AND house_id = ?`,
		[id, houseId]
	);
	if (touched === 0) throw new NotFoundError('question');
}
