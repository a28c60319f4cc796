import Joi from 'joi';
import { STOCK_STATES } from '../../../core/remedy/lending/stock';
import { between, count, id, isoDate, name, oneOf } from '../common';
import { thingFacts, typeId } from '../thing';

const fields = {
	typeId,
	name: name.required(),
	label: Joi.string().trim().allow('').max(60).default(''),
	facts: thingFacts.default({}),
	pieces: count(1, 999).default(1),
	state: oneOf(STOCK_STATES).default('ready'),
	backOn: isoDate.allow(null).default(null),
	cost: between(0, 1e6).default(0)
};
export const newStockSchema = Joi.object({ ...fields, name });
export const stockEditSchema = Joi.object({ ...fields, version: count(1, 1e9).required() });

/** Loans that are settled: made, not to be made, or open again. */
export const loansEditSchema = Joi.object({
	loans: Joi.array()
		.items(
			Joi.object({
				clientId: id.required(),
				stockId: id.required(),
				lend: Joi.boolean().allow(null).required()
			})
		)
		.min(1)
		.max(1000)
		.required()
});
