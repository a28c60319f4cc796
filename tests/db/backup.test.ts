import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { unzipSync, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyDatabase, startWithEmptyHouse } from '../fixtures/empty-database';
import { stageOf } from '../fixtures/make';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { seeded } from '../../src/lib/core/seeded';
import {
	allSetAside,
	archived,
	everything,
	replacedBy,
	restored,
	setAside
} from '../../src/lib/server/db/backup';
import {
	addThing,
	createClient,
	saveThing,
	setClientDeleted,
	setThingDeleted
} from '../../src/lib/server/db/clients';
import { loadDemo } from '../../src/lib/server/db/demo';
import { FIRST_HOUSE, getHouse, saveHouse } from '../../src/lib/server/db/house';
import { migrate, NewerDatabaseError } from '../../src/lib/server/db/migrate';
import { closePool, NotFoundError, pool, rows, write } from '../../src/lib/server/db/pool';
import { find } from '../../src/lib/server/db/search';
import { createTrip, getTrip, saveTrip, setEnrolled, setTripDeleted } from '../../src/lib/server/db/trips';
import { saveWishes } from '../../src/lib/server/db/wishes';
import { ArchiveError } from '../../src/lib/server/errors';
import { archiveOf, opened } from '../../src/lib/server/work/archive';

const migrations = process.env.SNUG_MIGRATIONS!;

beforeAll(async () => {
	await startWithEmptyHouse();
	await loadDemo();
});
afterAll(closePool);

/** Some edits, drawn by seed: of trips, clients, kits and the house; some are deleted, one is called by signs that are no letters. */
async function edits(seed: number): Promise<void> {
	const random = seeded(seed);
	const names = [
		'Übung “am Grat”',
		'山小屋への道',
		"O'Hara; DROP TABLE trips",
		'Plain',
		'Ctrl\u0007 and \\ and %'
	];
	for (let i = 0; i < 6; i++) {
		const name = `${names[Math.floor(random() * names.length)]!} ${seed}-${i}`;
		const trip = await createTrip(FIRST_HOUSE, { name, place: '' });
		const { weathers } = await getTrip(FIRST_HOUSE, trip);
		const stage = stageOf(
			[['move', 60, 200, 'slope']],
			{ airTempC: Math.round(random() * 20 - 10) },
			{ id: `Day-${i}` }
		);
		await saveTrip(FIRST_HOUSE, trip, {
			name, place: name, site: null, weathers, stages: random() < 0.8 ? [stage, { ...stage, id: `day-${i}` }] : [], schools: {}, version: 1
		}); // prettier-ignore
		const client = await createClient(FIRST_HOUSE, name, trip);
		const thing = await addThing(FIRST_HOUSE, client, 'fleece', { value: 1, source: 'client', state: 'has' });
		await saveThing(FIRST_HOUSE, thing.id, { ...thing, name: `${thing.name} ${name}` });
		if (random() < 0.5)
			await saveWishes(trip, client, {
				wishes: [{ kind: 'leave', thingId: thing.id }],
				spareChanges: 1,
				version: 0
			});
		if (random() < 0.2) await setEnrolled(FIRST_HOUSE, trip, client, false);
		if (random() < 0.3) await setThingDeleted(FIRST_HOUSE, thing.id, true);
		if (random() < 0.3) await setClientDeleted(FIRST_HOUSE, client, true);
		if (random() < 0.3) await setTripDeleted(FIRST_HOUSE, trip, true);
	}
	const house = await getHouse(FIRST_HOUSE);
	await saveHouse(FIRST_HOUSE, { ...house, schools: { ears: random() < 0.5 ? 'free' : 'covered' } as never });
}

