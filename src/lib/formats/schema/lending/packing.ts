import Joi from 'joi';
import { LIMITS } from '../../limits';
import { id } from '../common';
import { documentSchema } from '../document';
import { decision } from './decision';
import { everybodyRow, lineEditSchema } from './lists';

const MOST_DECISIONS = 500;

const packedBy = Joi.object({
	clientId: id.required(),
	decisions: Joi.array()
		.items(decision.keys({ thingId: id.allow(null).default(null), isThere: Joi.boolean().default(false) }))
		.max(MOST_DECISIONS)
		.unique('typeId')
		.default([]),
	lines: Joi.array()
		.items(lineEditSchema.keys({ lineId: id.required() }))
		.max(LIMITS.things)
		.unique('lineId')
		.default([])
});

/** A trip that was saved as a file: a document with what was written and decided beside it. */
export const savedTripSchema = (documentSchema as Joi.ObjectSchema).keys({
	packing: Joi.object({
		everybody: Joi.array().items(everybodyRow).max(LIMITS.things).unique('id').default([]),
		clients: Joi.array().items(packedBy).max(LIMITS.clients).unique('clientId').default([])
	})
});
