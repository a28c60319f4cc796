import type { Document } from '$lib/core/document/types';
import { lending, type SettledLoan } from '$lib/core/remedy/lending/lending';
import type { StockKind } from '$lib/core/remedy/lending/stock';
import { tellSteps } from '../work/told-steps';

export interface LendingRequest {
	document: Document;
	stock: readonly StockKind[];
	settled: readonly SettledLoan[];
}

self.onmessage = ({ data: { document, stock, settled } }: MessageEvent<LendingRequest>) =>
	tellSteps(
		() => lending(document, stock, settled),
		(found) => found
	);
