import { describe, expect, it } from 'vitest';
import { documentOf, stageOf } from '../../../tests/fixtures/make';
import { check } from './check';
import { LIMITS } from './limits';
import { livedPhases, oversized, tooLong } from './oversized';
import { isoDate } from './schema/common';
import { documentSchema } from './schema/document';

describe('what is too large', () => {
	it('is told before its entries are looked at', () => {
		expect(oversized({ list: Array(LIMITS.entries).fill(1) })).toBeNull();
		expect(oversized({ list: Array(LIMITS.entries + 1).fill(1) })).toMatchObject({
			field: 'list',
			value: 501
		});
		let deep: unknown = 1;
		for (let i = 0; i < LIMITS.depth; i++) deep = [deep];
		expect(oversized(deep)).toBeNull();
		expect(oversized([deep])).toMatchObject({ message: expect.stringContaining('24 levels') as string });
		const wide = Array.from({ length: 400 }, () => Array(400).fill(0));
		expect(oversized(wide)?.message).toContain('150000 values in all');
	});
	it('goes by phases as they are lived: rounds, weathers and foul-weather variants', () => {
		const stage = stageOf([['move', 60, 200, 'slope'], ['stop', 10, 80, 'slope']]); // prettier-ignore
		const loop = { type: 'loop', id: 'l', name: 'l', count: 30, sequence: stage.sequence } as const;
		const long = {
			...stage,
			sequence: [loop],
			foul: { name: 'Foul', sequence: stage.sequence, bed: stage.bed }
		};
		const { weathers } = documentOf([]).trip;
		expect(livedPhases({ stages: [long], weathers })).toBe(62);
		const stages = Array.from({ length: 32 }, () => long);
		expect(tooLong({ stages, weathers })).toBeNull();
		expect(tooLong({ stages: [...stages, long], weathers })).toMatchObject({ field: 'stages', value: 2046 });
	});
	it('says the first fifty of many errors', () => {
		const clients = Array.from({ length: 60 }, () => ({ id: 7, name: 7 }));
		const { errors } = check(documentSchema, { ...documentOf([]), clients });
		expect(errors).toHaveLength(LIMITS.errors);
	});
});

describe('a date', () => {
	it.each([
		['2027-02-28', true],
		['2028-02-29', true],
		['2027-02-29', false],
		['2027-04-31', false],
		['1989-12-31', false],
		['1990-01-01', true],
		['2100-12-31', true],
		['2101-01-01', false],
		['27-01-01', false]
	])('%s is one: %s', (value, isOne) => {
		expect(check(isoDate, value).errors === null).toBe(isOne);
	});
});
