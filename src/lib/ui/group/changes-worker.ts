import type { Document } from '$lib/core/document/types';
import type { Wish } from '$lib/core/document/wish';
import type { PhaseSummary } from '$lib/core/plan/told/summary';
import {
	clientChanges,
	type ComparedSide,
	phasesAsPlanned,
	type PlannedPhases,
	type VerdictChange
} from '$lib/core/plan/verdict-changes';

export interface CompareRequest {
	before: ComparedSide;
	after: ComparedSide;
	/** what is wished of the plans, by client */
	wishes: Record<string, { wishes: Wish[]; spareChanges: number }>;
}
export type CompareAnswer =
	| { kind: 'step'; done: number; total: number; clientId: string; changes: VerdictChange[] }
	| { kind: 'failed'; message: string }
	| { kind: 'end' };

/** Plans that were made before, so that going back and forth costs nothing; the oldest are dropped. */
const cached = new Map<string, readonly PhaseSummary[]>();
const MOST_CACHED = 100;

/** What a plan depends on: names of trip and client apart. */
const keyOf = ({ trip, house }: Document, client: object | undefined, wishes: unknown): string => {
	const { weathers, stages, site, schools } = trip;
	return JSON.stringify([weathers, stages, site, schools, house, client, wishes]);
};
const cachedPlan = (wishes: CompareRequest['wishes'][string] | undefined): PlannedPhases =>
	function* (document, client) {
		const key = keyOf(document, client, wishes);
		const before = cached.get(key);
		if (before) return before;
		const phases = yield* phasesAsPlanned(wishes)(document, client);
		cached.set(key, phases);
		if (cached.size > MOST_CACHED) cached.delete(cached.keys().next().value!);
		return phases;
	};

self.onmessage = ({ data }: MessageEvent<CompareRequest>) => {
	const { before, after, wishes } = data;
	const say = (answer: CompareAnswer): void => self.postMessage(answer);
	const total = after.document.clients.length;
	try {
		after.document.clients.forEach(({ id }, done) => {
			const steps = clientChanges(before, after, id, cachedPlan(wishes[id]));
			let step = steps.next();
			while (!step.done) step = steps.next();
			say({ kind: 'step', done: done + 1, total, clientId: id, changes: step.value });
		});
		say({ kind: 'end' });
	} catch (trouble) {
		say({ kind: 'failed', message: trouble instanceof Error ? trouble.message : String(trouble) });
	}
};
