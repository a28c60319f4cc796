import type { WorkerReply } from './worker-question.svelte';

const SHOW_EVERY_MS = 100;

/** Runs a search in a worker to its end, and tells now and then how far it is. Whatever happens is told. */
export function tellSteps<Progress, Found, Answer>(
	begin: () => Generator<Progress, Found, void>,
	answerOf: (found: Found) => Answer
): void {
	const say = (reply: WorkerReply<Progress, Answer>): void => self.postMessage(reply);
	try {
		const steps = begin();
		let shown = 0;
		let step = steps.next();
		for (; !step.done; step = steps.next()) {
			if (performance.now() - shown < SHOW_EVERY_MS) continue;
			shown = performance.now();
			say({ kind: 'progress', progress: step.value });
		}
		say({ kind: 'answer', answer: answerOf(step.value) });
	} catch (trouble) {
		say({ kind: 'failed', message: trouble instanceof Error ? trouble.message : String(trouble) });
	}
}
