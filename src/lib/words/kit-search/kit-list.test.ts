import { describe, expect, it } from 'vitest';
import { MOST_ROWS, readKitList } from './kit-list';

const read = (text: string) =>
	readKitList(text).map(
		({ type, read: { quantity, hasNot } }) => `${hasNot ? 'no' : quantity} ${type?.id ?? '?'}`
	);

describe('a pasted list', () => {
	it('is read line by line, with bullets, boxes and numbers in front', () => {
		expect(
			read(
				'Kit list:\n- fleece jacket\n* 3 walking socks\n\n[ ] rain pants\n2. beanie\n• 2 x thin gloves\r\nno big coat'
			)
		).toEqual([
			'1 fleece',
			'3 sock-mid',
			'1 trousers-rain',
			'1 hat-warm',
			'2 glove-light',
			'no coat-synthetic'
		]);
	});
	it('is read from a message, between commas and “and”', () => {
		expect(read('I have a rain jacket, 2 merino base layers, jeans and a wool hat.')).toEqual([
			'1 rain-shell',
			'2 top-wool-light',
			'1 jeans',
			'1 hat-warm'
		]);
		expect(read('black and white beanie')).toEqual(['1 hat-warm']);
	});
	it('is read from the columns of a table, whichever holds the words', () => {
		expect(read('2\tski socks\ngoggles;1\n4;underpants;M')).toEqual(['2 sock-ski', '1 goggles', '4 briefs']);
	});
	it('keeps what it does not know as a row of its own', () => {
		expect(readKitList('didgeridoo')).toEqual([
			expect.objectContaining({ said: 'didgeridoo', type: null, hits: [] })
		]);
		expect(readKitList(' \n\n')).toEqual([]);
	});
	it('reads a thousand lines at once, and takes so many of them', () => {
		expect(readKitList('fleece\n'.repeat(1000))).toHaveLength(MOST_ROWS);
	});
	it('finds the column of the things, wherever it stands', () => {
		const said = readKitList(
			'Where\tThing\tMany\nIn the pack\train pants\t1\nIn the pack\twarm hat\t2\nOn top\tzorblax\t3'
		);
		expect(said.map(({ said: words, read, type }) => [words, read.quantity, type?.id ?? null])).toEqual([
			['Thing', 1, null],
			['1 rain pants', 1, 'trousers-rain'],
			['2 warm hat', 2, 'hat-warm'],
			['3 zorblax', 3, null]
		]);
	});
});
