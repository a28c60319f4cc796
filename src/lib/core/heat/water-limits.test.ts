import { describe, expect, it } from 'vitest';
import { cellOf, clothWorn, type PhaseRow } from '../../../../tests/fixtures/make';
import type { Outfit, WornLayer } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { copyOfSweat, noSweat, type Sweat, sweatAir, sweatThrough } from './sweat';
import { copyOfWater, dryWater, isUnder, keptDry, soak, type Water, wettedIn } from './water';

/** Water and sweat at their limits: a near miss on each side of every rule. */

const worn = (...typeIds: string[]): Outfit => typeIds.map((typeId, i) => clothWorn(typeId, i));
const walk: PhaseRow = ['move', 60, 200, 'slope'];
const cell = (base = {}, row: PhaseRow = walk, change: Partial<Cell> = {}): Cell => ({
	...cellOf(row, { airTempC: 5, ...base }),
	...change
});
const with_ = (outside: Record<string, number>): Water => ({
	outside: new Map(Object.entries(outside)),
	faceMin: new Map()
});
const higher = (layer: WornLayer, heightCm: number): WornLayer => ({
	...layer,
	cloth: { ...layer.cloth, heightCm }
});

describe('what a phase adds on the average', () => {
	const before = new Map([['fleece', 0.3]]);
	const outfit = worn('top-wool-mid', 'fleece', 'glove-light', 'sock-mid', 'shoe-trail');
	it('is nothing in the dry, and what is known stays as it is', () => {
		expect(wettedIn(cell(), outfit, before)).toBe(before);
		// Grass and slush under a roof wet nobody; under the sky they do.
		const grass = { ground: 'wet-grass' } as const;
		expect(wettedIn(cell(grass, ['stop', 60, 80, 'tent']), outfit, before)).toBe(before);
		expect(wettedIn(cell(grass), outfit, before).get('shoe-trail')).toBeGreaterThan(0);
	});
	it('is half of what falls in it, and the wetter of both', () => {
		const rain = cell({ precipitation: 'rain' }, ['move', 44, 200, 'slope']);
		// Two minutes on the face of a fleece, then a fortieth a minute.
		expect(wettedIn(rain, worn('fleece'), new Map()).get('fleece')).toBeCloseTo(20 / 40, 6);
		expect(wettedIn(rain, worn('fleece'), new Map([['fleece', 0.9]])).get('fleece')).toBe(0.9);
		expect(wettedIn(rain, worn('fleece'), new Map([['fleece', 0.1]])).get('fleece')).toBeCloseTo(0.5, 6);
	});
	it('comes from splashes on the hands alone, and from water that one stands in', () => {
		const splash = cell({}, ['move', 60, 200, 'slope', { marks: ['splash'] }]);
		const wet = wettedIn(splash, outfit, new Map());
		expect(wet.get('glove-light')).toBeGreaterThan(0);
		expect(wet.has('fleece')).toBe(false);
		const wade = cell({}, ['stop', 30, 120, 'lee', { marks: ['immersed-knee'], typed: { waterTempC: 5 } }]);
		expect(wettedIn(wade, outfit, new Map()).get('sock-mid')).toBe(1);
	});
});

