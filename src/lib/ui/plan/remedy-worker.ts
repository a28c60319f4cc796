import type { Client, Document } from '$lib/core/document/types';
import type { CandidateSource } from '$lib/core/remedy/candidate';
import { remedies } from '$lib/core/remedy/ladder';
import type { Remedies, RemedyProgress } from '$lib/core/remedy/remedies';
import type { HousePrices, PriceLevel } from '$lib/core/remedy/prices';
import { usualCandidates } from '$lib/core/remedy/usual-candidates';

export interface RemedyRequest {
	document: Document;
	client: Client;
	level: PriceLevel;
	/** names of types, in words */
	names: Readonly<Record<string, string>>;
	/** types that are not to be got */
	declined: readonly string[];
	/** what the house knows of prices */
	prices: HousePrices;
}
/** A candidate as the page shows and adds it. */
export interface Offer {
	thingId: string;
	typeId: string;
	name: string;
	from: CandidateSource;
	cost: number;
	days: number;
}
export type RemedyReply =
	| ({ kind: 'progress' } & RemedyProgress)
	| { kind: 'answer'; answer: Remedies; offers: Offer[] }
	| { kind: 'failed'; message: string };

const SHOW_EVERY_MS = 100;

self.onmessage = ({ data }: MessageEvent<RemedyRequest>) => {
	const say = (reply: RemedyReply): void => self.postMessage(reply);
	const { document, client, level, names, declined, prices } = data;
	try {
		const candidates = usualCandidates(document, client, level, (typeId) => names[typeId] ?? typeId, {
			declined: new Set(declined),
			prices
		});
		const steps = remedies(document, client, candidates);
		let shown = 0;
		let step = steps.next();
		for (; !step.done; step = steps.next()) {
			if (performance.now() - shown < SHOW_EVERY_MS) continue;
			shown = performance.now();
			say({ kind: 'progress', ...step.value });
		}
		const offers = candidates.map(({ thing, from, cost, days }) => ({
			thingId: thing.id,
			typeId: thing.typeId,
			name: thing.name,
			from,
			cost,
			days
		}));
		say({ kind: 'answer', answer: step.value, offers });
	} catch (trouble) {
		say({ kind: 'failed', message: trouble instanceof Error ? trouble.message : String(trouble) });
	}
};
