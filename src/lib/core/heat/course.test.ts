import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellOf, clothWorn, kitOf } from '../../../../tests/fixtures/make';
import type { Outfit } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import type { Mark } from '../document/types';
import { personOf } from '../conditions/person';
import { type CellCourse, changeForDry, eveningWetness, freshLiving, liveThrough, wetnessOf } from './course';
import { cellAir, debtEndWhm2 } from './ledger';
import type { Wetness } from './wet-cloth';

const person = personOf(kitOf([]));
const worn = (...typeIds: string[]): Outfit => typeIds.map((typeId, i) => clothWorn(typeId, i));
const LAYERS = ['briefs', 'bottoms-wool', 'trousers-trek', 'top-wool-mid', 'fleece', 'sock-mid', 'boot-hiking', 'glove-light', 'hat-warm']; // prettier-ignore
const DRESSED = worn(...LAYERS);
const lived = (cell: Cell, outfit = DRESSED, wet: Wetness = new Map()): CellCourse =>
	liveThrough({ ...cell, fresh: true }, outfit, 1, freshLiving(wet), person);
const stop = (airTempC: number, change: Partial<Cell> = {}): Cell => ({
	...cellOf(['stop', 45, 80, 'lee'], { airTempC, wind10mKmh: 10 }),
	...change
});