describe('drying while it is worn', () => {
	const left = (one: Cell, outfit: Outfit, id: string, minutes = 30, share = 0.9): number | undefined => {
		const water = with_({ [id]: share });
		soak(one, outfit, water, minutes);
		return water.outside.get(id);
	};
	it('takes so many hours next to the skin, over it, at work and at rest', () => {
		const outfit = worn('top-wool-mid', 'fleece');
		expect(left(cell(), outfit, 'top-wool-mid')).toBeCloseTo(0.9 - 0.5 / 1.5, 6);
		expect(left(cell(), outfit, 'fleece')).toBeCloseTo(0.9 - 0.5 / 2, 6);
		const rest = cell({}, ['stop', 60, 80, 'slope']);
		expect(left(rest, outfit, 'fleece')).toBeCloseTo(0.9 - 0.5 / 4, 6);
		expect(left(rest, outfit, 'top-wool-mid')).toBeCloseTo(0.9 - 0.5 / 1.5, 6);
		expect(left(cell({ airTempC: -1 }), outfit, 'fleece')).toBe(0.9);
	});
	it('does not happen to socks in boots, but in a warm room, and happens to boots slowly', () => {
		const shod = worn('sock-mid', 'boot-hiking');
		expect(left(cell(), shod, 'sock-mid')).toBe(0.9);
		expect(left(cell(), worn('sock-mid'), 'sock-mid')).toBeLessThan(0.9);
		expect(left(cell(), shod, 'boot-hiking')).toBeCloseTo(0.9 - 0.5 / 24, 6);
		const room = cell({}, ['indoors', 60, 70, 'in'], { heated: true });
		expect(left(room, shod, 'sock-mid')).toBeLessThan(0.9);
		// A fleece over boots is in no boot.
		expect(left(cell(), worn('fleece', 'sock-mid', 'boot-hiking'), 'fleece')).toBeLessThan(0.9);
	});
	it('ends dry, and what is filled again does not dry', () => {
		expect(left(cell(), worn('top-wool-mid'), 'top-wool-mid', 30, 0.01)).toBeUndefined();
		expect(
			left(cell({ precipitation: 'rain' }), worn('top-wool-mid'), 'top-wool-mid', 10, 0.2)
		).toBeGreaterThan(0.2);
		expect(left(cell({ precipitation: 'rain' }), worn('top-wool-mid'), 'top-wool-mid', 60, 0.9)).toBe(1);
	});
	it('dries faces in a warm room only, and in no time not', () => {
		const outfit = worn('hard-shell');
		const after = (one: Cell, minutes: number): number | undefined => {
			const water = { outside: new Map(), faceMin: new Map([['hard-shell', 30]]) };
			soak(one, outfit, water, minutes);
			return water.faceMin.get('hard-shell');
		};
		const room = cell({}, ['indoors', 60, 70, 'in'], { heated: true });
		expect(after(room, 5)).toBeUndefined();
		expect(after(room, 0)).toBe(30);
		expect(after(cell(), 5)).toBe(30);
	});
});

describe('feet', () => {
	const grass = { ground: 'wet-grass' } as const;
	const soaked = (outfit: Outfit, minutes: number, base: object = grass): Water => {
		const water = dryWater();
		soak(cell(base), outfit, water, minutes);
		return water;
	};
	it('have their socks filled by a wet hem over low shoes, in two hours, and nothing else of them', () => {
		// So soon nothing has come through the shoe.
		const low = soaked(worn('sock-liner', 'sock-mid', 'shoe-low'), 6);
		expect(low.outside.get('sock-mid')).toBeCloseTo(6 / 120, 6);
		expect(low.outside.get('sock-liner')).toBeCloseTo(6 / 120, 6);
		expect(low.outside.has('shoe-low')).toBe(false);
	});
	it('stay dry where boots or gaiters reach 15 cm', () => {
		const [sock, boot] = worn('sock-mid', 'boot-hiking') as [WornLayer, WornLayer];
		expect(soaked([sock, higher(boot, 14.9)], 6).outside.get('sock-mid')).toBeCloseTo(0.05, 6);
		expect(soaked([sock, higher(boot, 15)], 6).outside.has('sock-mid')).toBe(false);
		const [, , gaiter] = worn('sock-mid', 'boot-hiking', 'gaiters') as WornLayer[];
		expect(soaked([sock, boot, higher(gaiter!, 15)], 6).outside.has('sock-mid')).toBe(false);
		expect(soaked([sock, boot, higher(gaiter!, 10)], 6).outside.get('sock-mid')).toBeCloseTo(0.05, 6);
		// Tall trousers are no gaiters.
		expect(soaked([sock, boot, higher(worn('trousers-trek')[0]!, 90)], 6).outside.has('sock-mid')).toBe(true);
	});
	it('meet half of the rain', () => {
		const water = soaked(worn('boot-hiking'), 20, { precipitation: 'rain' });
		expect(water.faceMin.get('boot-hiking')).toBeCloseTo(10, 6);
	});
	it('have calves wetted by grass over the trousers, by the lower leg only, unless it rains more', () => {
		const share = (base: object): number =>
			soaked(worn('trousers-trek'), 600, base).outside.get('trousers-trek')!;
		expect(share(grass)).toBeLessThan(0.5);
		expect(share(grass)).toBeGreaterThan(0.3);
		expect(share({ ...grass, precipitation: 'rain' })).toBe(1);
		expect(soaked(worn('trousers-trek'), 60, {}).outside.size).toBe(0);
	});
	it('are not wetted at night', () => {
		const water = dryWater();
		soak(cell({ precipitation: 'rain' }, ['sleep', 480, 70, 'slope']), worn('sock-mid', 'fleece'), water, 60);
		expect(water.outside.size).toBe(0);
	});
});

