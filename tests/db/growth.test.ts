import { subscribe, unsubscribe } from 'node:diagnostics_channel';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	addThing,
	createClient,
	getClient,
	getDocument,
	saveClient,
	saveThing,
	setClientDeleted,
	setThingDeleted
} from '../../src/lib/server/db/clients';
import { getHouse, saveHouse } from '../../src/lib/server/db/house';
import { clientPage, pastTrips, seasonPage } from '../../src/lib/server/db/lists';
import { listPatterns } from '../../src/lib/server/db/patterns';
import { claimPlan, giveBack, tellProgress, wantPlans } from '../../src/lib/server/db/plan-work';
import { closePool, inSnapshot, pool, rows, type Value, write } from '../../src/lib/server/db/pool';
import { find } from '../../src/lib/server/db/search';
import { planByFingerprint, planStates, storedPlan } from '../../src/lib/server/db/stored-plans';
import { createTrip, getTrip, saveTrip, setEnrolled, setTripDeleted } from '../../src/lib/server/db/trips';
import { getWishes, saveWishes, wishesOfTrip } from '../../src/lib/server/db/wishes';
import { startWithEmptyHouse } from '../fixtures/empty-database';
import { fillHouse, GROWN } from '../fixtures/filled-house';

/** A house of its own, beside the first one. */
const HOUSE = 'house-grown';
const TODAY = '2026-08-01';
const has = { value: 1, source: 'client', state: 'has' } as const;

beforeAll(async () => {
	await startWithEmptyHouse();
	await write(pool(), `INSERT INTO houses (id, name, schools) VALUES (?, 'Grown', '{}')`, [HOUSE]);
	await fillHouse(pool(), HOUSE);
});
afterAll(closePool);

interface Statement {
	sql: string;
	values: Value[];
}
/** Statements that some work sends, once each. */
async function sentBy(work: () => Promise<unknown>): Promise<Statement[]> {
	const sent = new Map<string, Statement>();
	const hear = (message: unknown): void => {
		const statement = message as Statement;
		sent.set(statement.sql, statement);
	};
	subscribe('snug.sql', hear);
	try {
		await work();
	} finally {
		unsubscribe('snug.sql', hear);
	}
	return [...sent.values()];
}

interface Step {
	table: string | null;
	type: string | null;
	key: string | null;
	rows: number | null;
	Extra: string | null;
}
/** Tables that hold a handful of rows, or letters and words of the statement itself. */
const SMALL = /^(houses|letter|own|<derived\d+>|<subquery\d+>)$/;
/** What a statement reads without an index, or sorts; empty when it does neither. */
async function slowIn({ sql, values }: Statement): Promise<string[]> {
	if (!/^\s*(SELECT|INSERT|UPDATE|DELETE)/.test(sql)) return [];
	const steps = await rows<Step>(pool(), `EXPLAIN ${sql}`, values);
	return steps
		.filter(({ table, type, rows, Extra }) => {
			// An insert of given values reads nothing, whatever it says.
			const isScan =
				table !== null && rows !== null && !SMALL.test(table) && (type === 'ALL' || type === 'index');
			return isScan || /filesort/.test(Extra ?? '');
		})
		.map((step) => `${sql.replace(/\s+/g, ' ')}\n  ${JSON.stringify(step)}`);
}

