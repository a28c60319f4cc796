import { documentSchema } from '../../src/lib/formats/schema/document';
import { tripEditSchema } from '../../src/lib/formats/schema/trip';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Wish } from '../../src/lib/core/document/wish';
import type { TripSummary } from '../../src/lib/core/plan/told/summary';
import { check } from '../../src/lib/formats/check';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { COAST_DOCUMENT } from '../../src/lib/formats/demo-coast';
import {
	addThing, createClient, getClient, getDocument, saveClient, saveThing, setClientDeleted, setThingDeleted
} from '../../src/lib/server/db/clients'; // prettier-ignore
import { isEmpty, loadDemo } from '../../src/lib/server/db/demo';
import { FIRST_HOUSE, getHouse, saveHouse } from '../../src/lib/server/db/house';
import { migrate, statementsOf } from '../../src/lib/server/db/migrate';
import { createPattern, listPatterns, setPatternDeleted } from '../../src/lib/server/db/patterns';
import { claimPlan, failPlan, tellProgress, wantPlans } from '../../src/lib/server/db/plan-work';
import {
	closePool,
	ConflictError,
	inTransaction,
	NotFoundError,
	pool,
	rows,
	write
} from '../../src/lib/server/db/pool';
import { clientPage, pastTrips, seasonPage, type SeasonQuestion } from '../../src/lib/server/db/lists';
import { find } from '../../src/lib/server/db/search';
import { createTrip, getTrip, saveTrip, setEnrolled, setTripDeleted } from '../../src/lib/server/db/trips';
import { keepPlan, planStates } from '../../src/lib/server/db/stored-plans';
import { getWishes, saveWishes } from '../../src/lib/server/db/wishes';
import { planGroup } from '../../src/lib/server/plans/work';
import { packedDays } from '../../src/lib/server/plans/packed';
import { startWithEmptyHouse } from '../fixtures/empty-database';
import { PLANNED, stageOf } from '../fixtures/make';

const migrations = process.env.SNUG_MIGRATIONS ?? 'db/migrations';
const edit = (version: number, name = 'Renamed') => ({
	name,
	place: 'there',
	site: null,
	weathers: [PLANNED],
	stages: [stageOf([['move', 60, 200, 'slope']])],
	version
});

/** So many that all are on it. */
const ALL = { search: '', limit: 100_000, offset: 0 };

async function editOf(id: string): Promise<object> {
	const { name, place, site, weathers, stages, version } = await getTrip(FIRST_HOUSE, id);
	return { name, place, site, weathers, stages, version };
}

beforeAll(startWithEmptyHouse);
afterAll(closePool);

