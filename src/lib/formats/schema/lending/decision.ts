import Joi from 'joi';
import { REFUSALS, WAYS } from '../../../core/remedy/decision';
import { between, count, name, oneOf } from '../common';
import { typeId } from '../thing';

export const decision = Joi.object({
	typeId,
	name: name.required(),
	decided: oneOf(['get', 'decline']).required(),
	way: oneOf(WAYS).when('decided', {
		is: 'get',
		then: Joi.required(),
		otherwise: Joi.valid(null).default(null)
	}),
	refusal: oneOf(REFUSALS).when('decided', {
		is: 'decline',
		then: Joi.required(),
		otherwise: Joi.valid(null).default(null)
	}),
	cost: between(0, 1e6).default(0),
	days: count(0, 365).default(0),
	because: Joi.string().trim().allow('').max(200).default('')
});
export const decisionsSchema = Joi.object({
	decisions: Joi.array().items(decision).min(1).max(120).unique('typeId').required()
});
export const isThereSchema = Joi.object({ isThere: Joi.boolean().required() });
