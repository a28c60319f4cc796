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
	addThing, createClient, getClient, getDocument, listClients, saveClient, saveThing, setClientDeleted, setThingDeleted
} from '../../src/lib/server/db/clients'; // prettier-ignore
import { isEmpty, loadDemo } from '../../src/lib/server/db/demo';
import { getHouse, saveHouse } from '../../src/lib/server/db/house';
import { migrate } from '../../src/lib/server/db/migrate';
import { createPattern, listPatterns, setPatternDeleted } from '../../src/lib/server/db/patterns';
import {
	claimPlan,
	failPlan,
	getWishes,
	keepPlan,
	planStates,
	saveWishes,
	tellProgress,
	wantPlans
} from '../../src/lib/server/db/plans';
import {
	closePool,
	ConflictError,
	inTransaction,
	NotFoundError,
	pool,
	rows,
	write
} from '../../src/lib/server/db/pool';
import { find, pastTrips, seasonPage, type SeasonQuestion } from '../../src/lib/server/db/season';
import { createTrip, getTrip, saveTrip, setEnrolled, setTripDeleted } from '../../src/lib/server/db/trips';
import { planGroup } from '../../src/lib/server/planning';
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

async function editOf(id: string): Promise<object> {
	const { name, place, site, weathers, stages, version } = await getTrip(id);
	return { name, place, site, weathers, stages, version };
}

beforeAll(async () => {
	if (!process.env.SNUG_DB_SOCKET) throw new Error('These tests need the database that `npm test` starts.');
	await migrate(migrations);
});
afterAll(closePool);