describe('schools', () => {
	it('of the house are saved by version, and refused with an older one', async () => {
		const before = await getHouse(FIRST_HOUSE);
		const version = await saveHouse(FIRST_HOUSE, { schools: { ears: 'free' }, version: before.version });
		expect(await getHouse(FIRST_HOUSE)).toEqual({
			schools: { ears: 'free' },
			uses: {},
			prices: {},
			version
		});
		const uses = { 'shoe-low': ['hike' as const] };
		const used = await saveHouse(FIRST_HOUSE, { schools: { ears: 'free' }, uses, version });
		// What an edit leaves out stays.
		const kept = await saveHouse(FIRST_HOUSE, { schools: { ears: 'free' }, version: used });
		expect((await getHouse(FIRST_HOUSE)).uses).toEqual(uses);
		const prices = { 'coat-down': [90, 180, 360] } as const;
		const priced = await saveHouse(FIRST_HOUSE, { schools: { ears: 'free' }, prices, version: kept });
		expect(await getHouse(FIRST_HOUSE)).toMatchObject({ uses, prices, version: priced });
		await expect(saveHouse(FIRST_HOUSE, { schools: {}, version: before.version })).rejects.toThrow(
			ConflictError
		);
		await saveHouse(FIRST_HOUSE, { ...before, version: priced });
	});
	it('of a trip and a client are kept, and stay when an edit does not name them', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Schooled', place: '' });
		await saveTrip(
			FIRST_HOUSE,
			trip,
			edit(await saveTrip(FIRST_HOUSE, trip, { ...edit(1), schools: { shell: 'worn' } }))
		);
		expect((await getTrip(FIRST_HOUSE, trip)).schools).toEqual({ shell: 'worn' });
		const guest = await createClient(FIRST_HOUSE, 'Schooled guest', trip);
		const { name, offsetClo, careful, answeredParts } = await getClient(FIRST_HOUSE, guest);
		const known = { name, offsetClo, careful, answeredParts };
		const next = await saveClient(FIRST_HOUSE, guest, { ...known, schools: { cotton: 'never' }, version: 1 });
		await saveClient(FIRST_HOUSE, guest, { ...known, version: next });
		expect((await getClient(FIRST_HOUSE, guest)).schools).toEqual({ cotton: 'never' });
		const document = await getDocument(FIRST_HOUSE, trip);
		expect(document).toMatchObject({ trip: { schools: { shell: 'worn' } } });
		const copy = await createTrip(FIRST_HOUSE, { name: 'Like it', place: '', likeTripId: trip });
		expect((await getTrip(FIRST_HOUSE, copy)).schools).toEqual({ shell: 'worn' });
		await setTripDeleted(FIRST_HOUSE, copy, true);
		await setTripDeleted(FIRST_HOUSE, trip, true);
		await setClientDeleted(FIRST_HOUSE, guest, true);
	});
});

describe('migrations', () => {
	it('run once each, in order, and are recorded', async () => {
		expect(await migrate(migrations)).toEqual([]);
		const names = (
			await rows<{ name: string }>(pool(), 'SELECT name FROM migrations ORDER BY ran_at, name')
		).map(({ name }) => name);
		expect(names).toEqual([...names].sort());
		expect(names[0]).toBe('001_trips_clients_kit.sql');
	});
	it('give the names that are there their words', async () => {
		const mark = `Wordless${Date.now()}`;
		const trip = await createTrip(FIRST_HOUSE, { name: `${mark} 山小屋`, place: 'Öst' });
		const client = await createClient(FIRST_HOUSE, `${mark} Li`, trip);
		const own = 'SELECT kind, word FROM search_words WHERE of_id IN (?, ?) ORDER BY kind, word';
		const before = await rows(pool(), own, [trip, client]);
		expect(before.length).toBeGreaterThan(40);
		await write(pool(), 'DELETE FROM search_words WHERE of_id IN (?, ?)', [trip, client]);
		const sql = await readFile(path.join(migrations, '008_search_words.sql'), 'utf8');
		for (const statement of statementsOf(sql).filter((one) => one.startsWith('INSERT')))
			await write(pool(), statement);
		expect(await rows(pool(), own, [trip, client])).toEqual(before);
		expect((await find(FIRST_HOUSE, `${mark} 小屋`)).map(({ kind }) => kind)).toEqual(['layer plan', 'trip']);
	});
	it('turn a stage of the first version into one that knows route, bed and hours of rain', async () => {
		const sql = await readFile(path.join(migrations, '002_trips_the_way_guides_think.sql'), 'utf8');
		const base = {
			airTempC: -2.5, altitudeM: 900, lapseKPerKm: 8, wind10mKmh: 48, humidityPct: 70, precipitation: 'wet-snow', ground: 'snow'
		}; // prettier-ignore
		const id = await createTrip(FIRST_HOUSE, { name: 'Old', place: '' });
		await saveTrip(FIRST_HOUSE, id, edit(1));
		await write(pool(), 'UPDATE stages SET base = ? WHERE trip_id = ?', [JSON.stringify(base), id]);
		await write(pool(), 'UPDATE trips SET weathers = ? WHERE id = ?', [
			JSON.stringify([{ id: 'planned', name: 'Planned', tempOffsetK: 0, windFactor: 1 }]),
			id
		]);
		// The column that the season was searched by was dropped later.
		const updates = statementsOf(sql).filter(
			(statement) => statement.startsWith('UPDATE') && !statement.includes('search_text')
		);
		for (const statement of updates) await pool().query(statement);
		const trip = await getTrip(FIRST_HOUSE, id);
		expect(trip.weathers.map(({ name }) => name)).toEqual(['Typical', 'Cold snap', 'Mild and wet']);
		const [stage] = trip.stages;
		expect(stage!.base).toEqual({
			lowTempC: -2.5, highTempC: -2.5, altitudeM: 900, lapseKPerKm: 8, inversion: null, heights: [], wind10mKmh: 48,
			humidityPct: 70, wetSpells: [{ fromMin: 0, toMin: 1440, kind: 'wet-snow' }], ground: 'snow'
		}); // prettier-ignore
		expect(stage!.route).toEqual({ startM: 900, highM: 900, lowM: 900, bedM: 900 });
		expect(check(tripEditSchema, { ...(await editOf(id)) }).errors).toBeNull();
	});
	it('run only the new ones later', async () => {
		const folder = await mkdtemp(path.join(os.tmpdir(), 'snug-migrations-'));
		await writeFile(
			path.join(folder, '900_probe.sql'),
			'-- a comment; with a semicolon\nCREATE TABLE probe (id INT);\nINSERT INTO probe VALUES (1);\n'
		);
		expect(await migrate(folder)).toEqual(['900_probe.sql']);
		expect(await migrate(folder)).toEqual([]);
		expect(await rows(pool(), 'SELECT * FROM probe')).toHaveLength(1);
		await pool().query('DROP TABLE probe');
		await write(pool(), 'DELETE FROM migrations WHERE name = ?', ['900_probe.sql']);
		await rm(folder, { recursive: true });
	});
	it('do not run twice when two processes start together', async () => {
		const folder = await mkdtemp(path.join(os.tmpdir(), 'snug-migrations-'));
		await writeFile(path.join(folder, '901_probe.sql'), 'CREATE TABLE probe_two (id INT);\n');
		const ran = await Promise.all([migrate(folder), migrate(folder)]);
		expect(ran.flat()).toEqual(['901_probe.sql']);
		await pool().query('DROP TABLE probe_two');
		await write(pool(), 'DELETE FROM migrations WHERE name = ?', ['901_probe.sql']);
		await rm(folder, { recursive: true });
	});
});

