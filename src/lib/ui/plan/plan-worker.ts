import type { Client, Trip } from '$lib/core/document/types';
import { SPARE_CHANGES, type Wish } from '$lib/core/document/wish';
import type { PlannedStage } from '$lib/core/kit/planned-day';
import { plannedDay, type Planning, type TripPlan, TripPlanner } from '$lib/core/plan/planner';
import { type Price, priceOf, tripSummary, type TripSummary } from '$lib/core/plan/told/summary';
import { type Place, whyNot } from '$lib/core/plan/told/why-not';
import type { Progress } from '$lib/core/plan/choice/trip-choice';

/** What a page asks of the worker that plans one client's trip. */
export type TripRequest =
	| { kind: 'open'; trip: Trip; client: Client }
	| { kind: 'plan'; ask: number; wishes: Wish[]; spareChanges: number }
	| { kind: 'stage'; ask: number; stageId: string; foul: boolean }
	/** what the plan would be with a thing that stays at home, worn where that costs least */
	| { kind: 'why not'; ask: number; thingId: string }
	/** changes and grams at every setting between few changes and light pack */
	| { kind: 'trade'; ask: number }
	| { kind: 'stop' };
export type TripAnswer =
	| { kind: 'progress'; ask: number; task: Progress['task']; done: number; total: number }
	| {
			kind: 'planned';
			ask: number;
			summary: TripSummary;
			price: Price | null;
			impossible: Wish[];
			ms: number;
			/** the best so far, while the search goes on */
			soFar: boolean;
	  }
	| { kind: 'stage'; ask: number; days: PlannedStage[] }
	| { kind: 'why not'; ask: number; place: Place | null; price: Price | null }
	| { kind: 'trade'; ask: number; rows: Trade[] }
	| { kind: 'failed'; ask: number; message: string };
export interface Trade {
	spareChanges: number;
	changes: number;
	massG: number;
}

const say = (answer: TripAnswer): void => self.postMessage(answer);

let planner: TripPlanner | null = null;
let current: { plan: TripPlan; summary: TripSummary; wishes: Wish[]; spareChanges: number } | null = null;
/** The plan without any wish, at the same setting: what prices are counted from. */
const bases = new Map<number, TripSummary>();
let stopped = false;
let newest = 0;

/** Lets messages in between two steps of a search. */
const pause = (): Promise<void> =>
	new Promise((resolve) => {
		const { port1, port2 } = new MessageChannel();
		port1.onmessage = () => resolve();
		port2.postMessage(null);
	});
/** A search shows how far it is at most so often, ms. */
const SHOW_EVERY_MS = 60;

/** Runs a search to its end, and lets messages in between. */
async function run<S extends Progress, T>(
	ask: number,
	steps: Generator<S, T, void>,
	hear?: (step: S) => void
): Promise<T> {
	let shown = 0;
	for (let step = steps.next(); ; step = steps.next()) {
		if (step.done) return step.value;
		hear?.(step.value);
		if (performance.now() - shown > SHOW_EVERY_MS) {
			shown = performance.now();
			const { task, done, total } = step.value;
			say({ kind: 'progress', ask, task, done, total });
			await pause();
		}
	}
}
const search = (
	ask: number,
	wishes: readonly Wish[],
	spareChanges: number,
	isOver: () => boolean,
	hear?: (step: Planning) => void
): Promise<TripPlan> => {
	const begin = performance.now();
	const hurry = (): boolean => hear !== undefined && performance.now() - begin > PATIENCE_MS;
	return run(ask, planner!.plan(wishes, spareChanges, isOver, hurry), hear);
};

/** The stage that the page looks at: told at once, even while a search goes on. */
let looked: { stageId: string; foul: boolean } | null = null;
/** After so long a plan that is good enough is shown, ms. */
const PATIENCE_MS = 1000;
/** A plan that is not the last word is shown at most so often, ms. */
const SO_FAR_EVERY_MS = 1500;
const daysOf = (plan: TripPlan, { stageId, foul }: { stageId: string; foul: boolean }): PlannedStage[] =>
	plan.problem.days
		.filter((day) => day.stage.id === stageId && day.foul === foul)
		.map((day) => plannedDay(plan, day))
		.filter((day) => day !== null);

