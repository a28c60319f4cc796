import { describe, expect, it } from 'vitest';
import { kitOf, thingOf } from '../../../../../tests/fixtures/make';
import { clothOf } from '../../cloth/things';
import type { Client, Thing } from '../../document/types';
import { ownSize, sizeFit, sizeNumber } from './sizes';

const sized = (typeId: string, size: string): Thing =>
	thingOf(typeId, { facts: { size: { value: size, source: 'guide', state: 'has' } } });
const fit = (typeId: string, size: string, client: Client) => sizeFit(clothOf(sized(typeId, size)), client);
const told = (change: Partial<Client>): Client => kitOf([], change);
const fact = <T>(value: T) => ({ value, source: 'client', state: 'has' }) as const;

describe('a size', () => {
	it('is a step on its scale, whatever way it is written', () => {
		expect(sizeNumber(' m ', 'torso')).toBe(sizeNumber('M', 'legs'));
		expect(sizeNumber('2XL', 'torso')).toBe(sizeNumber('XXL', 'torso'));
		expect(sizeNumber('XXXL', 'torso')).toBe(sizeNumber('3XL', 'torso'));
		expect(sizeNumber('EU 42,5', 'feet')).toBe(42.5);
		expect([sizeNumber('', 'feet'), sizeNumber('wide', 'torso'), sizeNumber('9', 'feet')]).toEqual([
			null,
			null,
			null
		]);
	});
	it('is told, or that of the largest thing of their own there', () => {
		expect(ownSize(told({ topSize: fact('L') }), 'torso')).toBe(sizeNumber('L', 'torso'));
		const own = kitOf([], {
			things: [sized('fleece', 'M'), sized('soft-shell', 'L'), sized('boot-hiking', '43')]
		});
		expect(ownSize(own, 'torso')).toBe(sizeNumber('L', 'torso'));
		expect(ownSize(own, 'feet')).toBe(43);
		expect(ownSize(own, 'legs')).toBeNull();
	});
});

describe('a thing to lend', () => {
	const large = told({ topSize: fact('L'), legSize: fact('M'), shoeSize: fact(42), gloveSize: fact('M') });
	it.each([
		['coat-synthetic', 'M', 'does not fit'],
		['coat-synthetic', 'L', 'fits'],
		['coat-synthetic', '3XL', 'fits'],
		['coat-synthetic', '4XL', 'does not fit'],
		['fleece', 'XL', 'fits'],
		['fleece', 'XXL', 'does not fit'],
		['trousers-rain', 'S', 'does not fit'],
		['trousers-rain', 'M', 'fits'],
		['boot-mountain', '41.5', 'does not fit'],
		['boot-mountain', '43', 'fits'],
		['boot-mountain', '43.5', 'does not fit'],
		['mitten', 'S', 'does not fit'],
		['hat-warm', '', 'fits'],
		['sock-heavy', '', 'fits'],
		['coat-synthetic', '', 'try it on']
	] as const)('%s in size “%s”: %s', (typeId, size, expected) => {
		expect(fit(typeId, size, large)).toBe(expected);
	});
	it('is to be tried on by whoever has told no size', () => {
		expect(fit('coat-synthetic', 'S', told({}))).toBe('try it on');
	});
});
