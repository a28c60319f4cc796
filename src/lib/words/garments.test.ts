import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../core/cloth/catalogue';
import { CATALOGUE_GROUPS } from '../core/cloth/catalogue-rows';
import { GARMENTS, INSULATION_WHYS, TABLE_ROWS } from './en/garments';
import { groupName, insulationWords, typeName } from './garments';
import { described, kitHits } from './kit-search/kit-search';

describe('the words of the catalogue', () => {
	it('name every type and every group, and nothing else', () => {
		expect(Object.keys(GARMENTS).sort()).toEqual(CATALOGUE.map(({ id }) => id).sort());
		for (const { id } of CATALOGUE) expect(typeName(id)).toMatch(/^[A-Z].*[^ .{}]$/);
		for (const group of CATALOGUE_GROUPS) expect(groupName(group)).not.toBe('');
	});
	it('say where every insulation comes from', () => {
		for (const type of CATALOGUE) {
			const { from } = type.insulation;
			if ('tableClo' in from) expect(TABLE_ROWS).toHaveProperty([from.row]);
			if ('localM2kw' in from) expect(INSULATION_WHYS).toHaveProperty([from.why]);
			expect(insulationWords(type)).not.toMatch(/undefined/);
		}
	});
	it('are found by the words that people use', () => {
		const find = (word: string): string[] => kitHits(word).map(({ type }) => type.id);
		expect(find('beanie')).toContain('hat-warm');
		expect(find('long johns')).toContain('bottoms-wool');
		expect(find('puffy')).toContain('jacket-synthetic-light');
	});
});

describe('a description in a few words', () => {
	it.each([
		['cotton t-shirt', 'tshirt-cotton'],
		['down coat', 'coat-down'],
		['my old rain jacket, worn out', 'rain-shell'],
		['mittens', 'mitten'],
		['big coat synthetic', 'coat-synthetic'],
		['wool hat', 'hat-warm']
	])('“%s” is found first or second', (words, id) => {
		expect(
			described(words)
				.slice(0, 3)
				.map(({ type }) => type.id)
		).toContain(id);
	});
	it('takes the weight and a worn-out finish from the words', () => {
		expect(described('down coat 600 g')[0]).toMatchObject({ massG: 600, wornOut: false });
		expect(described('rain jacket worn out')[0]).toMatchObject({ massG: null, wornOut: true });
	});
	it('finds nothing for nothing', () => {
		expect(described('')).toEqual([]);
		expect(described('zzzz')).toEqual([]);
	});
});
