import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addThings, createClient, getDocument } from '../../src/lib/server/db/clients';
import { EACH_THEIR_OWN } from '../../src/lib/core/kit/own-lines';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { saveDecisions } from '../../src/lib/server/db/lending/decisions';
import { getEdits, getEverybody, saveEdit, saveEverybody } from '../../src/lib/server/db/packing/lists';
import { openTrip, savedTrip } from '../../src/lib/server/db/packing/saved-trip';
import { closePool, ConflictError, NotFoundError, pool, rows, write } from '../../src/lib/server/db/pool';
import { createTrip, setEnrolled } from '../../src/lib/server/db/trips';
import { dueInHouse, dueOnTrip } from '../../src/lib/server/plans/due';
import { lentId } from '../../src/lib/core/remedy/lending/stock';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { check } from '../../src/lib/formats/check';
import { documentSchema } from '../../src/lib/formats/schema/document';
import { savedTripSchema } from '../../src/lib/formats/schema/lending/packing';
import type { SavedTrip } from '../../src/lib/formats/saved-trip';
import { startWithEmptyHouse } from '../fixtures/empty-database';

beforeAll(startWithEmptyHouse);
afterAll(closePool);

const TORCH = {
	id: 'torch',
	what: 'Head torch',
	typeId: 'torch',
	many: 1,
	why: 'dark at five',
	...EACH_THEIR_OWN
};
const PASS = { id: 'pass', what: 'Passport', typeId: null, many: 1, why: '', ...EACH_THEIR_OWN };

describe('the operator’s own list', () => {
	it('is saved whole, in its order, by version', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Everybody', place: '' });
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [], version: 0 });
		expect(await saveEverybody(FIRST_HOUSE, trip, { rows: [TORCH, PASS], version: 0 })).toBe(1);
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [TORCH, PASS], version: 1 });
		await expect(saveEverybody(FIRST_HOUSE, trip, { rows: [], version: 0 })).rejects.toThrow(ConflictError);
		// A row that cannot be kept leaves all as it was.
		const bad = { ...PASS, id: 'torch' };
		await expect(saveEverybody(FIRST_HOUSE, trip, { rows: [TORCH, bad], version: 1 })).rejects.toThrow();
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [TORCH, PASS], version: 1 });
		await saveEverybody(FIRST_HOUSE, trip, { rows: [PASS, TORCH], version: 1 });
		expect((await getEverybody(FIRST_HOUSE, trip)).rows.map(({ id }) => id)).toEqual(['pass', 'torch']);
		// A trip like this one asks for the same.
		const next = await createTrip(FIRST_HOUSE, { name: 'Next', place: '', likeTripId: trip });
		expect((await getEverybody(FIRST_HOUSE, next)).rows.map(({ what }) => what)).toEqual([
			'Passport',
			'Head torch'
		]);
		await expect(getEverybody('another-house', trip)).rejects.toThrow(NotFoundError);
	});
});

describe('what one person brings for others', () => {
	it('is part of the document, until the one who brings it is off the trip', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Rope', place: '' });
		const ada = await createClient(FIRST_HOUSE, 'Ada', trip);
		const bo = await createClient(FIRST_HOUSE, 'Bo', trip);
		const shared = { ...TORCH, broughtBy: ada, forIds: [bo], litres: 2.5, massG: 800 };
		await saveEverybody(FIRST_HOUSE, trip, { rows: [shared, PASS], version: 0 });
		expect((await getEverybody(FIRST_HOUSE, trip)).rows).toEqual([shared, PASS]);
		const { clients } = await getDocument(FIRST_HOUSE, trip);
		expect(clients.map(({ forOthers, fromOthers }) => [forOthers, fromOthers])).toEqual([
			[{ litres: 2.5, massG: 800 }, undefined],
			[undefined, ['torch']]
		]);
		// A stranger cannot be named.
		const stranger = await createClient(FIRST_HOUSE, 'Not on it');
		const bad = { rows: [{ ...shared, broughtBy: stranger }], version: 1 };
		await expect(saveEverybody(FIRST_HOUSE, trip, bad)).rejects.toThrow(/allowed is who is on the trip/);
		// Opened from a file it is about the same people, as they are called there.
		const saved = await savedTrip(FIRST_HOUSE, trip);
		const opened = await savedTrip(FIRST_HOUSE, await openTrip(FIRST_HOUSE, saved));
		const ids = opened.clients.map(({ id }) => id);
		expect(opened.packing!.everybody[0]).toEqual({ ...shared, broughtBy: ids[0], forIds: [ids[1]] });
		// Off the trip, nobody brings it any more: each does.
		await setEnrolled(FIRST_HOUSE, trip, ada, false);
		expect((await getEverybody(FIRST_HOUSE, trip)).rows[0]).toMatchObject({ broughtBy: null, forIds: [] });
		expect((await getDocument(FIRST_HOUSE, trip)).clients[0]).not.toHaveProperty('fromOthers');
	});
});

