import { randomUUID } from 'node:crypto';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyDatabase, startWithEmptyHouse } from '../fixtures/empty-database';
import { clothOf } from '../../src/lib/core/cloth/things';
import type { CheckResult, HomeCheck } from '../../src/lib/core/kit/home-test';
import { QUESTIONS } from '../../src/lib/core/questions/questions';
import { homeTestsOf } from '../../src/lib/server/db/guests/home-tests';
import {
	addHouseQuestion,
	houseQuestions,
	setQuestionDeleted
} from '../../src/lib/server/db/guests/house-questions';
import type { Answer, ClientSays, Mark } from '../../src/lib/core/kit/answers';
import { addThing, createClient, getClient, setClientDeleted } from '../../src/lib/server/db/clients';
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
import { getEverybody, saveEverybody } from '../../src/lib/server/db/packing/lists';
import { EACH_THEIR_OWN } from '../../src/lib/core/kit/own-lines';
import { hashOf } from '../../src/lib/server/sign-in/secret';
import { addPhoto, dropPhoto, housePhoto, ownPhoto, photosOf } from '../../src/lib/server/db/guests/photos';
import { saveAddress } from '../../src/lib/server/db/guests/addresses';
import { cleanPhoto } from '../../src/lib/server/files/photo';
import { archiveOf, opened } from '../../src/lib/server/work/archive';
import {
	answersOf,
	beginQuestions,
	keepQuestions,
	keptQuestions
} from '../../src/lib/server/db/guests/questions';
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

