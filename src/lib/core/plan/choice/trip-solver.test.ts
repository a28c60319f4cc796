import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type PhaseRow, kitOf, PLANNED, stageOf, thingOf, tripOf } from '../../../../../tests/fixtures/make';
import type { Client, Trip } from '../../document/types';
import { type Wish } from '../../document/wish';
import { WATER_AND_FOOD, isCarrying, packBag, ridesInPack } from '../../kit/pack';
import { optionsOf } from '../../search/problem';
import { SequenceSolver } from '../../search/solver';
import { finished } from '../../search/steps';
import { type Constraints, limitsOf } from './constraints';
import { bodySequence } from '../day/day-problem';
import { solveWithRoom } from '../pack-limit';
import { waterKey } from '../day/wet-day';
import { planTrip } from '../planner';
import { type TripDay, type TripDays, tripDays, wardrobesOf } from '../trip-days';
import { setOf, type TripLevels, weighed } from './trip-choice';
import { TripSolver } from './trip-solver';
import { constraintsOf } from '../wishes';

const POOL = ['top-wool-light', 'fleece-thin', 'fleece', 'soft-shell', 'rain-shell', 'coat-synthetic', 'trousers-trek', 'trousers-rain', 'hat-warm', 'neck-tube']; // prettier-ignore

interface Row {
	kind: 'move' | 'stop';
	minutes: number;
	place: 'lee' | 'slope' | 'ridge' | 'in';
}
const phases: fc.Arbitrary<Row> = fc.record({
	kind: fc.constantFrom('move' as const, 'stop' as const),
	minutes: fc.integer({ min: 10, max: 120 }),
	place: fc.constantFrom('lee' as const, 'slope' as const, 'ridge' as const, 'in' as const)
});
/** A climb, and a stop at its top: what is worn there is carried up. */
const climb = fc.integer({ min: 15, max: 45 }).map((minutes): Row[] => [
	{ kind: 'move' as const, minutes: 90, place: 'lee' as const },
	{ kind: 'stop' as const, minutes, place: 'lee' as const }
]);
const stages = fc.record({
	day: fc.oneof(fc.array(phases, { minLength: 1, maxLength: 2 }), climb),
	// So mild that fingers are not judged: they are chilled by the body's debt, and the body alone is tried here.
	airTempC: fc.constantFrom(14.5, 15.5, 17),
	wind10mKmh: fc.constantFrom(2, 35),
	precipitation: fc.constantFrom('dry' as const, 'dry' as const, 'rain' as const)
});
const cases = fc.record({
	kit: fc
		.tuple(fc.subarray(POOL, { minLength: 2, maxLength: 4 }), fc.boolean())
		.map(([kit, warm]) =>
			warm ? [...new Set(['top-wool-light', 'trousers-trek', 'coat-synthetic', kit[0]!])] : kit
		),
	stages: fc.array(stages, { minLength: 1, maxLength: 2 }),
	weathers: fc.integer({ min: 1, max: 2 }),
	roomL: fc.constantFrom<number>(5, 6, 8, 30),
	groupLoadL: fc.constantFrom(0, 2.4),
	wishes: fc.array(
		fc.record({
			kind: fc.constantFrom('take' as const, 'wear' as const, 'leave' as const),
			thing: fc.nat(3),
			stage: fc.nat(1),
			phase: fc.nat(1)
		}),
		{ maxLength: 2 }
	)
});
type Case = typeof cases extends fc.Arbitrary<infer T> ? T : never;

const idOf = (stage: number): string => `stage-${stage}`;
function tripOfCase(one: Case): { trip: Trip; client: Client } {
	const trip = {
		...tripOf(
			one.stages.map(({ day, airTempC, wind10mKmh, precipitation }, i) =>
				stageOf(
					day.map(({ kind, minutes, place }): PhaseRow => [kind, minutes, kind === 'move' ? 250 : 80, place]),
					{ airTempC, wind10mKmh, precipitation },
					{
						id: idOf(i),
						date: `2027-01-1${i}`,
						groupLoadL: one.groupLoadL,
						bed: { kind: 'heated', washing: false, drying: 'everything' }
					}
				)
			)
		),
		weathers: [PLANNED, { ...PLANNED, id: 'windy', windFactor: 1.6 }].slice(0, one.weathers)
	};
	const pack = thingOf('pack-small', {
		facts: { holdsL: { value: one.roomL, source: 'measured', state: 'has' } }
	});
	const client = kitOf(one.kit);
	return { trip, client: { ...client, things: [...client.things, pack] } };
}
const wishesOf = ({ kit, wishes, stages: own }: Case): Wish[] =>
	wishes.map(({ kind, thing, stage, phase }) => ({
		kind,
		thingId: kit[thing % kit.length]!,
		...(kind === 'wear'
			? {
					stageId: idOf(stage % own.length),
					phaseId: `phase-${phase % own[stage % own.length]!.day.length}`
				}
			: {})
	}));

