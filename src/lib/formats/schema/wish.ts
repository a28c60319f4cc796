import Joi from 'joi';
import { SPARE_CHANGES, WISH_KINDS } from '../../core/document/wish';
import { count, id, oneOf } from './common';

const wish = Joi.object({
	kind: oneOf(WISH_KINDS).required(),
	thingId: id.required(),
	stageId: id,
	phaseId: id
})
	.when(Joi.object({ kind: 'wear' }).unknown(), {
		then: Joi.object({ stageId: id.required(), phaseId: id.required() })
	})
	.messages({ 'any.required': 'is needed: where shall it be worn?' });
export const wishList = Joi.array().items(wish).max(60);
export const spareChanges = Joi.number().valid(...SPARE_CHANGES);
export const wishesSchema = Joi.object({
	wishes: wishList.required(),
	spareChanges: spareChanges.required(),
	version: count(0, 1e9).required()
});