describe('a trip', () => {
	it('comes back as it was saved, with a new version', async () => {
		const id = await createTrip(FIRST_HOUSE, { name: 'Fresh', place: 'here' });
		expect(await getTrip(FIRST_HOUSE, id)).toMatchObject({
			name: 'Fresh',
			place: 'here',
			stages: [],
			version: 1,
			deletedAt: null
		});
		expect(await saveTrip(FIRST_HOUSE, id, edit(1))).toBe(2);
		expect(await getTrip(FIRST_HOUSE, id)).toEqual({ id, ...edit(2), version: 2, deletedAt: null });
		const site = { placeId: null, latitudeDeg: 46, longitudeDeg: 11, utcOffsetMin: 60 };
		await saveTrip(FIRST_HOUSE, id, { ...edit(2), site });
		expect((await getTrip(FIRST_HOUSE, id)).site).toEqual(site);
	});
	it('is not overwritten by an edit of an older version', async () => {
		const id = await createTrip(FIRST_HOUSE, { name: 'Two editors', place: '' });
		await saveTrip(FIRST_HOUSE, id, edit(1, 'First'));
		await expect(saveTrip(FIRST_HOUSE, id, edit(1, 'Second'))).rejects.toMatchObject({
			what: 'trip',
			current: { name: 'First', version: 2 }
		});
		expect((await getTrip(FIRST_HOUSE, id)).name).toBe('First');
	});
	it('is saved whole or not at all', async () => {
		const id = await createTrip(FIRST_HOUSE, { name: 'Whole', place: '' });
		const stage = stageOf([]);
		await expect(saveTrip(FIRST_HOUSE, id, { ...edit(1), stages: [stage, stage] })).rejects.toThrow();
		expect(await getTrip(FIRST_HOUSE, id)).toMatchObject({ name: 'Whole', version: 1, stages: [] });
	});
	it('can be deleted, and brought back with its stages', async () => {
		const id = await createTrip(FIRST_HOUSE, { name: 'Back again', place: '' });
		await saveTrip(FIRST_HOUSE, id, edit(1));
		await setTripDeleted(FIRST_HOUSE, id, true);
		await expect(getTrip(FIRST_HOUSE, id)).rejects.toThrow(NotFoundError);
		expect((await season('Back again')).total).toBe(0);
		await setTripDeleted(FIRST_HOUSE, id, false);
		expect((await getTrip(FIRST_HOUSE, id)).stages).toHaveLength(1);
	});
	it('takes text as text, quotes and all', async () => {
		const name = `Robert'); DROP TABLE trips; -- "☃"`;
		const id = await createTrip(FIRST_HOUSE, { name, place: '' });
		expect((await getTrip(FIRST_HOUSE, id)).name).toBe(name);
	});
	it('that does not exist is not found', async () => {
		await expect(getTrip(FIRST_HOUSE, 'nowhere')).rejects.toThrow(NotFoundError);
		await expect(saveTrip(FIRST_HOUSE, 'nowhere', edit(1))).rejects.toThrow(NotFoundError);
		await expect(setTripDeleted(FIRST_HOUSE, 'nowhere', true)).rejects.toThrow(NotFoundError);
	});
});

