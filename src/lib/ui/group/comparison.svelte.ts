import type { VerdictChange } from '$lib/core/plan/verdict-changes';
import type { CompareAnswer, CompareRequest } from './changes-worker';
import ChangesWorker from './changes-worker?worker';

/** Who changes, worked out in a worker: results come as they are found, and it can be stopped. */
export class Comparison {
	state = $state<'idle' | 'working' | 'done' | 'stopped' | 'failed'>('idle');
	done = $state(0);
	total = $state(0);
	/** by client */
	changes = $state.raw<Record<string, VerdictChange[]>>({});

	#worker: Worker | null = null;

	run(request: CompareRequest): void {
		if (this.state === 'working') this.#end();
		this.state = 'working';
		this.done = 0;
		this.total = request.after.document.clients.length;
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
	#end(): void {
		this.#worker?.terminate();
		this.#worker = null;
	}
}
