import Joi from 'joi';
import type { Document } from '../../../core/document/types';
import { CANDIDATE_SOURCES, type Candidate } from '../../../core/remedy/candidate';
import { between, count, id, oneOf } from '../common';
import { documentSchema } from '../document';
import { thing } from '../thing';

/** Candidates that can be asked about at once. */
const MOST_CANDIDATES = 120;

const candidate = Joi.object<Candidate>({
	thing: thing.required(),
	from: oneOf(CANDIDATE_SOURCES).required(),
	cost: between(0, 1e6).default(0),
	days: count(0, 365).default(0)
});

/** What to get for one client of a document, among some candidates. */
export interface RemediesRequest extends Document {
	clientId?: string;
	candidates: Candidate[];
}

export const remediesRequestSchema = (documentSchema as Joi.ObjectSchema<RemediesRequest>).keys({
	clientId: id,
	candidates: Joi.array()
		.items(candidate)
		.max(MOST_CANDIDATES)
		.required()
		.unique((a: Candidate, b: Candidate) => a.thing.id === b.thing.id)
		.messages({ 'array.unique': 'holds the same thing twice' })
});
