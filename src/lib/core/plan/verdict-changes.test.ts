import { describe, expect, it } from 'vitest';
import { PLANNED, kitOf, stageOf } from '../../../../tests/fixtures/make';
import { planStage } from './planner';
import { phasesOf } from './told/summary';
import { changedVerdicts } from './verdict-changes';

const KIT = [
	'top-wool-mid',
	'fleece',
	'hard-shell',
	'trousers-soft-shell',
	'boot-winter',
	'sock-mid',
	'hat-warm',
	'glove-winter'
];
const stage = stageOf(
	[
		['move', 60, 200, 'slope'],
		['stop', 40, 75, 'slope']
	],
	{ airTempC: 2 }
);
const planIn = (tempOffsetK: number) => phasesOf(planStage(stage, { ...PLANNED, tempOffsetK }, kitOf(KIT)));

describe('changed verdicts', () => {
	it('are none when nothing changed', () => {
		expect(changedVerdicts(planIn(0), planIn(0))).toEqual([]);
	});
	it('say which phase, from what to what', () => {
		const changes = changedVerdicts(planIn(0), planIn(-16));
		expect(changes.map(({ name }) => name)).toContain('Phase 1');
		const stop = changes.find(({ phaseId }) => phaseId === 'phase-1')!;
		expect(['right', 'cool']).toContain(stop.from!.verdict);
		expect(stop.to).toMatchObject({ verdict: 'short' });
		expect(stop.to.holdsMinutes).toBeLessThan(40);
	});
	it('tell a loop once, by the first round that changed', () => {
		const rounds = stageOf([], { airTempC: 2 });
		rounds.sequence = [{ type: 'loop', id: 'l', name: 'L', count: 3, sequence: stage.sequence }];
		const planned = (tempOffsetK: number) =>
			phasesOf(planStage(rounds, { ...PLANNED, tempOffsetK }, kitOf(KIT)));
		const changes = changedVerdicts(planned(0), planned(-20));
		expect(changes.filter(({ phaseId }) => phaseId === 'phase-1')).toHaveLength(1);
	});
	it('tell a phase that is new', () => {
		const [change] = changedVerdicts([], planIn(0));
		expect(change!.from).toBeNull();
	});
});