const season = (search: string, change: Partial<SeasonQuestion> = {}) =>
	seasonPage(FIRST_HOUSE, { search, today: '2027-01-01', when: 'ahead', limit: 10, offset: 0, ...change });

describe('the season', () => {
	it('lists what leaves next first, finds by trip, place and client, and pages', async () => {
		const mark = `Season${Date.now()}`;
		for (const [name, date] of [
			['late', '2027-03-01'],
			['soon', '2027-02-01'],
			['gone', '2026-02-01']
		]) {
			const id = await createTrip(FIRST_HOUSE, { name: `${mark} ${name}`, place: 'a 100% wild_place' });
			await saveTrip(FIRST_HOUSE, id, {
				...edit(1, `${mark} ${name}`),
				place: 'a 100% wild_place',
				stages: [stageOf([], {}, { date: date! })]
			});
			if (name === 'soon') await createClient(FIRST_HOUSE, `Guest ${mark}`, id);
		}
		await createTrip(FIRST_HOUSE, { name: `${mark} undated`, place: '' });
		const names = async (search: string, change: Partial<SeasonQuestion> = {}): Promise<string[]> =>
			(await season(search, change)).trips.map(({ name }) => name.replace(`${mark} `, ''));
		expect(await names(mark)).toEqual(['soon', 'late', 'undated']);
		expect(await names(mark, { when: 'past' })).toEqual(['gone']);
		expect(await names(`guest ${mark}`)).toEqual(['soon']);
		expect(await names(`${mark} 100% wild_`)).toEqual(['soon', 'late']);
		expect(await names(`${mark} wildXplace`)).toEqual([]);
		const guest = (await season(mark)).trips[0]!.clients[0]!.id;
		await saveClient(FIRST_HOUSE, guest, { ...(await getClient(FIRST_HOUSE, guest)), name: 'Renamed' });
		expect(await names(`guest ${mark}`)).toEqual([]);
		expect(await names(`renamed ${mark}`)).toEqual(['soon']);
		await setClientDeleted(FIRST_HOUSE, guest, true);
		expect(await names(`renamed ${mark}`)).toEqual([]);
		await setClientDeleted(FIRST_HOUSE, guest, false);
		await setEnrolled(FIRST_HOUSE, (await season(mark)).trips[0]!.id, guest, false);
		expect(await names(`renamed ${mark}`)).toEqual([]);
		await setEnrolled(FIRST_HOUSE, (await season(mark)).trips[0]!.id, guest, true);
		await saveClient(FIRST_HOUSE, guest, { ...(await getClient(FIRST_HOUSE, guest)), name: `Guest ${mark}` });
		expect(await names(mark, { limit: 1, offset: 1 })).toEqual(['late']);
		const [soon] = (await season(mark)).trips;
		expect(soon).toMatchObject({ stages: 1, emptyStages: 1, firstDate: '2027-02-01' });
		expect(soon!.clients).toMatchObject([{ name: `Guest ${mark}`, asked: false }]);
		expect(soon).toMatchObject({ clientCount: 1, unaskedCount: 1, unasked: { name: `Guest ${mark}` } });
		expect((await find(FIRST_HOUSE, `guest ${mark} soon`)).map(({ kind, tripId }) => [kind, tripId])).toEqual(
			[['layer plan', soon!.id]]
		);
		expect((await find(FIRST_HOUSE, `guest ${mark}`)).map(({ kind }) => kind)).toEqual(['layer plan', 'kit']);
		expect((await find(FIRST_HOUSE, `${mark} late`)).map(({ kind }) => kind)).toEqual(['trip']);
		expect((await pastTrips(FIRST_HOUSE, 500)).map(({ name }) => name)).toContain(`${mark} gone`);
	});
});

