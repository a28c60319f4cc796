import Joi from 'joi';
import { isCatalogueId } from '../../../core/cloth/catalogue';
import { LIMITS } from '../../limits';
import { between, count, id } from '../common';

/** A row of what everybody brings. */
export const everybodyRow = Joi.object({
	id: id.required(),
	what: Joi.string().trim().min(1).max(120).required(),
	typeId: Joi.string()
		.allow(null)
		.default(null)
		.custom((value: string | null, helpers) =>
			value === null || isCatalogueId(value) ? value : helpers.error('catalogue.unknown')
		)
		.messages({ 'catalogue.unknown': 'must be the id of a type in the catalogue' }),
	many: count(1, 99).default(1),
	why: Joi.string().trim().allow('').max(200).default(''),
	broughtBy: id.allow(null).default(null),
	forIds: Joi.array().items(id).max(LIMITS.clients).unique().default([]),
	litres: between(0, 60).default(0),
	massG: between(0, 30_000).default(0)
});
/** What everybody brings on a trip. */
export const everybodySchema = Joi.object({
	rows: Joi.array().items(everybodyRow).max(LIMITS.things).unique('id').required(),
	version: count(0, 1e9).required()
});

/** A line of a list that is changed or written by hand; all null takes the change back. */
export const lineEditSchema = Joi.object({
	what: Joi.string().trim().min(1).max(120).allow(null).default(null),
	many: count(1, 99).allow(null).default(null),
	isOff: Joi.boolean().default(false)
});

/** In which form a list is wanted. */
export const listFileSchema = Joi.object({ as: Joi.string().valid('json', 'csv', 'xlsx').default('json') });
