import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kitOf, PLANNED, stageOf, tripOf } from '../../../../../tests/fixtures/make';
import { askedBy, legalOutfitsOf } from '../../outfit/legal-outfits';
import { coreOf } from '../../outfit/core-outfits';
import { wearableThings } from '../../cloth/things';
import { personOf } from '../../conditions/person';
import { cellsOf } from '../../conditions/cells';
import { finished } from '../../search/steps';
import { SequenceSolver } from '../../search/solver';
import { planStage, planTrip } from '../planner';
import { bodySequence, limbOutfits } from './day-problem';
import { dayOf } from './limb-judges';
import { kitOfDay, wardrobeWithin } from './whole-kit';
import { wholeDay } from './whole-day';
import { UNLIMITED } from '../choice/constraints';
import { TripSolver } from '../choice/trip-solver';

const TOPS = [
	'top-wool-light',
	'top-synthetic',
	'top-wool-mid',
	'fleece-thin',
	'fleece',
	'soft-shell',
	'wind-shirt'
];
const MORE = [
	'hard-shell',
	'rain-shell',
	'coat-synthetic',
	'coat-down',
	'jacket-down-light',
	'vest-insulated'
];
const LEGS = [
	'bottoms-wool',
	'trousers-soft-shell',
	'trousers-trek',
	'trousers-hard-shell',
	'overtrousers-warm'
];
const HEAD = ['cap-thin', 'hat-warm', 'neck-tube', 'balaclava', 'headband'];
const FEET = ['sock-mid', 'boot-hiking', 'glove-winter', 'glove-light', 'briefs'];

const kits = fc
	.tuple(
		fc.subarray(TOPS, { minLength: 2 }),
		fc.subarray(MORE),
		fc.subarray(LEGS, { minLength: 2 }),
		fc.subarray(HEAD)
	)
	.map((parts) => [...parts.flat(), ...FEET]);
const days = fc
	.tuple(
		fc.integer({ min: -18, max: 14 }),
		fc.constantFrom('dry' as const, 'rain' as const),
		fc.integer({ min: 120, max: 260 }),
		fc.integer({ min: 10, max: 90 })
	)
	.map(([airTempC, precipitation, effort, stand]) =>
		stageOf(
			[
				['move', 60, effort, 'slope'],
				['stop', stand, 75, 'lee'],
				['move', 40, 150, 'slope']
			],
			{ airTempC, precipitation }
		)
	);

/** A day of a kit, with nothing chosen for hands, feet and eyes but the first that there is. */
function dayWith(typeIds: string[], stage: ReturnType<typeof stageOf>) {
	const client = kitOf(typeIds);
	const cells = cellsOf(stage, PLANNED);
	const whole = legalOutfitsOf(wearableThings(client), new Set(), Infinity, askedBy(cells));
	const person = personOf(client);
	const day = { ...dayOf(cells, whole, person), index: 0, key: '', stage: { id: 'stage' } };
	const last = (factor: 'eyes' | 'hands' | 'feet'): number[][] =>
		cells.map(() => [whole.stacks[factor].length - 1]);
	const others = limbOutfits(day, { eyes: last('eyes'), hands: last('hands'), feet: last('feet') });
	return { client, cells, whole, person, day, others };
}