describe('a trip that starts from a past one', () => {
	it('has its days, as much later, with ids of their own and origins that say so', async () => {
		await loadDemo();
		const id = await createTrip(FIRST_HOUSE, {
			name: 'Again',
			place: '',
			likeTripId: DEMO_DOCUMENT.trip.id,
			firstDate: '2028-02-05'
		});
		const [again, past] = [await getTrip(FIRST_HOUSE, id), DEMO_DOCUMENT.trip];
		expect(again.stages.map(({ date }) => date)).toEqual(['2028-02-05', '2028-02-06']);
		expect(again).toMatchObject({ place: past.place, site: past.site, weathers: past.weathers });
		expect(again.stages[0]!.sequence[0]!.id).not.toBe(past.stages[0]!.sequence[0]!.id);
		expect(again.stages[0]!.origins.lowTempC).toEqual({ from: 'copied', note: past.name });
		await expect(createTrip(FIRST_HOUSE, { name: 'No', place: '', likeTripId: 'nowhere' })).rejects.toThrow(
			NotFoundError
		);
	});
});

describe('patterns of the house', () => {
	it('are kept, dropped and brought back', async () => {
		const content = {
			startMin: 480,
			ground: null,
			terrain: [],
			bed: 'tent' as const,
			pace: 'guided' as const,
			sequence: stageOf([['move', 60, 200, 'slope']]).sequence,
			foul: null
		};
		const id = await createPattern(FIRST_HOUSE, 'Mushroom picking', content);
		const own = async () => (await listPatterns(FIRST_HOUSE)).find((pattern) => pattern.id === id);
		expect(await own()).toEqual({ id, name: 'Mushroom picking', content });
		await setPatternDeleted(FIRST_HOUSE, id, true);
		expect(await own()).toBeUndefined();
		await setPatternDeleted(FIRST_HOUSE, id, false);
		expect(await own()).toBeDefined();
		await expect(setPatternDeleted(FIRST_HOUSE, 'nothing', true)).rejects.toThrow(NotFoundError);
	});
});

