import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLANNED, type PhaseRow, kitOf, stageOf, thingOf } from '../../../../../tests/fixtures/make';
import { CATALOGUE } from '../../cloth/catalogue';
import { FACTORS, factorOf } from '../../cloth/factors';
import { clothOf, wearableThings } from '../../cloth/things';
import { outermost } from '../../cloth/worn';
import { type Cell, cellsOf } from '../../conditions/cells';
import { personOf } from '../../conditions/person';
import { stopsSoonAfter } from '../../conditions/stops';
import { OPENINGS, type WornThing } from '../../document/worn';
import { changePlace, ventCost } from '../../outfit/change-cost';
import { giveOutfit, givenWardrobe, legalOutfitsOf } from '../../outfit/legal-outfits';
import { planStage } from '../planner';
import { type StagePlan, dressDay } from './dress-day';
import { mayOpen, opensBy } from './outfit-terms';

const POOL = [
	'top-wool-light',
	'top-wool-mid',
	'fleece-thin',
	'fleece',
	'soft-shell',
	'rain-shell',
	'jacket-down-light',
	'coat-synthetic',
	'trousers-trek',
	'trousers-rain',
	'bottoms-wool',
	'hat-warm',
	'neck-tube'
];

const phases = fc.record({
	kind: fc.constantFrom('move' as const, 'stop' as const),
	minutes: fc.integer({ min: 5, max: 120 }),
	place: fc.constantFrom('lee' as const, 'slope' as const, 'ridge' as const, 'in' as const)
});
const cases = fc.record({
	kit: fc.subarray(POOL, { minLength: 3, maxLength: 5 }),
	day: fc.array(phases, { minLength: 1, maxLength: 2 }),
	airTempC: fc.integer({ min: -20, max: 8 }),
	wind10mKmh: fc.integer({ min: 0, max: 60 }),
	precipitation: fc.constantFrom('dry' as const, 'rain' as const)
});

const less = (a: number[], b: number[]): boolean => {
	const i = a.findIndex((value, at) => Math.abs(value - b[at]!) > 1e-6);
	return i >= 0 && a[i]! < b[i]!;
};
const levels = ({ bodyLevels: { penalty, overheat, changes, loadG } }: StagePlan): number[] => [
	penalty,
	overheat,
	changes,
	loadG
];

