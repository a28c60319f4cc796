import type { Document } from '$lib/core/document/types';
import {
	type Lending,
	lending,
	type LendingProgress,
	type SettledLoan
} from '$lib/core/remedy/lending/lending';
import type { StockKind } from '$lib/core/remedy/lending/stock';

export interface LendingRequest {
	document: Document;
	stock: readonly StockKind[];
	settled: readonly SettledLoan[];
}
export type LendingReply =
	| ({ kind: 'progress' } & LendingProgress)
	| { kind: 'answer'; answer: Lending }
	| { kind: 'failed'; message: string };

const SHOW_EVERY_MS = 100;

self.onmessage = ({ data: { document, stock, settled } }: MessageEvent<LendingRequest>) => {
	const say = (reply: LendingReply): void => self.postMessage(reply);
	try {
		const steps = lending(document, stock, settled);
		let shown = 0;
		let step = steps.next();
		for (; !step.done; step = steps.next()) {
			if (performance.now() - shown < SHOW_EVERY_MS) continue;
			shown = performance.now();
			say({ kind: 'progress', ...step.value });
		}
		say({ kind: 'answer', answer: step.value });
	} catch (trouble) {
		say({ kind: 'failed', message: trouble instanceof Error ? trouble.message : String(trouble) });
	}
};