describe('standing in water', () => {
	const wade = (depthCm: number): Cell => cell({}, walk, { water: { depthCm, tempC: 5 } });
	it.each([
		['feet', 6],
		['calves', 28],
		['thighs', 65],
		['torso', 115],
		['hands', 120],
		['neck', 150]
	] as const)('%s are under from %d cm on', (part, depthCm) => {
		expect(isUnder(wade(depthCm), part)).toBe(true);
		expect(isUnder(wade(depthCm - 0.1), part)).toBe(false);
		expect(isUnder(cell(), part)).toBe(false);
	});
	it('is kept out of boots that reach above it, with all that is within', () => {
		const [sock, boot] = worn('sock-mid', 'boot-hiking') as [WornLayer, WornLayer];
		expect(keptDry([sock, boot], 'feet', boot.cloth.heightCm - 0.1)).toEqual([sock, boot]);
		expect(keptDry([sock, boot], 'feet', boot.cloth.heightCm)).toBeNull();
		// What lies over the seal is in the water.
		const over = worn('fleece', 'fleece', 'booties-down')[2]!;
		expect(keptDry([sock, boot, over], 'feet', 5)).toEqual([sock, boot]);
		// A thing of another part is none of the foot's.
		expect(keptDry([worn('fleece')[0]!, sock, boot], 'feet', 5)).toEqual([sock, boot]);
		// A sock that lets nothing through is no boot; trail shoes let it in at once.
		expect(keptDry(worn('sock-waterproof'), 'feet', 1)).toBeNull();
		expect(keptDry(worn('sock-mid', 'shoe-trail'), 'feet', 1)).toBeNull();
		// A boot seals no calf.
		expect(keptDry([higher(worn('gaiters')[0]!, 60)], 'calves', 20)).toBeNull();
	});
	it('is kept out by rubber up to where it ends', () => {
		const legs = worn('bottoms-wool', 'waders');
		expect(keptDry(legs, 'thighs', 90)).toHaveLength(2);
		expect(keptDry(legs, 'thighs', 140)).toHaveLength(2);
		expect(keptDry(legs, 'thighs', 141)).toBeNull();
		const boots = worn('sock-mid', 'boot-rubber');
		expect(keptDry(boots, 'calves', 50)).toHaveLength(1);
		expect(keptDry(boots, 'calves', 51)).toBeNull();
	});
	it('stays out of waders at the feet, within the boots', () => {
		const dry = keptDry(worn('sock-mid', 'waders', 'boot-wading'), 'feet', 60)!;
		expect(dry.map(({ cloth }) => cloth.thingId)).toEqual(['sock-mid']);
		expect(keptDry(worn('sock-mid', 'boot-wading'), 'feet', 60)).toBeNull();
		expect(keptDry(worn('bottoms-wool', 'waders'), 'hands', 130)).toBeNull();
	});
	it('fills what is under, and rubber holds none', () => {
		const water = with_({ 'boot-rubber': 0.5 });
		soak(wade(70), worn('sock-mid', 'bottoms-wool', 'boot-rubber', 'fleece'), water, 5);
		expect([
			water.outside.get('sock-mid'),
			water.outside.get('bottoms-wool'),
			water.outside.get('boot-rubber')
		]).toEqual([1, 1, 0]);
		expect(water.outside.has('fleece')).toBe(false);
	});
	it('is copied, not shared', () => {
		const water = with_({ fleece: 0.4 });
		water.faceMin.set('hard-shell', 3);
		const copy = copyOfWater(water);
		copy.outside.set('fleece', 1);
		copy.faceMin.set('hard-shell', 9);
		expect([water.outside.get('fleece'), water.faceMin.get('hard-shell')]).toEqual([0.4, 3]);
		expect(copyOfWater(water)).toEqual(water);
	});
});