describe('a person through a phase', () => {
	it('who is dry runs up the debt of the ledger, and no more', () => {
		const cell = stop(2);
		const course = lived(cell);
		expect(course.wetness.size).toBe(0);
		expect(course.endWhm2).toBeCloseTo(debtEndWhm2(cell, course.loss, 0, person), 6);
		expect(cellAir(cell).balance.neutral.wettedness).toBeCloseTo(0.08, 9);
	});
	it('who is soaked cools faster, hands and feet too, and has no credit of work', () => {
		const wet = new Map(LAYERS.map((id) => [id, 1]));
		const [dry, soaked] = [lived(stop(2)), lived(stop(2), DRESSED, wet)];
		expect(soaked.endWhm2).toBeGreaterThan(dry.endWhm2 + 20);
		expect(soaked.fingers.endC).toBeLessThan(dry.fingers.endC);
		expect(soaked.toes.endC).toBeLessThan(dry.toes.endC);
		expect(soaked.wetThrough).toEqual(['torso', 'thighs']);
		const climb = cellOf(['move', 60, 280, 'lee'], { airTempC: 4 });
		expect(lived(climb).endWhm2).toBeLessThan(-10);
		expect(lived(climb, DRESSED, wet).endWhm2).toBeGreaterThan(lived(climb).endWhm2);
	});
	it('who stands in water loses to the water what a layer does not keep dry', () => {
		const wade = (waterTempC: number): Cell =>
			cellOf(['stop', 30, 120, 'lee', { marks: ['immersed-thigh'], typed: { waterTempC } }], {
				airTempC: 10
			});
		const wet = lived(wade(4));
		const dry = lived(
			wade(4),
			worn('bottoms-wool', 'trousers-trek', 'waders', 'top-wool-mid', 'fleece', 'sock-heavy', 'boot-wading')
		);
		expect(wet.endWhm2).toBeGreaterThan(dry.endWhm2);
		expect(wet.toes.endC).toBeLessThan(7);
		expect(dry.toes.endC).toBeGreaterThan(15);
		expect(lived(wade(15)).endWhm2).toBeLessThan(wet.endWhm2);
	});
	it('who falls in first is soaked and colder, and less cold the harder they walk', () => {
		const after = (marks: 'falls-in'[], effort: number) =>
			lived(cellOf(['move', 20, effort, 'lee', { marks, typed: { waterTempC: 3 } }], { airTempC: 2 }));
		const fallen = after(['falls-in'], 200);
		expect(fallen.wetThrough).toEqual(['torso', 'thighs']);
		expect(fallen.peakWhm2).toBeGreaterThan(after([], 200).peakWhm2 + 20);
		expect(after(['falls-in'], 280).endWhm2).toBeLessThan(fallen.endWhm2);
	});
	it('who sweats in too much is colder at the stop than in a dry top', () => {
		const climb = cellOf(['move', 90, 290, 'lee'], { airTempC: 0 });
		const rest = [
			'fleece',
			'coat-synthetic',
			'bottoms-wool',
			'trousers-soft-shell',
			'sock-mid',
			'boot-hiking'
		];
		const at = (top: string): number => {
			const living = freshLiving();
			liveThrough({ ...climb, fresh: true }, worn('top-cotton', ...rest), 1, living, person);
			expect(living.sweat.share.get('top-cotton')).toBeGreaterThan(0.2);
			return liveThrough(stop(-4), worn(top, ...rest), 1, living, person).endWhm2;
		};
		expect(at('top-cotton')).toBeGreaterThan(at('top-wool-mid') + 3);
	});
	it('what the layer next to the skin cannot hold drips into the next one, which dries more slowly; a shell holds none', () => {
		const hard = cellOf(['move', 240, 330, 'lee'], { airTempC: 10 });
		const legs = ['trousers-trek', 'sock-mid', 'shoe-trail'];
		const sweatIn = (...tops: string[]) => {
			const living = freshLiving();
			liveThrough({ ...hard, fresh: true }, worn(...tops, ...legs), 1, living, person);
			return living;
		};
		const living = sweatIn('top-synthetic', 'fleece', 'coat-synthetic');
		expect(living.sweat.share.get('top-synthetic')).toBeCloseTo(1, 6);
		const dripped = living.sweat.share.get('fleece')!;
		expect(dripped).toBeGreaterThan(0.05);
		expect(sweatIn('top-synthetic', 'hard-shell').sweat.share.has('hard-shell')).toBe(false);
		// Half an hour of the four in which fleece dries at rest.
		const rest = { ...cellOf(['stop', 30, 75, 'lee'], { airTempC: 10 }), humidityPct: 50 };
		const later = freshLiving();
		later.sweat.share.set('fleece', 0.5);
		liveThrough(rest, worn('top-synthetic', 'fleece', ...legs), 1, later, person);
		expect(later.sweat.share.get('fleece')).toBeCloseTo(0.375, 6);
	});
	it('who sits on the cold without a mat loses a third of what warms the thighs; on a mat, or on a lift, nobody does', () => {
		const clo = (marks: Mark[], own: Partial<typeof person> = {}, change: Partial<Cell> = {}): number =>
			liveThrough({ ...stop(-5, { marks, ...change }), fresh: true }, DRESSED, 1, freshLiving(), {
				...person,
				...own
			}).resultantClo;
		const standing = clo([]);
		expect(clo(['seated'])).toBeLessThan(standing - 0.02);
		expect(clo(['seated'], { seatMat: true })).toBe(standing);
		expect(clo(['seated'], {}, { doing: 'pistes' })).toBe(standing);
		expect(clo(['seated'], {}, { airTempC: 12 })).toBe(clo([], {}, { airTempC: 12 }));
	});
	it('where there are two of a thing, the wet one is wet in the evening all the same', () => {
		const living = freshLiving(new Map([['sock-mid', 0.8]]));
		changeForDry(living, [clothWorn('sock-mid', 1).cloth]);
		expect(wetnessOf(living).has('sock-mid')).toBe(false);
		expect(eveningWetness(living).get('sock-mid')).toBe(0.8);
	});
	// At rest and not sweating: more water, colder, windier, longer and with less on is never better.
	const conditions = fc.record({
		airTempC: fc.integer({ min: -20, max: 8 }),
		windMs: fc.double({ min: 0.4, max: 10, noNaN: true }),
		minutes: fc.integer({ min: 5, max: 90 }),
		wet: fc.double({ min: 0, max: 1, noNaN: true }),
		rain: fc.constantFrom(0, 0.5, 1)
	});
	type Conditions = Record<'airTempC' | 'windMs' | 'minutes' | 'wet' | 'rain', number>;
	const ofConditions = ({ airTempC, windMs, minutes, wet, rain }: Conditions, outfit = DRESSED): CellCourse =>
		lived(
			stop(airTempC, { minutes, airVelocityMs: windMs, rainPerMin: rain, humidityPct: 95 }),
			outfit,
			new Map(LAYERS.map((id) => [id, wet]))
		);
	it.each<[string, (one: Conditions) => Conditions]>([
		['wetter', (one) => ({ ...one, wet: Math.min(1, one.wet + 0.2) })],
		['more rain', (one) => ({ ...one, rain: one.rain + 0.5 })],
		['colder', (one) => ({ ...one, airTempC: one.airTempC - 2 })],
		['windier', (one) => ({ ...one, windMs: one.windMs + 1 })],
		['longer', (one) => ({ ...one, minutes: one.minutes + 10 })]
	])('%s is never better', (_, worse) => {
		fc.assert(
			fc.property(conditions, (one) => {
				const [a, b] = [ofConditions(one), ofConditions(worse(one))];
				expect(b.peakWhm2).toBeGreaterThanOrEqual(a.peakWhm2 - 0.02);
				expect(b.fingers.lowestC).toBeLessThanOrEqual(a.fingers.lowestC + 0.02);
				expect(b.toes.lowestC).toBeLessThanOrEqual(a.toes.lowestC + 0.02);
			})
		);
	});
	it('less on is never better', () => {
		fc.assert(
			fc.property(conditions, fc.constantFrom('fleece', 'hat-warm', 'bottoms-wool'), (one, off) => {
				const less = DRESSED.filter(({ cloth }) => cloth.thingId !== off);
				const dry = { ...one, rain: 0, wet: 0 };
				expect(ofConditions(dry, less).peakWhm2).toBeGreaterThanOrEqual(ofConditions(dry).peakWhm2 - 0.02);
			})
		);
	});
});
