import { describe, expect, it } from 'vitest';
import { readKitList } from '../words/kit-search/kit-list';
import { tabbed } from './tabbed';

describe('a file with a list', () => {
	it('is a table where every row has the same columns, whatever stands between them', () => {
		expect(tabbed('\uFEFFthing,many\n"rain pants, old",2\nfleece,1\n')).toBe(
			'thing\tmany\nrain pants, old\t2\nfleece\t1'
		);
		expect(tabbed('fleece;1\nwarm hat;2')).toBe('fleece\t1\nwarm hat\t2');
		expect(
			readKitList(tabbed('fleece;1\nwarm hat;2')).map(({ type, read }) => [type!.id, read.quantity])
		).toEqual([
			['fleece', 1],
			['hat-warm', 2]
		]);
	});
	it('is left as it is where it is words', () => {
		const words = '2 fleeces, one of them old\nwarm hat\nmittens, gloves, and a scarf';
		expect(tabbed(words)).toBe(words);
		expect(tabbed('fleece\t1')).toBe('fleece\t1');
	});
});
