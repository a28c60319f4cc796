import type { Client, Document } from '$lib/core/document/types';
import type { Candidate, CandidateSource } from '$lib/core/remedy/candidate';
import { remedies } from '$lib/core/remedy/ladder';
import type { Remedies } from '$lib/core/remedy/remedies';
import type { HousePrices, PriceLevel } from '$lib/core/remedy/prices';
import { usualCandidates } from '$lib/core/remedy/usual-candidates';
import { tellSteps } from '../work/told-steps';

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
/** What to get, among what was offered. */
export interface Offered {
	remedies: Remedies;
	offers: Offer[];
}

self.onmessage = ({ data }: MessageEvent<RemedyRequest>) => {
	const { document, client, level, names, declined, prices } = data;
	let candidates: readonly Candidate[] = [];
	tellSteps(
		() => {
			candidates = usualCandidates(document, client, level, (typeId) => names[typeId] ?? typeId, {
				declined: new Set(declined),
				prices
			});
			return remedies(document, client, candidates);
		},
		(found): Offered => ({
			remedies: found,
			offers: candidates.map(({ thing, from, cost, days }) => ({
				thingId: thing.id,
				typeId: thing.typeId,
				name: thing.name,
				from,
				cost,
				days
			}))
		})
	);
};
