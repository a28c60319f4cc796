import { schooled } from '$lib/core/conditions/person';
import type { Client, Document } from '$lib/core/document/types';
import type { WorthAsking } from '$lib/core/questions/interview';
import { beginQuestions, keepQuestions, keptQuestions, unknownTo } from '../db/guests/questions';
import { hashOf } from '../sign-in/secret';
import { inThread } from '../work/workers';
import { fingerprintOf } from './fingerprint';
import { whenNoPlanIsWanted } from './work';

/** What a client is asked on the page, as far as it is known: null while it is worked out, which begins with the first look. */
export interface Asking {
	questions: readonly Pick<WorthAsking, 'id' | 'changes'>[];
	nothingMore: boolean;
}

/** @param client of the document, as it stands there */
export async function askingOf(document: Document, client: Client): Promise<Asking | null> {
	const { trip } = document;
	const asked = await unknownTo(trip.id, client.id);
	const fingerprint = hashOf(`${fingerprintOf(document, client)} ${asked.join()}`);
	const kept = await keptQuestions(trip.id, client.id, fingerprint);
	if (kept !== null) return JSON.parse(kept) as Asking;
	if (await beginQuestions(trip.id, client.id, fingerprint)) {
		const own = schooled(client, document);
		const question = { asked: { ...document, clients: [own], asked }, client: own };
		whenNoPlanIsWanted(async () => {
			const answer = await inThread('whatToAsk', question, { kind: 'background' });
			await keepQuestions(trip.id, client.id, fingerprint, answer);
		});
	}
	return null;
}
