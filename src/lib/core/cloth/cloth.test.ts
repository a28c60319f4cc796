import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kitOf, thingOf } from '../../../../tests/fixtures/make';
import { PARTS } from '../document/parts';
import { CATALOGUE, WARMEST_TYPE_IDS, catalogueType, isCatalogueId } from './catalogue';
import { CATALOGUE_GROUPS } from './catalogue-rows';
import { bodyCoverage } from './parts';
import { ordinaryStacks, placementsOf, stackOf } from './stacks';
import { OPENING_FACTOR, type RegionLayer, airInUse, regionTotalM2kw } from './supply';
import { clothOf, factOf, wearableThings } from './things';

describe('the catalogue', () => {
	it('has at least 35 types, each in one group, with sane values', () => {
		expect(CATALOGUE.length).toBeGreaterThanOrEqual(35);
		expect(new Set(CATALOGUE.map(({ id }) => id)).size).toBe(CATALOGUE.length);
		for (const { properties, insulation, group } of CATALOGUE) {
			expect(CATALOGUE_GROUPS).toContain(group);
			expect(properties.localClo).toBeGreaterThanOrEqual(0);
			expect(properties.localClo).toBeLessThanOrEqual(3.5);
			expect(properties.airPermeability).toBeGreaterThanOrEqual(1);
			expect(properties.positions[0]).toBeLessThanOrEqual(properties.positions[1]);
			expect(properties.massG).toBeGreaterThan(0);
			expect(['standard', 'assumption']).toContain(insulation.kind);
		}
	});
	it('covers every part of the body', () => {
		for (const part of PARTS)
			expect(CATALOGUE.some(({ properties }) => (properties.covers[part] ?? 0) >= 0.5)).toBe(true);
	});
	it('knows its own ids only', () => {
		expect(isCatalogueId('fleece')).toBe(true);
		expect(() => catalogueType('cape')).toThrow('typeId is cape');
		expect(WARMEST_TYPE_IDS.every(isCatalogueId)).toBe(true);
	});
});

describe('parts', () => {
	it.each([
		[{ torso: 1, arms: 1 }, 0.49],
		[{ eyes: 1 }, 0],
		[{ ears: 1, face: 1, neck: 1 }, 0.07],
		[Object.fromEntries(PARTS.map((part) => [part, 1])), 1]
	])('%j covers %f of the body', (covers, share) => {
		expect(bodyCoverage(covers)).toBeCloseTo(share, 9);
	});
});

const layers = fc.record({
	localClo: fc.double({ min: 0, max: 3, noNaN: true }),
	share: fc.double({ min: 0, max: 1, noNaN: true }),
	airPermeability: fc.double({ min: 1, max: 1000, noNaN: true })
});
const airs = fc
	.tuple(fc.double({ min: 0, max: 18, noNaN: true }), fc.double({ min: 0, max: 1.2, noNaN: true }))
	.map(([wind, walk]) => airInUse(wind, walk));

describe('regionTotalM2kw', () => {
	it('never falls when a layer is added, wherever it goes', () => {
		fc.assert(
			fc.property(fc.array(layers, { maxLength: 5 }), layers, fc.nat(5), airs, (worn, more, at, air) => {
				const place = Math.min(at, worn.length);
				const thicker: RegionLayer[] = [...worn.slice(0, place), more, ...worn.slice(place)];
				expect(regionTotalM2kw(thicker, air)).toBeGreaterThanOrEqual(regionTotalM2kw(worn, air) - 1e-12);
			})
		);
	});
	it('is the bare air layer without layers', () => {
		const air = airInUse(3, 0.2);
		expect(regionTotalM2kw([], air)).toBe(air.airLayerM2kw);
	});
	it('falls with the opening of the front', () => {
		const air = airInUse(3, 0.2);
		const worn = [{ localClo: 2, share: 1, airPermeability: 8 }];
		const [closed, vented, open] = (['closed', 'vented', 'open'] as const).map((opening) =>
			regionTotalM2kw(worn, air, OPENING_FACTOR[opening])
		);
		expect(closed!).toBeGreaterThan(vented!);
		expect(vented!).toBeGreaterThan(open!);
	});
	it('keeps a fleece over a membrane from harming', () => {
		const air = airInUse(10, 0);
		const membrane = { localClo: 0.2, share: 1, airPermeability: 1 };
		const fleece = { localClo: 0.1, share: 1, airPermeability: 400 };
		expect(regionTotalM2kw([membrane, fleece], air)).toBeGreaterThanOrEqual(regionTotalM2kw([membrane], air));
	});
});

describe('stacks', () => {
	const cloth = (id: string) => clothOf(thingOf(id));
	const placed = (ids: string[]) => ids.map((id, index) => placementsOf(cloth(id), index)[0]!);
	it.each([
		[['top-wool-mid', 'fleece', 'hard-shell', 'coat-synthetic'], true],
		[['top-wool-light', 'top-wool-mid'], true],
		[['hard-shell', 'rain-shell'], false],
		[['coat-synthetic', 'coat-down'], false],
		[['fleece-thin', 'fleece', 'sweater-wool'], true],
		[['fleece-thin', 'fleece', 'sweater-wool', 'vest-insulated'], false],
		[['glove-light', 'mitten'], false],
		[['glove-liner', 'mitten', 'overmitt-shell'], true],
		[['sock-mid', 'sock-heavy'], false],
		[['sock-liner', 'sock-heavy', 'boot-winter'], true]
	])('%j can be worn together: %s', (ids, legal) => {
		expect(stackOf(placed(ids)) !== null).toBe(legal);
	});
	it('orders from the skin out', () => {
		const stack = stackOf(placed(['coat-synthetic', 'fleece', 'top-wool-mid', 'hard-shell']))!;
		expect(stack.layers.map(({ cloth: { typeId } }) => typeId)).toEqual([
			'top-wool-mid',
			'fleece',
			'hard-shell',
			'coat-synthetic'
		]);
	});
	it('offers a light jacket under the shell and over it', () => {
		expect(placementsOf(cloth('jacket-down-light'), 0).map(({ low }) => low)).toEqual([3, 5]);
	});
	it('counts every legal set once', () => {
		const some = ['top-wool-mid', 'fleece', 'hard-shell'].map((id, index) => ({ cloth: cloth(id), index }));
		expect(ordinaryStacks(some, 100)).toHaveLength(8);
		expect(ordinaryStacks(some, 5)).toBeNull();
	});
});

describe('facts', () => {
	it('come from the client first, from the catalogue as an assumption otherwise', () => {
		const heavy = thingOf('fleece', { facts: { massG: { value: 700, source: 'measured', state: 'has' } } });
		expect(factOf(heavy, 'massG')).toEqual({ value: 700, source: 'measured', state: 'has' });
		expect(factOf(heavy, 'fibre')).toEqual({ value: 'synthetic', source: 'catalogue', state: 'assumed' });
		expect(clothOf(heavy).massG).toBe(700);
	});
	it.each([
		['has', 1, true],
		['assumed', 1, true],
		['has', 0, false],
		['has not', 0, false],
		['not asked', null, false]
	] as const)('a thing that is “%s” (%s) can be worn: %s', (state, value, worn) => {
		const client = kitOf([], {
			things: [thingOf('fleece', { quantity: { value, source: 'client', state } })]
		});
		expect(wearableThings(client)).toHaveLength(worn ? 1 : 0);
	});
	it('leave out what was taken out of the kit', () => {
		const client = kitOf([], { things: [thingOf('fleece', { deletedAt: '2027-01-01T00:00:00Z' })] });
		expect(wearableThings(client)).toHaveLength(0);
	});
});