describe('sweat at its limits', () => {
	const through = (one: Cell, outfit: Outfit, minutes: number, sweat: Sweat = noSweat()): Sweat => {
		sweatThrough(one, sweatAir(one, outfit, 1), sweat, minutes);
		return sweat;
	};
	const cold = { airTempC: -10 };
	it('fills socks in closed boots by the hour and the effort over 100 W/m²', () => {
		const shod = worn('top-wool-mid', 'sock-mid', 'boot-hiking');
		const share = (effort: number, outfit = shod, change = {}): number =>
			through(cell(cold, ['move', 60, effort, 'slope'], change), outfit, 60).share.get('sock-mid') ?? 0;
		expect(share(200)).toBeCloseTo(0.1, 6);
		expect(share(300)).toBeCloseTo(0.2, 6);
		expect(share(100)).toBe(0);
		expect(share(200, worn('top-wool-mid', 'sock-mid', 'shoe-trail'))).toBe(0);
		expect(share(200, worn('top-wool-mid', 'sock-mid'))).toBe(0);
		expect(share(200, shod, { heated: true })).toBe(0);
	});
	it('goes into the boot where there is no sock, and into no other thing', () => {
		const without = through(cell(cold), worn('top-wool-mid', 'boot-hiking'), 60).share;
		expect(without.get('boot-hiking')).toBeCloseTo(0.1, 6);
		const [top, liner, boot] = worn('top-wool-mid', 'sock-liner', 'boot-hiking') as WornLayer[];
		expect(through(cell(cold), [top!, liner!, boot!], 60).share.has('sock-liner')).toBe(false);
	});
	it('is let out by a boot from 10 l/(m²·s) on', () => {
		const [sock, boot] = worn('sock-mid', 'boot-hiking') as [WornLayer, WornLayer];
		const share = (airPermeability: number): number =>
			through(cell(cold), [sock, { ...boot, cloth: { ...boot.cloth, airPermeability } }], 60).share.get(
				'sock-mid'
			) ?? 0;
		expect(share(9.9)).toBeCloseTo(0.1, 6);
		expect(share(10)).toBe(0);
	});
	it('dries in a warm room: the sock as next to the skin, what lies over it as it does', () => {
		const room = cell({ airTempC: 20 }, ['indoors', 60, 70, 'in'], { heated: true });
		const outfit = worn('top-wool-mid', 'fleece', 'sock-mid', 'boot-hiking');
		const sweat: Sweat = {
			body: null,
			share: new Map([
				['sock-mid', 0.9],
				['fleece', 0.9]
			])
		};
		through(room, outfit, 15, sweat);
		expect(sweat.share.get('sock-mid')).toBeCloseTo(0.9 - 0.25 / 0.75, 6);
		expect(sweat.share.get('fleece')).toBeCloseTo(0.9 - 0.25 / 1, 6);
	});
	it('runs into the legs by half, and into one thing that is both only once', () => {
		// So damp that nothing dries meanwhile.
		const hot = cell({ airTempC: 25, humidityPct: 95 }, ['move', 60, 350, 'slope']);
		const both = through(hot, worn('top-wool-mid', 'bottoms-wool'), 20).share;
		expect(both.get('top-wool-mid')).toBeGreaterThan(0.05);
		expect(both.get('bottoms-wool')! / both.get('top-wool-mid')!).toBeCloseTo(0.5, 1);
		const one = clothWorn('top-wool-mid', 0);
		const suit = { ...one, cloth: { ...one.cloth, covers: { torso: 1, thighs: 1 } } };
		const alone = through(hot, [suit], 20).share.get('top-wool-mid')!;
		expect(alone / both.get('top-wool-mid')!).toBeCloseTo(1, 1);
	});
	it('drips on where the layer next to the skin is full, by what either holds', () => {
		const hot = cell({ airTempC: 20 }, ['move', 60, 300, 'slope']);
		const outfit = worn('top-wool-mid', 'fleece');
		const full: Sweat = { body: null, share: new Map([['top-wool-mid', 1]]) };
		through(hot, outfit, 30, full);
		expect(full.share.get('top-wool-mid')).toBe(1);
		expect(full.share.get('fleece')).toBeGreaterThan(0);
		const half: Sweat = { body: null, share: new Map([['top-wool-mid', 0.1]]) };
		through(hot, outfit, 5, half);
		expect(half.share.has('fleece')).toBe(false);
	});
	it('is copied, not shared', () => {
		const sweat = through(cell(), worn('top-wool-mid'), 5);
		const copy = copyOfSweat(sweat);
		expect(copy).toEqual(sweat);
		copy.body!.moistureGm2 = -1;
		copy.share.set('top-wool-mid', 0.7);
		expect(sweat.body!.moistureGm2).not.toBe(-1);
		expect(sweat.share.get('top-wool-mid')).not.toBe(0.7);
		expect(copyOfSweat(noSweat()).body).toBeNull();
	});
	it('is as much for half an hour in one step as in thirty', () => {
		const hot = cell({ airTempC: 25 }, ['move', 60, 350, 'slope']);
		const once = through(hot, worn('top-wool-mid'), 30).share.get('top-wool-mid')!;
		const often = noSweat();
		for (let minute = 0; minute < 30; minute++) through(hot, worn('top-wool-mid'), 1, often);
		expect(often.share.get('top-wool-mid')! / once).toBeCloseTo(1, 1);
	});
});
