import { PARTS } from '$lib/core/document/parts';
import { METRIC } from '$lib/words/units';
import { describe, expect, it } from 'vitest';
import { kitOf, stageOf, tripOf } from '../../../../tests/fixtures/make';
import { planTrip, plannedDay } from '../../core/plan/planner';
import { whyFelt, whyVerdict } from './plan-why';

const client = {
	...kitOf(['briefs', 'top-wool-mid', 'fleece', 'soft-shell', 'coat-synthetic', 'bottoms-wool', 'trousers-soft-shell', 'sock-mid', 'boot-winter', 'mitten', 'hat-warm', 'neck-tube'], { answeredParts: [...PARTS] }),
	name: 'Runa Fjellby'
}; // prettier-ignore
const trip = tripOf([
	stageOf(
		[
			['indoors', 30, 70, 'in', { name: 'Breakfast' }],
			['move', 70, 280, 'forest', { name: 'Climb' }],
			['stop', 60, 75, 'ridge', { name: 'Top' }]
		],
		{ airTempC: -12, wind10mKmh: 30 }
	)
]);
const plan = planTrip({ trip, client });
const [breakfast, climb, top] = plannedDay(plan, plan.problem.days[0]!)!.phases;

describe('what opens behind a verdict', () => {
	it('says for whom, how long it holds, and from which clothes on', () => {
		const { title, sentence, lines, reasons } = whyVerdict(top!, client);
		expect(title).toMatch(/^Top: /);
		expect(sentence).toMatch(/^Runa stays warm for \d+ of 60 min/);
		const labels = lines!.map(({ label }) => label);
		expect(labels).toContain('Worn, in this wind and movement');
		expect(labels).toContain('Holds these 60 min from');
		const limit = (part: string): string => lines!.find(({ label }) => label === part)!.text;
		expect(limit('The whole body')).toMatch(/^\d+ of 60 min$/);
		expect([limit('Fingers'), limit('Toes')].join()).toMatch(/no limit|of 60 min|these 60 and more/);
		expect(reasons.length).toBeGreaterThan(2);
	});
	it('says what the coat is worth where one is on', () => {
		const without = whyVerdict(top!, client).lines!.find(({ label }) => label.startsWith('The body without'));
		expect(without!.text).toMatch(/^holds (\d+ of 60 min|\d+ min, these 60 and more|as well)$/);
	});
	it('says from where on it is too warm at work, and has no band in a warm room', () => {
		expect(whyVerdict(climb!, client).lines!.map(({ label }) => label)).toContain('Too warm here from');
		expect(whyVerdict(breakfast!, client).lines!.map(({ label }) => label)).not.toContain('The whole body');
	});
	it('opens the weather of a phase to its reasons', () => {
		const { title, sentence, reasons } = whyFelt(top!, METRIC);
		expect(title).toMatch(/^Top: −?-?12 °C, feels like/);
		expect(sentence).toMatch(/m\/s of air past the body, effort 75 W\/m²/);
		expect(reasons).toHaveLength(6);
	});
});
