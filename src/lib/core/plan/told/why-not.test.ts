import { describe, expect, it } from 'vitest';
import { kitOf, stageOf, tripOf } from '../../../../../tests/fixtures/make';
import { whyNotSentence } from '../../../words/asked/price';
import { phasesIn } from '../../document/sequence';
import { finished } from '../../search/steps';
import { TripPlanner } from '../planner';
import { isBetter } from '../choice/trip-choice';
import { priceOf, tripSummary } from './summary';
import { placesFor, whyNot } from './why-not';

const client = kitOf(['briefs', 'top-wool-mid', 'fleece', 'soft-shell', 'hard-shell', 'coat-synthetic', 'coat-down', 'bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-winter', 'mitten', 'hat-warm', 'neck-tube']); // prettier-ignore
const trip = tripOf([
	stageOf(
		[
			['move', 70, 280, 'forest', { name: 'Climb' }],
			['stop', 30, 75, 'ridge', { name: 'Top' }],
			['move', 40, 230, 'slope', { name: 'Down' }],
			['stop', 20, 75, 'lee', { name: 'Tea' }]
		],
		{ airTempC: -9, wind10mKmh: 25 }
	)
]);
const planner = new TripPlanner(trip, client);
const plan = finished(planner.plan());
const heavier = tripSummary(plan).leftIds.find((id) => id.startsWith('coat'))!;

describe('why a thing stays at home', () => {
	it('looks first where most of its kind is worn', () => {
		const [first] = placesFor(plan, heavier);
		const phase = phasesIn(trip.stages[0]!.sequence).find(({ id }) => id === first!.phaseId)!;
		expect(['Top', 'Tea']).toContain(phase.name);
		expect(placesFor(plan, heavier)).toHaveLength(4);
		expect(placesFor(plan, heavier, 2)).toHaveLength(2);
		expect(placesFor(plan, 'nothing of the kind')).toEqual([]);
	});
	it('finds the phase in which it costs least: no other one is better', () => {
		const found = finished(whyNot(planner, plan, heavier))!;
		expect(found.plan.choice.taken.size).toBeGreaterThan(0);
		for (const { id } of phasesIn(trip.stages[0]!.sequence)) {
			const place = { stageId: trip.stages[0]!.id, phaseId: id };
			const other = finished(planner.plan([{ kind: 'wear', thingId: heavier, ...place }]));
			if (other.impossible.length > 0) continue;
			expect(isBetter(other.choice.levels, found.plan.choice.levels)).toBe(false);
		}
	});
	it('says where, and what it costs', () => {
		const found = finished(whyNot(planner, plan, heavier))!;
		const price = priceOf(tripSummary(plan), tripSummary(found.plan));
		expect(whyNotSentence('Other coat', found.place, price, trip, 'Teo')).toMatch(
			/^Worn instead, other coat fits best in “(Top|Tea|Climb|Down)”: .+/
		);
		expect(whyNotSentence('Other coat', null, null, trip, 'Teo')).toContain('goes neither over nor under');
	});
	it('stops when it is told to', () => {
		expect(finished(whyNot(planner, plan, heavier, 0, () => true))).toBeNull();
	});
});