describe('what a client tells of the kit', () => {
	const kitOf = async (clientId: string) =>
		(await getClient(FIRST_HOUSE, clientId)).things.filter(({ deletedAt }) => deletedAt === null);
	const answer = (questionId: string, answer: Answer, minute: number): ClientSays => ({
		kind: 'answer',
		id: randomUUID(),
		questionId,
		answer,
		saidAt: at(minute)
	});
	it('confirms what was taken as likely, takes it back, and changes with the newest answer', async () => {
		const di = await createClient(FIRST_HOUSE, 'Di Holm', trip);
		const { guest } = await visitOf(di);
		await addThing(FIRST_HOUSE, di, 'top-synthetic', { value: 2, source: 'guess', state: 'assumed' });
		await takeInAll(guest, [answer('base top', 'yes', 1)]);
		expect(await kitOf(di)).toMatchObject([
			{ typeId: 'top-synthetic', quantity: { value: 2, source: 'client', state: 'has' } }
		]);
		await takeInAll(guest, [answer('base top', 'no', 3), answer('base top', 'yes', 2)]);
		expect(await kitOf(di)).toMatchObject([{ quantity: { value: 0, state: 'has not' } }]);
		await takeInAll(guest, [answer('big coat', 'unsure', 1), answer('eyes', 'unknown', 1)]);
		expect((await kitOf(di)).map(({ typeId, quantity }) => [typeId, quantity.state])).toContainEqual([
			'coat-synthetic',
			'assumed'
		]);
		await expect(takeInAll(guest, [answer('no such question', 'yes', 1)])).rejects.toThrow(RangeError);
	});
	it('after ten answers the rest is taken as likely, and told to be so', async () => {
		const ed = await createClient(FIRST_HOUSE, 'Ed Moss', trip);
		const { guest } = await visitOf(ed);
		const ids = QUESTIONS.filter(({ doings }) => doings === undefined).map(({ id }) => id);
		await takeInAll(
			guest,
			ids.slice(0, 9).map((id) => answer(id, 'no', 1))
		);
		expect((await kitOf(ed)).every(({ quantity }) => quantity.state === 'has not')).toBe(true);
		await takeInAll(guest, [answer(ids[9]!, 'no', 2)]);
		const assumed = (await kitOf(ed)).filter(({ quantity }) => quantity.state === 'assumed');
		expect(assumed.map(({ typeId, quantity }) => [typeId, quantity.source])).toEqual(
			QUESTIONS.filter(
				({ id, doings, likely }) => doings === undefined && likely >= 0.5 && !ids.slice(0, 10).includes(id)
			).map(({ typeId }) => [typeId, 'guess'])
		);
	});
	it('a home test counts as a try-on, the newest result holds, and what does not close is not there', async () => {
		const flo = await createClient(FIRST_HOUSE, 'Flo Birk', trip);
		const { guest } = await visitOf(flo);
		const id = randomUUID();
		const test = (part: HomeCheck, result: CheckResult, minute: number): ClientSays => ({
			kind: 'test',
			id: randomUUID(),
			thingId: id,
			part,
			result,
			saidAt: at(minute)
		});
		await takeInAll(guest, [
			{ kind: 'thing', id, typeId: 'hard-shell', saidAt: at(0) },
			{ kind: 'size', id: randomUUID(), thingId: id, size: 'M', saidAt: at(1) },
			test('moves', 'fail', 2),
			test('rain', 'fail', 2)
		]);
		const [shell] = await kitOf(flo);
		expect(shell!.facts).toMatchObject({
			size: { value: 'M', source: 'client' },
			roomSteps: { value: 0, source: 'measured' },
			face: { value: 'worn out', source: 'measured' }
		});
		expect(clothOf(shell!)).toMatchObject({ roomIsTried: true, roomSteps: 0, size: 'M' });
		await takeInAll(guest, [test('moves', 'pass', 4), test('moves', 'fail', 3), test('zips', 'fail', 4)]);
		const [after] = await kitOf(flo);
		expect(after).toMatchObject({ quantity: { value: 0 }, facts: { roomSteps: { value: 20 } } });
		await takeInAll(guest, [
			test('zips', 'pass', 5),
			{ kind: 'size', id: randomUUID(), thingId: id, size: '', saidAt: at(6) }
		]);
		const [last] = await kitOf(flo);
		expect(last).toMatchObject({ quantity: { value: 1 } });
		expect(last!.facts.size).toBeUndefined();
		expect((await homeTestsOf([flo])).get(flo)).toContainEqual({ thingId: id, part: 'zips', result: 'pass' });
	});
	it('a photo is kept once, for things of one’s own, and seen by nobody else', async () => {
		const [gil, hal] = [
			await createClient(FIRST_HOUSE, 'Gil Aas', trip),
			await createClient(FIRST_HOUSE, 'Hal Ek', trip)
		];
		const { guest } = await visitOf(gil);
		const { guest: other } = await visitOf(hal);
		const thing = randomUUID();
		await takeInAll(guest, [{ kind: 'thing', id: thing, typeId: 'hat-warm', saidAt: at(0) }]);
		const photo = { image: Buffer.from([255, 216, 1]), width: 4, height: 3 };
		const id = randomUUID();
		await Promise.all([addPhoto(guest, id, thing, photo), addPhoto(guest, id, thing, photo)]);
		expect((await photosOf([gil])).get(gil)).toHaveLength(1);
		expect(await ownPhoto(guest, id)).toEqual(photo.image);
		await expect(ownPhoto(other, id)).rejects.toThrow(NotFoundError);
		await expect(dropPhoto(other, id)).rejects.toThrow(NotFoundError);
		await expect(addPhoto(other, randomUUID(), thing, photo)).rejects.toThrow(NotFoundError);
		for (let i = 1; i < 40; i++) await addPhoto(guest, randomUUID(), thing, photo);
		await expect(addPhoto(guest, randomUUID(), thing, photo)).rejects.toThrow(/40 photos/);
		await dropPhoto(guest, id);
		await expect(ownPhoto(guest, id)).rejects.toThrow(NotFoundError);
	});
	it('questions of the house are asked of its own clients, a dozen at most, and can be asked again', async () => {
		const ida = await createClient(FIRST_HOUSE, 'Ida Lund', trip);
		const { guest } = await visitOf(ida);
		const id = await addHouseQuestion(FIRST_HOUSE, { english: 'Do you bring a flask?', german: '' });
		await takeInAll(guest, [answer(id, 'no', 1)]);
		expect(await answersOf(trip, ida)).toEqual(new Map([[id, 'no']]));
		expect(await kitOf(ida)).toEqual([]);
		expect(await houseQuestions('house-2')).toEqual([]);
		await expect(setQuestionDeleted('house-2', id, true)).rejects.toThrow(NotFoundError);
		await setQuestionDeleted(FIRST_HOUSE, id, true);
		expect(await houseQuestions(FIRST_HOUSE)).toEqual([]);
		await setQuestionDeleted(FIRST_HOUSE, id, false);
		for (let i = 1; i < 12; i++)
			await addHouseQuestion(FIRST_HOUSE, { english: `Question ${i}?`, german: '' });
		await expect(addHouseQuestion(FIRST_HOUSE, { english: 'One more?', german: '' })).rejects.toThrow(
			/12 questions/
		);
	});
});