describe('a house of a thousand trips, a thousand clients and forty thousand things', () => {
	it('is as large as it says', async () => {
		const count = async (sql: string): Promise<number> =>
			Number((await rows<{ many: number }>(pool(), `SELECT COUNT(*) AS many FROM ${sql}`, [HOUSE]))[0]!.many);
		expect(await count('trips WHERE house_id = ?')).toBe(GROWN.trips);
		expect(await count('clients WHERE house_id = ?')).toBe(GROWN.clients);
		expect(await count('things t JOIN clients c ON c.id = t.client_id WHERE c.house_id = ?')).toBe(
			GROWN.clients * GROWN.thingsEach
		);
	});

	it('is read and written by indexes, without a scan and without a sort', async () => {
		const season = (search: string, when: 'ahead' | 'past', offset = 0) =>
			seasonPage(HOUSE, { search, when, today: TODAY, limit: 15, offset });
		const statements = await sentBy(async () => {
			for (const when of ['ahead', 'past'] as const) {
				await season('', when);
				await season('', when, 60);
				await season('ridge ada', when);
			}
			for (const search of ['', 'li', 'glacier skar']) {
				await find(HOUSE, search);
				await clientPage(HOUSE, { search, limit: 30, offset: 30 });
			}
			await pastTrips(HOUSE);
			await listPatterns(HOUSE);
			const { schools, version } = await getHouse(HOUSE);
			await saveHouse(HOUSE, { schools, version });
			const { trip } = await getDocument(HOUSE, 'grown-trip-500');
			await saveTrip(HOUSE, trip.id, { ...trip, name: 'Another name' });
			const guest = await createClient(HOUSE, 'Guest', trip.id);
			const client = await getClient(HOUSE, guest);
			await saveClient(HOUSE, guest, { ...client, name: 'Another guest' });
			const thing = await addThing(HOUSE, guest, 'fleece', has);
			await saveThing(HOUSE, thing.id, thing);
			await setThingDeleted(HOUSE, thing.id, true);
			await setThingDeleted(HOUSE, thing.id, false);
			await setEnrolled(HOUSE, trip.id, guest, false);
			await setEnrolled(HOUSE, trip.id, guest, true);
			await saveWishes(trip.id, guest, { ...(await getWishes(trip.id, guest)), wishes: [] });
			await inSnapshot((db) => wishesOfTrip(trip.id, db));
			await wantPlans(trip.id, new Map([[guest, 'x'.repeat(64)]]));
			const job = await claimPlan();
			await tellProgress(job!, 1, 2);
			await giveBack(job!);
			await planStates(trip.id, new Map([[guest, 'x'.repeat(64)]]));
			await storedPlan(trip.id, guest, 'x'.repeat(64));
			await planByFingerprint('x'.repeat(64));
			await createTrip(HOUSE, { name: 'After one', place: '', likeTripId: trip.id });
			await setClientDeleted(HOUSE, guest, true);
			await setTripDeleted(HOUSE, trip.id, true);
			await setTripDeleted(HOUSE, trip.id, false);
			await getTrip(HOUSE, trip.id);
		});
		expect(statements.length).toBeGreaterThan(50);
		const slow: string[] = [];
		for (const statement of statements) slow.push(...(await slowIn(statement)));
		expect(slow).toEqual([]);
	});

	it('is searched by any part of a word, as a look at every name would find', async () => {
		const all = await rows<{ text: string }>(
			pool(),
			`SELECT CONCAT_WS(' ', t.name, t.place, (SELECT GROUP_CONCAT(c.name SEPARATOR ' ') FROM trip_clients tc
			 JOIN clients c ON c.id = tc.client_id AND c.deleted_at IS NULL WHERE tc.trip_id = t.id)) AS text
			 FROM trips t WHERE t.house_id = ? AND t.deleted_at IS NULL AND t.first_date IS NOT NULL`,
			[HOUSE]
		);
		const found = async (search: string): Promise<number> =>
			(await seasonPage(HOUSE, { search, when: 'past', today: '2999-01-01', limit: 1, offset: 0 })).total;
		// Names are compared without accents, as people type them.
		const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
		const has = (text: string, word: string): boolean => plain(text).includes(plain(word));
		for (const search of [
			'li',
			'Os',
			'太',
			'山',
			'北岳',
			'idge',
			'ARN',
			'glac skar',
			'太郎 雪',
			'99',
			'nobody'
		])
			expect([search, await found(search)]).toEqual([
				search,
				all.filter(({ text }) => search.split(' ').every((word) => has(text, word))).length
			]);
	});

	it('finds a name by every part of every word of it, whatever the letters', async () => {
		const letters = fc.constantFrom(...'abzÅßé-\'"%_\\.☃山太郎한');
		const name = fc
			.array(fc.string({ unit: letters, minLength: 1, maxLength: 9 }), { minLength: 1, maxLength: 3 })
			.map((words) => words.join(' '));
		await fc.assert(
			fc.asyncProperty(name, fc.nat(), fc.nat(), async (own, from, length) => {
				const id = await createClient(HOUSE, own);
				const words = own.split(' ');
				const word = words[from % words.length]!;
				const at = from % word.length;
				const part = word.slice(at, at + 1 + (length % (word.length - at)));
				const { clients } = await clientPage(HOUSE, { search: part, limit: 100_000, offset: 0 });
				expect(clients.map((client) => client.id)).toContain(id);
				await setClientDeleted(HOUSE, id, true);
				const left = await clientPage(HOUSE, { search: part, limit: 100_000, offset: 0 });
				expect(left.clients.map((client) => client.id)).not.toContain(id);
			}),
			{ numRuns: 60 }
		);
	});
});
