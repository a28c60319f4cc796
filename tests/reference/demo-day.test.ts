import { describe, expect, it } from 'vitest';
import { personOf } from '../../src/lib/core/conditions/person';
import { holdsWithoutOver } from '../../src/lib/core/judge/what-helps';
import { planStage } from '../../src/lib/core/plan/planner';
import { DEMO_DOCUMENT } from '../../src/lib/formats/demo';

/**
 * The demo's ski-tour day, phase by phase (a check of sense, common practice, no source): a well-equipped client is right
 * or cool all day in base, mid and soft shell, with a big coat for the stops; without it the long stop does not hold.
 */
const { trip, clients } = DEMO_DOCUMENT;
const [runa, teo] = [clients[0]!, clients[1]!];
const planOf = (client: typeof runa, day: number) => planStage(trip.stages[day]!, trip.weathers[0]!, client);
const types = (plan: ReturnType<typeof planOf>, phaseId: string): string[] =>
	plan.phases.find(({ cell }) => cell.phaseId === phaseId)!.outfit.map(({ cloth }) => cloth.typeId);

describe('a ski tour at −3 to −11 °C, well equipped', () => {
	const plan = planOf(runa, 0);
	it.each([
		['1-drive', ['right']],
		['1-skins', ['right']],
		['1-forest', ['right']],
		['1-open', ['right']],
		['1-last', ['right']],
		['1-top', ['right', 'cool']],
		['1-descent', ['right', 'cool']],
		['1-tea', ['right', 'cool']],
		['1-climb', ['right', 'cool']],
		['1-change', ['right', 'cool']],
		['1-run', ['right', 'cool']],
		['1-wait', ['right', 'cool']],
		['1-night', ['right']]
	])('%s is one of %j', (phaseId, verdicts) => {
		expect(verdicts).toContain(plan.phases.find(({ cell }) => cell.phaseId === phaseId)!.verdict);
	});
	it('climbs without the big coat, in wool and soft shell', () => {
		for (const phaseId of ['1-forest', '1-open']) {
			expect(types(plan, phaseId)).toEqual(expect.arrayContaining(['top-wool-mid', 'soft-shell']));
			expect(types(plan, phaseId)).not.toContain('coat-synthetic');
		}
	});
	it('has the big coat on at the long stop, out of the pack, and would be short without it', () => {
		expect(types(plan, '1-last')).toContain('coat-synthetic');
		const climb = plan.phases.find(({ cell }) => cell.phaseId === '1-open')!;
		expect(climb.carried.find(({ thingId }) => thingId.includes('coat'))!.where).toBe('top');
		const stop = plan.phases.find(({ cell }) => cell.phaseId === '1-last')!;
		// The change-over follows at the same place.
		const change = plan.phases.find(({ cell }) => cell.phaseId === '1-top')!;
		expect(holdsWithoutOver(stop, personOf(runa))!.minutes!).toBeLessThan(
			stop.cell.minutes + change.cell.minutes
		);
	});
	it('has no blocker on either day', () => {
		for (const day of [0, 1])
			expect(planOf(runa, day).findings.filter(({ severity }) => severity === 'blocker')).toEqual([]);
	});
});

describe('the same tour with honest gaps', () => {
	it('is short at the long stop, with the minutes said', () => {
		const stop = planOf(teo, 0).phases.find(({ cell }) => cell.phaseId === '1-last')!;
		expect(stop.verdict).toBe('short');
		expect(stop.holdsMinutes!).toBeGreaterThan(5);
		expect(stop.holdsMinutes!).toBeLessThan(20);
	});
	it.each([
		[0, 'short'],
		[0, 'cotton-next-to-skin'],
		[0, 'no-spare-gloves'],
		[0, 'missing'],
		[1, 'wet-through']
	])('day %d: %s', (day, code) => {
		expect(planOf(teo, day).findings.map((finding) => finding.code)).toContain(code);
	});
});

describe('feet in boots (a fact of the trade, common practice)', () => {
	it.each([runa, teo])('nobody takes the socks off on the way because they are wet', (client) => {
		for (const weather of trip.weathers)
			for (const stage of trip.stages)
				for (const { outfit, cell } of planStage(stage, weather, client).phases) {
					const slots = outfit.map(({ cloth }) => cloth.slot);
					if (slots.includes('footwear') && cell.kind !== 'what-if') expect(slots).toContain('sock');
				}
	});
});
