import { changedVerdicts, type VerdictChange } from '$lib/core/plan/verdict-changes';
import { foulStage } from '$lib/core/conditions/cells';
import type { Wetness } from '$lib/core/kit/overnight';
import { planStage, wetBefore } from '$lib/core/plan/day-report';
import { type PlannedStage } from '$lib/core/kit/planned-day';
import type { Client, Site, Stage, Weather } from '$lib/core/document/types';

/** One side of a comparison: stages in one weather. */
export interface Side {
	stages: Stage[];
	weather: Weather;
	site: Site | null;
}
export interface CompareRequest {
	before: Side;
	after: Side;
	clients: Client[];
	/** stage that is looked at; it is told first */
	firstStageId: string | null;
}
export type CompareAnswer =
	{ kind: 'step'; done: number; total: number; clientId: string; changes: VerdictChange[] } | { kind: 'end' };

/** Plans that were made before, so that going back and forth costs nothing; the oldest are dropped. */
const known = new Map<string, PlannedStage>();
const MOST_KNOWN = 400;

function plannedFrom(
	stage: Stage,
	{ weather, site }: Side,
	client: Client,
	foul: boolean,
	morning: Wetness
): PlannedStage {
	const key = JSON.stringify([stage, weather, site, client, foul, [...morning]]);
	const before = known.get(key);
	if (before) return before;
	const plan = { ...planStage(stage, weather, client, [], site, morning), foul };
	known.set(key, plan);
	if (known.size > MOST_KNOWN) known.delete(known.keys().next().value!);
	return plan;
}

/** The plan of a stage as its page shows it: with what is still wet from the days before. */
function planned(variant: Stage, side: Side, client: Client, foul: boolean): PlannedStage {
	const stage = side.stages.find(({ id }) => id === variant.id)!;
	const morning = wetBefore(side.stages, stage, client, (day, wet) =>
		plannedFrom(day, side, client, false, wet)
	);
	return plannedFrom(variant, side, client, foul, morning);
}

/** A stage with its foul-weather variant, if it has one. */
const variants = (stage: Stage): { stage: Stage; foul: boolean }[] => {
	const foul = foulStage(stage);
	return [{ stage, foul: false }, ...(foul ? [{ stage: foul, foul: true }] : [])];
};

self.onmessage = ({ data }: MessageEvent<CompareRequest>) => {
	const { before, after, clients, firstStageId } = data;
	const order = [...after.stages].sort(
		(a, b) => Number(b.id === firstStageId) - Number(a.id === firstStageId)
	);
	const total = order.length * clients.length;
	let done = 0;
	for (const stage of order) {
		const old = before.stages.find(({ id }) => id === stage.id);
		for (const client of clients) {
			const now = variants(stage).map((one) => planned(one.stage, after, client, one.foul));
			const was = old ? variants(old).map((one) => planned(one.stage, before, client, one.foul)) : [];
			const changes = changedVerdicts(was, now);
			done += 1;
			self.postMessage({ kind: 'step', done, total, clientId: client.id, changes } satisfies CompareAnswer);
		}
	}
	self.postMessage({ kind: 'end' } satisfies CompareAnswer);
};
