import { describe, expect, it } from 'vitest';
import { cellOf, clothWorn, type PhaseRow } from '../../../../tests/fixtures/make';
import type { Outfit } from '../cloth/worn';
import type { Mark } from '../document/types';
import { wettingPerMin } from '../weather/precipitation';
import { immersionOf, waterTempC } from '../conditions/immersion';
import { dryWater, keptDry, soak, type Water } from './water';

const worn = (...typeIds: string[]): Outfit => typeIds.map((typeId, i) => clothWorn(typeId, i));
/** How wet things are after some minutes of a phase. */
function after(
	row: PhaseRow,
	outfit: Outfit,
	minutes: number,
	base = {},
	water: Water = dryWater()
): Map<string, number> {
	for (let passed = 0; passed < minutes; passed += 5)
		soak(cellOf(row, base), outfit, water, Math.min(5, minutes - passed));
	return water.outside;
}
const RAIN = { airTempC: 6, precipitation: 'rain' } as const;
const walk: PhaseRow = ['move', 60, 200, 'slope'];

describe('rain', () => {
	it('fills a layer in 40 minutes after its face, then the next one under it', () => {
		const outfit = worn('top-wool-mid', 'fleece');
		const at = (minutes: number) => after(walk, outfit, minutes, RAIN);
		expect(at(2).get('fleece') ?? 0).toBeCloseTo(0, 6);
		expect(at(22).get('fleece')).toBeCloseTo(0.5, 6);
		expect(at(42).get('top-wool-mid') ?? 0).toBeCloseTo(0, 6);
		expect(at(64).get('top-wool-mid')).toBeCloseTo(0.5, 6);
	});
	it('goes through a weave that holds none, and not through a sound shell', () => {
		const through = after(walk, worn('top-wool-mid', 'wind-shirt'), 60, RAIN);
		expect(through.has('wind-shirt')).toBe(false);
		expect(through.get('top-wool-mid')).toBeGreaterThan(0.5);
		expect(after(walk, worn('top-wool-mid', 'hard-shell'), 300, RAIN).size).toBe(0);
	});
	it('wets a puffy over a shell, and nothing under it', () => {
		const wet = after(walk, worn('top-wool-mid', 'hard-shell', 'coat-synthetic'), 60, RAIN);
		expect(wet.get('coat-synthetic')).toBeGreaterThan(0.5);
		expect(wet.has('top-wool-mid')).toBe(false);
	});
	it('counts the minutes of a face on the thing that met them', () => {
		const water = dryWater();
		after(walk, worn('top-wool-mid', 'soft-shell'), 20, RAIN, water);
		// The jacket that is put on over it has met none.
		after(walk, worn('top-wool-mid', 'soft-shell', 'hard-shell'), 60, RAIN, water);
		expect(water.faceMin.get('soft-shell')).toBeCloseTo(20, 6);
		expect(water.faceMin.get('hard-shell')).toBeCloseTo(60, 6);
	});
	it('does not fall under a roof', () => {
		expect(after(['stop', 60, 80, 'tent'], worn('top-wool-mid'), 60, RAIN).size).toBe(0);
	});
	it.each([
		['dry-snow', -10, 0.02],
		['rain', -3, 0.02],
		['rain', -2, 0.26],
		['wet-snow', -0.5, 0.5],
		['rain', 1, 0.75],
		['drizzle', 1, 0.5],
		['heavy-rain', 5, 2],
		['dry-snow', 5, 1],
		['dry', 5, 0]
	] as const)('%s at %d °C counts %d a minute', (kind, airTempC, perMin) => {
		expect(wettingPerMin(kind, airTempC)).toBeCloseTo(perMin, 9);
	});
});

describe('hands and feet', () => {
	it.each([
		[-2, 1],
		[-6, 0.625],
		[-10, 0.25],
		[-20, 0.25]
	])('gloves in the snow at %d °C meet %d a minute', (airTempC, perMin) => {
		const water = dryWater();
		const row: PhaseRow = ['move', 60, 200, 'slope', { marks: ['hands-in-snow'] }];
		after(row, worn('glove-light'), 10, { airTempC }, water);
		const met = (water.faceMin.get('glove-light') ?? 0) + 40 * (water.outside.get('glove-light') ?? 0);
		expect(met).toBeCloseTo(10 * perMin, 6);
	});
	it('get wet in low shoes on wet grass, in boots much later, and the trousers only below the knee', () => {
		const grass = { airTempC: 6, ground: 'wet-grass' } as const;
		const low = after(walk, worn('trousers-trek', 'sock-light', 'shoe-trail'), 150, grass);
		expect(low.get('sock-light')).toBe(1);
		expect(low.get('trousers-trek')).toBeLessThan(0.45);
		expect(after(walk, worn('sock-mid', 'boot-hiking', 'gaiters'), 150, grass).get('sock-mid') ?? 0).toBe(0);
	});
	it.each([
		[-1, 0.5],
		[-3, 0.25],
		[-4, 0]
	])('boots in melting snow at %d °C meet %d a minute', (airTempC, perMin) => {
		const water = dryWater();
		after(walk, worn('boot-hiking'), 10, { airTempC, ground: 'melting-snow' }, water);
		expect(water.faceMin.get('boot-hiking') ?? 0).toBeCloseTo(10 * perMin, 6);
	});
});

