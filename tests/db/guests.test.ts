import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyDatabase, startWithEmptyHouse } from '../fixtures/empty-database';
import type { ClientSays, Mark } from '../../src/lib/core/kit/answers';
import { createClient, getClient, setClientDeleted } from '../../src/lib/server/db/clients';
import {
	endLink,
	endVisit,
	type Guest,
	guestOf,
	linksOn,
	makeLink,
	openLink
} from '../../src/lib/server/db/guests/links';
import { answerClient, marksOn, notesOn, takeInAll } from '../../src/lib/server/db/guests/said';
import { archived, everything, replacedBy, restored } from '../../src/lib/server/db/backup';
import { noteEntry } from '../../src/lib/server/db/accounts/entries';
import { erasedHashes, eraseClient, keptOf } from '../../src/lib/server/db/guests/kept';
import { hashOf } from '../../src/lib/server/sign-in/secret';
import { archiveOf, opened } from '../../src/lib/server/work/archive';
import { beginQuestions, keepQuestions, keptQuestions } from '../../src/lib/server/db/guests/questions';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { closePool, NotFoundError, pool, rows, write } from '../../src/lib/server/db/pool';
import { createTrip, setEnrolled, setTripDeleted } from '../../src/lib/server/db/trips';

let trip = '';
let ada = '';
let bo = '';
beforeAll(async () => {
	await startWithEmptyHouse();
	trip = await createTrip(FIRST_HOUSE, { name: 'Hut round', place: '' });
	ada = await createClient(FIRST_HOUSE, 'Ada Wick', trip);
	bo = await createClient(FIRST_HOUSE, 'Bo Fell', trip);
});
afterAll(closePool);

/** Opens a new link of a client. */
async function visitOf(clientId: string): Promise<{ secret: string; visit: string; guest: Guest }> {
	const secret = await makeLink(FIRST_HOUSE, trip, clientId, 'Mara Quist');
	const visit = (await openLink(secret))!;
	return { secret, visit, guest: (await guestOf(visit))! };
}
const at = (minute: number): string => `2026-03-01T10:${String(minute).padStart(2, '0')}:00.000Z`;
const mark = (lineId: string, mark: Mark, minute: number): ClientSays => ({
	kind: 'mark',
	id: randomUUID(),
	lineId,
	mark,
	saidAt: at(minute)
});
const marksOf = async (clientId: string): Promise<[string, Mark][]> =>
	((await marksOn(trip, clientId)).get(clientId) ?? [])
		.map(({ lineId, mark }) => [lineId, mark] as [string, Mark])
		.sort();

describe('a private link', () => {
	it('is for one client on one trip, and its secret is not kept', async () => {
		const { secret, visit, guest } = await visitOf(ada);
		expect(Buffer.from(secret, 'base64url').length * 8).toBeGreaterThanOrEqual(128);
		expect(guest).toMatchObject({ tripId: trip, clientId: ada, name: 'Ada Wick', houseId: FIRST_HOUSE });
		for (const table of ['client_links', 'client_visits']) {
			const kept = JSON.stringify(await rows(pool(), `SELECT * FROM ${table}`));
			expect(kept).not.toContain(secret);
			expect(kept).not.toContain(visit);
		}
		expect((await linksOn(trip)).get(ada)).toMatchObject({
			madeBy: 'Mara Quist',
			openedAt: expect.any(String)
		});
		expect((await linksOn(trip)).has(bo)).toBe(false);
		expect(await openLink('guessed')).toBeNull();
		expect(await guestOf(secret)).toBeNull();
	});
	it('ends when a new one is made, when it is ended, and when its time is over', async () => {
		const first = await visitOf(ada);
		const second = await visitOf(ada);
		expect([await openLink(first.secret), await guestOf(first.visit)]).toEqual([null, null]);
		expect(await guestOf(second.visit)).not.toBeNull();
		await endLink(FIRST_HOUSE, trip, ada);
		expect([await openLink(second.secret), await guestOf(second.visit)]).toEqual([null, null]);
		const third = await visitOf(ada);
		await write(pool(), 'UPDATE client_links SET expires_at = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND');
		expect([await openLink(third.secret), await guestOf(third.visit)]).toEqual([null, null]);
		await expect(makeLink('house-2', trip, ada, 'x')).rejects.toThrow(NotFoundError);
		await expect(endLink('house-2', trip, ada)).rejects.toThrow(NotFoundError);
	});
	it('opens no more for who is off the trip, deleted, or on a deleted trip, and again when that is undone', async () => {
		const { visit, secret } = await visitOf(bo);
		const is = async (): Promise<boolean> =>
			(await guestOf(visit)) !== null && (await openLink(secret)) !== null;
		for (const change of [
			(off: boolean) => setEnrolled(FIRST_HOUSE, trip, bo, !off),
			(off: boolean) => setClientDeleted(FIRST_HOUSE, bo, off),
			(off: boolean) => setTripDeleted(FIRST_HOUSE, trip, off)
		]) {
			await change(true);
			expect(await is()).toBe(false);
			await change(false);
			expect(await is()).toBe(true);
		}
		await endVisit(visit);
		expect(await guestOf(visit)).toBeNull();
		expect(await openLink(secret)).not.toBeNull();
	});
});