/** All that is felt in one number first, then the mass. */
const less = (a: readonly number[], b: readonly number[]): boolean => {
	const cost = ([penalty, overheat, changes]: readonly number[]): number =>
		weighed({ penalty: penalty!, overheat: overheat!, changes: changes! });
	const by = cost(a) - cost(b);
	return Math.abs(by) > 1e-6 ? by < 0 : (a[3] ?? 0) < (b[3] ?? 0) - 1e-6;
};

interface Way {
	levels: [number, number, number];
	worn: Set<number>[];
}
/** Every way through a day: what it costs and what is worn. */
function waysOf(day: TripDay, constraints: Constraints): Way[] {
	const sequence = bodySequence(
		day,
		day.cells.map(() => [])
	);
	const solver = new SequenceSolver(sequence);
	const limits = limitsOf({ ...constraints, leftOn: new Map() }, day, solver, new Set(solver.things));
	const ways: Way[] = [];
	const walk = (k: number, before: number[] | null, state: number, way: Way): void => {
		if (k === sequence.cells) return void ways.push(way);
		for (let choice = 0; choice < sequence.sizes.reduce((a, b) => a * b, 1); choice++) {
			const options = optionsOf(choice, sequence.sizes);
			if (options.some((option, f) => limits.at?.get(k)?.[f]![option] === 0)) continue;
			const worn = new Set(options.flatMap((option, f) => [...sequence.uses(f, option)]));
			if ([...worn].some((thing) => !limits.allows(thing))) continue;
			const change = before
				? options.reduce(
						(sum, to, f) => sum + sequence.changes(k, f)[before[f]! * sequence.sizes[f]! + to]!,
						0
					)
				: 0;
			if (change === Infinity) continue;
			const judged = { penalty: 0, overheat: 0, state: 0 };
			sequence.judge(k, choice, state, judged);
			if (judged.penalty === Infinity) continue;
			const [penalty, overheat, changes] = way.levels;
			walk(k + 1, options, judged.state, {
				levels: [penalty + judged.penalty, overheat + judged.overheat, changes + change / 100],
				worn: [...way.worn, worn]
			});
		}
	};
	walk(0, null, 0, { levels: [0, 0, 0], worn: [] });
	return ways;
}

/** The best levels of a trip by trying every set that could be carried on every stage; null when nothing fits. */
function bruteForce(problem: TripDays, constraints: Constraints): number[] | null {
	const { cloths } = problem.wardrobe;
	const room = packBag(problem.kit)!.holdsL;
	const things = cloths.map((_, thing) => thing).filter((thing) => cloths[thing]!.holdsL === 0);
	const sets = Array.from(
		{ length: 2 ** things.length },
		(_, bits) => new Set(things.filter((_, i) => (bits >> i) & 1))
	);
	const stageIds = [...new Set(problem.days.map(({ stage }) => stage.id))];
	const ways = problem.days.map((day) => waysOf(day, constraints));
	/** For every stage the levels with each set carried. */
	const perStage = stageIds.map((id) =>
		sets.flatMap((carried): { carried: Set<number>; levels: number[] }[] => {
			const days = problem.days.filter(({ stage }) => stage.id === id);
			const best = days.map((day) =>
				ways[day.index]!.filter(({ worn }) =>
					worn.every((own, k) => {
						if ([...own].some((thing) => !carried.has(thing))) return false;
						if (!isCarrying(day.cells[k]!)) return true;
						const inside = [...carried].filter((thing) => !own.has(thing) && ridesInPack(cloths[thing]!));
						const litres = WATER_AND_FOOD.litres + (day.stage.groupLoadL ?? 0);
						return inside.reduce((sum, thing) => sum + cloths[thing]!.packedL, litres) <= room + 1e-9;
					})
				).reduce<number[] | null>(
					(least, { levels }) => (least === null || less(levels, least) ? levels : least),
					null
				)
			);
			if (best.some((levels) => levels === null)) return [];
			return [{ carried, levels: [0, 1, 2].map((i) => best.reduce((sum, levels) => sum + levels![i]!, 0)) }];
		})
	);
	let best: number[] | null = null;
	const walk = (at: number, taken: Set<number>, levels: number[]): void => {
		if (at === perStage.length) {
			const { loadG } = setOf([...taken].map((thing) => cloths[thing]!));
			const total = [...levels, loadG];
			if (!best || less(total, best)) best = total;
			return;
		}
		for (const one of perStage[at]!)
			walk(
				at + 1,
				new Set([...taken, ...one.carried]),
				levels.map((value, i) => value + one.levels[i]!)
			);
	};
	walk(0, new Set(constraints.taken), [0, 0, 0]);
	return best;
}

const asList = ({ penalty, overheat, changes, loadG }: Omit<TripLevels, 'massG'>): number[] =>
	[penalty, overheat, changes, loadG].map((value) => Math.round(value * 100) / 100);

