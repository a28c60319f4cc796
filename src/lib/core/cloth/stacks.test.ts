import { describe, expect, it } from 'vitest';
import { thingOf } from '../../../../tests/fixtures/make';
import {
	isOverlay,
	ordinaryStacks,
	overlap,
	placementsOf,
	stackInOrder,
	stackOf,
	unusualPair
} from './stacks';
import { type Cloth, clothOf } from './things';

/** What can be worn over what, and what nobody wears together, from the things alone. */

const cloth = (typeId: string, change: Partial<Cloth> = {}): Cloth => ({
	...clothOf(thingOf(typeId)),
	...change
});
const numbered = (cloths: readonly Cloth[]) => cloths.map((one, index) => ({ cloth: one, index }));
const kit = (...typeIds: string[]) => numbered(typeIds.map((id, i) => cloth(id, { thingId: `${id}-${i}` })));
/** Ordinary stacks as words, each from the skin out. */
const stacks = (...typeIds: string[]): string[] =>
	ordinaryStacks(kit(...typeIds), 10_000)!.map(({ layers }) =>
		layers.map(({ cloth: one }) => one.typeId).join(' ')
	);
const isWorn = (...typeIds: string[]): boolean =>
	stacks(...typeIds).some((stack) => stack.split(' ').length === typeIds.length);

describe('ordinary stacks', () => {
	it('are all that can be made of some things, the empty one included', () => {
		expect(stacks('top-wool-mid', 'fleece', 'hard-shell').sort()).toEqual(
			[
				'',
				'top-wool-mid',
				'fleece',
				'hard-shell',
				'top-wool-mid fleece',
				'top-wool-mid hard-shell',
				'fleece hard-shell',
				'top-wool-mid fleece hard-shell'
			].sort()
		);
	});
	it('take one thing to a slot', () => {
		expect(isWorn('fleece', 'fleece-thin')).toBe(false);
		expect(isWorn('hat-warm', 'balaclava')).toBe(true);
		expect(isWorn('trousers-trek', 'jeans')).toBe(false);
	});
	it('take a second top over the first, each pair once, and none with a shirt between', () => {
		const pairs = stacks('top-wool-light', 'top-wool-mid').filter((stack) => stack.includes(' '));
		expect(pairs).toHaveLength(1);
		expect(isWorn('top-wool-light', 'top-wool-mid', 'shirt-flannel')).toBe(false);
		expect(isWorn('top-wool-mid', 'shirt-flannel')).toBe(true);
	});
	it('have no wind layer under a rain shell with a lined jacket beneath', () => {
		const three = stacks('wind-shirt', 'jacket-synthetic-light', 'hard-shell');
		const under = (stack: string): boolean =>
			/wind-shirt.*jacket-synthetic-light.*hard-shell|jacket-synthetic-light.*wind-shirt.*hard-shell/.test(
				stack
			);
		expect(three.filter(under)).toEqual([]);
		// Over the shell, as a coat, it may go.
		expect(three).toContain('wind-shirt hard-shell jacket-synthetic-light');
		expect(isWorn('wind-shirt', 'hard-shell')).toBe(true);
		expect(isWorn('jacket-synthetic-light', 'hard-shell')).toBe(true);
		expect(isWorn('wind-shirt', 'jacket-synthetic-light')).toBe(true);
	});
	it('have no hat under a helmet, and no neck tube over a balaclava that covers the neck', () => {
		expect(isWorn('hat-warm', 'helmet-ski')).toBe(false);
		expect(isWorn('cap-thin', 'helmet-ski')).toBe(true);
		expect(isWorn('balaclava', 'neck-tube')).toBe((cloth('balaclava').covers.neck ?? 0) < 0.5);
		expect(isWorn('cap-thin', 'neck-tube')).toBe(true);
		const bare = (neck: number) =>
			numbered([cloth('balaclava', { covers: { ears: 1, neck } }), cloth('neck-tube')]);
		const both = (neck: number): boolean =>
			ordinaryStacks(bare(neck), 100)!.some(({ layers }) => layers.length === 2);
		expect([both(0.49), both(0.5)]).toEqual([true, false]);
	});
	it('wear what goes under the shell too over everything only where there is a shell', () => {
		const over = (...ids: string[]): number[] =>
			ordinaryStacks(kit(...ids), 1000)!.flatMap(({ layers }) =>
				layers
					.filter(({ cloth: one }) => one.typeId === 'jacket-synthetic-light')
					.map(({ position }) => position)
			);
		expect(over('jacket-synthetic-light')).not.toContain(5);
		expect(over('jacket-synthetic-light', 'hard-shell')).toContain(5);
		// A big coat goes over everything in any case.
		expect(stacks('coat-down')).toContain('coat-down');
	});
	it('are given up beyond so many', () => {
		const three = kit('top-wool-mid', 'fleece', 'hard-shell');
		expect(ordinaryStacks(three, 8)).toHaveLength(8);
		expect(ordinaryStacks(three, 7)).toBeNull();
	});
	it('keep on what is worn already', () => {
		const [top, fleece] = kit('top-wool-mid', 'fleece');
		const start = placementsOf(top!.cloth, 7);
		const made = ordinaryStacks([fleece!], 100, start)!;
		expect(made.map(({ layers }) => layers.map(({ index }) => index)).sort()).toEqual([[7], [7, 1]].sort());
	});
});

