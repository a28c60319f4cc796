import { describe, expect, it } from 'vitest';
import { kitOfSixty, longTrip, loopTrip } from '../../../../tests/fixtures/long-trip';
import { PENALTY } from '../rules/objective';
import { finished } from '../search/steps';
import { schooled } from '../conditions/person';
import { plannedDay, type TripPlan, TripPlanner, verdictsOn } from './planner';
import { tripSummary } from './told/summary';
import { searchedIds } from './trip-days';
import { isBetter, type TripLevels } from './choice/trip-choice';

const long = longTrip(2, 1).document;
const document = { ...long, trip: { ...long.trip, weathers: long.trip.weathers.slice(0, 1) } };
const client = schooled(kitOfSixty(2), document);
const planner = new TripPlanner(document.trip, client);
const plan = finished(planner.plan());
const summary = tripSummary(plan);
const searched = searchedIds(plan.problem.wardrobe);

describe('a kit that is too large to be searched whole', () => {
	it('is searched whole behind its core, and its lightest set is not called proven', () => {
		expect(plan.problem.wardrobe.cut).toBe(true);
		expect(plan.choice.isWhole).toBe(true);
		expect(summary.cut).toBe(false);
		expect(plan.proven).toBe(false);
	});
	it('is not thinned anew for a wish for what is looked at anyway', () => {
		const home = summary.leftIds.find((id) => searched.has(id))!;
		const { problem, choice } = finished(planner.plan([{ kind: 'take', thingId: home }]));
		expect(problem.wardrobe).toBe(plan.problem.wardrobe);
		expect([...choice.taken].map((thing) => problem.wardrobe.cloths[thing]!.thingId)).toContain(home);
		expect(choice.levels).toMatchObject({
			...plan.choice.levels,
			massG: expect.any(Number),
			loadG: expect.any(Number)
		});
	});
	it('shows a wished thing as luggage at once, before anything is searched', () => {
		const out = summary.leftIds.find((id) => !searched.has(id))!;
		const first = planner.plan([{ kind: 'take', thingId: out }]).next();
		const soFar = first.done ? null : first.value.soFar;
		const ids = (one: typeof plan): string[] =>
			[...one.choice.taken].map((thing) => one.problem.wardrobe.cloths[thing]!.thingId).sort();
		expect(ids(soFar!)).toEqual([...ids(plan), out].sort());
		const { massG } = plan.problem.wardrobe.cloths.find(({ thingId }) => thingId === out)!;
		expect(soFar!.choice.levels).toEqual({
			...plan.choice.levels,
			massG: plan.choice.levels.massG + massG,
			// A piece counts 100 g beside its own.
			loadG: plan.choice.levels.loadG + massG + 100
		});
		expect(soFar!.proven).toBe(false);
		expect(planner.plan([{ kind: 'leave', thingId: out }]).next().value).not.toHaveProperty('soFar.choice');
	});
	it('takes up what was left out when it is wished for', () => {
		const out = summary.leftIds.find((id) => !searched.has(id))!;
		const { problem, choice, impossible } = finished(planner.plan([{ kind: 'take', thingId: out }]));
		expect(impossible).toEqual([]);
		expect([...choice.taken].map((thing) => problem.wardrobe.cloths[thing]!.thingId)).toContain(out);
	});
	it('looks for something else in place of what stays at home', () => {
		const coat = summary.takenIds.find((id) => id === 'coat-synthetic' || id === 'fleece')!;
		const banned = finished(planner.plan([{ kind: 'leave', thingId: coat }]));
		expect(tripSummary(banned).takenIds).not.toContain(coat);
		expect(banned.problem.wardrobe).not.toBe(plan.problem.wardrobe);
	});
});

describe('the set that one has', () => {
	const colder = (tempOffsetK: number): typeof document.trip => ({
		...document.trip,
		weathers: document.trip.weathers.map((weather) => ({
			...weather,
			tempOffsetK: weather.tempOffsetK + tempOffsetK
		}))
	});
	const planAt = (tempOffsetK: number, last: readonly string[] | null): TripPlan =>
		finished(new TripPlanner(colder(tempOffsetK), client, undefined, [], new Map(), last).plan());
	it('stays when it gets a quarter of a degree colder or warmer', () => {
		let last = summary.takenIds;
		for (const offsetK of [0.25, 0.5]) {
			const next = tripSummary(planAt(offsetK, last)).takenIds;
			const changed = [
				...next.filter((id) => !last.includes(id)),
				...last.filter((id) => !next.includes(id))
			];
			expect(changed.length).toBeLessThanOrEqual(2);
			last = next;
		}
	});
	it('never costs a verdict word', () => {
		const other = tripSummary(planAt(-4, null)).takenIds;
		const words = (one: TripPlan): number =>
			one.problem.days
				.flatMap((day) => verdictsOn(one, day)!)
				.filter(({ verdict }) => verdict !== 'right' && verdict !== 'warm').length;
		expect(words(planAt(0, other))).toBeLessThanOrEqual(words(plan));
	});
});

