import { createHash } from 'node:crypto';
import type { Client, Document } from '$lib/core/document/types';
import { schooled } from '$lib/core/conditions/person';
import { CLIENT_FACT_NAMES, NOT_PLANNED_WITH } from '$lib/core/document/client-facts';
import type { DocumentWishes } from '$lib/core/plan/planner';

/**
 * What a plan depends on, in one word: the core that works it out (a hash of its code and data, made when the app is built;
 * the budget of a search is counted in steps and part of it), the trip without names, the client's body and kit, schools,
 * what the house uses things for, and wishes.
 */
export function fingerprintOf(document: Document, ofDocument: Client, asked: DocumentWishes = {}): string {
	const client = schooled(ofDocument, document);
	const { answeredParts, things, schools, uses = {}, forOthers = null, fromOthers = [] } = client;
	const { weathers, stages, site } = document.trip;
	const { fixed = [], wishes = [], spareChanges = 0, last = null } = asked;
	return createHash('sha256')
		.update(
			JSON.stringify([
				__CORE_HASH__,
				weathers.map(({ meaning: _, ...weather }) => weather),
				// Where figures came from and what is provided make no other plan; names are told by it. What one does follows from
				// the pattern.
				stages.map(({ origins: _, provided: __, ...stage }) => stage),
				site,
				ofDocument.id,
				// Every fact but those that no plan depends on: what is forgotten here would leave an old plan standing.
				CLIENT_FACT_NAMES.filter((name) => !NOT_PLANNED_WITH.includes(name)).map(
					(name) => client[name].value
				),
				answeredParts,
				things.map(({ version: _, ...thing }) => thing),
				schools,
				uses,
				forOthers,
				fromOthers,
				fixed,
				wishes,
				spareChanges,
				last
			])
		)
		.digest('hex');
}
