import { describe, expect, it } from 'vitest';
import { kitOf, type PhaseRow, PLANNED, stageOf } from '../../../../tests/fixtures/make';
import { wearableThings } from '../cloth/things';
import { PARTS } from '../document/parts';
import type { Client } from '../document/types';
import { planStage } from '../plan/planner';
import { groupLoadOf, packOf, WATER_AND_FOOD } from './pack';

const KIT = ['briefs', 'top-wool-mid', 'fleece', 'wind-shirt', 'bottoms-wool', 'trousers-trek', 'sock-mid', 'shoe-trail', 'glove-light']; // prettier-ignore
const guest = (ids = KIT): Client => kitOf(ids, { answeredParts: [...PARTS] });

describe('the pack', () => {
	const BIG = [
		...KIT,
		'hard-shell',
		'coat-down',
		'jacket-ski',
		'trousers-ski',
		'overtrousers-warm',
		'bag-winter',
		'torch'
	];
	const DAY: PhaseRow[] = [
		['move', 60, 250, 'slope'],
		['stop', 60, 70, 'ridge'],
		['sleep', 480, 45, 'tent']
	];
	it('holds what is not worn, with water and food, and is fullest where it is warmest', () => {
		const { phases } = planStage(stageOf(DAY, { airTempC: -12 }), PLANNED, guest([...BIG, 'pack-day']));
		expect(phases[0]!.pack.litres).toBeGreaterThan(phases[1]!.pack.litres);
		expect(phases[0]!.pack.bag).toMatchObject({ holdsL: 32 });
		expect(phases[0]!.pack.litres).toBeGreaterThan(WATER_AND_FOOD.litres);
	});
	it.each([
		['pack-small', true],
		['pack-large', false]
	])('a %s is too small: %s', (bag, tooSmall) => {
		const { findings } = planStage(stageOf(DAY, { airTempC: -12 }), PLANNED, guest([...BIG, bag]));
		expect(findings.some(({ code }) => code === 'pack-too-small')).toBe(tooSmall);
	});
	it('takes the group’s load first, and keeps wet apart', () => {
		const cloths = wearableThings(guest(['fleece', 'pack-day']));
		const carried = [{ thingId: 'fleece', where: 'pack' as const }];
		const loaded = packOf(carried, cloths, groupLoadOf({ groupLoadL: 10 }, {}), new Map([['fleece', 0.8]]));
		const plain = packOf(carried, cloths);
		expect(loaded.litres).toBe(plain.litres + 10);
		expect(loaded.massG).toBeGreaterThan(plain.massG);
		expect([loaded.wetIds, plain.wetIds]).toEqual([['fleece'], []]);
	});
	it('counts what is brought for others in the pack of the one who brings it', () => {
		const stove = { litres: 6, massG: 1500 };
		expect(groupLoadOf({ groupLoadL: 4 }, { forOthers: stove })).toEqual({ litres: 10, massG: 1400 + 1500 });
		expect(groupLoadOf({}, {})).toEqual({ litres: 0, massG: 0 });
		// A pack that has room for the own kit is too small with it.
		const full = guest([...BIG, 'pack-large']);
		const found = (client: typeof full): string[] =>
			planStage(stageOf(DAY, { airTempC: -12 }), PLANNED, client).findings.map(({ code }) => code);
		expect(found(full)).not.toContain('pack-too-small');
		expect(found({ ...full, forOthers: { litres: 60, massG: 9000 } })).toContain('pack-too-small');
	});
	it('knows no bag where none is', () => {
		expect(packOf([], [])).toEqual({ ...WATER_AND_FOOD, bag: null, wetIds: [] });
	});
});
