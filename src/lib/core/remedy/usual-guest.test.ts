import { describe, expect, it } from 'vitest';
import { catalogueType } from '../cloth/catalogue';
import { usualGuest } from './usual-guest';

describe('what a usual guest has', () => {
	it('is each type once, and what is done wins', () => {
		const onFoot = usualGuest(['hike']);
		const both = usualGuest(['hike', 'ski-touring', 'pistes']);
		for (const list of [onFoot, both]) {
			expect(new Set(list.map(({ typeId }) => typeId)).size).toBe(list.length);
			for (const { typeId, many } of list)
				expect([catalogueType(typeId).id, many > 0]).toEqual([typeId, true]);
		}
		expect(both.map(({ typeId }) => typeId)).toEqual(
			expect.arrayContaining(['boot-hiking', 'boot-ski-touring', 'boot-ski'])
		);
		expect(onFoot.map(({ typeId }) => typeId)).not.toContain('boot-ski');
	});
});