describe('questions that are worked out', () => {
	it('are begun by one of all who look, kept for what they depend on, and begun anew when that changes', async () => {
		const looks = await Promise.all(Array.from({ length: 8 }, () => beginQuestions(trip, ada, 'first')));
		const [first, ...others] = looks.filter((one) => one !== null);
		expect(others).toEqual([]);
		expect(first).toMatchObject({ questions: null, memory: null });
		expect(await keptQuestions(trip, ada, 'first')).toBeNull();
		await keepQuestions(trip, ada, { ...first!, questions: '{"":1}', memory: null }, false);
		expect(await keptQuestions(trip, ada, 'first')).toBe('{"":1}');
		expect(await beginQuestions(trip, ada, 'first')).toBeNull();
		// Once it is worked out, what comes after the next answer is begun with what is known.
		await keepQuestions(trip, ada, { ...first!, questions: '{"":1}', memory: '[]' }, true);
		expect(await beginQuestions(trip, ada, 'first')).toMatchObject({ questions: '{"":1}', memory: '[]' });
		const second = await beginQuestions(trip, ada, 'second');
		expect(second).toMatchObject({ questions: null, memory: null });
		expect(await keptQuestions(trip, ada, 'second')).toBeNull();
		// What an older question comes to does not take the place of the newer one.
		await keepQuestions(trip, ada, { ...first!, questions: '{"":2}', memory: null }, true);
		expect(await keptQuestions(trip, ada, 'second')).toBeNull();
		// Whoever was at it is gone.
		await write(pool(), 'UPDATE client_questions SET begun_at = begun_at - INTERVAL 11 MINUTE');
		expect(await beginQuestions(trip, ada, 'second')).not.toBeNull();
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
		const hat = randomUUID();
		const boots = randomUUID();
		await takeInAll(guest, [
			{ kind: 'thing', id: hat, typeId: 'hat-warm', saidAt: at(4) },
			{ kind: 'thing', id: boots, typeId: 'boot-hiking', saidAt: at(4) },
			{ kind: 'test', id: randomUUID(), thingId: boots, part: 'socks', result: 'fail', saidAt: at(5) }
		]);
		const photo = randomUUID();
		const picture = await cleanPhoto(await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a53' } }).png().toBuffer()); // prettier-ignore
		await addPhoto(guest, photo, hat, picture);
		await saveAddress(cy, 'cy@mail.example');
		await noteEntry(
			{ houseId: FIRST_HOUSE, name: 'Cy Moor', way: 'client link' },
			'POST',
			'/api/v1/my/answers'
		);
		// What one brought for others is somebody else's now.
		const tent = { id: 'tent', what: 'Tent', typeId: null, many: 1, why: '', ...EACH_THEIR_OWN };
		const { version } = await getEverybody(FIRST_HOUSE, trip);
		await saveEverybody(FIRST_HOUSE, trip, { rows: [{ ...tent, broughtBy: cy }], version });
		const kept = await keptOf(FIRST_HOUSE, cy);
		expect(kept).toMatchObject({
			clients: [{ name: 'Cy Moor' }],
			brought_for_others: [{ row_id: 'tent', brings: 1 }],
			client_marks: [{ line_id: 'hat' }],
			client_notes: [{ text: 'Is there a shower?' }],
			client_answers: [{ answer: 'no' }],
			client_addresses: [{ mail: 'cy@mail.example' }],
			client_photos: [{ id: photo, image: picture.image.toString('base64') }],
			home_tests: [{ part: 'socks', result: 'fail' }]
		});
		expect(kept['things']!.map(({ type_id }) => type_id)).toEqual(
			expect.arrayContaining(['coat-synthetic', 'hat-warm', 'boot-hiking'])
		);
		expect(JSON.stringify(kept)).not.toContain(hashOf(secret));
		await expect(keptOf('house-2', cy)).rejects.toThrow(NotFoundError);
		await expect(eraseClient('house-2', cy)).rejects.toThrow(NotFoundError);

		const archive = await archived();
		// A photo is a file of its own in the archive, a picture that any program opens.
		expect(Buffer.from(unzipSync(archive)[`photos/${photo}.jpg`]!)).toEqual(picture.image);
		const [whole, own] = [opened(archive), await everything(FIRST_HOUSE)];
		await replacedBy(FIRST_HOUSE, own, async (all) => archiveOf(all));
		expect(await housePhoto(FIRST_HOUSE, photo)).toEqual(picture.image);
		await expect(housePhoto('house-2', photo)).rejects.toThrow(NotFoundError);
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
		expect((await getEverybody(FIRST_HOUSE, trip)).rows).toEqual([tent]);
	});
});