describe('places', () => {
	it('are under the shell, over everything, or both', () => {
		const ways = (positions: [number, number]) =>
			placementsOf(cloth('fleece', { positions }), 0).map(({ low, high }) => [low, high]);
		expect(ways([2, 3])).toEqual([[2, 3]]);
		expect(ways([3, 5])).toEqual([
			[3, 4],
			[5, 5]
		]);
		expect(ways([5, 5])).toEqual([[5, 5]]);
		expect(ways([4, 4])).toEqual([[4, 4]]);
	});
	it('hold one layer where they overlap, and three in the middle of the trunk', () => {
		const place = (one: Cloth, index: number) => placementsOf(one, index)[0]!;
		const mids = (many: number) =>
			Array.from({ length: many }, (_, i) =>
				place(cloth('fleece', { thingId: `f${i}`, positions: [2, 2] }), i)
			);
		expect(stackOf(mids(3))!.layers).toHaveLength(3);
		expect(stackOf(mids(4))).toBeNull();
		const shells = (...ids: string[]) => ids.map((id, i) => place(cloth(id, { positions: [4, 4] }), i));
		expect(stackInOrder(shells('hard-shell', 'rain-shell'))).toBeNull();
		expect(stackInOrder(shells('hard-shell', 'overmitt-shell'))!.layers).toHaveLength(2);
		// A hand has room for one layer in a place.
		const gloves = ['glove-light', 'mitten'].map((id, i) => place(cloth(id, { positions: [2, 2] }), i));
		expect(stackInOrder(gloves)).toBeNull();
		// A leg has room for several, and so has a neck.
		const legs = ['trousers-trek', 'trousers-wool'].map((id, i) =>
			place(cloth(id, { positions: [2, 2] }), i)
		);
		expect(stackInOrder(legs)!.layers).toHaveLength(2);
		const necks = ['neck-tube', 'scarf'].map((id, i) => place(cloth(id, { positions: [2, 2] }), i));
		expect(stackInOrder(necks)!.layers).toHaveLength(2);
	});
	it('are filled from the skin out, the one that must go lowest first', () => {
		const stack = stackOf(
			kit('fleece', 'top-wool-mid', 'hard-shell').flatMap(({ cloth: one, index }) => placementsOf(one, index))
		)!;
		expect(stack.layers.map(({ cloth: one }) => one.typeId)).toEqual([
			'top-wool-mid',
			'fleece',
			'hard-shell'
		]);
		expect(stack.layers.map(({ index }) => index)).toEqual([1, 0, 2]);
	});
	it('let a bright vest go over whatever else is there', () => {
		expect(isOverlay(cloth('vest-visible'))).toBe(true);
		expect(isOverlay(cloth('vest-insulated'))).toBe(false);
		expect(isOverlay(cloth('sunglasses'))).toBe(false);
		expect(stacks('coat-down', 'vest-visible')).toContain('coat-down vest-visible');
	});
	it('know what lies over what', () => {
		expect(overlap(cloth('fleece'), cloth('hard-shell'))).toBe(true);
		expect(overlap(cloth('fleece'), cloth('mitten'))).toBe(false);
		expect(overlap(cloth('sunglasses'), cloth('sock-mid'))).toBe(false);
	});
});

describe('what one does not usually wear together', () => {
	const pair = (...ids: string[]): string[] | null =>
		unusualPair(kit(...ids))?.map(({ typeId }) => typeId) ?? null;
	it('is two things of a slot', () => {
		expect(pair('fleece-thin', 'fleece')).toEqual(['fleece-thin', 'fleece']);
		expect(pair('fleece', 'hard-shell')).toBeNull();
		expect(pair('trousers-trek', 'top-wool-mid', 'jeans')).toEqual(['trousers-trek', 'jeans']);
	});
	it('is no second top, but a third, or a second with a shirt', () => {
		expect(pair('top-wool-light', 'top-wool-mid')).toBeNull();
		expect(pair('top-wool-light', 'top-wool-mid', 'top-synthetic')).not.toBeNull();
		expect(pair('shirt-flannel', 'top-wool-light', 'top-wool-mid')).not.toBeNull();
		expect(pair('top-wool-light', 'shirt-flannel')).toBeNull();
	});
	it('is nothing where things have no slot', () => {
		expect(pair('pack-day', 'pack-day')).toBeNull();
		expect(pair()).toBeNull();
	});
});
