import { describe, expect, it } from 'vitest';
import { asksInEveryWay, caseOf, THIRTY_THINGS } from '../../../../tests/fixtures/every-way';
import { documentOf, kitOf, phaseOf, stageOf } from '../../../../tests/fixtures/make';
import { DEMO_DOCUMENT } from '../../formats/demo';
import { COAST_DOCUMENT } from '../../formats/demo-coast';
import type { FixedOutfit } from '../document/worn';
import type { PlannedStage } from '../kit/planned-day';
import { finished } from '../search/steps';
import { documentSteps, planStage, TripPlanner } from './planner';
import { isNotAllRight, tripSummary } from './told/summary';

describe('one planner', () => {
	it('answers alike in every way: the demo on skis', () => {
		for (const client of DEMO_DOCUMENT.clients)
			asksInEveryWay({ document: DEMO_DOCUMENT, client, wished: {} });
	});
	it('answers alike in every way: the demo along the shore', () => {
		const { trip, clients } = COAST_DOCUMENT;
		// Each client in one of the weathers, in turn: all three at once are asked for on skis, and take three times as long.
		for (const [i, client] of clients.entries()) {
			const weathers = [trip.weathers[i % trip.weathers.length]!];
			asksInEveryWay({ document: { ...COAST_DOCUMENT, trip: { ...trip, weathers } }, client, wished: {} });
		}
	});
	it('judges what it chose in the same way when it is given', () => {
		for (let seed = 201; seed <= 230; seed++) {
			const { document, client } = caseOf(seed);
			const chosen = finished(documentSteps(document, client));
			const fixed = chosen.flatMap(({ weather, stageId, phases }) =>
				phases
					.filter(({ cell }) => cell.kind !== 'sleep')
					.map(({ cell, outfit }): FixedOutfit => ({
						weather,
						stageId,
						phaseId: cell.phaseId,
						round: cell.round,
						worn: outfit.map(({ cloth, opening }) => ({ thingId: cloth.thingId, opening }))
					}))
			);
			const given = finished(documentSteps(document, client, { fixed }));
			const verdicts = (stages: readonly PlannedStage[]): unknown[] =>
				stages.flatMap(({ phases }) =>
					phases.map(({ cell, verdict }) => [cell.phaseId, cell.round, verdict])
				);
			// What is wet in the morning follows from what is worn, so the verdicts of later days agree as well.
			expect(verdicts(given)).toEqual(verdicts(chosen));
		}
	});

	it('judges an illegal outfit as it is given, and dresses the other phases around it', () => {
		const client = kitOf(THIRTY_THINGS);
		const stage = stageOf([
			['move', 40, 250, 'slope'],
			['stop', 25, 80, 'ridge'],
			['move', 40, 200, 'slope']
		]);
		const worn = ['hard-shell', 'top-wool-light', 'coat-synthetic', 'fleece'].map((thingId) => ({
			thingId,
			opening: 'closed' as const
		}));
		const planned = planStage(stage, documentOf([]).trip.weathers[0]!, client, [
			{ stageId: 'stage', phaseId: 'phase-1', worn }
		]);
		expect(planned.phases[1]!.outfit.map(({ cloth }) => cloth.thingId).sort()).toEqual(
			worn.map(({ thingId }) => thingId).sort()
		);
		for (const at of [0, 2]) expect(planned.phases[at]!.outfit.length).toBeGreaterThan(4);
	});

	it('takes a day without phases, or with sleep and what-ifs only, for a day', () => {
		const rows = [[], [phaseOf(['sleep', 480, 45, 'bed'])], [phaseOf(['what-if', 30, 80, 'slope'])]];
		for (const sequence of rows) {
			const document = documentOf([stageOf([], {}, { sequence })], [kitOf(THIRTY_THINGS)]);
			const [planned] = finished(documentSteps(document, document.clients[0]!));
			expect(planned!.phases).toHaveLength(sequence.length);
			const plan = tripSummary(finished(new TripPlanner(document.trip, document.clients[0]!).plan()));
			expect(plan.phases.filter(isNotAllRight).every(({ verdict }) => verdict !== 'right')).toBe(true);
			expect(plan.daysDone).toBe(1);
		}
	});
});