async function plan({ ask, wishes, spareChanges }: Extract<TripRequest, { kind: 'plan' }>): Promise<void> {
	const begin = performance.now();
	let told = { plan: null as TripPlan | null, at: -Infinity };
	const found = await search(
		ask,
		wishes,
		spareChanges,
		() => stopped || ask !== newest,
		({ soFar }) => {
			const now = performance.now();
			if (!soFar || soFar === told.plan || now - told.at < SO_FAR_EVERY_MS) return;
			told = { plan: soFar, at: now };
			const summary = tripSummary(soFar);
			const ms = Math.round(now - begin);
			say({ kind: 'planned', ask, summary, price: null, impossible: [], ms, soFar: true });
			if (looked) say({ kind: 'stage', ask, days: daysOf(soFar, looked) });
		}
	);
	if (ask !== newest) return;
	const summary = tripSummary(found);
	if (wishes.length === 0 && summary.daysDone === summary.days) bases.set(spareChanges, summary);
	current = { plan: found, summary, wishes: [...wishes], spareChanges };
	const ms = Math.round(performance.now() - begin);
	const tell = (base: TripSummary | undefined): void =>
		say({
			kind: 'planned',
			ask,
			summary,
			price: wishes.length > 0 && base ? priceOf(base, summary) : null,
			impossible: [...found.impossible],
			ms,
			soFar: false
		});
	tell(bases.get(spareChanges));
	if (wishes.length === 0 || bases.has(spareChanges)) return;
	// What the wishes cost is only known beside the plan without any.
	const base = tripSummary(await search(ask, [], spareChanges, () => stopped || ask !== newest));
	if (ask !== newest || base.daysDone < base.days) return;
	bases.set(spareChanges, base);
	tell(base);
}

async function answer(request: TripRequest): Promise<void> {
	switch (request.kind) {
		case 'open':
			planner = new TripPlanner(request.trip, request.client);
			bases.clear();
			current = null;
			return;
		case 'plan':
			return plan(request);
		case 'stage': {
			if (!current) return;
			say({ kind: 'stage', ask: request.ask, days: daysOf(current.plan, request) });
			return;
		}
		case 'why not': {
			if (!current) return;
			const { plan: own, spareChanges, summary } = current;
			const found = await run(
				request.ask,
				whyNot(planner!, own, request.thingId, spareChanges, () => stopped)
			);
			say({
				kind: 'why not',
				ask: request.ask,
				place: found?.place ?? null,
				price: found && priceOf(summary, tripSummary(found.plan))
			});
			return;
		}
		case 'trade': {
			const wishes = current?.wishes ?? [];
			const rows: Trade[] = [];
			for (const spareChanges of SPARE_CHANGES) {
				const { choice } = await search(request.ask, wishes, spareChanges, () => stopped);
				if (stopped) return;
				rows.push({ spareChanges, changes: choice.levels.changes, massG: choice.levels.massG });
			}
			say({ kind: 'trade', ask: request.ask, rows });
			return;
		}
		case 'stop':
			return;
	}
}

let queue: Promise<void> = Promise.resolve();
self.onmessage = ({ data }: MessageEvent<TripRequest>) => {
	if (data.kind === 'stop') {
		stopped = true;
		return;
	}
	if (data.kind === 'plan') newest = data.ask;
	if (data.kind === 'stage') looked = data;
	queue = queue
		.then(() => {
			stopped = false;
			return answer(data);
		})
		.catch((trouble: unknown) => {
			const message = trouble instanceof Error ? trouble.message : String(trouble);
			say({ kind: 'failed', ask: 'ask' in data ? data.ask : 0, message });
		});
};