describe('what a client says', () => {
	it('holds by the line and by the client’s own clock, in whatever order it comes in', async () => {
		const { guest } = await visitOf(ada);
		await takeInAll(guest, [mark('socks', 'have', 1), mark('hat', 'packed', 2), mark('coat', 'to get', 3)]);
		// The phone that was away comes later with an older word, and with a newer one.
		await takeInAll(guest, [mark('hat', 'have', 1), mark('socks', 'packed', 5)]);
		await takeInAll(guest, [mark('coat', 'none', 4)]);
		expect(await marksOf(ada)).toEqual([
			['hat', 'packed'],
			['socks', 'packed']
		]);
		// All orders of the same words end alike.
		const words = [mark('boots', 'have', 1), mark('boots', 'to get', 2), mark('boots', 'packed', 3)];
		for (const order of [
			[0, 1, 2],
			[2, 1, 0],
			[1, 2, 0],
			[2, 0, 1]
		]) {
			await write(pool(), "DELETE FROM client_marks WHERE line_id = 'boots'");
			for (const i of order) await takeInAll(guest, [words[i]!]);
			expect(await marksOf(ada)).toContainEqual(['boots', 'packed']);
		}
	});
	it('counts once, however often it is sent, and a clock that is ahead is not believed', async () => {
		const { guest } = await visitOf(ada);
		const thing: ClientSays = { kind: 'thing', id: randomUUID(), typeId: 'hat-warm', saidAt: at(1) };
		const note: ClientSays = {
			kind: 'note',
			id: randomUUID(),
			about: 'Socks',
			text: 'How thick?',
			saidAt: at(2)
		};
		for (let i = 0; i < 3; i++) await takeInAll(guest, [thing, note]);
		const { things } = await getClient(FIRST_HOUSE, ada);
		expect(things.map(({ typeId, quantity }) => [typeId, quantity.source, quantity.state])).toEqual([
			['hat-warm', 'client', 'has']
		]);
		await answerClient(FIRST_HOUSE, trip, ada, 'Mara Quist', 'As thick as the boots take.');
		expect((await notesOn(trip, ada)).get(ada)!.map(({ saidBy, text }) => [saidBy, text])).toEqual([
			['client', 'How thick?'],
			['house', 'As thick as the boots take.']
		]);
		await takeInAll(guest, [
			{ ...mark('gloves', 'have', 0), saidAt: '2099-01-01T00:00:00.000Z' } as ClientSays
		]);
		await takeInAll(guest, [
			{ ...mark('gloves', 'packed', 0), saidAt: new Date(Date.now() + 1000).toISOString() } as ClientSays
		]);
		expect(await marksOf(ada)).toContainEqual(['gloves', 'packed']);
	});
	it('goes in whole or not at all, and only for a client of the trip', async () => {
		const { guest } = await visitOf(bo);
		const bad = { kind: 'thing', id: randomUUID(), typeId: 'no such type', saidAt: at(1) } as ClientSays;
		await expect(takeInAll(guest, [mark('scarf', 'have', 1), bad])).rejects.toThrow(RangeError);
		expect(await marksOf(bo)).toEqual([]);
		await expect(takeInAll({ ...guest, clientId: 'nobody' }, [mark('scarf', 'have', 1)])).rejects.toThrow(
			NotFoundError
		);
		await expect(answerClient('house-2', trip, bo, 'x', 'y')).rejects.toThrow(NotFoundError);
	});
	it('of two hundred clients at once is all there', async () => {
		const { guest } = await visitOf(bo);
		await Promise.all(
			Array.from({ length: 200 }, (_, i) => takeInAll(guest, [mark(`line-${i}`, 'packed', i % 60)]))
		);
		expect((await marksOf(bo)).filter(([line]) => line.startsWith('line-'))).toHaveLength(200);
	});
});