describe('the days of a plan', () => {
	it('are judged and shown from the same search', () => {
		for (const day of plan.problem.days) {
			const verdicts = verdictsOn(plan, day)!;
			const shown = plannedDay(plan, day)!;
			expect(shown.weather).toBe(day.weather.id);
			const lived = shown.phases.filter(({ cell }) => cell.kind !== 'what-if');
			expect(lived.map(({ verdict }) => verdict)).toEqual(
				verdicts.filter(({ cell }) => cell.kind !== 'what-if').map(({ verdict }) => verdict)
			);
		}
	});
	it('are left out where the search was stopped before them, and the rest stays', () => {
		let days = 0;
		const steps = planner.plan([{ kind: 'prefer', thingId: summary.leftIds[0]! }], 0, () => days > 0);
		let step = steps.next();
		for (; !step.done; step = steps.next()) if (step.value.task === 'days') days = step.value.done;
		const { choice, problem } = step.value;
		expect(choice.dressed.filter((one) => one !== null).length).toBeGreaterThan(0);
		for (const day of problem.days)
			expect(plannedDay(step.value, day) === null).toBe(choice.dressed[day.index] === null);
	});
	it('come out the same however often they are planned', () => {
		const again = finished(new TripPlanner(document.trip, client).plan());
		expect(again.choice.levels).toEqual(plan.choice.levels);
		expect([...again.choice.taken].sort()).toEqual([...plan.choice.taken].sort());
	});
});

/** Some days of a trip with loops, in one weather or all. */
function loopPlan(kind: 'lifts' | 'climb', seed: number, days: number, weathers = 3): TripPlan {
	const { document, client } = loopTrip(kind, seed);
	const { stages, weathers: all } = document.trip;
	const trip = { ...document.trip, stages: stages.slice(0, days), weathers: all.slice(0, weathers) };
	return finished(new TripPlanner(trip, schooled(client, document)).plan());
}

const lifts = loopPlan('lifts', 4, 1, 2);

describe('a hair’s breadth of warmth', () => {
	it('makes nobody change at every ride of a lift', () => {
		// In the cold snap the coat goes on for the rides: without it they are cool.
		for (const day of lifts.problem.days.filter(({ weather }) => weather.id !== 'cold-snap')) {
			const rides = day.all.filter(({ kind }) => kind === 'ride').length;
			expect(rides).toBeGreaterThanOrEqual(10);
			expect(lifts.choice.dayLevels[day.index]!.changes).toBeLessThan(rides);
		}
	});
});

describe('a plan that is wanted in a hurry', () => {
	const { document, client } = loopTrip('lifts', 4);
	const { stages, weathers } = document.trip;
	const trip = { ...document.trip, stages: stages.slice(0, 2), weathers: weathers.slice(0, 1) };
	const guest = schooled(client, document);
	it('dresses every day, is never better than the one that is searched, and does not change that', () => {
		const steps = new TripPlanner(trip, guest).plan([], 0, undefined, () => true);
		let first: TripPlan | null = null;
		let step = steps.next();
		for (; !step.done; step = steps.next()) first ??= step.value.soFar;
		const searched = finished(new TripPlanner(trip, guest).plan());
		expect(step.value.choice.levels).toEqual(searched.choice.levels);
		expect([...step.value.choice.taken].sort()).toEqual([...searched.choice.taken].sort());
		expect(first!.proven).toBe(false);
		expect(first!.choice.levelsProven).toBe(false);
		expect(searched.choice.isWhole).toBe(true);
		expect(isBetter(first!.choice.levels, searched.choice.levels)).toBe(false);
		for (const day of first!.problem.days) {
			const { length } = day.all.filter(({ kind }) => kind !== 'sleep' && kind !== 'what-if');
			expect(first!.choice.dressed[day.index]!.outfits).toHaveLength(length);
			expect(verdictsOn(first!, day)!.length).toBeGreaterThanOrEqual(length);
		}
	});
});

describe('levels', () => {
	const BAD: readonly string[] = ['short', 'wet through', 'nothing suffices'];
	it.each([
		['a trek', plan],
		['lifts, ten rounds', lifts],
		['lifts, with two pairs of socks that squeeze each other', loopPlan('lifts', 7, 1, 1)],
		['a climb with too thin a kit', loopPlan('climb', 4, 1, 1)]
	])('say what the verdicts say, every round counted: %s', (_, own) => {
		for (const day of own.problem.days) {
			const verdicts = verdictsOn(own, day)!
				.filter(({ cell }) => cell.kind !== 'what-if' && cell.kind !== 'sleep')
				.map(({ verdict }) => verdict);
			const { penalty, overheat } = own.choice.dayLevels[day.index]!;
			const told = verdicts.filter((verdict) => BAD.includes(verdict) || verdict === 'cool');
			if (told.length > 0) expect(penalty).toBeGreaterThanOrEqual(PENALTY.word * told.length);
			if (penalty < PENALTY.word) expect(told).toEqual([]);
			if (overheat === 0) expect(verdicts.filter((verdict) => verdict.startsWith('warm'))).toEqual([]);
		}
	});
	it('are the same for a loop and for its rounds written out one by one', () => {
		const { document, client } = loopTrip('lifts', 6);
		const trip = {
			...document.trip,
			weathers: document.trip.weathers.slice(0, 1),
			stages: document.trip.stages.slice(0, 1)
		};
		const written = {
			...trip,
			stages: trip.stages.map((stage) => ({
				...stage,
				sequence: stage.sequence.flatMap((part) =>
					part.type === 'loop'
						? Array.from({ length: part.count }, (_, round) =>
								part.sequence.map((phase) => ({ ...phase, id: `${phase.id}-${round}` }))
							).flat()
						: [part]
				)
			}))
		};
		const levelsOf = (own: typeof trip): TripLevels =>
			finished(new TripPlanner(own, schooled(client, document)).plan()).choice.levels;
		expect(levelsOf(written)).toEqual(levelsOf(trip));
	});
});
