import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, ProvidedThing, Stage } from '../../src/lib/core/document/types';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';
import { createClient, getClient, getDocument, saveClient } from '../../src/lib/server/db/clients';
import { loadDemo } from '../../src/lib/server/db/demo';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { closePool, NotFoundError, pool, rows, write } from '../../src/lib/server/db/pool';
import { StoredDataError } from '../../src/lib/server/db/stored';
import { createTrip, getTrip, saveTrip, setTripDeleted } from '../../src/lib/server/db/trips';
import { fingerprintOf } from '../../src/lib/server/plans/fingerprint';
import { keptPlan, planOfClient, workedOut } from '../../src/lib/server/plans/keep';
import { unpackedDays } from '../../src/lib/server/plans/packed';
import { startWithEmptyHouse } from '../fixtures/empty-database';
import { PLANNED, stageOf } from '../fixtures/make';

beforeAll(startWithEmptyHouse);
afterAll(closePool);

const HOUSE = FIRST_HOUSE;
const WALK = stageOf([['move', 60, 200, 'slope']]);
const editOf = (version: number, stages: Stage[], name = 'Stored') => ({
	name,
	place: '',
	site: null,
	weathers: [PLANNED],
	stages,
	version
});
const newTrip = (): Promise<string> => createTrip(HOUSE, { name: 'Stored', place: '' });

describe('stages', () => {
	it('are updated where they stand: what points at one stays when the trip is saved', async () => {
		const id = await newTrip();
		const [first, second] = [
			{ ...WALK, id: 'first' },
			{ ...WALK, id: 'second' }
		];
		const version = await saveTrip(HOUSE, id, editOf(1, [first, second]));
		await pool().query(
			'CREATE TABLE probe_votes (trip_id VARCHAR(64) COLLATE utf8mb4_bin, stage_id VARCHAR(64) COLLATE utf8mb4_bin, FOREIGN KEY (trip_id, stage_id) REFERENCES stages (trip_id, id) ON DELETE CASCADE)'
		);
		try {
			for (const stage of ['first', 'second'])
				await write(pool(), 'INSERT INTO probe_votes VALUES (?, ?)', [id, stage]);
			const moved = await saveTrip(HOUSE, id, editOf(version, [{ ...second, name: 'Renamed' }, first]));
			const votes = (): Promise<{ stage_id: string }[]> =>
				rows(pool(), 'SELECT stage_id FROM probe_votes ORDER BY stage_id');
			expect(await votes()).toEqual([{ stage_id: 'first' }, { stage_id: 'second' }]);
			await saveTrip(HOUSE, id, editOf(moved, [first]));
			expect(await votes()).toEqual([{ stage_id: 'first' }]);
		} finally {
			await pool().query('DROP TABLE probe_votes');
		}
	});

	const provided = fc.array(
		fc.record({ id: fc.constantFrom('a', 'b', 'c'), name: fc.constantFrom('Tent', 'Stove'), count: fc.integer({ min: 1, max: 9 }) }),
		{ maxLength: 3 }
	); // prettier-ignore
	const stages = fc.uniqueArray(
		fc.record({ id: fc.constantFrom('one', 'two', 'three', 'four'), name: fc.constantFrom('Up', 'Down', 'Rest'), startMin: fc.integer({ min: 0, max: 1439 }), provided }),
		{ selector: ({ id }) => id, maxLength: 4 }
	); // prettier-ignore
	const stageFrom = (drawn: {
		id: string;
		name: string;
		startMin: number;
		provided: { id: string; name: string; count: number }[];
	}): Stage => ({
		...WALK,
		id: drawn.id,
		name: drawn.name,
		startMin: drawn.startMin,
		provided: drawn.provided
			.filter(({ id }, i, all) => all.findIndex((one) => one.id === id) === i)
			.map(({ id, name, count }): ProvidedThing => ({ id, name, typeId: null, quantity: count }))
	});

	it('come to the same document in whatever order they are edited, as if all were written anew every time', async () => {
		await fc.assert(
			fc.asyncProperty(fc.array(stages, { minLength: 1, maxLength: 6 }), async (edits) => {
				const [byId, anew] = [await newTrip(), await newTrip()];
				let version = 1;
				for (const drawn of edits) {
					const next = editOf(version, drawn.map(stageFrom));
					await saveTrip(HOUSE, byId, next);
					// As it was stored before: all stages are taken out, and all are put in.
					await write(pool(), 'DELETE FROM stages WHERE trip_id = ?', [anew]);
					version = await saveTrip(HOUSE, anew, next);
				}
				expect({ ...(await getTrip(HOUSE, byId)), id: '' }).toEqual({
					...(await getTrip(HOUSE, anew)),
					id: ''
				});
				for (const id of [byId, anew]) await write(pool(), 'DELETE FROM trips WHERE id = ?', [id]);
			}),
			{ numRuns: 25 }
		);
	});
});

