import { describe, expect, it } from 'vitest';
import { documentOf, kitOf, phaseOf, stageOf } from '../../../../tests/fixtures/make';
import { DEMO_DOCUMENT } from '../../formats/demo';
import { COAST_DOCUMENT } from '../../formats/demo-coast';
import type { Client, Document, Phase, Stage } from '../document/types';
import type { Wish } from '../document/wish';
import type { FixedOutfit } from '../document/worn';
import type { PlannedStage } from '../kit/planned-day';
import { finished } from '../search/steps';
import { seeded } from '../seeded';
import { threeWeathers } from '../weather/climate';
import { schooled } from '../conditions/person';
import { type DocumentWishes, TripPlanner, documentSteps, planStage, plannedDay } from './planner';
import { quickCheck } from './told/quick-check';
import { type PhaseSummary, isNotAllRight, phasesOf, tripSummary } from './told/summary';
import { clientChanges, phasesAsPlanned } from './verdict-changes';

/** Whoever asks for a plan, in whatever way, gets the same outfits and the same verdicts. */
const KIT = ['briefs', 'top-wool-light', 'top-cotton', 'fleece', 'fleece-thin', 'soft-shell', 'rain-shell', 'hard-shell', 'coat-synthetic', 'jacket-down-light', 'bottoms-wool', 'trousers-trek', 'trousers-soft-shell', 'trousers-rain', 'overtrousers-warm', 'jeans', 'sock-mid', 'sock-heavy', 'boot-hiking', 'boot-winter', 'glove-liner', 'glove-winter', 'mitten', 'hat-warm', 'cap-thin', 'neck-tube', 'sunglasses', 'goggles', 'pack-day', 'bag-three-season']; // prettier-ignore
const KINDS = ['move', 'stop', 'ride', 'indoors', 'what-if', 'sleep'] as const;
const PLACES = ['in', 'cold-in', 'lee', 'slope', 'ridge', 'forest'] as const;

interface Case {
	document: Document;
	client: Client;
	wished: DocumentWishes;
}

/** A small trip: one or two days of a few phases, sometimes a loop or foul weather, with some things of a kit. */
function caseOf(seed: number): Case {
	const random = seeded(seed * 104_729 + 7);
	const whole = (least: number, most: number): number => Math.floor(least + (most - least + 1) * random());
	const pick = <T>(list: readonly T[]): T => list[whole(0, list.length - 1)]!;
	const phase = (index: number): Phase => {
		const kind = pick(KINDS);
		const effort = kind === 'move' ? whole(150, 300) : kind === 'sleep' ? 45 : whole(65, 110);
		return phaseOf([kind, whole(8, 70), effort, kind === 'sleep' ? 'bed' : pick(PLACES)], index);
	};
	const sequence = (from: number, many: number): Stage['sequence'] =>
		Array.from({ length: many }, (_, i) => phase(from + i));
	const stages = Array.from({ length: whole(1, 2) }, (_, day): Stage => {
		const phases = sequence(day * 100, whole(0, 4));
		const loop = { type: 'loop', id: `loop-${day}`, name: 'Loop', count: whole(2, 3) } as const;
		return stageOf(
			[],
			{
				airTempC: whole(-18, 12),
				wind10mKmh: whole(0, 60),
				precipitation: pick(['dry', 'dry', 'rain'] as const)
			},
			{
				id: `day-${day}`,
				date: `2027-01-2${day}`,
				bed: { kind: pick(['heated', 'tent'] as const), washing: false, drying: 'nothing' },
				sequence: random() < 0.3 ? [...phases, { ...loop, sequence: sequence(day * 100 + 50, 2) }] : phases,
				foul:
					random() < 0.2
						? {
								name: 'Foul',
								sequence: sequence(day * 100 + 70, 2),
								bed: { kind: 'hut', washing: false, drying: 'nothing' }
							}
						: null
			}
		);
	});
	const client = kitOf(KIT.filter(() => random() < 0.5));
	const base = documentOf(stages, [client]);
	const weathers = random() < 0.5 ? threeWeathers() : base.trip.weathers;
	const ids = client.things.map(({ id }) => id);
	const given = stages.flatMap((stage): FixedOutfit[] =>
		stage.sequence.flatMap((item) =>
			item.type === 'phase' && random() < 0.25 && ids.length > 0
				? [
						{
							stageId: stage.id,
							phaseId: item.id,
							worn: ids
								.filter(() => random() < 0.3)
								.map((thingId) => ({ thingId, opening: 'closed' as const }))
						}
					]
				: []
		)
	);
	const wishes: Wish[] =
		ids.length > 0 && random() < 0.3 ? [{ kind: pick(['take', 'leave'] as const), thingId: pick(ids) }] : [];
	return {
		document: { ...base, trip: { ...base.trip, weathers } },
		client,
		wished: { fixed: random() < 0.4 ? given : [], wishes, spareChanges: random() < 0.2 ? 2 : 0 }
	};
}

