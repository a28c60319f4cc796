import { describe, expect, it } from 'vitest';
import { clothWorn, thingOf } from '../../../../tests/fixtures/make';
import { airInUse } from './supply';
import { CATALOGUE, partsCovered } from './catalogue';
import { factorOf, kindOf } from './factors';
import { LEAST_LOFT, LOSS_PER_STEP, loftLeft, ROOM_PER_SIZE, roomOver } from './squeeze';
import { clothOf } from './things';
import { drawnLayers, innermost, mainRegion, outermost, seenOn, totalsOf } from './worn';

const cloth = (typeId: string, change: object = {}) => ({ ...clothOf(thingOf(typeId)), ...change });

describe('where a thing is chosen', () => {
	it.each([
		['goggles', 'eyes'],
		['mitten', 'hands'],
		['boot-ski-touring', 'feet'],
		['sock-heavy', 'feet'],
		['hat-warm', 'head'],
		['neck-tube', 'head'],
		['helmet-motorbike', 'head'],
		['top-wool-mid', 'trunk'],
		['top-hooded', 'trunk'],
		['vest-insulated', 'trunk'],
		['coat-town', 'trunk'],
		['poncho', 'trunk'],
		['waders', 'legs'],
		['shorts', 'legs'],
		['gaiters', 'legs'],
		['briefs', 'legs'],
		['torch', null],
		['bag-winter', null]
	])('%s: %s', (typeId, factor) => expect(factorOf(cloth(typeId))).toBe(factor));
	it('is what its slot says, for everything of the catalogue that is worn', () => {
		for (const { id, slot } of CATALOGUE) expect(factorOf(cloth(id)) === null, id).toBe(slot === null);
	});
	it.each([
		['top-synthetic', 0],
		['balaclava', 0],
		['shirt-flannel', 0],
		['fleece', 1],
		['soft-shell', 1],
		['hard-shell', 2],
		['coat-down', 3],
		['jacket-down-light', 3]
	])('and how far out, coarsely: %s %d', (typeId, kind) => expect(kindOf(cloth(typeId))).toBe(kind));
	it('covers a part when it covers half of it', () => {
		expect(partsCovered({ torso: 0.5, arms: 0.49, neck: 1 })).toEqual(['torso', 'neck']);
		expect(partsCovered({})).toEqual([]);
	});
});

describe('what squeezes what', () => {
	const sized = (typeId: string, size: string) => cloth(typeId, { size });
	it('a size more over it gives room, a size less takes it, and a try-on wins', () => {
		const shell = cloth('hard-shell');
		const room = (own: string, under: string[], change: object = {}): number =>
			roomOver(
				{ ...sized('hard-shell', own), ...change },
				under.map((size) => sized('fleece', size))
			);
		expect(room('M', ['M'])).toBe(shell.roomSteps);
		expect(room('L', ['M'])).toBe(shell.roomSteps + ROOM_PER_SIZE);
		expect(room('S', ['L'])).toBe(shell.roomSteps - 2 * ROOM_PER_SIZE);
		expect(room('XS', ['S', 'XL'])).toBe(shell.roomSteps - 4 * ROOM_PER_SIZE);
		expect(room('L', ['XS'])).toBe(shell.roomSteps + 3 * ROOM_PER_SIZE);
		expect(room('XL', ['M'], { roomIsTried: true })).toBe(shell.roomSteps);
		expect(room('', ['M'])).toBe(shell.roomSteps);
		expect(room('L', ['one size'])).toBe(shell.roomSteps);
	});
	it('takes loft by the step, down to what is left of flat cloth, from the inner layers only', () => {
		const tight = (steps: number) =>
			loftLeft([cloth('fleece', { girthSteps: 10 }), cloth('hard-shell', { roomSteps: 10 - steps })]);
		expect(tight(0)).toEqual([1, 1]);
		expect(tight(1)[0]).toBeCloseTo(1 - LOSS_PER_STEP, 9);
		expect(tight(3)[0]).toBeCloseTo(1 - 3 * LOSS_PER_STEP, 9);
		expect(tight(9)[0]).toBe(LEAST_LOFT);
		expect(tight(9)[1]).toBe(1);
	});
});

describe('which layer is which', () => {
	const layers = [
		clothWorn('top-wool-mid', 1),
		clothWorn('fleece', 2),
		clothWorn('coat-synthetic', 5),
		clothWorn('vest-visible', 5),
		clothWorn('trousers-trek', 2)
	];
	const id = (one: { cloth: { typeId: string } } | null) => one?.cloth.typeId ?? null;
	it('outermost is warm or weatherproof, seen is the last one on, innermost lies next to the skin', () => {
		expect(id(outermost(layers, 'torso'))).toBe('coat-synthetic');
		expect(seenOn(layers, 'torso')?.typeId).toBe('vest-visible');
		expect(seenOn([layers[3]!, layers[0]!], 'torso')?.typeId).toBe('vest-visible');
		expect(innermost(layers, 'torso')?.typeId).toBe('top-wool-mid');
		expect(innermost([layers[1]!, layers[0]!], 'torso')?.typeId).toBe('top-wool-mid');
		expect(id(outermost(layers, 'thighs'))).toBe('trousers-trek');
		expect(seenOn(layers, 'hands')).toBeNull();
		expect(innermost([], 'torso')).toBeNull();
		expect(id(outermost([layers[2]!, layers[0]!], 'torso'))).toBe('coat-synthetic');
	});
	it.each([
		['fleece', 'trunk'],
		['trousers-trek', 'thighs'],
		['mitten', 'hands'],
		['boot-ski-touring', 'feet'],
		['hat-warm', 'skull'],
		['gaiters', 'calves']
	])('%s serves the %s most', (typeId, region) => expect(mainRegion(cloth(typeId))).toBe(region));
	it('gains add up, from the feet to the trunk, and each is what its layer adds there', () => {
		const air = airInUse(0.4, 0);
		const outfit = [clothWorn('top-wool-mid', 1), clothWorn('trousers-trek', 2), clothWorn('fleece', 2)];
		const drawn = drawnLayers(outfit, air);
		expect(drawn.map(({ thingId }) => thingId)).toEqual(['trousers-trek', 'top-wool-mid', 'fleece']);
		for (const { gainClo } of drawn) expect(gainClo).toBeGreaterThan(0);
		expect(totalsOf(outfit, air).trunk).toBeGreaterThan(totalsOf(outfit.slice(0, 2), air).trunk);
		expect(totalsOf(outfit, air, 0.6).trunk).toBeLessThan(totalsOf(outfit, air).trunk);
		expect(totalsOf(outfit, air, 0.6).thighs).toBe(totalsOf(outfit, air).thighs);
	});
});
