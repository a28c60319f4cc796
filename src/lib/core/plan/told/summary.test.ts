import { describe, expect, it } from 'vitest';
import { kitOf, stageOf, tripOf } from '../../../../../tests/fixtures/make';
import { priceSentence, priceWords } from '../../../words/asked/price';
import { boundWords } from '../../../words/plan-story';
import { PARTS } from '../../document/parts';
import type { Wish } from '../../document/wish';
import { planTrip } from '../planner';
import { isNotAllRight, priceOf, tripSummary, type TripSummary, worstPhase } from './summary';

const client = kitOf(
	['briefs', 'top-wool-mid', 'fleece', 'fleece-thin', 'soft-shell', 'coat-synthetic', 'bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-winter', 'glove-winter', 'mitten', 'hat-warm', 'neck-tube'],
	{ answeredParts: [...PARTS] }
); // prettier-ignore
const trip = tripOf([
	stageOf(
		[
			['move', 60, 280, 'slope', { name: 'Climb' }],
			['stop', 45, 75, 'slope', { name: 'Top' }]
		],
		{ airTempC: -12, wind10mKmh: 15 }
	)
]);
const summary = (wishes: Wish[] = [], spareChanges = 0): TripSummary =>
	tripSummary(planTrip({ trip, client, wishes, spareChanges }));

describe('the summary of a plan', () => {
	it('names what is taken and what is left, and every phase', () => {
		const { takenIds, leftIds, phases, daysDone, days } = summary();
		expect(takenIds).toContain('coat-synthetic');
		expect(leftIds.some((id) => takenIds.includes(id))).toBe(false);
		expect(phases.map(({ name }) => name)).toEqual(['Climb', 'Top']);
		expect([daysDone, days]).toEqual([1, 1]);
	});
	it('finds the worst phase, by the share of its minutes that holds', () => {
		const [climb, top] = summary().phases;
		const short = { ...top!, verdict: 'short' as const, holdsMinutes: 10 };
		expect(worstPhase([climb!, short])).toBe(short);
		expect(worstPhase([{ ...short, holdsMinutes: 20 }, short])).toBe(short);
		// What begins cold is so from a phase before it, which is the thing to say.
		const holds = { ...short, holdsMinutes: 20 };
		expect(worstPhase([{ ...short, holdsMinutes: 0 }, holds])).toBe(holds);
		expect(worstPhase([])).toBeNull();
		expect(isNotAllRight(short)).toBe(true);
		expect(isNotAllRight({ ...short, whatIf: true })).toBe(false);
	});
	it('says in words how far the bound goes', () => {
		const own = summary();
		expect(boundWords(own)).toMatch(/No smaller load does as well/);
		expect(
			boundWords({ ...own, proven: false, levels: { ...own.levels, loadG: 1020 }, atLeastG: 1000 })
		).toMatch(/Its load is at most 2 % over the smallest possible/);
		expect(boundWords({ ...own, daysDone: 0 })).toMatch(/^Stopped after 0 of 1 days/);
		expect(boundWords({ ...own, fits: false })).toMatch(/Not everything goes into the pack/);
	});
});

describe('the price of a wish', () => {
	it('of leaving the big coat at home is told in minutes and grams', () => {
		const price = priceOf(summary(), summary([{ kind: 'leave', thingId: 'coat-synthetic' }]));
		expect(price.massG).toBeLessThan(0);
		expect(price.phases[0]!.worse).toBe(true);
		expect(priceSentence(price, 'Teo')).toMatch(
			/^Teo (stays warm for \d+ of 45 min in|feels cold in|is cold from the start of) “Top”.*g lighter\.$/
		);
	});
	it('of what is done anyway is nothing', () => {
		const price = priceOf(summary(), summary([{ kind: 'take', thingId: 'coat-synthetic' }]));
		expect(price).toMatchObject({ changes: 0, penalty: 0, massG: 0, phases: [] });
		expect(priceSentence(price, 'Teo')).toMatch(/^It costs nothing/);
	});
	it('of taking a thing that is never needed is its grams', () => {
		const { leftIds } = summary();
		const spare = leftIds[0]!;
		const price = priceOf(summary(), summary([{ kind: 'take', thingId: spare }]));
		expect(price.massG).toBeGreaterThan(0);
		expect(priceWords(price, 'Teo').at(-1)).toMatch(/g heavier$/);
	});
	it('of wearing a thing in a phase has it worn there', () => {
		const plan = planTrip({
			trip,
			client,
			wishes: [{ kind: 'wear', thingId: 'fleece-thin', stageId: 'stage', phaseId: 'phase-0' }]
		});
		expect(plan.impossible).toEqual([]);
		expect(plan.choice.dressed[0]!.outfits[0]!.some(({ cloth }) => cloth.thingId === 'fleece-thin')).toBe(
			true
		);
	});
	it('of a wish that cannot be met is told, and the plan is made without it', () => {
		const bare = kitOf(['top-wool-mid', 'trousers-trek', 'sock-mid', 'boot-hiking']);
		const wishes: Wish[] = [
			{ kind: 'wear', thingId: 'top-wool-mid', stageId: 'stage', phaseId: 'phase-0' },
			{ kind: 'leave', thingId: 'top-wool-mid' }
		];
		const plan = planTrip({ trip, client: bare, wishes });
		expect(plan.impossible.length).toBeGreaterThan(0);
		expect(plan.choice.dressed[0]).not.toBeNull();
	});
});
