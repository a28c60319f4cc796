import type { Client, Trip } from '$lib/core/document/types';
import { quickCheck, type QuickCheckAnswer } from '$lib/core/plan/told/quick-check';

export interface QuickCheckRequest {
	trip: Trip;
	client: Client;
	typeId: string;
	massG: number | null;
	wornOut: boolean;
}
export type QuickCheckReply =
	{ kind: 'progress'; done: number; total: number } | { kind: 'answer'; answer: QuickCheckAnswer };

const SHOW_EVERY_MS = 80;

self.onmessage = ({ data }: MessageEvent<QuickCheckRequest>) => {
	const { typeId, massG, wornOut } = data;
	const steps = quickCheck(data.trip, data.client, { typeId, massG, wornOut });
	let shown = 0;
	for (let step = steps.next(); ; step = steps.next()) {
		if (step.done) {
			self.postMessage({ kind: 'answer', answer: step.value } satisfies QuickCheckReply);
			return;
		}
		if (performance.now() - shown < SHOW_EVERY_MS) continue;
		shown = performance.now();
		const { done, total } = step.value;
		self.postMessage({ kind: 'progress', done, total } satisfies QuickCheckReply);
	}
};