describe('a client', () => {
	it('starts with nothing asked, and keeps facts with their source', async () => {
		const id = await createClient(FIRST_HOUSE, 'Ada');
		expect(await getClient(FIRST_HOUSE, id)).toMatchObject({
			offsetClo: { value: null, state: 'not asked' },
			things: [],
			answeredParts: []
		});
		const offsetClo = { value: 0.15, source: 'client', state: 'has' } as const;
		await saveClient(FIRST_HOUSE, id, {
			name: 'Ada',
			offsetClo,
			careful: { value: true, source: 'guide', state: 'has' },
			answeredParts: ['hands'],
			version: 1
		});
		expect(await getClient(FIRST_HOUSE, id)).toMatchObject({
			offsetClo,
			answeredParts: ['hands'],
			version: 2
		});
		// What an edit does not name stays as it is.
		const shoeSize = { value: 42, source: 'client', state: 'has' } as const;
		await saveClient(FIRST_HOUSE, id, { name: 'Ada', shoeSize, answeredParts: ['hands'], version: 2 });
		expect(await getClient(FIRST_HOUSE, id)).toMatchObject({ offsetClo, shoeSize, version: 3 });
		await expect(
			saveClient(FIRST_HOUSE, id, { ...(await getClient(FIRST_HOUSE, id)), version: 1 })
		).rejects.toThrow(ConflictError);
	});
	it('keeps things in the order in which they were added, and gets back what was taken out', async () => {
		const id = await createClient(FIRST_HOUSE, 'Bo');
		const has = (value: number) => ({ value, source: 'client', state: 'has' }) as const;
		const fleece = await addThing(FIRST_HOUSE, id, 'fleece', has(1));
		await addThing(FIRST_HOUSE, id, 'sock-mid', has(3), 'My socks');
		expect((await getClient(FIRST_HOUSE, id)).things.map(({ name, inPairs }) => [name, inPairs])).toEqual([
			['Fleece, jacket', false],
			['My socks', true]
		]);
		await saveThing(FIRST_HOUSE, fleece.id, {
			...fleece,
			facts: { massG: { value: 555, source: 'measured', state: 'has' } }
		});
		await expect(saveThing(FIRST_HOUSE, fleece.id, fleece)).rejects.toThrow(ConflictError);
		await setThingDeleted(FIRST_HOUSE, fleece.id, true);
		expect((await getClient(FIRST_HOUSE, id)).things).toHaveLength(1);
		await setThingDeleted(FIRST_HOUSE, fleece.id, false);
		expect((await getClient(FIRST_HOUSE, id)).things[0]).toMatchObject({
			facts: { massG: { value: 555 } },
			version: 4
		});
		await expect(addThing(FIRST_HOUSE, id, 'cape', has(1))).rejects.toThrow(RangeError);
		await expect(saveThing(FIRST_HOUSE, 'nothing', fleece)).rejects.toThrow(NotFoundError);
	});
	it('is put on a trip and taken off it, once', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'With Cy', place: '' });
		const id = await createClient(FIRST_HOUSE, 'Cy', trip);
		await setEnrolled(FIRST_HOUSE, trip, id, true);
		expect((await getDocument(FIRST_HOUSE, trip)).clients.map(({ name }) => name)).toEqual(['Cy']);
		await setEnrolled(FIRST_HOUSE, trip, id, false);
		expect((await getDocument(FIRST_HOUSE, trip)).clients).toEqual([]);
		await expect(createClient(FIRST_HOUSE, 'Nobody', 'nowhere')).rejects.toThrow(NotFoundError);
		expect((await clientPage(FIRST_HOUSE, ALL)).clients.some(({ name }) => name === 'Nobody')).toBe(false);
	});
	it('that is deleted is off all lists, until brought back', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'With Di', place: '' });
		const id = await createClient(FIRST_HOUSE, 'Di', trip);
		await setClientDeleted(FIRST_HOUSE, id, true);
		expect((await getDocument(FIRST_HOUSE, trip)).clients).toEqual([]);
		await setClientDeleted(FIRST_HOUSE, id, false);
		expect((await getDocument(FIRST_HOUSE, trip)).clients).toHaveLength(1);
	});
});

describe('the demo', () => {
	it('is stored and read back unchanged, as a document that the schema takes', async () => {
		await loadDemo();
		const stored = await getDocument(FIRST_HOUSE, DEMO_DOCUMENT.trip.id);
		expect(stored).toEqual(DEMO_DOCUMENT);
		expect(check(documentSchema, stored).errors).toBeNull();
		const coast = await getDocument(FIRST_HOUSE, COAST_DOCUMENT.trip.id);
		expect(coast).toEqual(COAST_DOCUMENT);
		expect(check(documentSchema, coast)).toEqual({ value: coast, errors: null });
		expect(await isEmpty()).toBe(false);
	});
	it('loaded anew replaces itself and nothing else', async () => {
		const id = await createTrip(FIRST_HOUSE, { name: 'Mine', place: '' });
		await saveTrip(FIRST_HOUSE, DEMO_DOCUMENT.trip.id, edit(1));
		await loadDemo();
		expect((await getTrip(FIRST_HOUSE, DEMO_DOCUMENT.trip.id)).name).toBe(DEMO_DOCUMENT.trip.name);
		expect((await getTrip(FIRST_HOUSE, id)).name).toBe('Mine');
	});
});

