import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addThings, createClient, getClient } from '../../src/lib/server/db/clients';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import {
	decisionsOf,
	type NewDecision,
	saveDecisions,
	setThere,
	takeBack
} from '../../src/lib/server/db/lending/decisions';
import { closePool, NotFoundError } from '../../src/lib/server/db/pool';
import { createTrip } from '../../src/lib/server/db/trips';
import { startWithEmptyHouse } from '../fixtures/empty-database';

beforeAll(startWithEmptyHouse);
afterAll(closePool);

const COAT: NewDecision = {
	typeId: 'coat-synthetic',
	name: 'Big coat',
	decided: 'get',
	way: 'buy',
	refusal: null,
	cost: 200,
	days: 3,
	because: 'for “Top”'
};
const NO_HAT: NewDecision = {
	...COAT,
	typeId: 'hat-warm',
	name: 'Warm hat',
	decided: 'decline',
	way: null,
	refusal: 'too dear',
	cost: 25
};
async function guest(name: string): Promise<{ tripId: string; clientId: string }> {
	const tripId = await createTrip(FIRST_HOUSE, { name: `Trip of ${name}`, place: '' });
	return { tripId, clientId: await createClient(FIRST_HOUSE, name, tripId) };
}
const kitOf = async (clientId: string) =>
	(await getClient(FIRST_HOUSE, clientId)).things.map(({ typeId, quantity }) => [typeId, quantity.state]);

describe('a decision', () => {
	it('to get something puts it into the kit as assumed, and as there once it is', async () => {
		const { tripId, clientId } = await guest('Get');
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [COAT, NO_HAT]);
		expect(await kitOf(clientId)).toEqual([['coat-synthetic', 'assumed']]);
		const made = await decisionsOf(tripId, clientId);
		expect(made.map(({ thingId: _, ...one }) => one)).toEqual(
			expect.arrayContaining([
				{ ...COAT, isThere: false },
				{ ...NO_HAT, isThere: false }
			])
		);
		await setThere(FIRST_HOUSE, tripId, clientId, 'coat-synthetic', true);
		expect(await kitOf(clientId)).toEqual([['coat-synthetic', 'has']]);
		await setThere(FIRST_HOUSE, tripId, clientId, 'coat-synthetic', false);
		expect(await kitOf(clientId)).toEqual([['coat-synthetic', 'assumed']]);
		await expect(setThere(FIRST_HOUSE, tripId, clientId, 'hat-warm', true)).rejects.toThrow(NotFoundError);
	});
	it('is changed without a second thing, and taken back with its thing', async () => {
		const { tripId, clientId } = await guest('Change');
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [COAT]);
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [{ ...COAT, way: 'hire', cost: 15 }]);
		expect(await kitOf(clientId)).toHaveLength(1);
		expect(await decisionsOf(tripId, clientId)).toMatchObject([{ way: 'hire', cost: 15 }]);
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [
			{ ...COAT, decided: 'decline', way: null, refusal: 'has one' }
		]);
		expect(await kitOf(clientId)).toEqual([]);
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [COAT]);
		await takeBack(FIRST_HOUSE, tripId, clientId, 'coat-synthetic');
		expect([await kitOf(clientId), await decisionsOf(tripId, clientId)]).toEqual([[], []]);
		await expect(takeBack(FIRST_HOUSE, tripId, clientId, 'coat-synthetic')).rejects.toThrow(NotFoundError);
	});
	it('to mend something takes it as mended, and as worn out again when it is taken back', async () => {
		const { tripId, clientId } = await guest('Mend');
		const MENDED: NewDecision = {
			...COAT,
			typeId: 'hard-shell',
			name: 'Hard shell',
			way: 'repair',
			cost: 15
		};
		const quantity = { value: 1, source: 'client', state: 'has' } as const;
		const face = { value: 'worn out', source: 'client', state: 'has' } as const;
		await addThings(FIRST_HOUSE, clientId, [
			{ typeId: 'hard-shell', name: 'Old shell', quantity, facts: { face } }
		]);
		const faceOf = async () => (await getClient(FIRST_HOUSE, clientId)).things.map((one) => one.facts.face);
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [MENDED]);
		expect(await faceOf()).toEqual([{ value: 'fresh', source: 'guide', state: 'assumed' }]);
		await setThere(FIRST_HOUSE, tripId, clientId, 'hard-shell', true);
		expect(await faceOf()).toEqual([{ value: 'fresh', source: 'guide', state: 'has' }]);
		expect(await kitOf(clientId)).toEqual([['hard-shell', 'has']]);
		await takeBack(FIRST_HOUSE, tripId, clientId, 'hard-shell');
		expect(await faceOf()).toEqual([face]);
		// Bought after all: a second one, and the old one is as worn out as it was.
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [MENDED]);
		await saveDecisions(FIRST_HOUSE, tripId, clientId, [{ ...MENDED, way: 'buy' }]);
		expect(await faceOf()).toEqual([face, undefined]);
		await takeBack(FIRST_HOUSE, tripId, clientId, 'hard-shell');
		expect(await kitOf(clientId)).toEqual([['hard-shell', 'has']]);
	});
	it('is made whole or not at all, for a client of the trip and of the house', async () => {
		const { tripId, clientId } = await guest('Whole');
		const other = await createClient(FIRST_HOUSE, 'Not on the trip');
		await expect(saveDecisions(FIRST_HOUSE, tripId, other, [COAT])).rejects.toThrow(NotFoundError);
		await expect(saveDecisions('another-house', tripId, clientId, [COAT])).rejects.toThrow(NotFoundError);
		await expect(
			saveDecisions(FIRST_HOUSE, tripId, clientId, [
				COAT,
				{ ...COAT, typeId: 'fleece', name: 'x'.repeat(200) }
			])
		).rejects.toThrow();
		expect([await kitOf(clientId), await decisionsOf(tripId, clientId)]).toEqual([[], []]);
	});
});
