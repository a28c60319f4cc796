import type { Client, Trip } from '$lib/core/document/types';
import type { Wish } from '$lib/core/document/wish';
import type { PlannedStage } from '$lib/core/kit/planned-day';
import type { Price, TripSummary } from '$lib/core/plan/told/summary';
import type { Place } from '$lib/core/plan/told/why-not';
import type { Trade, TripAnswer, TripRequest } from './plan-worker';
import PlanWorker from './plan-worker?worker';

/** Who has looked at a plan for so long is likely to stay with it, ms: then the server works it out, too, and keeps it. */
const STAYS_MS = 10_000;

/** A plan that the server kept: what it comes to, and the days of the stage that is looked at. */
export interface Kept {
	summary: TripSummary;
	days: PlannedStage[];
}

/**
 * One client's trip. A plan that the server kept is shown as it is; what is asked beyond it is worked out in a worker,
 * which begins only then. What is known is shown, and a long search can be stopped.
 */
export class PlanSession {
	state = $state<'idle' | 'working' | 'done' | 'failed'>('idle');
	progress = $state({ task: 'days', done: 0, total: 0 });
	summary = $state.raw<TripSummary | null>(null);
	price = $state.raw<Price | null>(null);
	impossible = $state.raw<Wish[]>([]);
	/** what is shown is the best so far: the search goes on */
	soFar = $state(false);
	/** what the search took, ms */
	took = $state(0);
	message = $state('');
	/** what is shown was read, not worked out here */
	isKept = $state(false);
	/** the stage that is looked at, in every weather */
	days = $state.raw<PlannedStage[]>([]);
	/** what it would cost to wear the thing that was asked about, where that costs least */
	asked = $state.raw<{ thingId: string; place: Place | null; price: Price | null } | null>(null);
	asking = $state('');
	trade = $state.raw<Trade[] | null>(null);

	#worker: Worker | null = null;
	#stays: ReturnType<typeof setTimeout> | undefined;
	#ask = 0;
	#looked: { stageId: string; foul: boolean } | null = null;

	/** What the worker is opened with when there is something for it to do. */
	#of: { trip: Trip; client: Client } | null = null;
	/** What the kept plan was asked with: the worker has to work that out before it can answer more. */
	#keptFor: { wishes: Wish[]; spareChanges: number } | null = null;

	/** @param kept a plan that stands in the page as the server sends it */
	constructor(kept: Kept | null = null) {
		if (kept) this.show(kept, [], 0);
	}

	#post(request: TripRequest): void {
		if (!this.#worker && this.#of) {
			this.#worker = new PlanWorker();
			this.#worker.onmessage = ({ data }: MessageEvent<TripAnswer>) => this.#hear(data);
			this.#worker.onerror = ({ message }) => {
				this.state = 'failed';
				this.message = message || 'The plan could not be worked out in this browser.';
			};
			this.#worker.postMessage({ kind: 'open', ...this.#of } satisfies TripRequest);
		}
		this.#worker?.postMessage(request);
	}
	open(trip: Trip, client: Client): void {
		this.end();
		this.#of = { trip, client };
		this.#keptFor = null;
		this.isKept = false;
		this.summary = null;
		this.days = [];
		this.trade = null;
		this.price = null;
		this.impossible = [];
	}
	/** Shows a kept plan. What wishes cost is not kept: it is worked out behind what is shown. */
	show({ summary, days }: Kept, wishes: Wish[], spareChanges: number): void {
		this.state = 'done';
		this.isKept = true;
		this.soFar = false;
		this.summary = summary;
		this.days = days;
		this.#keptFor = { wishes, spareChanges };
		if (wishes.length > 0) this.#catchUp();
	}
	/** Other days of the kept plan that is shown. */
	showDays(days: PlannedStage[]): void {
		if (this.isKept) this.days = days;
	}
	/** Has the worker work out what is shown already, before it is asked more about it. */
	#catchUp(): void {
		if (!this.#keptFor) return;
		const { wishes, spareChanges } = this.#keptFor;
		this.#keptFor = null;
		this.#post({ kind: 'plan', ask: ++this.#ask, wishes, spareChanges });
	}
	plan(wishes: Wish[], spareChanges: number): void {
		clearTimeout(this.#stays);
		this.state = 'working';
		this.#keptFor = null;
		this.soFar = false;
		this.progress = { task: 'days', done: 0, total: 0 };
		this.asked = null;
		this.#post({ kind: 'plan', ask: ++this.#ask, wishes, spareChanges });
	}
	look(stageId: string, foul: boolean): void {
		this.#looked = { stageId, foul };
		if (this.summary && !this.isKept) this.#post({ kind: 'stage', ask: this.#ask, stageId, foul });
	}
	/** Asks why a thing stays at home. */
	askWhyNot(thingId: string): void {
		this.#catchUp();
		this.asked = null;
		this.asking = thingId;
		this.#post({ kind: 'why not', ask: ++this.#asks, thingId });
	}
	#asks = 0;
	askTrade(): void {
		this.#catchUp();
		this.trade = null;
		this.#post({ kind: 'trade', ask: this.#ask });
	}
	/** Stops a search: the days that are planned stay, the others have no plan. */
	stop(): void {
		this.#post({ kind: 'stop' });
	}
	end(): void {
		clearTimeout(this.#stays);
		this.#worker?.terminate();
		this.#worker = null;
	}
	#keep(): void {
		const { trip, client } = this.#of!;
		void fetch(`/api/v1/trips/${trip.id}/plans?client=${client.id}`).catch(() => undefined);
	}
	#hear(answer: TripAnswer): void {
		switch (answer.kind) {
			case 'progress':
				if (answer.ask === this.#ask && this.state === 'working')
					this.progress = { task: answer.task, done: answer.done, total: answer.total };
				return;
			case 'planned':
				if (answer.ask !== this.#ask) return;
				// A kept plan is the last word already: the best so far does not take its place.
				if (this.isKept && this.state === 'done' && answer.soFar) return;
				this.isKept = false;
				this.summary = answer.summary;
				this.price = answer.price;
				this.impossible = answer.impossible;
				this.took = answer.ms;
				this.soFar = answer.soFar;
				if (answer.soFar) return;
				this.state = 'done';
				if (answer.summary.daysDone === answer.summary.days)
					this.#stays = setTimeout(() => this.#keep(), STAYS_MS);
				if (this.#looked) this.look(this.#looked.stageId, this.#looked.foul);
				return;
			case 'stage':
				if (answer.ask === this.#ask && !this.isKept) this.days = answer.days;
				return;
			case 'why not':
				if (answer.ask !== this.#asks) return;
				this.asked = { thingId: this.asking, place: answer.place, price: answer.price };
				this.asking = '';
				return;
			case 'trade':
				this.trade = answer.rows;
				return;
			case 'failed':
				this.state = 'failed';
				this.message = answer.message;
		}
	}
}