describe('inTransaction', () => {
	it('undoes everything when something fails', async () => {
		const before = (await clientPage(FIRST_HOUSE, ALL)).clients.length;
		await expect(
			inTransaction(async (db) => {
				await write(db, "INSERT INTO clients (id, house_id, name) VALUES (?, ?, 'X')", [
					'rolled-back',
					FIRST_HOUSE
				]);
				throw new Error('no');
			})
		).rejects.toThrow('no');
		expect((await clientPage(FIRST_HOUSE, ALL)).clients).toHaveLength(before);
	});
});

describe('plans', () => {
	const made = async (): Promise<{ trip: string; guest: string }> => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Planned in the background', place: '' });
		await saveTrip(FIRST_HOUSE, trip, edit(1));
		return { trip, guest: await createClient(FIRST_HOUSE, 'Planned guest', trip) };
	};
	const SUMMARY = { phases: [], takenIds: [], leftIds: [] } as unknown as TripSummary;

	it('keep wishes by version, and refuse an older one', async () => {
		const { trip, guest } = await made();
		expect(await getWishes(trip, guest)).toEqual({ wishes: [], spareChanges: 0, version: 0 });
		const wishes: Wish[] = [{ kind: 'leave', thingId: 'coat' }];
		expect(await saveWishes(trip, guest, { wishes, spareChanges: 2, version: 0 })).toBe(1);
		expect(await getWishes(trip, guest)).toEqual({ wishes, spareChanges: 2, version: 1 });
		await expect(saveWishes(trip, guest, { wishes: [], spareChanges: 0, version: 0 })).rejects.toThrow(
			ConflictError
		);
		await setTripDeleted(FIRST_HOUSE, trip, true);
	});
	it('are claimed once each, however many ask at the same time', async () => {
		const { trip, guest } = await made();
		const other = await createClient(FIRST_HOUSE, 'Second guest', trip);
		const asked = new Map([guest, other].map((id) => [id, 'a'.repeat(64)]));
		await wantPlans(trip, asked);
		const claimed = (await Promise.all([claimPlan(), claimPlan(), claimPlan()])).filter(
			(job) => job?.tripId === trip
		);
		expect(claimed.map((job) => job!.clientId).sort()).toEqual([guest, other].sort());
		for (const job of claimed) await failPlan(job!);
		expect((await planStates(trip, asked)).map(({ state }) => state)).toEqual(['failed', 'failed']);
		await setTripDeleted(FIRST_HOUSE, trip, true);
	});
	it('that failed are tried again, three times and no more, until another question is asked', async () => {
		const { trip, guest } = await made();
		const asked = new Map([[guest, 'f'.repeat(64)]]);
		for (let attempt = 0; attempt < 3; attempt++) {
			await wantPlans(trip, asked);
			const job = await claimPlan();
			expect(job).toMatchObject({ tripId: trip, clientId: guest });
			await failPlan(job!);
			expect(await planStates(trip, asked)).toMatchObject([{ state: 'failed', isCurrent: false }]);
		}
		await wantPlans(trip, asked);
		expect(await claimPlan()).toBeNull();
		await wantPlans(trip, new Map([[guest, '0'.repeat(64)]]));
		const job = await claimPlan();
		expect(job).toMatchObject({ tripId: trip, clientId: guest });
		await failPlan(job!);
		await setTripDeleted(FIRST_HOUSE, trip, true);
	});
	it('that are there for the same question are not wanted again; for another one they are', async () => {
		const { trip, guest } = await made();
		const first = 'b'.repeat(64);
		const days = await packedDays([]);
		const states = (fingerprint: string) => planStates(trip, new Map([[guest, fingerprint]]));
		await wantPlans(trip, new Map([[guest, first]]));
		const job = (await claimPlan())!;
		expect(job).toMatchObject({ tripId: trip, clientId: guest, fingerprint: first });
		expect(await tellProgress(job, 3, 8)).toBe(true);
		expect(await states(first)).toMatchObject([{ state: 'working', done: 3, total: 8 }]);
		await keepPlan(job, { fingerprint: first, summary: SUMMARY, days });
		await wantPlans(trip, new Map([[guest, first]]));
		expect(await states(first)).toMatchObject([{ state: 'there', isCurrent: true, summary: SUMMARY }]);

		const second = 'c'.repeat(64);
		await wantPlans(trip, new Map([[guest, second]]));
		// The older answer is shown until the newer one is there.
		expect(await states(second)).toMatchObject([{ state: 'wanted', isCurrent: false, summary: SUMMARY }]);
		const again = (await claimPlan())!;
		// Something changed while it was worked out: the answer is kept, and does not pass for the one asked for.
		await keepPlan(again, { fingerprint: 'd'.repeat(64), summary: SUMMARY, days });
		expect(await states(second)).toMatchObject([{ isCurrent: false }]);
		expect(await states('d'.repeat(64))).toMatchObject([{ state: 'there', isCurrent: true }]);
		await setTripDeleted(FIRST_HOUSE, trip, true);
	});
	it('that are no longer the claim of a process are not told by it', async () => {
		const { trip, guest } = await made();
		await wantPlans(trip, new Map([[guest, '1'.repeat(64)]]));
		const late = (await claimPlan())!;
		await wantPlans(trip, new Map([[guest, '2'.repeat(64)]]));
		expect(await tellProgress(late, 1, 2)).toBe(false);
		await failPlan(late);
		expect(await planStates(trip, new Map([[guest, '2'.repeat(64)]]))).toMatchObject([{ state: 'wanted' }]);
		await failPlan((await claimPlan())!);
		await setTripDeleted(FIRST_HOUSE, trip, true);
	});
	it('of a process that fell silent are worked out by another', async () => {
		const { trip, guest } = await made();
		await wantPlans(trip, new Map([[guest, 'e'.repeat(64)]]));
		await claimPlan();
		expect(await claimPlan()).toBeNull();
		await write(pool(), 'UPDATE plan_work SET claimed_at = NOW(3) - INTERVAL 2 MINUTE WHERE trip_id = ?', [
			trip
		]);
		const job = await claimPlan();
		expect(job).toMatchObject({ tripId: trip, clientId: guest });
		await failPlan(job!);
		await setTripDeleted(FIRST_HOUSE, trip, true);
	});
	it('of a group are planned, and only what changed is planned again', async () => {
		const { trip, guest } = await made();
		await addThing(FIRST_HOUSE, guest, 'top-wool-mid', { value: 1, source: 'client', state: 'has' });
		const settled = async (): Promise<Awaited<ReturnType<typeof planGroup>>> => {
			for (let turn = 0; turn < 20_000; turn++) {
				const states = await planGroup(FIRST_HOUSE, trip);
				if (states.every(({ state }) => state === 'there')) return states;
				await new Promise((resolve) => setTimeout(resolve, 50));
			}
			throw new Error('the plan of the group did not come');
		};
		const [first] = await settled();
		expect(first!.summary!.phases.length).toBe(1);
		expect((await planGroup(FIRST_HOUSE, trip))[0]).toMatchObject({ state: 'there', isCurrent: true });
		await addThing(FIRST_HOUSE, guest, 'fleece', { value: 1, source: 'client', state: 'has' });
		expect((await planGroup(FIRST_HOUSE, trip))[0]).toMatchObject({ isCurrent: false });
		const [second] = await settled();
		expect(second!.summary).not.toEqual(first!.summary);
		await setTripDeleted(FIRST_HOUSE, trip, true);
	});
});