describe('the choice of outfits', () => {
	it('equals brute force over all outfits of small random kits, in all four levels', () => {
		fc.assert(
			fc.property(cases, ({ kit, day, airTempC, wind10mKmh, precipitation }) => {
				const client = kitOf(kit);
				const person = personOf(client);
				const cloths = wearableThings(client);
				const rows = day.map(({ kind, minutes, place }): PhaseRow => [
					kind,
					minutes,
					kind === 'move' ? 250 : 80,
					place
				]);
				const cells = cellsOf(stageOf(rows, { airTempC, wind10mKmh, precipitation }), PLANNED);
				const wardrobe = legalOutfitsOf(cloths);
				const found = levels(dressDay(cells, wardrobe, person));

				const { trunk, legs, head } = wardrobe.stacks;
				const outfitsOf = (cell: Cell): WornThing[][] =>
					trunk.flatMap((t) =>
						legs.flatMap((l) =>
							head.flatMap((h) =>
								OPENINGS.slice(0, mayOpen(cell) ? opensBy(t) + 1 : 1).map((opening) =>
									[...t.layers, ...l.layers, ...h.layers]
										.sort((a, b) => a.position - b.position)
										.map((layer) => ({
											thingId: layer.cloth.thingId,
											opening: layer === outermost(t.layers, 'torso') ? opening : ('closed' as const)
										}))
								)
							)
						)
					);
				const each = cells.map(outfitsOf);
				const openingOf = (worn: WornThing[]): number =>
					Math.max(0, ...worn.map(({ opening }) => OPENINGS.indexOf(opening)));
				let best = [Infinity, Infinity, Infinity, Infinity];
				const walk = (chosen: WornThing[][]): void => {
					if (chosen.length < cells.length)
						return each[chosen.length]!.forEach((outfit) => walk([...chosen, outfit]));
					const given = givenWardrobe(cloths);
					chosen.forEach((worn, k) => giveOutfit(given, k, worn));
					const own = levels(dressDay(cells, given, person));
					// What is given says nothing of the effort of opening it.
					own[2]! += chosen.reduce(
						(sum, worn, k) =>
							k > 0 && openingOf(worn) !== openingOf(chosen[k - 1]!)
								? sum + ventCost(changePlace(cells[k - 1]!, cells[k]!)) / 100
								: sum,
						0
					);
					if (less(own, best)) best = own;
				};
				walk([]);
				expect(found.map((value) => Math.round(value * 100) / 100)).toEqual(
					best.map((value) => Math.round(value * 100) / 100)
				);
			}),
			{ numRuns: 60 }
		);
	});

	it('is the same every time', () => {
		const stage = stageOf(
			[
				['move', 60, 280, 'slope'],
				['stop', 20, 80, 'ridge'],
				['move', 30, 200, 'slope']
			],
			{ airTempC: -9, wind10mKmh: 30 }
		);
		const plan = (): unknown =>
			planStage(stage, PLANNED, kitOf(POOL)).phases.map(({ outfit }) =>
				outfit.map(({ cloth }) => cloth.thingId)
			);
		expect(plan()).toEqual(plan());
	});
	it('is no worse with one thing more', () => {
		fc.assert(
			fc.property(
				cases,
				fc.constantFrom(...POOL),
				({ kit, day, airTempC, wind10mKmh, precipitation }, more) => {
					const rows = day.map(({ kind, minutes, place }): PhaseRow => [
						kind,
						minutes,
						kind === 'move' ? 250 : 80,
						place
					]);
					const stage = stageOf(rows, { airTempC, wind10mKmh, precipitation });
					// Covering parts that nothing covered before changes what is legal, so both kits cover torso and legs.
					const base = ['top-synthetic', 'trousers-soft-shell', ...kit];
					const cells = cellsOf(stage, PLANNED);
					const penaltyOf = (kit: string[]): number => {
						const client = kitOf(kit);
						return dressDay(cells, legalOutfitsOf(wearableThings(client)), personOf(client)).bodyLevels
							.penalty;
					};
					expect(penaltyOf([...new Set([...base, more])])).toBeLessThanOrEqual(penaltyOf(base));
				}
			),
			{ numRuns: 30 }
		);
	});
	it('keeps a base layer next to the skin where there is one', () => {
		const plan = planStage(
			stageOf([['move', 60, 280, 'slope']], { airTempC: 5 }),
			PLANNED,
			kitOf(['top-wool-light', 'fleece', 'trousers-trek'])
		);
		expect(plan.phases[0]!.outfit[0]!.cloth.typeId).toBe('top-wool-light');
	});
	it('clothes every part from a kit of everything there is', () => {
		const plan = planStage(
			stageOf(
				[
					['move', 60, 200, 'slope'],
					['stop', 15, 80, 'ridge']
				],
				{ airTempC: -12, ground: 'snow', wind10mKmh: 30 }
			),
			PLANNED,
			kitOf(CATALOGUE.map(({ id }) => id))
		);
		expect(plan.proven).toBe(false);
		for (const { coverage } of plan.phases)
			expect(coverage.filter(({ state }) => state === 'missing' || state === 'not asked')).toEqual([]);
	});
	it('searches a large kit whole behind its core', () => {
		const many = [
			'top-wool-light',
			'top-wool-mid',
			'top-synthetic',
			'fleece-thin',
			'fleece',
			'sweater-wool',
			'vest-insulated',
			'soft-shell',
			'hard-shell',
			'rain-shell',
			'jacket-down-light',
			'coat-synthetic',
			'coat-down',
			'bottoms-wool',
			'bottoms-fleece',
			'trousers-trek',
			'trousers-soft-shell',
			'trousers-rain',
			'overtrousers-warm',
			'hat-warm',
			'cap-thin',
			'balaclava',
			'neck-tube'
		];
		const plan = planStage(stageOf([['stop', 20, 80, 'slope']]), PLANNED, kitOf(many));
		expect(plan.proven).toBe(true);
		expect(plan.gap).toBe(0);
		expect(plan.findings.map(({ code }) => code)).not.toContain('search-cut');
		expect(plan.phases[0]!.peakDebtWhm2).toBeLessThanOrEqual(40);
	});
});

describe('factors', () => {
	it.each([
		['fleece', 'trunk'],
		['coat-synthetic', 'trunk'],
		['trousers-trek', 'legs'],
		['gaiters', 'legs'],
		['hat-warm', 'head'],
		['balaclava', 'head'],
		['goggles', 'eyes'],
		['mitten', 'hands'],
		['sock-heavy', 'feet'],
		['bag-winter', null]
	])('%s is chosen with %s', (typeId, factor) => {
		expect(factorOf(clothOf(thingOf(typeId)))).toBe(factor);
	});
	it('are six', () => expect(FACTORS).toHaveLength(6));
});

describe('stopsSoonAfter', () => {
	it('looks half an hour ahead, and not through a warm room', () => {
		const stage = stageOf([
			['move', 60, 280, 'slope'],
			['move', 20, 200, 'slope'],
			['stop', 15, 75, 'lee'],
			['move', 60, 280, 'slope'],
			['indoors', 30, 70, 'in'],
			['stop', 10, 75, 'lee']
		]);
		expect(stopsSoonAfter(cellsOf(stage, PLANNED))).toEqual([true, true, false, false, true, false]);
	});
});
