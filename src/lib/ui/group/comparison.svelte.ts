import type { Document, Trip } from '$lib/core/document/types';
import type { VerdictChange } from '$lib/core/plan/verdict-changes';
import type { CompareAnswer, CompareRequest } from './changes-worker';
import ChangesWorker from './changes-worker?worker';

/** One side of a comparison: a trip in a weather. */
interface Side {
	trip: Trip;
	weatherId: string;
}

/** Who changes, worked out in a worker: results come as they are found, and it can be stopped. */
export class Comparison {
	state = $state<'idle' | 'working' | 'done' | 'stopped' | 'failed'>('idle');
	done = $state(0);
	total = $state(0);
	/** by client */
	changes = $state.raw<Record<string, VerdictChange[]>>({});

	#worker: Worker | null = null;

	#ask = 0;
	/** Asks for the clients and their kits, as they are now, and compares. */
	async run({
		before,
		after,
		wishes
	}: Pick<CompareRequest, 'wishes'> & Record<'before' | 'after', Side>): Promise<void> {
		if (this.state === 'working') this.#end();
		this.state = 'working';
		this.done = 0;
		this.total = 0;
		const mine = ++this.#ask;
		const response = await fetch(`/api/v1/trips/${after.trip.id}`).catch(() => null);
		const document = response?.ok ? ((await response.json()) as Document) : null;
		if (mine !== this.#ask) return;
		if (!document) {
			this.state = 'failed';
			return;
		}
		const sideOf = ({ trip, weatherId }: Side) => ({ document: { ...document, trip }, weatherId });
		const request: CompareRequest = { before: sideOf(before), after: sideOf(after), wishes };
		this.total = document.clients.length;
		this.changes = {};
		// A worker in the middle of a plan hears nothing: it is ended and another begun. An idle one remembers its plans.
		this.#worker ??= new ChangesWorker();
		this.#worker.onmessage = ({ data }: MessageEvent<CompareAnswer>) => {
			if (data.kind !== 'step') {
				this.state = data.kind === 'end' ? 'done' : 'failed';
				return;
			}
			this.done = data.done;
			this.total = data.total;
			if (data.changes.length > 0) this.changes = { ...this.changes, [data.clientId]: data.changes };
		};
		this.#worker.onerror = () => {
			this.state = 'failed';
			this.#end();
		};
		this.#worker.postMessage(request);
	}
	stop(): void {
		this.#end();
		this.state = 'stopped';
	}
	reset(): void {
		if (this.state === 'working') this.#end();
		this.state = 'idle';
		this.changes = {};
	}
	end(): void {
		this.#end();
	}
	/** What is asked for counts no more, either. */
	#end(): void {
		this.#ask++;
		this.#worker?.terminate();
		this.#worker = null;
	}
}
