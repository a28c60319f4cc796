import { describe, expect, it } from 'vitest';
import { KIT_PHRASES, OTHER_PHRASES } from '../../../../tests/fixtures/kit-phrases';
import { kitHits, understood } from './kit-search';

const missedOf = (phrases: typeof KIT_PHRASES): string[] =>
	phrases.flatMap(([phrase, ids]) => {
		const first = kitHits(phrase)[0]?.type.id ?? 'own';
		return ids.split(' ').includes(first) ? [] : [`${phrase}: ${first}, not ${ids}`];
	});

describe('kit at the speed of speech', () => {
	it('finds 95 of 100 everyday phrases at the first hit', () => {
		expect(KIT_PHRASES.length).toBeGreaterThan(200);
		const missed = missedOf(KIT_PHRASES);
		expect(missed.length, missed.join('\n')).toBeLessThanOrEqual(KIT_PHRASES.length * 0.05);
	});
	it('finds nine of ten of the phrases that came later', () => {
		const missed = missedOf(OTHER_PHRASES);
		expect(missed.length, missed.join('\n')).toBeLessThanOrEqual(OTHER_PHRASES.length * 0.1);
	});
	it.each([
		['3 walking socks', { words: 'walking socks', quantity: 3, hasNot: false }],
		['2 x thin gloves', { words: 'thin gloves', quantity: 2 }],
		['no big coat', { words: 'big coat', quantity: 0, hasNot: true }],
		['old fleece half zip M', { words: 'old fleece half zip', size: 'M', quantity: 1 }],
		['rain jacket, worn out, size XL', { wornOut: true, size: 'XL' }],
		['down coat 600 g', { words: 'down coat', massG: 600 }],
		['60 litre pack', { words: '60 litre pack', quantity: 1 }],
		['3 layer jacket', { words: '3 layer jacket', quantity: 1 }],
		['jacket 120 g/m2', { massG: null }]
	])('understands “%s”', (phrase, said) => expect(understood(phrase)).toMatchObject(said));
	it('answers nothing for what it does not know, and for nothing', () => {
		expect(kitHits('xylophone')).toEqual([]);
		expect(kitHits('  ')).toEqual([]);
		expect(kitHits('my old')).toEqual([]);
	});
	it('knows every type that is called so: “big coat”', () => {
		expect(
			kitHits('no big coat')
				.filter(({ exact }) => exact)
				.map(({ type }) => type.id)
				.sort()
		).toEqual(['coat-down', 'coat-synthetic']);
	});
	it('puts things of the part of the body that was named before all others', () => {
		expect(
			kitHits('wool socks')
				.slice(0, 2)
				.map(({ type }) => type.group)
		).toEqual(['feet', 'feet']);
		expect(kitHits('waterproof trousers')[0]!.type.group).toBe('legs');
	});
});