describe('a line changed by hand', () => {
	it('stays until the change is taken back', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'By hand', place: '' });
		const client = await createClient(FIRST_HOUSE, 'Ada', trip);
		const five = { lineId: 'fleece', what: null, many: 5, isOff: false };
		const own = { lineId: 'own-1', what: 'Playing cards', many: null, isOff: false };
		await saveEdit(FIRST_HOUSE, trip, client, five);
		await saveEdit(FIRST_HOUSE, trip, client, own);
		expect(await getEdits(trip, client)).toEqual([five, own]);
		await saveEdit(FIRST_HOUSE, trip, client, { ...five, many: null, isOff: true });
		await saveEdit(FIRST_HOUSE, trip, client, { ...own, what: null });
		expect(await getEdits(trip, client)).toEqual([{ ...five, many: null, isOff: true }]);
		await expect(saveEdit(FIRST_HOUSE, trip, 'nobody', five)).rejects.toThrow(NotFoundError);
		await expect(saveEdit('another-house', trip, client, five)).rejects.toThrow(NotFoundError);
	});
});

describe('a trip that was saved as a file', () => {
	it('is opened as a new one, all of it or nothing, and writes nothing over', async () => {
		const before = await getDocument(FIRST_HOUSE, DEMO_DOCUMENT.trip.id).catch(() => null);
		expect(before).toBeNull();
		const lent = { ...DEMO_DOCUMENT.clients[0]!.things[0]!, id: lentId('coat') };
		const [runa, teo] = DEMO_DOCUMENT.clients;
		const document = { ...DEMO_DOCUMENT, clients: [{ ...runa!, things: [...runa!.things, lent] }, teo!] };
		const ids = [await openTrip(FIRST_HOUSE, document), await openTrip(FIRST_HOUSE, document)];
		expect(new Set(ids).size).toBe(2);
		const opened = await getDocument(FIRST_HOUSE, ids[1]!);
		expect(opened.trip.stages).toEqual(DEMO_DOCUMENT.trip.stages);
		expect(opened.clients.map(({ name }) => name)).toEqual(['Runa Fjellby', 'Teo Marsh']);
		const plain = (document_: typeof opened) => document_.clients.map(({ things }) => things.map(({ typeId, quantity, facts }) => [typeId, quantity, facts])); // prettier-ignore
		expect(plain(opened)).toEqual(plain(DEMO_DOCUMENT));
		expect(opened.clients[1]).toMatchObject({ topSize: teo!.topSize, shoeSize: teo!.shoeSize });
		const many = { ...DEMO_DOCUMENT, clients: [runa!, { ...teo!, name: 'x'.repeat(300) }] };
		await expect(openTrip(FIRST_HOUSE, many)).rejects.toThrow();
		const [count] = await rows<{ many: number }>(
			pool(),
			"SELECT COUNT(*) AS many FROM clients WHERE name = 'Runa Fjellby'"
		);
		expect(Number(count!.many)).toBe(2);
	});
});

