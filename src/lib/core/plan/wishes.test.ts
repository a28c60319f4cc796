import { describe, expect, it } from 'vitest';
import { kitOf, stageOf, tripOf } from '../../../../tests/fixtures/make';
import { isSameWish, type Wish } from '../document/wish';
import { SequenceSolver } from '../search/solver';
import { finished } from '../search/steps';
import { limitsOf, UNLIMITED } from './choice/constraints';
import { bodySequence } from './day/day-problem';
import { carriedOn, overfull } from './pack-limit';
import { TripPlanner } from './planner';
import { tripDays, wardrobesOf } from './trip-days';
import { TripSolver } from './choice/trip-solver';
import { constraintsOf, idsOf } from './wishes';

const KIT = ['briefs', 'top-wool-mid', 'fleece', 'hard-shell', 'coat-synthetic', 'bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-winter', 'mitten', 'hat-warm', 'neck-tube', 'pack-small']; // prettier-ignore
const client = kitOf(KIT);
const day = (id: string, airTempC: number) =>
	stageOf(
		[
			['move', 60, 280, 'slope', { name: 'Climb' }],
			['stop', 30, 75, 'ridge', { name: 'Top' }],
			['move', 40, 200, 'slope', { name: 'Down' }]
		],
		{ airTempC },
		{ id }
	);
const trip = tripOf([day('first', -6), { ...day('second', -11), date: '2027-01-24' }]);
const problem = tripDays(trip, client, wardrobesOf(client).first);
const indexOf = (id: string): number => problem.wardrobe.cloths.findIndex(({ thingId }) => thingId === id);
const top = problem.days[0]!.cells.find(({ name }) => name === 'Top')!;
const wear: Wish = { kind: 'wear', thingId: 'fleece', stageId: 'first', phaseId: top.phaseId };

describe('wishes', () => {
	it('are the same when they are about the same thing in the same place', () => {
		expect(isSameWish(wear, { ...wear })).toBe(true);
		expect(isSameWish(wear, { ...wear, stageId: 'second' })).toBe(false);
		expect(isSameWish({ kind: 'take', thingId: 'fleece' }, { kind: 'leave', thingId: 'fleece' })).toBe(false);
	});
	it('tell apart what stays at home and what must be looked at', () => {
		const { left, kept } = idsOf([
			{ kind: 'leave', thingId: 'fleece' },
			{ ...wear, thingId: 'hat-warm' }
		]);
		expect([...left]).toEqual(['fleece']);
		expect([...kept]).toEqual(['hat-warm']);
	});
	it('become limits of the days they are about, in every weather', () => {
		const { wornAt, left, taken, preferred } = constraintsOf(
			[
				wear,
				{ kind: 'leave', thingId: 'coat-synthetic' },
				{ kind: 'take', thingId: 'neck-tube' },
				{ kind: 'prefer', thingId: 'hard-shell' }
			],
			problem
		);
		expect(wornAt).toHaveLength(trip.weathers.length);
		expect(wornAt.every(({ thing }) => thing === indexOf('fleece'))).toBe(true);
		expect(wornAt.every(({ day: at, cell }) => problem.days[at]!.cells[cell]!.name === 'Top')).toBe(true);
		expect([[...left], [...taken], [...preferred]]).toEqual([
			[indexOf('coat-synthetic')],
			[indexOf('neck-tube')],
			[indexOf('hard-shell')]
		]);
	});
	it('for things that are not in the kit are no limits', () => {
		const nothing = constraintsOf(
			[
				{ kind: 'take', thingId: 'umbrella' },
				{ ...wear, thingId: 'kite' }
			],
			problem
		);
		expect([nothing.taken.size, nothing.wornAt.length]).toEqual([0, 0]);
	});
	it('are worn where it was wished, and stay at home where it was wished', () => {
		const plan = finished(
			new TripPlanner(trip, client).plan([wear, { kind: 'leave', thingId: 'hard-shell' }])
		);
		expect(plan.impossible).toEqual([]);
		for (const own of plan.problem.days) {
			const outfits = plan.choice.dressed[own.index]!.outfits.map((outfit) =>
				outfit.map(({ cloth }) => cloth.thingId)
			);
			expect(outfits.flat()).not.toContain('hard-shell');
			if (own.stage.id !== 'first') continue;
			expect(outfits[own.cells.findIndex(({ name }) => name === 'Top')]).toContain('fleece');
		}
	});
	it('that cannot be met are let go, and said', () => {
		const plan = finished(new TripPlanner(trip, client).plan([{ kind: 'leave', thingId: 'fleece' }, wear]));
		expect(plan.impossible).toHaveLength(1);
		expect(plan.choice.dressed.every((one) => one !== null)).toBe(true);
	});
});

