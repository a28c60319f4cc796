import type Joi from 'joi';
import { LIMITS } from './limits';

/** One thing that is wrong with an input, in words for the person who typed it. */
export interface FieldError {
	/** path as in `stages.0.base.airTempC` */
	field: string;
	value: unknown;
	allowed: string;
	message: string;
}

export type Checked<T> = { value: T; errors: null } | { value: null; errors: FieldError[] };

/** What a rule allows, in words. */
function allowedOf(detail: Joi.ValidationErrorItem): string {
	const { limit, valids } = detail.context ?? {};
	switch (detail.type) {
		case 'number.min':
			return `${limit} or more`;
		case 'number.max':
			return `${limit} or less`;
		case 'any.only':
			return (valids as unknown[]).join(', ');
		case 'any.required':
			return 'must be given';
		case 'number.base':
			return 'a number';
		case 'number.integer':
			return 'a whole number';
		case 'string.empty':
			return 'some text';
		case 'string.max':
		case 'array.max':
			return `at most ${limit}`;
		case 'string.min':
		case 'array.min':
			return `at least ${limit}`;
		case 'object.unknown':
			return 'not a known field';
		default:
			return detail.message.replace(/"/g, '');
	}
}

interface Described {
	type?: string;
	keys?: Record<string, Described>;
	items?: Described[];
	matches?: { schema?: Described; then?: Described; otherwise?: Described }[];
	rules?: { name: string; args?: { limit: number } }[];
}
/** Every schema that a choice of shapes may stand for. */
const shapesOf = (described: Described): Described[] =>
	described.type === 'alternatives'
		? (described.matches ?? [])
				.flatMap(({ schema, then, otherwise }) => [schema, then, otherwise])
				.filter((shape) => shape !== undefined)
				.flatMap(shapesOf)
		: [described];

const describedKnown = new WeakMap<Joi.Schema, Described>();
/** A schema described, once: that takes longer than to check an input. */
function describedOf(schema: Joi.Schema): Described {
	const known = describedKnown.get(schema) ?? (schema.describe() as Described);
	describedKnown.set(schema, known);
	return known;
}

/** The range of the number that a path in a schema ends at, such as "-60 to 50", when it has both ends. */
function rangeOf(schema: Joi.Schema, path: readonly (string | number)[]): string | null {
	let at = [describedOf(schema)];
	for (const key of path) {
		at = at
			.flatMap(shapesOf)
			.flatMap(({ keys, items }) =>
				typeof key === 'number' ? (items ?? []) : keys?.[key] ? [keys[key]] : []
			);
	}
	for (const { rules = [] } of at.flatMap(shapesOf)) {
		const limit = (rule: string): number | undefined => rules.find(({ name }) => name === rule)?.args?.limit;
		const [min, max] = [limit('min'), limit('max')];
		if (min !== undefined && max !== undefined) return `${min} to ${max}`;
	}
	return null;
}

/** What is wrong, in words for the field at which it was typed. */
function wordsFor(detail: Joi.ValidationErrorItem, allowed: string, isRange: boolean): string {
	if (isRange) {
		const whole = detail.type === 'number.integer' ? 'a whole number' : 'a number';
		return `must be ${whole} from ${allowed.replaceAll('-', '−')}`;
	}
	const { limit } = (detail.context ?? {}) as { limit?: number };
	switch (detail.type) {
		case 'any.required':
			return 'must be given';
		case 'any.only':
			return `must be one of: ${allowed}`;
		case 'object.unknown':
			return 'is not a known field';
		case 'string.empty':
			return 'must not be empty';
		case 'string.min':
			return limit === 1 ? 'must not be empty' : `must have at least ${limit} letters`;
		case 'string.max':
			return `must have at most ${limit} characters`;
		case 'array.min':
		case 'array.max':
			return `must have ${allowed} entries`;
		default:
			return detail.message.replace(/"/g, '');
	}
}

/** Checks an input against a schema. Defaults are filled in; the first fifty errors come back, none loses what was typed. */
export function check<T>(schema: Joi.Schema, input: unknown): Checked<T> {
	const { value, error } = schema.validate(input, {
		abortEarly: false,
		convert: false,
		errors: { wrap: { label: '' } }
	});
	if (!error) return { value: value as T, errors: null };
	return {
		value: null,
		errors: error.details.slice(0, LIMITS.errors).map((detail) => {
			const range = detail.type.startsWith('number.') ? rangeOf(schema, detail.path) : null;
			const allowed = range ?? allowedOf(detail);
			return {
				field: detail.path.join('.'),
				value: (detail.context?.value ?? null) as unknown,
				allowed,
				message: wordsFor(detail, allowed, range !== null)
			};
		})
	};
}