describe('a trip that is saved and opened again', () => {
	it('takes along what everybody brings, what was decided and what was written by hand', async () => {
		const id = await createTrip(FIRST_HOUSE, { name: 'Packed', place: '' });
		const client = await createClient(FIRST_HOUSE, 'Packed Guest', id);
		const quantity = { value: 1, source: 'client', state: 'has' } as const;
		const [fleece] = await addThings(FIRST_HOUSE, client, [{ typeId: 'fleece', name: 'Fleece', quantity }]);
		expect(await savedTrip(FIRST_HOUSE, id)).not.toHaveProperty('packing');
		const passport = {
			id: 'pass',
			what: 'Passport',
			typeId: null,
			many: 1,
			why: 'border',
			...EACH_THEIR_OWN
		};
		await saveEverybody(FIRST_HOUSE, id, { rows: [passport], version: 0 });
		const coat = {
			typeId: 'coat-synthetic',
			name: 'Big coat',
			decided: 'get',
			way: 'hire',
			refusal: null,
			cost: 15,
			days: 2,
			because: 'for “Top”'
		} as const;
		await saveDecisions(FIRST_HOUSE, id, client, [coat]);
		await saveEdit(FIRST_HOUSE, id, client, { lineId: fleece!.id, what: null, many: 3, isOff: false });
		await saveEdit(FIRST_HOUSE, id, client, { lineId: 'own-1', what: 'Cards', many: null, isOff: false });
		const saved = check<SavedTrip>(
			savedTripSchema,
			JSON.parse(JSON.stringify(await savedTrip(FIRST_HOUSE, id)))
		);
		expect(saved.errors).toBeNull();
		// Whoever only plans leaves it out.
		expect(check(documentSchema, saved.value).value).not.toHaveProperty('packing');
		const opened = await savedTrip(FIRST_HOUSE, await openTrip(FIRST_HOUSE, saved.value!));
		const [guest] = opened.clients;
		const thingOf = (typeId: string) => guest!.things.find((thing) => thing.typeId === typeId)!.id;
		expect(opened.packing).toEqual({
			everybody: [passport],
			clients: [
				{
					clientId: guest!.id,
					decisions: [{ ...coat, thingId: thingOf('coat-synthetic'), isThere: false }],
					lines: expect.arrayContaining([
						{ lineId: thingOf('fleece'), what: null, many: 3, isOff: false },
						{ lineId: 'own-1', what: 'Cards', many: null, isOff: false }
					]) as unknown
				}
			]
		});
		expect(thingOf('fleece')).not.toBe(fleece!.id);
	});
});

describe('what is due', () => {
	it('is told by date for a trip and for the house, until it is there', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Due', place: '' });
		await write(pool(), "UPDATE trips SET first_date = '2027-02-10', last_date = '2027-02-12' WHERE id = ?", [
			trip
		]);
		const client = await createClient(FIRST_HOUSE, 'Bo Lind', trip);
		const get = { decided: 'get', way: 'buy', refusal: null, cost: 10, because: '“Top”' } as const;
		await saveDecisions(FIRST_HOUSE, trip, client, [
			{ ...get, typeId: 'hat-warm', name: 'Warm hat', days: 1 },
			{ ...get, typeId: 'coat-down', name: 'Big coat, down', days: 5 },
			{
				...get,
				typeId: 'fleece',
				name: 'Fleece',
				days: 9,
				decided: 'decline',
				way: null,
				refusal: 'too dear'
			}
		]);
		const { due } = await dueOnTrip(FIRST_HOUSE, trip);
		expect(due.map(({ on, title }) => [on, title])).toEqual([
			['2027-02-05', 'Bo: big coat, buy'],
			['2027-02-09', 'Bo: warm hat, buy']
		]);
		expect(await dueInHouse(FIRST_HOUSE, '2027-01-01')).toEqual(due);
		expect(await dueInHouse(FIRST_HOUSE, '2027-02-11')).toEqual([]);
		await expect(dueOnTrip('another-house', trip)).rejects.toThrow(NotFoundError);
	});
});