describe('the whole kit on a day', () => {
	it('leaves every course up to a limit in what is searched, whatever the day', () => {
		fc.assert(
			fc.property(kits, days, fc.constantFrom(0, 1, 150, 900), (typeIds, stage, over) => {
				const { whole, day, others } = dayWith(typeIds, stage);
				const all = new SequenceSolver(bodySequence(day, others)).solve()!;
				const kit = finished(kitOfDay(day, whole, others, () => () => true, all.cost + over));
				expect(kit.least).toBeLessThanOrEqual(all.atLeast + 1e-6);
				const left = wardrobeWithin(kit, all.cost + over, Infinity);
				if (typeof left === 'string') expect(all.proven && left === 'none').toBe(false);
				else {
					const own = new SequenceSolver(bodySequence({ ...day, wardrobe: left }, others)).solve()!;
					if (all.proven && own.proven) expect(own.cost).toBeCloseTo(all.cost, 6);
				}
				if (all.proven) expect(wardrobeWithin(kit, all.cost - 1, Infinity) === 'too many').toBe(false);
			}),
			{ numRuns: 25 }
		);
	});
	it('finds from a core, or proves, what a search of everything finds', () => {
		fc.assert(
			fc.property(kits, days, (typeIds, stage) => {
				const { cells, whole, person, day, others } = dayWith(typeIds, stage);
				const all = new SequenceSolver(bodySequence(day, others)).solve()!;
				const core = coreOf(whole, cells, person.schools);
				const first = new SequenceSolver(bodySequence({ ...day, wardrobe: core }, others)).solve()!;
				const found = finished(
					wholeDay(
						day,
						whole,
						others,
						() => () => true,
						first.cost,
						0,
						(_, solver) => solver.everything()
					)
				);
				const cost = found.best?.cost ?? first.cost;
				expect(found.atLeast).toBeLessThanOrEqual(all.cost + 1e-6);
				expect(cost).toBeGreaterThanOrEqual(all.atLeast - 1e-6);
				if (cost <= found.atLeast + 1e-6 && all.proven) expect(cost).toBeCloseTo(all.cost, 6);
			}),
			{ numRuns: 25 }
		);
	});
});

describe('a trip with the whole kit behind its core', () => {
	const typeIds = [
		...TOPS,
		...MORE,
		...LEGS,
		...HEAD,
		...FEET,
		'shirt-flannel',
		'tshirt-synthetic',
		'poncho'
	];
	const stage = stageOf(
		[
			['move', 60, 220, 'slope'],
			['stop', 40, 75, 'lee']
		],
		{ airTempC: -6 }
	);
	it('is never worse than the core, and says that nothing better is possible', () => {
		const plan = planTrip({ trip: tripOf([stage]), client: kitOf(typeIds) });
		expect(plan.problem.wardrobe.cut).toBe(true);
		const core = finished(new TripSolver(plan.problem).solve(UNLIMITED))!;
		expect(plan.choice.isWhole).toBe(true);
		expect(plan.choice.levels.penalty).toBeLessThanOrEqual(core.levels.penalty);
		expect(plan.choice.gaps).toEqual([0]);
	});
	it('heeds what is left at home and what must be worn', () => {
		const trip = tripOf([stage]);
		const client = kitOf(typeIds);
		const usual = planTrip({ trip, client });
		const worn = usual.choice.dressed[0]!.outfits[0]!.map(({ cloth }) => cloth.thingId);
		const left = worn.find((id) => TOPS.includes(id))!;
		const plan = planTrip({
			trip,
			client,
			wishes: [
				{ kind: 'leave', thingId: left },
				{ kind: 'wear', thingId: 'poncho', stageId: stage.id, phaseId: 'phase-1' }
			]
		});
		const outfits = plan.choice.dressed[0]!.outfits.map((outfit) => outfit.map(({ cloth }) => cloth.thingId));
		expect(outfits.flat()).not.toContain(left);
		expect(outfits[1]).toContain('poncho');
	});
});

describe('what one does not usually wear', () => {
	const kit = [
		'top-wool-mid',
		'fleece',
		'fleece-thin',
		'bottoms-wool',
		'trousers-soft-shell',
		'hat-warm',
		...FEET
	];
	const stand = (airTempC: number) => stageOf([['stop', 30, 80, 'lee']], { airTempC });
	const wornAt = (airTempC: number): { worn: string[]; codes: string[] } => {
		const { phases, findings } = planStage(stand(airTempC), PLANNED, kitOf(kit));
		return {
			worn: phases[0]!.outfit.map(({ cloth }) => cloth.typeId),
			codes: findings.map(({ code }) => code)
		};
	};
	it('is worn where all that is ordinary leaves a phase cool, and it is said', () => {
		const { worn, codes } = wornAt(-2);
		expect(worn).toEqual(expect.arrayContaining(['fleece', 'fleece-thin']));
		expect(codes).toContain('unusual');
	});
	it('is not worn where one of them does', () => {
		const { worn, codes } = wornAt(9);
		expect(worn.includes('fleece') && worn.includes('fleece-thin')).toBe(false);
		expect(codes).not.toContain('unusual');
	});
});
