import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, stageOf, thingOf } from '../../../../../tests/fixtures/make';
import type { Client, Document, Thing } from '../../document/types';
import { LOSSES, spareBag } from './spare-bag';

const day = (airTempC: number, id: string) =>
	stageOf([['move', 300, 200, 'slope']], { airTempC, ground: airTempC < 0 ? 'snow' : 'bare' }, { id });
const has = (typeId: string, value: number): Thing =>
	thingOf(typeId, { quantity: { value, source: 'client', state: 'has' } });
const guest = (things: Thing[]): Client => kitOf([], { things });
const trip = (clients: Client[], airTempC = -8, days = 5): Document =>
	documentOf(
		Array.from({ length: days }, (_, i) => day(airTempC, `day-${i}`)),
		clients
	);
const group = (many: number, things: Thing[] = []) => Array.from({ length: many }, () => guest(things));

describe('the spare bag of a group', () => {
	it('holds what is likeliest to be called for, and no more than it may weigh', () => {
		const bag = spareBag(trip(group(8)), 1500);
		expect(bag.massG).toBeLessThanOrEqual(1500);
		expect(bag.things.map(({ loss }) => loss)).toEqual(expect.arrayContaining(['glove', 'hat']));
		expect(bag.massG).toBe(bag.things.reduce((sum, { massG }) => sum + massG, 0));
		for (const { likely } of bag.things) expect(likely > 0 && likely <= 1).toBe(true);
		expect(spareBag(trip(group(8)), 0)).toMatchObject({ things: [], massG: 0 });
	});
	it('covers more the more it may weigh, and needs more the larger the group', () => {
		const uncovered = [0, 200, 500, 1000, 3000].map((grams) => spareBag(trip(group(8)), grams).uncovered);
		expect([...uncovered].sort((a, b) => b - a)).toEqual(uncovered);
		expect(spareBag(trip(group(12)), 500).uncovered).toBeGreaterThan(spareBag(trip(group(2)), 500).uncovered);
	});
	it('leaves out what nobody can miss: a second one of their own, or a warm day', () => {
		const equipped = group(6, [has('mitten', 2), has('hat-warm', 2), has('top-wool-mid', 3), has('sock-heavy', 3), has('sunglasses', 2), has('torch', 2)]); // prettier-ignore
		expect(spareBag(trip(equipped), 3000)).toMatchObject({ things: [], uncovered: 0 });
		expect(spareBag(trip(group(6), 25), 3000).things).toEqual([]);
	});
	it('is the best of all bags of its weight', () => {
		const document = trip(group(5, [has('sunglasses', 1)]), -3, 3);
		const most = spareBag(document, 400);
		// Any bag that is found for less weight covers no more.
		for (let grams = 0; grams <= 400; grams += 50)
			expect(spareBag(document, grams).uncovered).toBeGreaterThanOrEqual(most.uncovered - 1e-9);
		expect(LOSSES.length).toBe(6);
	});
});
