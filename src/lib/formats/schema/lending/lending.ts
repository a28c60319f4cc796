import Joi from 'joi';
import type { Document } from '../../../core/document/types';
import type { SettledLoan } from '../../../core/remedy/lending/lending';
import type { StockKind } from '../../../core/remedy/lending/stock';
import { between, count, id } from '../common';
import { documentSchema } from '../document';
import { thing } from '../thing';

/** Kinds of things that can be shared out at once. */
const MOST_KINDS = 60;

const kind = Joi.object<StockKind>({
	id: id.required(),
	thing: thing.required(),
	count: count(0, 999).default(1),
	cost: between(0, 1e6).default(0)
});
export const settledLoan = Joi.object<SettledLoan>({
	clientId: id.required(),
	kindId: id.required(),
	lend: Joi.boolean().default(true)
});

/** Who gets what of a stock, over the clients of a document. */
export interface LendingRequest extends Document {
	stock: StockKind[];
	settled: SettledLoan[];
}

export const lendingRequestSchema = (documentSchema as Joi.ObjectSchema<LendingRequest>).keys({
	stock: Joi.array()
		.items(kind)
		.max(MOST_KINDS)
		.required()
		.unique('id')
		.messages({ 'array.unique': 'holds the same id twice' }),
	settled: Joi.array().items(settledLoan).max(1000).default([])
});