describe('the plan of a whole trip', () => {
	it('equals brute force in all four levels, with pins, bans and a pack that is too small', () => {
		let bound = 0;
		let wished = 0;
		fc.assert(
			fc.property(cases, (one) => {
				const { trip, client } = tripOfCase(one);
				const problem = tripDays(trip, client, wardrobesOf(client).first);
				const constraints = constraintsOf(wishesOf(one), problem);
				const least = bruteForce(problem, constraints);
				const found = finished(solveWithRoom(new TripSolver(problem), constraints, {}, 1e5));
				if (found?.fits === false) bound++;
				if (one.wishes.length > 0) wished++;
				if (!least) {
					expect(found === null || !found.fits).toBe(true);
					return;
				}
				expect(found!.fits).toBe(true);
				expect(found!.choice.levelsProven && found!.choice.massProven).toBe(true);
				// Hands, feet and eyes have nothing here: what they are penalised for is the same whatever is worn.
				const { penalty: _, ...levels } = found!.choice.levels;
				const own = { ...levels, penalty: found!.choice.bodyLevels.penalty };
				expect(asList(own)).toEqual(least.map((value) => Math.round(value * 100) / 100));
				const free = finished(new TripSolver(problem).solve(constraints))!;
				if (less(asList(free.levels), asList(found!.choice.levels))) bound++;
			}),
			{ numRuns: 520 }
		);
		// The cases are about something.
		expect(bound).toBeGreaterThan(5);
		expect(wished).toBeGreaterThan(100);
	});

	const someTrip = fc.record({
		one: cases,
		more: fc.constantFrom(...POOL)
	});
	const levelsOf = (trip: Trip, client: Client, spareChanges = 0): number[] =>
		asList(planTrip({ trip, client, spareChanges }).choice.levels);

	it('is no worse with one thing more', () => {
		fc.assert(
			fc.property(someTrip, ({ one, more }) => {
				// Covering parts that nothing covered before changes what is legal, so both kits cover torso and legs.
				const kit = [...new Set(['top-synthetic', 'trousers-soft-shell', ...one.kit])];
				const { trip, client } = tripOfCase({ ...one, kit, roomL: 60 });
				const richer = tripOfCase({ ...one, kit: [...new Set([...kit, more])], roomL: 60 }).client;
				const plans = [client, richer].map((own) => planTrip({ trip, client: own }));
				// What is wet differs with what is worn: where it is heeded, levels cannot be compared.
				fc.pre(plans.every(({ problem }) => problem.days.every(({ wet }) => waterKey(wet) === '')));
				const [poor, rich] = plans.map(({ choice }) => asList(choice.levels));
				expect(less(poor!, rich!)).toBe(false);
			}),
			{ numRuns: 60 }
		);
	});
	it('is the same without what stays at home', () => {
		fc.assert(
			fc.property(cases, (one) => {
				const { trip, client } = tripOfCase(one);
				const plan = planTrip({ trip, client });
				const worn = new Set(
					[...plan.choice.taken].map((thing) => plan.problem.wardrobe.cloths[thing]!.thingId)
				);
				const lean = {
					...client,
					things: client.things.filter(({ id }) => worn.has(id) || id === 'pack-small')
				};
				// What covers torso or legs decides what is legal: leave such kits out.
				fc.pre(
					lean.things.some(({ id }) => id.startsWith('top')) &&
						lean.things.some(({ id }) => id.startsWith('trousers'))
				);
				expect(levelsOf(trip, lean)).toEqual(asList(plan.choice.levels));
			}),
			{ numRuns: 60 }
		);
	});
	it('costs as much again for a phase that is lived twice', () => {
		fc.assert(
			fc.property(cases, (one) => {
				const { trip, client } = tripOfCase({ ...one, stages: [one.stages[0]!], roomL: 60 });
				const twice = {
					...trip,
					stages: [trip.stages[0]!, { ...trip.stages[0]!, id: 'again', date: '2027-01-11' }]
				};
				const once = planTrip({ trip, client });
				const both = planTrip({ trip: twice, client });
				const { penalty, overheat, changes, loadG } = once.choice.levels;
				expect(asList(both.choice.levels)).toEqual(
					asList({ penalty: 2 * penalty, overheat: 2 * overheat, changes: 2 * changes, loadG })
				);
			}),
			{ numRuns: 40 }
		);
	});
	it('weighs no more when more changes are allowed', () => {
		fc.assert(
			fc.property(cases, (one) => {
				const { trip, client } = tripOfCase({ ...one, roomL: 60 });
				const masses = [0, 1, 3].map((spare) => levelsOf(trip, client, spare)[3]!);
				expect(masses[1]).toBeLessThanOrEqual(masses[0]!);
				expect(masses[2]).toBeLessThanOrEqual(masses[1]!);
			}),
			{ numRuns: 60 }
		);
	});
});
