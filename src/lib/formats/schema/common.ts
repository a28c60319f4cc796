import Joi from 'joi';
import { FACT_SOURCES, FACT_STATES } from '../../core/document/types';

/**
 * The shape of everything that comes in from outside: API, forms, files; one file a type. Joi checks it on the server; the
 * published JSON Schema is made from the same rules.
 */

export const id = Joi.string()
	.pattern(/^[A-Za-z0-9-]{1,64}$/)
	.messages({ 'string.pattern.base': 'may have letters, digits and dashes only, at most 64' });
export const name = Joi.string().trim().min(1).max(120);
export const count = (min: number, max: number): Joi.NumberSchema => Joi.number().integer().min(min).max(max);
export const between = (min: number, max: number): Joi.NumberSchema => Joi.number().min(min).max(max);
export const oneOf = (values: readonly string[]): Joi.StringSchema => Joi.string().valid(...values);
/** Trips lie between these years. */
const FIRST_YEAR = 1990;
const LAST_YEAR = 2100;
export const isoDate = Joi.string()
	.pattern(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/)
	.custom((value: string, helpers) => {
		// The 30th of February is a date of its shape, and no date.
		if (new Date(`${value}T00:00:00Z`).toISOString().slice(0, 10) !== value)
			return helpers.error('date.none');
		const year = Number(value.slice(0, 4));
		return year < FIRST_YEAR || year > LAST_YEAR ? helpers.error('date.far') : value;
	})
	.messages({
		'string.pattern.base': 'must be a date such as 2027-01-23',
		'date.none': 'must be a day that there is',
		'date.far': `must be a date from ${FIRST_YEAR} to ${LAST_YEAR}`
	});
export const fact = (value: Joi.Schema): Joi.ObjectSchema =>
	Joi.object({
		value: value.allow(null).required(),
		source: oneOf(FACT_SOURCES).required(),
		state: oneOf(FACT_STATES).required()
	});
export const versioned = {
	version: count(1, 1e9).default(1),
	deletedAt: Joi.string().isoDate().allow(null).default(null)
};