describe('questions that are worked out', () => {
	it('are begun by one of all who look, kept for what they depend on, and begun anew when that changes', async () => {
		const looks = await Promise.all(Array.from({ length: 8 }, () => beginQuestions(trip, ada, 'first')));
		expect(looks.filter(Boolean)).toHaveLength(1);
		expect(await keptQuestions(trip, ada, 'first')).toBeNull();
		await keepQuestions(trip, ada, 'first', '{"questions":[]}');
		expect(await keptQuestions(trip, ada, 'first')).toBe('{"questions":[]}');
		expect(await beginQuestions(trip, ada, 'first')).toBe(false);
		expect(await keptQuestions(trip, ada, 'first')).toBe('{"questions":[]}');
		expect(await beginQuestions(trip, ada, 'second')).toBe(true);
		expect(await keptQuestions(trip, ada, 'second')).toBeNull();
		// What an older question comes to does not take the place of the newer one.
		await keepQuestions(trip, ada, 'first', '{"questions":[1]}');
		expect(await keptQuestions(trip, ada, 'second')).toBeNull();
		// Whoever was at it is gone.
		await write(pool(), 'UPDATE client_questions SET begun_at = begun_at - INTERVAL 11 MINUTE');
		expect(await beginQuestions(trip, ada, 'second')).toBe(true);
	});
});

describe('what is kept of a client', () => {
	it('is told whole and without secrets, and is erased for good, from copies that come back too', async () => {
		const cy = await createClient(FIRST_HOUSE, 'Cy Moor', trip);
		const { guest, secret } = await visitOf(cy);
		await takeInAll(guest, [
			mark('hat', 'packed', 1),
			{ kind: 'note', id: randomUUID(), about: '', text: 'Is there a shower?', saidAt: at(2) },
			{ kind: 'answer', id: randomUUID(), questionId: 'big coat', answer: 'no', saidAt: at(3) }
		]);
		await noteEntry(
			{ houseId: FIRST_HOUSE, name: 'Cy Moor', way: 'client link' },
			'POST',
			'/api/v1/my/answers'
		);
		const kept = await keptOf(FIRST_HOUSE, cy);
		expect(kept).toMatchObject({
			clients: [{ name: 'Cy Moor' }],
			client_marks: [{ line_id: 'hat' }],
			client_notes: [{ text: 'Is there a shower?' }],
			client_answers: [{ answer: 'no' }],
			things: [{ type_id: 'coat-synthetic' }]
		});
		expect(JSON.stringify(kept)).not.toContain(hashOf(secret));
		await expect(keptOf('house-2', cy)).rejects.toThrow(NotFoundError);
		await expect(eraseClient('house-2', cy)).rejects.toThrow(NotFoundError);

		const [whole, own] = [opened(await archived()), await everything(FIRST_HOUSE)];
		await eraseClient(FIRST_HOUSE, cy);
		const dump = async (): Promise<string> => JSON.stringify((await everything()).tables);
		expect(await dump()).not.toMatch(new RegExp(`${cy}|Cy Moor|Is there a shower`));
		await expect(keptOf(FIRST_HOUSE, cy)).rejects.toThrow(NotFoundError);
		await replacedBy(FIRST_HOUSE, own, async (all) => archiveOf(all));
		expect(await dump()).not.toMatch(new RegExp(`${cy}|Cy Moor|Is there a shower`));
		expect(await dump()).toContain('Ada Wick');

		// An archive restored by the command, into an empty database.
		const erased = await erasedHashes();
		await emptyDatabase();
		await restored(whole, erased);
		expect(await dump()).not.toMatch(new RegExp(`${cy}|Is there a shower`));
		expect(await dump()).toContain('Ada Wick');
	});
});