describe('an archive of the house', () => {
	it('restored into an empty database is the same, row by row, whatever was edited', async () => {
		for (let seed = 1; seed <= 3; seed++) {
			await edits(seed);
			const before = await everything();
			expect(before.tables.trips!.length).toBeGreaterThan(6 * seed);
			const archive = await archived();
			await emptyDatabase();
			expect(await restored(opened(archive))).toBe(
				Object.values(before.tables).reduce((sum, own) => sum + own.length, 0)
			);
			expect(await everything()).toEqual(before);
		}
	});
	it('of an older version is restored into a database that has no words to search by yet', async () => {
		const before = await everything();
		const archive = opened(await archived());
		await emptyDatabase();
		await write(pool(), 'RENAME TABLE search_words TO words_later');
		try {
			expect(await restored(archive)).toBeGreaterThan(50);
		} finally {
			await write(pool(), 'RENAME TABLE words_later TO search_words');
		}
		expect(await everything()).toEqual(before);
	});
	it('is JSON that anybody can read: a file a trip and a client, and a manifest', async () => {
		const files = unzipSync(await archived());
		const trip = JSON.parse(new TextDecoder().decode(files[`trips/${DEMO_DOCUMENT.trip.id}.json`])) as Record<
			string,
			unknown[]
		>;
		expect(Object.keys(trip)).toEqual(expect.arrayContaining(['trips', 'stages', 'trip_clients']));
		expect(files['clients/demo-runa.json']).toBeDefined();
	});
	it('that is cut, changed or of another kind changes nothing, and says where it is bad', async () => {
		const archive = await archived();
		const before = await everything();
		expect(() => opened(archive.slice(0, archive.length / 2))).toThrow(/was cut/);
		expect(() => opened(new TextEncoder().encode('no archive at all'))).toThrow(ArchiveError);
		const files = unzipSync(archive);
		const name = `trips/${DEMO_DOCUMENT.trip.id}.json`;
		const text = new TextDecoder().decode(files[name]);
		const changed = new TextEncoder().encode(text.replace('"version": ', '"version": 1'));
		expect(() => opened(zipSync({ ...files, [name]: changed }))).toThrow(
			`The file ${name} of the archive was changed.`
		);
		const { [name]: _, ...without } = files;
		expect(() => opened(zipSync(without))).toThrow(`The file ${name} is missing`);
		// And one that is good is not written over what is there.
		await expect(restored(opened(archive))).rejects.toThrow(
			'The database is not empty: nothing was restored.'
		);
		expect(await everything()).toEqual(before);
	});
});

