import { catalogueType } from '$lib/core/cloth/catalogue';
import type { ClientSays } from '$lib/core/kit/answers';
import { tested } from '$lib/core/kit/home-test';
import { doingsOn } from '$lib/core/remedy/usual-candidates';
import { isPlain } from '$lib/core/questions/ground';
import { answering, openQuestions, QUESTIONS } from '$lib/core/questions/questions';
import type { Client, Thing } from '$lib/core/document/types';
import { randomUUID } from 'node:crypto';
import { addThings, getClient, getDocument } from '../clients';
import { type Db, rows, write } from '../pool';
import type { Guest } from './links';

/** What a client says of the kit, as it goes into the kit. */

/** How many, and how sure: one who is not sure may have one that does. */
const QUANTITIES = {
	yes: { value: 1, source: 'client', state: 'has' },
	unsure: { value: 1, source: 'client', state: 'assumed' },
	no: { value: 0, source: 'client', state: 'has not' }
} as const;
type Told = keyof typeof QUANTITIES;

const saveThing = (db: Db, { id, quantity, facts }: Thing): Promise<number> =>
	write(db, 'UPDATE things SET quantity = ?, facts = ?, version = version + 1 WHERE id = ?', [
		JSON.stringify(quantity),
		JSON.stringify(facts),
		id
	]);

/**
 * Says of one of some types whether it is there. What was taken as likely, or said before, is confirmed or taken back; what is
 * not in the kit yet goes into it.
 * @param id of the thing that is added: what comes in twice counts once
 */
async function tell(
	db: Db,
	{ houseId, clientId }: Guest,
	{ id, typeId, typeIds, told }: { id: string; typeId: string; typeIds: readonly string[]; told: Told }
): Promise<void> {
	const { things } = await getClient(houseId, clientId, db);
	if (things.some((thing) => thing.id === id)) return;
	const own = things.filter(
		(thing) => thing.deletedAt === null && typeIds.includes(thing.typeId) && isPlain(thing)
	);
	const quantity = QUANTITIES[told];
	const meant =
		told === 'no'
			? own
			: [own.find((thing) => thing.typeId === typeId) ?? own[0]].filter((one) => one !== undefined);
	for (const thing of meant)
		await saveThing(db, {
			...thing,
			quantity: { ...quantity, value: told === 'no' ? 0 : Math.max(1, thing.quantity.value ?? 1) }
		});
	if (meant.length > 0) return;
	const [there] = await rows(db, 'SELECT id FROM things WHERE id = ?', [id]);
	if (!there) await addThings(houseId, clientId, [{ id, typeId, quantity }], db);
}

const isOfHouse = async (db: Db, houseId: string, id: string): Promise<boolean> =>
	(await rows(db, 'SELECT id FROM house_questions WHERE id = ? AND house_id = ?', [id, houseId])).length > 0;

/** A question is answered; the newest answer holds. */
async function answer(
	db: Db,
	guest: Guest,
	one: Extract<ClientSays, { kind: 'answer' }>,
	saidAt: Date
): Promise<void> {
	const { tripId, clientId } = guest;
	const [newer] = await rows(
		db,
		`SELECT question_id FROM client_answers
		 WHERE trip_id = ? AND client_id = ? AND question_id = ? AND said_at > ?`,
		[tripId, clientId, one.questionId, saidAt]
	);
	if (newer) return;
	const question = QUESTIONS.find(({ id }) => id === one.questionId);
	if (!question && !(await isOfHouse(db, guest.houseId, one.questionId)))
		throw new RangeError('questionId is of no question');
	await write(
		db,
		`INSERT INTO client_answers (trip_id, client_id, question_id, answer, said_at) VALUES (?, ?, ?, ?, ?)
		 ON DUPLICATE KEY UPDATE answer = VALUES(answer), said_at = VALUES(said_at)`,
		[tripId, clientId, one.questionId, one.answer, saidAt]
	);
	if (!question || one.answer === 'unknown') return;
	await tell(db, guest, { ...question, id: one.id, told: one.answer });
}

/** Answers after which the rest is taken as a usual guest has it. */
export const ENOUGH_ANSWERS = 10;
/** What nobody told after so many answers is taken as likely, marked as assumed, so that the list can be worked out. */
export async function takeRestAsLikely(db: Db, guest: Guest): Promise<void> {
	const { houseId, tripId, clientId } = guest;
	const [count] = await rows<{ many: number }>(
		db,
		'SELECT COUNT(*) AS many FROM client_answers WHERE trip_id = ? AND client_id = ?',
		[tripId, clientId]
	);
	if (Number(count?.many ?? 0) < ENOUGH_ANSWERS) return;
	const { trip, clients } = await getDocument(houseId, tripId, db);
	const client = clients.find(({ id }) => id === clientId);
	if (!client) return;
	const missing = openQuestions(client, doingsOn(trip)).filter(
		(question) => question.likely >= 0.5 && answering(question, client.things).length === 0
	);
	if (missing.length === 0) return;
	await addThings(
		houseId,
		clientId,
		missing.map(({ typeId }) => ({
			id: randomUUID(),
			typeId,
			quantity: { value: 1, source: 'guess', state: 'assumed' } as const
		})),
		db
	);
}

/** The thing of a kit that something is said of; undefined when it is gone. */
const thingOf = ({ things }: Client, id: string): Thing | undefined =>
	things.find((thing) => thing.id === id && thing.deletedAt === null);

/** Takes in what is said of a thing. */
export async function takeInTold(
	db: Db,
	guest: Guest,
	one: Extract<ClientSays, { kind: 'thing' | 'answer' | 'size' | 'test' }>,
	saidAt: Date
): Promise<void> {
	if (one.kind === 'thing')
		return tell(db, guest, { id: one.id, typeId: one.typeId, typeIds: [one.typeId], told: 'yes' });
	if (one.kind === 'answer') return answer(db, guest, one, saidAt);
	const thing = thingOf(await getClient(guest.houseId, guest.clientId, db), one.thingId);
	// What the house has taken out of the kit meanwhile is not brought back by a word about it.
	if (!thing) return;
	if (one.kind === 'size') {
		const { size: _, ...others } = thing.facts;
		const facts =
			one.size === ''
				? others
				: { ...others, size: { value: one.size, source: 'client', state: 'has' } as const };
		await saveThing(db, { ...thing, facts });
		return;
	}
	const isNews = await write(
		db,
		`INSERT INTO home_tests (client_id, thing_id, part, result, said_at) VALUES (?, ?, ?, ?, ?)
		 ON DUPLICATE KEY UPDATE result = IF(VALUES(said_at) >= said_at, VALUES(result), result),
			said_at = GREATEST(said_at, VALUES(said_at))`,
		[guest.clientId, thing.id, one.part, one.result, saidAt]
	);
	if (isNews === 0) return;
	const [now] = await rows<{ result: typeof one.result }>(
		db,
		'SELECT result FROM home_tests WHERE thing_id = ? AND part = ?',
		[thing.id, one.part]
	);
	await saveThing(
		db,
		tested(thing, catalogueType(thing.typeId).properties, one.part, now?.result ?? 'not done')
	);
}
