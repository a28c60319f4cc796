import { describe, expect, it } from 'vitest';
import { documentOf, stageOf } from '../../../tests/fixtures/make';
import { check } from './check';
import { DEMO_DOCUMENT } from './demo';
import { documentSchema } from './schema/document';
import { upgradeDocument, upgradeTrip } from './upgrade';

describe('a document of version 1', () => {
	const { trip, ...rest } = documentOf([stageOf([])]);
	const [stage] = trip.stages;
	const old = (provided: string): unknown => ({
		...rest,
		formatVersion: 1,
		trip: { ...trip, stages: [{ ...stage, provided }] }
	});
	it.each([
		['sheets at the lodge', [{ id: 'provided-1', name: 'sheets at the lodge', typeId: null, quantity: 1 }]],
		['  ', []]
	])('says “%s” is provided, and becomes rows', (text, rows) => {
		const { value, errors } = check<typeof DEMO_DOCUMENT>(documentSchema, upgradeDocument(old(text)));
		expect(errors).toBeNull();
		expect(value).toMatchObject({ formatVersion: 2, trip: { stages: [{ provided: rows }] } });
	});
	it('has its usual weathers explained from their figures, and keeps what somebody typed', () => {
		const weathers = [
			{ id: 'cold-snap', meaning: 'About 1 day in 10 is this cold: 6 K colder, a tenth more wind.' },
			{ id: 'cold-snap', meaning: 'As in 1987.' },
			{ id: 'own', meaning: 'About 1 day in 10 is mine.' }
		];
		expect(upgradeTrip({ weathers })).toEqual({
			weathers: [{ id: 'cold-snap', meaning: '' }, weathers[1], weathers[2]]
		});
	});
	it('of this version, and what is no document, stay as they are', () => {
		expect(upgradeDocument(DEMO_DOCUMENT)).toBe(DEMO_DOCUMENT);
		for (const odd of [
			null,
			7,
			'text',
			[],
			{ formatVersion: 1 },
			{ formatVersion: 1, trip: { stages: [3, null] } }
		])
			expect(() => upgradeDocument(odd)).not.toThrow();
	});
});