describe('a copy that takes the place of all that is there', () => {
	const pack = async (all: Parameters<typeof archiveOf>[0]) => archiveOf(all);
	it('is there row by row; what was there is set aside, and comes back the same', async () => {
		await edits(11);
		const [before, first] = [await everything(), opened(await archived())];
		await edits(12);
		const second = await everything();
		const id = await replacedBy(FIRST_HOUSE, first, pack);
		expect(await everything()).toEqual(before);
		expect(await allSetAside(FIRST_HOUSE)).toMatchObject([{ id, trips: expect.any(Number) }]);
		const [trip] = (await everything()).tables.trips!;
		const [word] = String(trip!.name).split(' ');
		expect((await find(FIRST_HOUSE, word!)).length).toBeGreaterThan(0);
		await replacedBy(FIRST_HOUSE, opened(await setAside(FIRST_HOUSE, String(id))), pack);
		expect(await everything()).toEqual(second);
		// Five of them are kept.
		for (let i = 0; i < 5; i++) await replacedBy(FIRST_HOUSE, first, pack);
		expect(await allSetAside(FIRST_HOUSE)).toHaveLength(5);
		await expect(setAside(FIRST_HOUSE, String(id))).rejects.toThrow(NotFoundError);
		await expect(setAside(FIRST_HOUSE, '1 OR 1=1')).rejects.toThrow(NotFoundError);
	});
	it('takes nobody’s save with it that came in between: it is set aside, or there afterwards', async () => {
		await emptyDatabase();
		await write(pool(), `INSERT INTO houses (id, name, schools) VALUES (?, 'Our house', '{}')`, [
			FIRST_HOUSE
		]);
		await loadDemo();
		const copy = opened(await archived());
		const names: string[] = [];
		let ended = false;
		const saves = (async () => {
			for (let i = 0; !ended; i++) {
				await createTrip(FIRST_HOUSE, { name: `Meanwhile ${i}`, place: '' });
				names.push(`Meanwhile ${i}`);
			}
		})();
		const slow = async (all: Parameters<typeof archiveOf>[0]) => {
			await new Promise((resolve) => setTimeout(resolve, 300));
			return archiveOf(all);
		};
		const id = await replacedBy(FIRST_HOUSE, copy, slow);
		ended = true;
		await saves;
		const there = (tables: Record<string, { name?: unknown }[]>) => tables.trips!.map(({ name }) => name);
		const found = [
			...there(opened(await setAside(FIRST_HOUSE, String(id))).tables),
			...there((await everything()).tables)
		];
		expect(names.filter((name) => !found.includes(name))).toEqual([]);
	});
	it('of another version, with a strange column, or with what is no row, changes nothing', async () => {
		const good = opened(await archived());
		const before = await everything();
		await expect(replacedBy(FIRST_HOUSE, { ...good, migrations: ['001_first.sql'] }, pack)).rejects.toThrow(
			/another version of the app/
		);
		const [trip, ...others] = good.tables.trips!;
		const strange = { ...good.tables, trips: [{ ...trip!, '`; DROP TABLE trips': 1 }, ...others] };
		await expect(replacedBy(FIRST_HOUSE, { ...good, tables: strange }, pack)).rejects.toThrow(
			/a column `; DROP TABLE/
		);
		const nested = { ...good.tables, trips: [{ ...trip!, name: { toSqlString: 'x' } }, ...others] } as never;
		expect(() => opened(archiveOf({ ...good, tables: nested }))).toThrow(/is not one of ours/);
		expect(await everything()).toEqual(before);
	});
});

describe('a migration that was cut off', () => {
	const inFolder = async (
		files: Record<string, string>,
		work: (folder: string) => Promise<void>
	): Promise<void> => {
		const folder = await mkdtemp(path.join(os.tmpdir(), 'snug-migrations-'));
		for (const [name, sql] of Object.entries(files)) await writeFile(path.join(folder, name), sql);
		try {
			await work(folder);
		} finally {
			for (const table of ['probe_a', 'probe_b']) await pool().query(`DROP TABLE IF EXISTS ${table}`);
			await write(pool(), `DELETE FROM migrations WHERE name LIKE '9%'`);
			await write(pool(), `DELETE FROM migration_steps WHERE name LIKE '9%'`);
			await rm(folder, { recursive: true });
		}
	};
	const SQL =
		'CREATE TABLE probe_a (id INT);\nINSERT INTO probe_a VALUES (1);\nCREATE TABLE probe_b (id INT);\n';

	it('goes on where it stopped, and writes no row twice', async () => {
		await inFolder({ '910_cut.sql': `${SQL}INSERT INTO nowhere VALUES (1);\n` }, async (folder) => {
			await expect(migrate(folder)).rejects.toThrow(/nowhere/);
			await writeFile(path.join(folder, '910_cut.sql'), `${SQL}INSERT INTO probe_b VALUES (2);\n`);
			expect(await migrate(folder)).toEqual(['910_cut.sql']);
			expect(await rows(pool(), 'SELECT id FROM probe_a')).toEqual([{ id: 1 }]);
			expect(await rows(pool(), 'SELECT id FROM probe_b')).toEqual([{ id: 2 }]);
		});
	});
	it('takes a statement for done that was made before its record was', async () => {
		await inFolder({ '911_cut.sql': SQL }, async (folder) => {
			await pool().query('CREATE TABLE probe_a (id INT)');
			await expect(migrate(folder)).rejects.toThrow(/exists/);
			// As if the process had ended between the two: the statement is begun, and was made.
			expect(await migrate(folder)).toEqual(['911_cut.sql']);
		});
	});
	it('of a newer version is not touched', async () => {
		await write(pool(), `INSERT INTO migrations (name) VALUES ('999_tomorrow.sql')`);
		try {
			await expect(migrate(migrations)).rejects.toThrow(NewerDatabaseError);
			await expect(migrate(migrations)).rejects.toThrow(/written by a newer version.*999_tomorrow/);
		} finally {
			await write(pool(), `DELETE FROM migrations WHERE name = '999_tomorrow.sql'`);
		}
	});
	it('says before its first statement what will run', async () => {
		await inFolder({ '912_two.sql': SQL }, async (folder) => {
			const told: string[] = [];
			await migrate(folder, { before: async (pending) => void told.push(...pending) });
			await migrate(folder, { before: async (pending) => void told.push(...pending) });
			expect(told).toEqual(['912_two.sql']);
		});
	});
});

describe('ids', () => {
	it('that differ in case are two', async () => {
		const id = await createTrip(FIRST_HOUSE, { name: 'Case', place: '' });
		const { weathers } = await getTrip(FIRST_HOUSE, id);
		const one = stageOf([['move', 60, 200, 'slope']], {}, { id: 'Day' });
		const stages = [one, { ...one, id: 'day' }];
		await saveTrip(FIRST_HOUSE, id, {
			name: 'Case',
			place: '',
			site: null,
			weathers,
			stages,
			schools: {},
			version: 1
		});
		expect((await getTrip(FIRST_HOUSE, id)).stages.map((stage) => stage.id)).toEqual(['Day', 'day']);
	});
});