const outfitsOf = (stages: readonly PlannedStage[]): unknown[] =>
	stages.flatMap(({ weather, stageId, foul, phases, takenIds }) => [
		[weather, stageId, foul, takenIds],
		...phases.map(({ cell, outfit, verdict, holdsMinutes, limitedBy }) => [
			cell.phaseId,
			cell.round,
			outfit.map(({ cloth, position, opening }) => [cloth.thingId, position, opening]),
			verdict,
			holdsMinutes,
			limitedBy
		])
	]);
const inOrder = (phases: readonly PhaseSummary[]): string[] =>
	phases.map((phase) => JSON.stringify(phase)).sort();

function asksInEveryWay({ document, client, wished }: Case): void {
	const { fixed = [], wishes = [], spareChanges = 0 } = wished;
	const own = schooled(client, document);
	// The list and the API.
	const listed = finished(documentSteps(document, client, wished));
	// The page: as it hurries, told a day at a time.
	const planner = new TripPlanner(document.trip, own, undefined, fixed);
	const plan = finished(planner.plan(wishes, spareChanges, undefined, () => true));
	const paged = plan.problem.days.map((day) => plannedDay(plan, day)!);
	const byPlace = (stages: readonly PlannedStage[]): PlannedStage[] =>
		[...stages].sort((a, b) =>
			`${a.weather} ${a.stageId} ${a.foul}`.localeCompare(`${b.weather} ${b.stageId} ${b.foul}`)
		);
	expect(outfitsOf(byPlace(paged))).toEqual(outfitsOf(byPlace(listed)));
	// The group.
	const summary = tripSummary(plan);
	expect(inOrder(summary.phases)).toEqual(inOrder(listed.flatMap(phasesOf)));
	// Who changes: against a trip that was not there, everything is new.
	const nothing = { ...document, clients: [] };
	for (const { id: weatherId } of document.trip.weathers.slice(-1)) {
		const changes = finished(
			clientChanges(
				{ document: nothing, weatherId },
				{ document, weatherId },
				client.id,
				phasesAsPlanned(wished)
			)
		);
		for (const { stageId, foul, phaseId, round, from, to } of changes) {
			expect(from).toBeNull();
			const phase = summary.phases.find(
				(one) =>
					one.weather === weatherId &&
					one.stageId === stageId &&
					one.foul === foul &&
					one.phaseId === phaseId &&
					one.round === round
			)!;
			const { verdict, holdsMinutes, limitedBy } = phase;
			expect(to).toEqual({ verdict, holdsMinutes, limitedBy });
		}
	}
	// A stage by itself, where the trip has no other and nothing is wished.
	const [stage] = document.trip.stages;
	const alone = document.trip.stages.length === 1 && document.trip.weathers.length === 1 && !stage!.foul;
	if (alone && wishes.length === 0 && spareChanges === 0)
		expect(
			outfitsOf([planStage(stage!, document.trip.weathers[0]!, own, fixed, document.trip.site)])
		).toEqual(outfitsOf(listed));
	// The quick check of a thing that nobody has, in place of its kind.
	if (fixed.length > 0 || wishes.length > 0 || document.trip.stages.length > 1) return;
	const answer = finished(quickCheck(document.trip, own, { typeId: 'poncho', massG: null, wornOut: false }));
	if (!answer.yes) return;
	const asked = answer.insteadOf.length;
	expect(asked).toBeGreaterThanOrEqual(0);
	expect(answer.failing + answer.failingAnyway).toBe(0);
}

describe('one planner', () => {
	it.each([
		['the demo on skis', DEMO_DOCUMENT],
		['the demo along the shore', COAST_DOCUMENT]
	])(
		'answers alike in every way: %s',
		(_, document) => {
			for (const client of document.clients) asksInEveryWay({ document, client, wished: {} });
		},
		240_000
	);
	it('answers alike in every way for 200 small documents', () => {
		for (let seed = 1; seed <= 200; seed++) asksInEveryWay(caseOf(seed));
	}, 240_000);

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
	}, 120_000);

	it('judges an illegal outfit as it is given, and dresses the other phases around it', () => {
		const client = kitOf(KIT);
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
			const document = documentOf([stageOf([], {}, { sequence })], [kitOf(KIT)]);
			const [planned] = finished(documentSteps(document, document.clients[0]!));
			expect(planned!.phases).toHaveLength(sequence.length);
			const plan = tripSummary(finished(new TripPlanner(document.trip, document.clients[0]!).plan()));
			expect(plan.phases.filter(isNotAllRight).every(({ verdict }) => verdict !== 'right')).toBe(true);
			expect(plan.daysDone).toBe(1);
		}
	});
});