describe('water that one stands in', () => {
	const wade = (mark: Mark): PhaseRow => [
		'stop',
		30,
		120,
		'lee',
		{ marks: [mark], typed: { waterTempC: 5 } }
	];
	const DRESSED = worn('bottoms-wool', 'trousers-trek', 'sock-mid', 'boot-hiking');
	it('fills at once what is under it, and nothing above', () => {
		const knee = after(wade('immersed-knee'), DRESSED, 5);
		expect([knee.get('sock-mid'), knee.get('boot-hiking'), knee.get('trousers-trek')]).toEqual([1, 1, 1]);
		expect(after(wade('immersed-knee'), worn('top-wool-mid', 'boot-hiking'), 5).has('top-wool-mid')).toBe(
			false
		);
		expect(after(wade('immersed-neck'), worn('top-wool-mid'), 5).get('top-wool-mid')).toBe(1);
	});
	it('stops at waders, which have feet of their own', () => {
		const wet = after(wade('immersed-thigh'), worn('sock-mid', 'bottoms-wool', 'waders', 'boot-wading'), 30);
		expect([...wet.keys()]).toEqual(['boot-wading']);
	});
	it('runs into boots over their top', () => {
		expect(keptDry(worn('sock-mid', 'boot-rubber'), 'feet', 12)).toHaveLength(2);
		expect(keptDry(worn('sock-mid', 'boot-rubber'), 'feet', 75)).toBeNull();
		expect(keptDry(worn('sock-mid', 'shoe-trail'), 'feet', 5)).toBeNull();
	});
	it.each([
		['2027-01-10', 8, 2],
		['2027-04-10', 8, 4],
		['2027-08-10', 18, 18],
		['2027-01-10', 3, 0]
	])('on %s at %d °C has %d °C where none is typed', (date, airTempC, waterC) => {
		const cell = { ...cellOf(['stop', 30, 120, 'lee', { marks: ['immersed-knee'] }], { airTempC }) };
		// The fixture's day lies in January; other days by the rule itself.
		if (date.startsWith('2027-01')) expect(cell.water!.tempC).toBeCloseTo(waterC, 6);
		const tempC = waterTempC(undefined, airTempC, date, false);
		expect(immersionOf(['immersed-knee'], tempC)!.tempC).toBeCloseTo(waterC, 6);
	});
});

describe('drying', () => {
	const full = (id: string): Water => ({ outside: new Map([[id, 1]]), faceMin: new Map() });
	it('next to the skin goes on at work and at rest, in frost too, but not in rain', () => {
		const left = (row: PhaseRow, base: object): number =>
			after(row, worn('top-wool-mid'), 45, base, full('top-wool-mid')).get('top-wool-mid') ?? 0;
		expect(left(walk, { airTempC: -5 })).toBeCloseTo(0.5, 6);
		expect(left(['stop', 45, 80, 'lee'], { airTempC: 5 })).toBeCloseTo(0.5, 6);
		expect(left(walk, RAIN)).toBe(1);
	});
	it('of other layers needs dry air above freezing, and takes twice as long at rest', () => {
		const left = (row: PhaseRow, base: object): number =>
			after(row, worn('top-wool-mid', 'fleece'), 30, base, full('fleece')).get('fleece') ?? 0;
		expect(left(walk, { airTempC: 5, humidityPct: 60 })).toBeLessThan(0.8);
		expect(left(walk, { airTempC: -1, humidityPct: 60 })).toBe(1);
		expect(left(walk, { airTempC: 5, humidityPct: 95 })).toBe(1);
		const rest = left(['stop', 30, 80, 'lee'], { airTempC: 5, humidityPct: 60 });
		expect(1 - rest).toBeCloseTo((1 - left(walk, { airTempC: 5, humidityPct: 60 })) / 2, 6);
	});
	it('leaves socks in boots as they are', () => {
		const wet = after(walk, worn('sock-mid', 'boot-hiking'), 60, { airTempC: 5 }, full('sock-mid'));
		expect(wet.get('sock-mid')).toBe(1);
	});
});