describe('schools', () => {
	it('of the house are saved by version, and refused with an older one', async () => {
		const before = await getHouse();
		const version = await saveHouse({ schools: { ears: 'free' }, version: before.version });
		expect(await getHouse()).toEqual({ schools: { ears: 'free' }, version });
		await expect(saveHouse({ schools: {}, version: before.version })).rejects.toThrow(ConflictError);
		await saveHouse({ schools: before.schools, version });
	});
	it('of a trip and a client are kept, and stay when an edit does not name them', async () => {
		const trip = await createTrip({ name: 'Schooled', place: '' });
		await saveTrip(trip, edit(await saveTrip(trip, { ...edit(1), schools: { shell: 'worn' } })));
		expect((await getTrip(trip)).schools).toEqual({ shell: 'worn' });
		const guest = await createClient('Schooled guest', trip);
		const { name, offsetClo, careful, answeredParts } = await getClient(guest);
		const known = { name, offsetClo, careful, answeredParts };
		const next = await saveClient(guest, { ...known, schools: { cotton: 'never' }, version: 1 });
		await saveClient(guest, { ...known, version: next });
		expect((await getClient(guest)).schools).toEqual({ cotton: 'never' });
		const document = await getDocument(trip);
		expect(document).toMatchObject({ trip: { schools: { shell: 'worn' } } });
		const copy = await createTrip({ name: 'Like it', place: '', likeTripId: trip });
		expect((await getTrip(copy)).schools).toEqual({ shell: 'worn' });
		await setTripDeleted(copy, true);
		await setTripDeleted(trip, true);
		await setClientDeleted(guest, true);
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
	it('turn a stage of the first version into one that knows route, bed and hours of rain', async () => {
		const sql = await readFile(path.join(migrations, '002_trips_the_way_guides_think.sql'), 'utf8');
		const base = {
			airTempC: -2.5, altitudeM: 900, lapseKPerKm: 8, wind10mKmh: 48, humidityPct: 70, precipitation: 'wet-snow', ground: 'snow'
		}; // prettier-ignore
		const id = await createTrip({ name: 'Old', place: '' });
		await saveTrip(id, edit(1));
		await write(pool(), 'UPDATE stages SET base = ? WHERE trip_id = ?', [JSON.stringify(base), id]);
		await write(pool(), 'UPDATE trips SET weathers = ? WHERE id = ?', [
			JSON.stringify([{ id: 'planned', name: 'Planned', tempOffsetK: 0, windFactor: 1 }]),
			id
		]);
		const updates = sql
			.replace(/^--.*$/gm, '')
			.split(/;\s*$/m)
			.filter((statement) => statement.trim().startsWith('UPDATE'));
		for (const statement of updates) await pool().query(statement);
		const trip = await getTrip(id);
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
		const id = await createTrip({ name: 'Fresh', place: 'here' });
		expect(await getTrip(id)).toMatchObject({
			name: 'Fresh',
			place: 'here',
			stages: [],
			version: 1,
			deletedAt: null
		});
		expect(await saveTrip(id, edit(1))).toBe(2);
		expect(await getTrip(id)).toEqual({ id, ...edit(2), version: 2, deletedAt: null });
		const site = { placeId: null, latitudeDeg: 46, longitudeDeg: 11, utcOffsetMin: 60 };
		await saveTrip(id, { ...edit(2), site });
		expect((await getTrip(id)).site).toEqual(site);
	});
	it('is not overwritten by an edit of an older version', async () => {
		const id = await createTrip({ name: 'Two editors', place: '' });
		await saveTrip(id, edit(1, 'First'));
		await expect(saveTrip(id, edit(1, 'Second'))).rejects.toMatchObject({
			what: 'trip',
			current: { name: 'First', version: 2 }
		});
		expect((await getTrip(id)).name).toBe('First');
	});
	it('is saved whole or not at all', async () => {
		const id = await createTrip({ name: 'Whole', place: '' });
		const stage = stageOf([]);
		await expect(saveTrip(id, { ...edit(1), stages: [stage, stage] })).rejects.toThrow();
		expect(await getTrip(id)).toMatchObject({ name: 'Whole', version: 1, stages: [] });
	});
	it('can be deleted, and brought back with its stages', async () => {
		const id = await createTrip({ name: 'Back again', place: '' });
		await saveTrip(id, edit(1));
		await setTripDeleted(id, true);
		await expect(getTrip(id)).rejects.toThrow(NotFoundError);
		expect((await season('Back again')).total).toBe(0);
		await setTripDeleted(id, false);
		expect((await getTrip(id)).stages).toHaveLength(1);
	});
	it('takes text as text, quotes and all', async () => {
		const name = `Robert'); DROP TABLE trips; -- "☃"`;
		const id = await createTrip({ name, place: '' });
		expect((await getTrip(id)).name).toBe(name);
	});
	it('that does not exist is not found', async () => {
		await expect(getTrip('nowhere')).rejects.toThrow(NotFoundError);
		await expect(saveTrip('nowhere', edit(1))).rejects.toThrow(NotFoundError);
		await expect(setTripDeleted('nowhere', true)).rejects.toThrow(NotFoundError);
	});
});

const season = (search: string, change: Partial<SeasonQuestion> = {}) =>
	seasonPage({ search, today: '2027-01-01', when: 'ahead', limit: 10, offset: 0, ...change });

describe('the season', () => {
	it('lists what leaves next first, finds by trip, place and client, and pages', async () => {
		const mark = `Season${Date.now()}`;
		for (const [name, date] of [
			['late', '2027-03-01'],
			['soon', '2027-02-01'],
			['gone', '2026-02-01']
		]) {
			const id = await createTrip({ name: `${mark} ${name}`, place: 'a 100% wild_place' });
			await saveTrip(id, {
				...edit(1, `${mark} ${name}`),
				place: 'a 100% wild_place',
				stages: [stageOf([], {}, { date: date! })]
			});
			if (name === 'soon') await createClient(`Guest ${mark}`, id);
		}
		await createTrip({ name: `${mark} undated`, place: '' });
		const names = async (search: string, change: Partial<SeasonQuestion> = {}): Promise<string[]> =>
			(await season(search, change)).trips.map(({ name }) => name.replace(`${mark} `, ''));
		expect(await names(mark)).toEqual(['soon', 'late', 'undated']);
		expect(await names(mark, { when: 'past' })).toEqual(['gone']);
		expect(await names(`guest ${mark}`)).toEqual(['soon']);
		expect(await names(`${mark} 100% wild_`)).toEqual(['soon', 'late']);
		expect(await names(`${mark} wildXplace`)).toEqual([]);
		const guest = (await season(mark)).trips[0]!.clients[0]!.id;
		await saveClient(guest, { ...(await getClient(guest)), name: 'Renamed' });
		expect(await names(`guest ${mark}`)).toEqual([]);
		expect(await names(`renamed ${mark}`)).toEqual(['soon']);
		await setClientDeleted(guest, true);
		expect(await names(`renamed ${mark}`)).toEqual([]);
		await setClientDeleted(guest, false);
		await setEnrolled((await season(mark)).trips[0]!.id, guest, false);
		expect(await names(`renamed ${mark}`)).toEqual([]);
		await setEnrolled((await season(mark)).trips[0]!.id, guest, true);
		await saveClient(guest, { ...(await getClient(guest)), name: `Guest ${mark}` });
		expect(await names(mark, { limit: 1, offset: 1 })).toEqual(['late']);
		const [soon] = (await season(mark)).trips;
		expect(soon).toMatchObject({ stages: 1, emptyStages: 1, firstDate: '2027-02-01' });
		expect(soon!.clients).toMatchObject([{ name: `Guest ${mark}`, asked: false }]);
		expect(soon).toMatchObject({ clientCount: 1, unaskedCount: 1, unasked: { name: `Guest ${mark}` } });
		expect((await find(`guest ${mark} soon`)).map(({ kind, tripId }) => [kind, tripId])).toEqual([
			['layer plan', soon!.id]
		]);
		expect((await find(`guest ${mark}`)).map(({ kind }) => kind)).toEqual(['layer plan', 'kit']);
		expect((await find(`${mark} late`)).map(({ kind }) => kind)).toEqual(['trip']);
		expect((await pastTrips(500)).map(({ name }) => name)).toContain(`${mark} gone`);
	});
});

describe('a trip that starts from a past one', () => {
	it('has its days, as much later, with ids of their own and origins that say so', async () => {
		await loadDemo();
		const id = await createTrip({
			name: 'Again',
			place: '',
			likeTripId: DEMO_DOCUMENT.trip.id,
			firstDate: '2028-02-05'
		});
		const [again, past] = [await getTrip(id), DEMO_DOCUMENT.trip];
		expect(again.stages.map(({ date }) => date)).toEqual(['2028-02-05', '2028-02-06']);
		expect(again).toMatchObject({ place: past.place, site: past.site, weathers: past.weathers });
		expect(again.stages[0]!.sequence[0]!.id).not.toBe(past.stages[0]!.sequence[0]!.id);
		expect(again.stages[0]!.origins.lowTempC).toEqual({ from: 'copied', note: past.name });
		await expect(createTrip({ name: 'No', place: '', likeTripId: 'nowhere' })).rejects.toThrow(NotFoundError);
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
		const id = await createPattern('Mushroom picking', content);
		const own = async () => (await listPatterns()).find((pattern) => pattern.id === id);
		expect(await own()).toEqual({ id, name: 'Mushroom picking', content });
		await setPatternDeleted(id, true);
		expect(await own()).toBeUndefined();
		await setPatternDeleted(id, false);
		expect(await own()).toBeDefined();
		await expect(setPatternDeleted('nothing', true)).rejects.toThrow(NotFoundError);
	});
});

describe('a client', () => {
	it('starts with nothing asked, and keeps facts with their source', async () => {
		const id = await createClient('Ada');
		expect(await getClient(id)).toMatchObject({
			offsetClo: { value: null, state: 'not asked' },
			things: [],
			answeredParts: []
		});
		const offsetClo = { value: 0.15, source: 'client', state: 'has' } as const;
		await saveClient(id, {
			name: 'Ada',
			offsetClo,
			careful: { value: true, source: 'guide', state: 'has' },
			answeredParts: ['hands'],
			version: 1
		});
		expect(await getClient(id)).toMatchObject({ offsetClo, answeredParts: ['hands'], version: 2 });
		await expect(saveClient(id, { ...(await getClient(id)), version: 1 })).rejects.toThrow(ConflictError);
	});
	it('keeps things in the order in which they were added, and gets back what was taken out', async () => {
		const id = await createClient('Bo');
		const has = (value: number) => ({ value, source: 'client', state: 'has' }) as const;
		const fleece = await addThing(id, 'fleece', has(1));
		await addThing(id, 'sock-mid', has(3), 'My socks');
		expect((await getClient(id)).things.map(({ name, inPairs }) => [name, inPairs])).toEqual([
			['Fleece, jacket', false],
			['My socks', true]
		]);
		await saveThing(fleece.id, {
			...fleece,
			facts: { massG: { value: 555, source: 'measured', state: 'has' } }
		});
		await expect(saveThing(fleece.id, fleece)).rejects.toThrow(ConflictError);
		await setThingDeleted(fleece.id, true);
		expect((await getClient(id)).things).toHaveLength(1);
		await setThingDeleted(fleece.id, false);
		expect((await getClient(id)).things[0]).toMatchObject({ facts: { massG: { value: 555 } }, version: 4 });
		await expect(addThing(id, 'cape', has(1))).rejects.toThrow(RangeError);
		await expect(saveThing('nothing', fleece)).rejects.toThrow(NotFoundError);
	});
	it('is put on a trip and taken off it, once', async () => {
		const trip = await createTrip({ name: 'With Cy', place: '' });
		const id = await createClient('Cy', trip);
		await setEnrolled(trip, id, true);
		expect((await getDocument(trip)).clients.map(({ name }) => name)).toEqual(['Cy']);
		await setEnrolled(trip, id, false);
		expect((await getDocument(trip)).clients).toEqual([]);
		await expect(createClient('Nobody', 'nowhere')).rejects.toThrow(NotFoundError);
		expect((await listClients()).some(({ name }) => name === 'Nobody')).toBe(false);
	});
	it('that is deleted is off all lists, until brought back', async () => {
		const trip = await createTrip({ name: 'With Di', place: '' });
		const id = await createClient('Di', trip);
		await setClientDeleted(id, true);
		expect((await getDocument(trip)).clients).toEqual([]);
		await setClientDeleted(id, false);
		expect((await getDocument(trip)).clients).toHaveLength(1);
	});
});

describe('the demo', () => {
	it('is stored and read back unchanged, as a document that the schema takes', async () => {
		await loadDemo();
		const stored = await getDocument(DEMO_DOCUMENT.trip.id);
		expect(stored).toEqual(DEMO_DOCUMENT);
		expect(check(documentSchema, stored).errors).toBeNull();
		const coast = await getDocument(COAST_DOCUMENT.trip.id);
		expect(coast).toEqual(COAST_DOCUMENT);
		expect(check(documentSchema, coast)).toEqual({ value: coast, errors: null });
		expect(await isEmpty()).toBe(false);
	});
	it('loaded anew replaces itself and nothing else', async () => {
		const id = await createTrip({ name: 'Mine', place: '' });
		await saveTrip(DEMO_DOCUMENT.trip.id, edit(1));
		await loadDemo();
		expect((await getTrip(DEMO_DOCUMENT.trip.id)).name).toBe(DEMO_DOCUMENT.trip.name);
		expect((await getTrip(id)).name).toBe('Mine');
	});
});

describe('inTransaction', () => {
	it('undoes everything when something fails', async () => {
		const before = (await listClients()).length;
		await expect(
			inTransaction(async (db) => {
				await write(
					db,
					"INSERT INTO clients (id, name, offset_clo, careful, answered_parts) VALUES (?, 'X', '{}', '{}', '[]')",
					['rolled-back']
				);
				throw new Error('no');
			})
		).rejects.toThrow('no');
		expect(await listClients()).toHaveLength(before);
	});
});

describe('plans', () => {
	const made = async (): Promise<{ trip: string; guest: string }> => {
		const trip = await createTrip({ name: 'Planned in the background', place: '' });
		await saveTrip(trip, edit(1));
		return { trip, guest: await createClient('Planned guest', trip) };
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
		await setTripDeleted(trip, true);
	});
	it('are claimed once each, however many ask at the same time', async () => {
		const { trip, guest } = await made();
		const other = await createClient('Second guest', trip);
		await wantPlans(trip, new Map([guest, other].map((id) => [id, 'a'.repeat(64)])));
		const claimed = (await Promise.all([claimPlan(), claimPlan(), claimPlan()])).filter(
			(job) => job?.tripId === trip
		);
		expect(claimed.map((job) => job!.clientId).sort()).toEqual([guest, other].sort());
		for (const job of claimed) await failPlan(job!);
		expect((await planStates(trip)).map(({ state }) => state)).toEqual(['failed', 'failed']);
		await setTripDeleted(trip, true);
	});
	it('that are there for the same question are not wanted again; for another one they are', async () => {
		const { trip, guest } = await made();
		const first = 'b'.repeat(64);
		await wantPlans(trip, new Map([[guest, first]]));
		const job = (await claimPlan())!;
		expect(job).toMatchObject({ tripId: trip, clientId: guest, wanted: first });
		expect(await tellProgress(job, 3, 8)).toBe(true);
		expect(await planStates(trip)).toMatchObject([{ state: 'working', done: 3, total: 8 }]);
		await keepPlan(job, first, SUMMARY);
		await wantPlans(trip, new Map([[guest, first]]));
		expect(await planStates(trip)).toMatchObject([{ state: 'there', isCurrent: true, summary: SUMMARY }]);

		await wantPlans(trip, new Map([[guest, 'c'.repeat(64)]]));
		// The older answer is shown until the newer one is there.
		expect(await planStates(trip)).toMatchObject([{ state: 'wanted', isCurrent: false, summary: SUMMARY }]);
		const again = (await claimPlan())!;
		await keepPlan(again, 'd'.repeat(64), SUMMARY);
		expect(await planStates(trip)).toMatchObject([{ state: 'there', isCurrent: true }]);
		await setTripDeleted(trip, true);
	});
	it('of a process that fell silent are worked out by another', async () => {
		const { trip, guest } = await made();
		await wantPlans(trip, new Map([[guest, 'e'.repeat(64)]]));
		await claimPlan();
		expect(await claimPlan()).toBeNull();
		await write(pool(), 'UPDATE trip_plans SET claimed_at = NOW(3) - INTERVAL 2 MINUTE WHERE trip_id = ?', [
			trip
		]);
		const job = await claimPlan();
		expect(job).toMatchObject({ tripId: trip, clientId: guest });
		await failPlan(job!);
		await setTripDeleted(trip, true);
	});
	it('of a group are planned, and only what changed is planned again', async () => {
		const { trip, guest } = await made();
		await addThing(guest, 'top-wool-mid', { value: 1, source: 'client', state: 'has' });
		const settled = async (): Promise<Awaited<ReturnType<typeof planGroup>>> => {
			for (let turn = 0; turn < 200; turn++) {
				const states = await planGroup(trip);
				if (states.every(({ state }) => state === 'there')) return states;
				await new Promise((resolve) => setTimeout(resolve, 50));
			}
			throw new Error('the plan of the group did not come');
		};
		const [first] = await settled();
		expect(first!.summary!.phases.length).toBe(1);
		expect((await planGroup(trip))[0]).toMatchObject({ state: 'there', isCurrent: true });
		await addThing(guest, 'fleece', { value: 1, source: 'client', state: 'has' });
		expect((await planGroup(trip))[0]).toMatchObject({ isCurrent: false });
		const [second] = await settled();
		expect(second!.summary).not.toEqual(first!.summary);
		await setTripDeleted(trip, true);
	});
});