describe('what is known of a client', () => {
	it('is a row a fact, with when it was noted and by whom; what stays as it was keeps both', async () => {
		const id = await createClient(HOUSE, 'Facts');
		const noted = (): Promise<{ name: string; noted_by: string | null; noted_at: string }[]> =>
			rows(pool(), 'SELECT name, noted_by, noted_at FROM client_facts WHERE client_id = ? ORDER BY name', [
				id
			]);
		expect(await noted()).toEqual([]);
		const { name, careful, answeredParts } = await getClient(HOUSE, id);
		const offsetClo = { value: 0.15, source: 'client', state: 'has' } as const;
		await saveClient(HOUSE, id, { name, careful, offsetClo, answeredParts, version: 1 }, 'Ada at the desk');
		const [first] = await noted();
		expect(first).toMatchObject({ name: 'offsetClo', noted_by: 'Ada at the desk' });
		await saveClient(
			HOUSE,
			id,
			{ name, offsetClo, careful: { value: true, source: 'guide', state: 'has' }, answeredParts: ['hands'], version: 2 },
			'Bo the guide'
		); // prettier-ignore
		expect(await noted()).toMatchObject([
			{ name: 'answeredParts', noted_by: 'Bo the guide' },
			{ name: 'careful', noted_by: 'Bo the guide' },
			first
		]);
	});
});

describe('what is read', () => {
	it('is one moment: never half of a save that goes on beside it', async () => {
		const id = await newTrip();
		const stagesOf = (name: string): Stage[] =>
			['a', 'b', 'c'].map((stage) => ({ ...WALK, id: stage, name }));
		let version = await saveTrip(HOUSE, id, editOf(1, stagesOf('0'), '0'));
		let over = false;
		const saves = (async () => {
			for (let i = 1; i <= 60; i++)
				version = await saveTrip(HOUSE, id, editOf(version, stagesOf(String(i)), String(i)));
			over = true;
		})();
		let reads = 0;
		const torn: string[] = [];
		const read = async (): Promise<void> => {
			while (!over) {
				const { trip } = await getDocument(HOUSE, id);
				reads++;
				const names = new Set([trip.name, ...trip.stages.map(({ name }) => name)]);
				if (names.size > 1 || trip.stages.length !== 3) torn.push([...names].join());
			}
		};
		await Promise.all([saves, read(), read(), read()]);
		expect(reads).toBeGreaterThan(0);
		expect(torn).toEqual([]);
	});
	it('is refused by name when a column holds what the app does not write', async () => {
		const id = await newTrip();
		await saveTrip(HOUSE, id, editOf(1, [WALK]));
		await write(pool(), `UPDATE stages SET base = '{"lowTempC": "cold"}' WHERE trip_id = ?`, [id]);
		await expect(getTrip(HOUSE, id)).rejects.toThrow(StoredDataError);
		await expect(getTrip(HOUSE, id)).rejects.toThrow(/stored trip cannot be read: stages\.0\.base/);
		await setTripDeleted(HOUSE, id, true);
	});
	it('is brought up from what an older version wrote', async () => {
		const id = await newTrip();
		await saveTrip(HOUSE, id, editOf(1, [WALK]));
		await write(
			pool(),
			`UPDATE stages SET outline = JSON_REMOVE(outline, '$.origins', '$.patternId') WHERE trip_id = ?`,
			[id]
		);
		const [stage] = (await getTrip(HOUSE, id)).stages;
		expect(stage).toMatchObject({ origins: {}, patternId: null });
		await setTripDeleted(HOUSE, id, true);
	});
	it('is of the house that asks, and not found in another', async () => {
		const id = await newTrip();
		await expect(getTrip('house-2', id)).rejects.toThrow(NotFoundError);
		await expect(saveTrip('house-2', id, editOf(1, [WALK]))).rejects.toThrow(NotFoundError);
		await expect(setTripDeleted('house-2', id, true)).rejects.toThrow(NotFoundError);
		const guest = await createClient(HOUSE, 'Ours');
		await expect(getClient('house-2', guest)).rejects.toThrow(NotFoundError);
		expect(await getTrip(HOUSE, id)).toMatchObject({ id });
	});
});