describe('the limits of a day', () => {
	const own = problem.days.find(({ stage }) => stage.id === 'first')!;
	const solver = new SequenceSolver(
		bodySequence(
			own,
			own.cells.map(() => [])
		)
	);
	const things = new Set(solver.things);
	it('leave all open without a wish', () => {
		const { allows, at } = limitsOf(UNLIMITED, own, solver, things);
		expect([...things].every(allows)).toBe(true);
		expect(at).toBeUndefined();
	});
	it('shut a thing that stays at home, or away from this stage only', () => {
		const fleece = indexOf('fleece');
		const left = { ...UNLIMITED, left: new Set([fleece]) };
		expect(limitsOf(left, own, solver, things).allows(fleece)).toBe(false);
		const away = { ...UNLIMITED, leftOn: new Map([['second', new Set([fleece])]]) };
		expect(limitsOf(away, own, solver, things).allows(fleece)).toBe(true);
		const second = problem.days.find(({ stage }) => stage.id === 'second')!;
		expect(limitsOf(away, second, solver, things).allows(fleece)).toBe(false);
	});
	it('leave only stacks with the thing where it has to be worn, and differ in their key', () => {
		const fleece = indexOf('fleece');
		const pinned = { ...UNLIMITED, wornAt: [{ day: own.index, cell: 1, thing: fleece }] };
		const { at, key } = limitsOf(pinned, own, solver, things);
		const [trunk, legs] = at!.get(1)! as [Uint8Array, Uint8Array];
		trunk.forEach((open, option) =>
			expect(open === 1).toBe(solver.sequence.uses(0, option).includes(fleece))
		);
		expect(legs.every((open) => open === 1)).toBe(true);
		expect(key).not.toBe(limitsOf(UNLIMITED, own, solver, things).key);
	});
});

describe('the room in the pack', () => {
	const withPack = (holdsL: number) => {
		const things = client.things.map((thing) =>
			thing.id === 'pack-small'
				? {
						...thing,
						facts: { holdsL: { value: holdsL, source: 'measured' as const, state: 'has' as const } }
					}
				: thing
		);
		return tripDays(trip, { ...client, things }, wardrobesOf({ ...client, things }).first);
	};
	it('carries on a stage what is worn there in any weather', () => {
		const choice = finished(new TripSolver(problem).solve(UNLIMITED))!;
		const carried = carriedOn(problem, choice);
		for (const own of problem.days)
			for (const { cloth } of choice.dressed[own.index]!.outfits.flat())
				expect(carried.get(own.stage.id)!.has(indexOf(cloth.thingId))).toBe(true);
	});
	it('is enough in a large pack, and names the fullest phase and what is inside of one that is too small', () => {
		const large = withPack(80);
		expect(overfull(large, finished(new TripSolver(large).solve(UNLIMITED))!)).toBeNull();
		const small = withPack(5);
		const full = overfull(small, finished(new TripSolver(small).solve(UNLIMITED))!)!;
		expect(full.litres).toBeGreaterThan(5);
		expect(full.inside.length).toBeGreaterThan(0);
		// On the top more is worn, so less is inside.
		expect(['Climb', 'Down']).toContain(full.day.cells[full.cell]!.name);
	});
});