describe('stored plans', () => {
	it('are read back whole, and are the plan that is worked out anew', async () => {
		await loadDemo();
		const client = DEMO_DOCUMENT.clients[0]!;
		const first = await planOfClient(DEMO_DOCUMENT, client, {});
		const kept = await keptPlan(DEMO_DOCUMENT, client, {});
		expect(kept).toEqual(first);
		const again = await workedOut(DEMO_DOCUMENT, client, {});
		expect(kept).toEqual({ summary: again.summary, days: await unpackedDays(again.days) });
	});
	it('answer the question that they were asked, and no other', async () => {
		const client = DEMO_DOCUMENT.clients[0]!;
		const own = fingerprintOf(DEMO_DOCUMENT, client);
		const { trip } = DEMO_DOCUMENT;
		const renamed = { ...DEMO_DOCUMENT, trip: { ...trip, name: 'Another name', version: 99 } };
		expect(fingerprintOf(renamed, client)).toBe(own);
		const [stage, ...others] = trip.stages;
		const colder = { ...stage!, base: { ...stage!.base, lowTempC: stage!.base.lowTempC - 1 } };
		const others_ = [
			fingerprintOf({ ...DEMO_DOCUMENT, trip: { ...trip, stages: [colder, ...others] } }, client),
			fingerprintOf(DEMO_DOCUMENT, { ...client, careful: { value: true, source: 'guide', state: 'has' } }),
			fingerprintOf(DEMO_DOCUMENT, { ...client, things: client.things.slice(1) }),
			fingerprintOf({ ...DEMO_DOCUMENT, house: { ears: 'free' } }, client),
			fingerprintOf(DEMO_DOCUMENT, client, { spareChanges: 1 }),
			fingerprintOf(DEMO_DOCUMENT, client, { wishes: [{ kind: 'leave', thingId: client.things[0]!.id }] })
		];
		for (const changed of [
			{ willNotWear: { value: ['wool'], source: 'client', state: 'has' } },
			{ coldHands: { value: true, source: 'client', state: 'has' } }
		] as Partial<Client>[])
			others_.push(fingerprintOf(DEMO_DOCUMENT, { ...client, ...changed }));
		const bought: Partial<Client> = { priceLevel: { value: 'fine', source: 'client', state: 'has' } };
		expect(fingerprintOf(DEMO_DOCUMENT, { ...client, ...bought })).toBe(own);
		expect(new Set([own, ...others_]).size).toBe(others_.length + 1);
		expect(await keptPlan(DEMO_DOCUMENT, client, { spareChanges: 2 })).toBeNull();
	});
});
